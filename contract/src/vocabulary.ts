/** The closed vocabularies of the contract. Order is the order in which they are shown. */

export const METHODS = [
  'pan-sear',
  'shallow-fry',
  'deep-fry',
  'grill',
  'broil',
  'roast',
  'roast-whole',
  'steam',
  'steam-whole',
  'wrap-steam',
  'poach',
  'braise',
  'stew',
  'chowder',
  'curry',
  'sous-vide',
  'raw',
  'cure',
  'smoke',
  'mince',
  'broth',
] as const
export type Method = (typeof METHODS)[number]

export const FORMATS = ['whole', 'fillet-skin-on', 'fillet-skinless', 'portion', 'steak', 'chunk', 'slice', 'mince', 'frame'] as const
export type Format = (typeof FORMATS)[number]

/** Ways of cooking in which a swap that worked in one works in the others. */
export const METHOD_GROUPS = ['fried', 'fierce', 'oven', 'moist', 'pot', 'raw', 'smoke', 'mince'] as const
export type MethodGroup = (typeof METHOD_GROUPS)[number]

/** What a piece lies in or on while it cooks, and while it rests. */
export const COOK_MEDIA = [
  'pan',
  'lidded-pan',
  'shallow-fat',
  'hot-pan-in-oven',
  'oven-fan',
  'oven',
  'steam',
  'wrapped-steam',
  'water',
  'covered-sauce',
  'bath',
  'deep-fat',
  'deep-fat-battered',
  'charcoal',
  'broiler',
  'rest-board',
  'rest-foil',
  'rest-plate',
] as const
export type CookMedium = (typeof COOK_MEDIA)[number]
/** What is done to a fish before it is cooked. */
export const WINDOW_KINDS = ['soak', 'dry-salt', 'brine', 'sweet-salt', 'sour', 'milk', 'cure'] as const
export type WindowKind = (typeof WINDOW_KINDS)[number]

/** Ways within a way of cooking that ask for another fish, the usual one first. */
export const STYLES = {
  'pan-sear': ['now', 'kept-in-acid'],
  'shallow-fry': ['now', 'kept-in-acid'],
  'deep-fry': ['now', 'kept-in-acid'],
  poach: ['liquor', 'oil'],
  raw: ['slices', 'rolled', 'cubes-in-acid', 'chopped'],
  cure: ['sweet-dry', 'quick', 'sour', 'dry-salt', 'ripened', 'air-dried'],
  smoke: ['rich', 'lean'],
  mince: ['paste', 'bound', 'chopped', 'dark'],
} as const satisfies Partial<Record<Method, readonly string[]>>
export type Style = (typeof STYLES)[keyof typeof STYLES][number]
export const STYLE_NAMES: readonly Style[] = [...new Set(Object.values(STYLES).flat())]
/** The styles of a method, the usual one first; none where it has but one. */
export const stylesOf = (method: Method): readonly Style[] => (STYLES as Partial<Record<Method, readonly Style[]>>)[method] ?? []

export const DONENESSES = ['set', 'moist', 'rare'] as const
export type Doneness = (typeof DONENESSES)[number]
/** What a dish may cost where no figure is named: by how dear a fish is in the trade. */
export const SPENDS = ['any', 'everyday', 'least'] as const
export type Spend = (typeof SPENDS)[number]
export const HABITATS = ['sea', 'fresh'] as const
export type Habitat = (typeof HABITATS)[number]
/** The animals that are sold as fish. */
export const KINDS = ['fish', 'crustacean', 'cephalopod', 'bivalve'] as const
export type Kind = (typeof KINDS)[number]

/** How a fish is sold, as against how the dish wants it cut (`Format`). */
export const FORMS = ['whole', 'gutted', 'fillet-skin-on', 'fillet-skinless', 'loin', 'steak', 'frame'] as const
export type Form = (typeof FORMS)[number]

export const ORIGINS = ['wild', 'farmed'] as const
export type Origin = (typeof ORIGINS)[number]
/** What a turning point may change. */
export const TURNING_KINDS = ['price', 'pull', 'edge', 'month', 'format'] as const
export type TurningKind = (typeof TURNING_KINDS)[number]
/** How a house would rather buy: the whole fish, or cut by the merchant. */
export const BOUGHT = ['whole', 'cut'] as const
export type Bought = (typeof BOUGHT)[number]
/** The leanings of a house that are not asks of a trait. */
export const HOUSE_LEANS = ['usualPortionCost', 'origin', 'bought', 'trim', 'stockFloor', 'doneness'] as const
export type HouseLean = (typeof HOUSE_LEANS)[number]
export const STATES = ['fresh', 'thawed', 'frozen'] as const
export type State = (typeof STATES)[number]
export const PARTS = ['body', 'loin', 'tail', 'belly', 'collar', 'head', 'frame'] as const
export type Part = (typeof PARTS)[number]
/** Parts a dish may ask for. */
export const ASKED_PARTS = ['body', 'loin', 'tail', 'belly', 'collar'] as const
export type AskedPart = (typeof ASKED_PARTS)[number]

/** Traits of the flesh itself; the only ones that decide how alike two fish are in a dish. */
export const TEXTURE_KEYS = [
  'firmness',
  'flake',
  'cohesion',
  'fat',
  'flavour',
  'bones',
  'tolerance',
  'collagen',
  'skin',
  'binding',
  'rawBite',
] as const
export type TextureKey = (typeof TEXTURE_KEYS)[number]
/** Texture traits kept as one range an offer; bones are kept by cut. */
export const FLESH_KEYS = [
  'firmness',
  'flake',
  'cohesion',
  'fat',
  'flavour',
  'tolerance',
  'collagen',
  'skin',
  'binding',
  'rawBite',
] as const
export type FleshKey = (typeof FLESH_KEYS)[number]

export const ASK_KEYS = [
  ...TEXTURE_KEYS,
  'thickness',
  'weight',
  'colour',
  'offFlavour',
  'mercury',
  'marketClass',
  'portionCost',
  'landings',
  'condition',
  'stock',
] as const
export type AskKey = (typeof ASK_KEYS)[number]
/** Asks that are a band on a number; colour is a set of wanted colours instead. */
export type BandKey = Exclude<AskKey, 'colour'>
export const BAND_KEYS = ASK_KEYS.filter((key): key is BandKey => key !== 'colour')
export const MARKET_KEYS = ['portionCost', 'landings', 'condition', 'stock'] as const
export type MarketKey = (typeof MARKET_KEYS)[number]

export const STRUCTURAL_GATES = [
  'unavailable',
  'kind',
  'origin',
  'habitat',
  'state',
  'part',
  'allergy',
  'fins-and-scales',
  'raw-unsafe',
  'vulnerable',
  'wax-ester',
  'mercury',
  'protected',
  'closed-season',
  'stock',
  'not-landed',
  'form',
  'thickness',
  'size',
  'keeping',
] as const
export const BUDGET_GATES = ['price-unknown', 'budget', 'spend'] as const
export type Gate = (typeof STRUCTURAL_GATES)[number] | AskKey | (typeof BUDGET_GATES)[number]
/** Every gate once, in the order in which they are tested. `stock`, `thickness` and `mercury` are both checks and ask keys. */
export const GATES: readonly Gate[] = [...new Set<Gate>([...STRUCTURAL_GATES, ...ASK_KEYS, ...BUDGET_GATES])]

export const CAUSE_KINDS = ['weather', 'month', 'merchant', 'stock', 'farm', 'price'] as const
export type CauseKind = (typeof CAUSE_KINDS)[number]

export const CHANGE_KINDS = [
  'cook-time',
  'pull-temp',
  'fat',
  'bones',
  'skin',
  'handling',
  'seasoning',
  'weight',
  'price',
  'season',
  'safety',
  'stock',
  'format',
  'menu-name',
  'origin',
] as const
export type ChangeKind = (typeof CHANGE_KINDS)[number]

export const COOKED_COLOURS = ['white', 'ivory', 'grey', 'tan', 'pink', 'red', 'dark'] as const
export type CookedColour = (typeof COOKED_COLOURS)[number]
export const RAW_COLOURS = ['white', 'ivory', 'grey', 'tan', 'pink', 'orange', 'red', 'dark'] as const
export type RawColour = (typeof RAW_COLOURS)[number]

export const ALLERGENS = ['fish', 'crustacean', 'mollusc'] as const
export type Allergen = (typeof ALLERGENS)[number]
export const BASES = ['measured', 'compiled', 'house'] as const
export type Basis = (typeof BASES)[number]
export const BODIES = ['round', 'deep', 'flat', 'eel'] as const
export type Body = (typeof BODIES)[number]
/** How long it keeps on ice, and how it shows its age; `salmonid` only in what earlier versions kept. */
export const STORAGE_CLASSES = ['lean', 'flat', 'oily', 'salmonid', 'small-pelagic', 'shellfish'] as const
export type StorageClass = (typeof STORAGE_CLASSES)[number]
export const PARASITE_CLASSES = ['host', 'controlled-feed', 'low', 'unknown'] as const
export type ParasiteClass = (typeof PARASITE_CLASSES)[number]
export const REARING_WATERS = ['sea', 'fresh', 'unknown'] as const
export type RearingWater = (typeof REARING_WATERS)[number]
export const MERCURY_CLASSES = ['low', 'medium', 'high', 'very-high', 'unknown'] as const
export type MercuryClass = (typeof MERCURY_CLASSES)[number]
/** Where a fish is landed or reared, for browsing. */
export const REGIONS = [
  'north-atlantic',
  'south-atlantic',
  'mediterranean',
  'north-pacific',
  'south-pacific',
  'indo-pacific',
  'australasia',
  'tropical-reef',
  'rivers-and-lakes',
  'farms',
] as const
export type Region = (typeof REGIONS)[number]
/** How a fish stands on the market: dear and sought, daily, or good and passed over. */
export const MARKET_PLACES = ['premium', 'everyday', 'under-used'] as const
export type MarketPlace = (typeof MARKET_PLACES)[number]
export const SCALES = ['none', 'fine', 'large', 'scutes', 'shell'] as const
export type Scales = (typeof SCALES)[number]
/** Pin bones can be drawn, fork between the muscles and cannot, or are not there. */
export const PIN_BONES = ['drawn', 'forked', 'none'] as const
export type PinBones = (typeof PIN_BONES)[number]
export const OFF_FLAVOURS = ['earthy', 'iodine', 'ammonia'] as const
export type OffFlavour = (typeof OFF_FLAVOURS)[number]

export const BONE_CUTS = ['whole', 'steak', 'fillet', 'fillet-pinned', 'mince'] as const
export type BoneCut = (typeof BONE_CUTS)[number]
export const PRICE_UNITS = ['kg', 'lb', 'each', 'box'] as const
export type PriceUnit = (typeof PRICE_UNITS)[number]
export const MISSING_REASONS = ['not-landed', 'looked-bad', 'too-dear', 'stock', 'allergy', 'wrong-size', 'unsafe'] as const
export type MissingReason = (typeof MISSING_REASONS)[number]
export const ASK_SOURCES = ['method', 'format', 'diner', 'house', 'brief'] as const
export type AskSource = (typeof ASK_SOURCES)[number]

/** Parts of a fish beside what goes into the pan that may go to another use; what is lost, and what is of no use, may not. */
export const REST_USED = ['head', 'collar', 'cheeks', 'frame', 'belly', 'skin', 'roe', 'trim', 'shell'] as const
export type RestUsed = (typeof REST_USED)[number]

/** How a fish lies before whoever looks at it. */
export const LOOK_VIEWS = ['whole', 'fillet', 'shellfish'] as const
export type LookView = (typeof LOOK_VIEWS)[number]
/** What a fish tells of its age, each in four levels from just landed on. */
export const SIGNS = [
  'gill-smell',
  'gill-colour',
  'eyes',
  'pupil',
  'spring',
  'belly',
  'slime',
  'skin',
  'spine-blood',
  'stiffness',
  'smell',
  'surface',
  'flesh-colour',
  'blood-line',
  'gaping',
  'drip',
  'ice-burn',
  'shells',
  'mantle',
  'shell-water',
  'head-joint',
  'blackening',
  'squid-skin',
  'squid-flesh',
] as const
export type Sign = (typeof SIGNS)[number]
/** Levels of every sign, just landed first. */
export const SIGN_LEVELS = [0, 1, 2, 3] as const
export type SignLevel = (typeof SIGN_LEVELS)[number]
/** What makes a good fish look worse than it is, or a sign mean nothing. */
export const CIRCUMSTANCES = ['sour-rinse', 'on-ice', 'large-eyed', 'slimy', 'soft-flesh', 'gills-out', 'thawed', 'kept-colour'] as const
export type Circumstance = (typeof CIRCUMSTANCES)[number]
/** What to do with a fish that was looked at. */
export const LOOK_OUTCOMES = ['buy', 'today', 'ask-for-less', 'walk-away'] as const
export type LookOutcome = (typeof LOOK_OUTCOMES)[number]
export const USES = ['cooked', 'raw'] as const
export type Use = (typeof USES)[number]
/** What fish is carried in. */
export const BOXES = ['eps-20l', 'cooler', 'thin-bag', 'open-tray'] as const
export type Box = (typeof BOXES)[number]

/** What is written into the house book. */
export const ENTRY_KINDS = ['bought', 'looked', 'kept', 'weighed', 'cooked', 'served', 'came-back', 'swapped', 'lesson'] as const
export type EntryKind = (typeof ENTRY_KINDS)[number]

/** Bones that were found on the plate. */
export const BONES_FOUND = ['none', 'few', 'many'] as const
export type BonesFound = (typeof BONES_FOUND)[number]
/** How it came out of the pan. */
export const DONE_LEVELS = ['under', 'right', 'over'] as const
export type DoneLevel = (typeof DONE_LEVELS)[number]
/** Where fish that was in the house went. */
export const KEPT_ENDS = ['used', 'thrown'] as const
export type KeptEnd = (typeof KEPT_ENDS)[number]
