import type {
  BandKey,
  CauseKind,
  CookedColour,
  Format,
  Form,
  MarketPlace,
  MercuryClass,
  RawColour,
  StorageClass,
  TextureKey,
} from '@tender-gill/contract'

/** Changes whenever any number the engine works with changes, so that a stored answer names what made it. */
export const ENGINE_VERSION = '2.5.2'

export type AxisScale = 'linear' | 'sqrt' | 'ln'
export interface Axis {
  readonly scale: AxisScale
  /** How far outside the band desirability falls to nothing, on the axis. */
  readonly shoulder: number
  /** Ends of the trait's own scale, in its unit. */
  readonly min: number
  readonly max: number
  readonly unit: string
  readonly why: string
}

/** The axis each trait is judged and drawn on. */
export const AXES: Record<BandKey, Axis> = {
  firmness: { scale: 'linear', shoulder: 3, min: 0, max: 10, unit: '', why: 'three steps are the way from cod to monkfish: another dish' },
  flake: { scale: 'linear', shoulder: 4, min: 0, max: 10, unit: '', why: 'eaters notice flake later than firmness' },
  cohesion: { scale: 'linear', shoulder: 3, min: 0, max: 10, unit: '', why: 'three steps short and the piece is in shreds' },
  fat: { scale: 'sqrt', shoulder: 2, min: 0, max: 36, unit: 'g in 100 g', why: 'from 1 to 4 g is felt as much as from 9 to 16 g' },
  flavour: { scale: 'linear', shoulder: 4, min: 0, max: 10, unit: '', why: 'sauce and habit soften the difference' },
  bones: { scale: 'linear', shoulder: 3, min: 0, max: 10, unit: '', why: 'three steps more bones and the plate comes back' },
  tolerance: { scale: 'linear', shoulder: 4, min: 0, max: 10, unit: '', why: 'a careful cook makes up for some of it' },
  collagen: { scale: 'linear', shoulder: 5, min: 0, max: 10, unit: '', why: 'body can come from elsewhere in the pot' },
  skin: { scale: 'linear', shoulder: 4, min: 0, max: 10, unit: '', why: 'drying and scoring make up for some of it' },
  binding: { scale: 'linear', shoulder: 3, min: 0, max: 10, unit: '', why: 'a paste either sets or it does not' },
  rawBite: { scale: 'linear', shoulder: 3, min: 0, max: 10, unit: '', why: 'a slice either stands or it weeps' },
  thickness: {
    scale: 'ln',
    shoulder: Math.log(1.4),
    min: 3,
    max: 150,
    unit: 'mm',
    why: '1.4 times the thickness is twice the cooking time',
  },
  weight: { scale: 'ln', shoulder: Math.log(1.8), min: 1, max: 600_000, unit: 'g', why: 'nearly double the fish no longer fits the plate' },
  offFlavour: { scale: 'linear', shoulder: 2, min: 0, max: 3, unit: '', why: 'one off-flavour is half of what spoils a plain plate' },
  mercury: {
    scale: 'ln',
    shoulder: Math.log(2.5),
    min: 0.0001,
    max: 1000,
    unit: 'µg a kg and week',
    why: '2.5 times the commonly published limit is far beyond it',
  },
  marketClass: {
    scale: 'linear',
    shoulder: 2,
    min: 0,
    max: 2,
    unit: '',
    why: 'from under-used to premium is from half price to double',
  },
  portionCost: { scale: 'ln', shoulder: Math.log(1.6), min: 0.01, max: 100_000, unit: 'money', why: 'prices are compared by ratio' },
  landings: { scale: 'linear', shoulder: 0.5, min: 0, max: 1, unit: 'of the best month', why: 'half the best month is still easily had' },
  condition: { scale: 'linear', shoulder: 4, min: 0, max: 10, unit: '', why: 'spent fish is thin, not spoilt' },
  stock: { scale: 'linear', shoulder: 50, min: 0, max: 100, unit: 'of 100', why: 'a wish; the floor is a gate of its own' },
}

/** Raw flesh as it is held against wanted colours, where it is eaten barely warmed. */
export const RAW_AS_COOKED: Record<RawColour, CookedColour> = {
  ...{ white: 'white', ivory: 'ivory', grey: 'grey', tan: 'tan', pink: 'pink', orange: 'pink', red: 'red', dark: 'dark' },
}

/** Desirability never falls to nothing, so that one failing is heavy and still comparable. */
export const DESIRABILITY_FLOOR = 0.01
/** What an unknown counts at typical, and between what in draws (neither a gift nor a verdict). */
export const UNKNOWN_DESIRABILITY = 0.6
export const UNKNOWN_DRAW = { from: 0.2, to: 1 } as const

/** How alike two cooked colours look on a plate, 0..1; the diagonal is 1. */
const colourPairs: readonly (readonly [CookedColour, CookedColour, number])[] = [
  ['white', 'ivory', 0.9],
  ['white', 'grey', 0.5],
  ['white', 'tan', 0.35],
  ['white', 'pink', 0.3],
  ['white', 'red', 0.1],
  ['white', 'dark', 0.05],
  ['ivory', 'grey', 0.6],
  ['ivory', 'tan', 0.6],
  ['ivory', 'pink', 0.4],
  ['ivory', 'red', 0.15],
  ['ivory', 'dark', 0.1],
  ['grey', 'tan', 0.7],
  ['grey', 'pink', 0.25],
  ['grey', 'red', 0.15],
  ['grey', 'dark', 0.4],
  ['tan', 'pink', 0.35],
  ['tan', 'red', 0.25],
  ['tan', 'dark', 0.55],
  ['pink', 'red', 0.6],
  ['pink', 'dark', 0.15],
  ['red', 'dark', 0.35],
]
export const colourLikeness = (a: CookedColour, b: CookedColour): number =>
  a === b ? 1 : (colourPairs.find(([p, q]) => (p === a && q === b) || (p === b && q === a))?.[2] ?? 0)

/** Draws. */
export const DRAWS = {
  /** z of the 95th percentile: low and high are the 5 % and 95 % points. */
  z95: 1.645,
  /** Fat fish of one kind are softer. */
  fatFirmness: -0.4,
  /** Share of a price's movement that all prices have in common. */
  marketLoading: 0.5,
  /** Nobody knows to a fifth how much an ask matters. */
  pullSpread: 0.25,
  tossUpShare: 0.4,
} as const

/** Alikeness. */
export const ALIKE = {
  insideBand: 0.35,
  outsideBand: 1,
  worseSide: 1.5,
  cap: 2,
  /** What the flesh is counts once more, whatever the dish asks: each of the five with this pull, in full. */
  fleshPull: 1,
  decay: 1,
  /** What a step of unlike build or cooked colour takes off, as the logarithm. */
  unlikeLook: 0.1,
  alikeExponent: 0.6,
  fitExponent: 0.4,
} as const
/** Which side of the band is the worse one to miss. Flavour only for eaters who dislike strong fish. */
export const WORSE_SIDE: Partial<Record<TextureKey, 'below' | 'above'>> = {
  firmness: 'below',
  cohesion: 'below',
  fat: 'below',
  tolerance: 'below',
  bones: 'above',
}

/** The ladder: how likely each cause is to fail on a day. All compiled; a house may know better. */
export const CAUSE_CHANCE: Record<CauseKind, number> = { weather: 0.15, month: 0.3, merchant: 0.05, stock: 0.03, farm: 0.04, price: 0.08 }
/** Landings at or above this share of the best month are "in season", where the month cannot fail. */
export const IN_SEASON_LANDINGS = 0.5
export const LADDER = { rungs: 4, among: 25, leastFit: 50 } as const
export const TEMPTING = { most: 3, leastLure: 1, belowBest: 0.6 } as const

/** Yields kept in cooking, fractions (±0.05, compiled). */
export const COOKING_YIELD_SPREAD = 0.05

/** Kept after trimming a bought form to the format: pin-bone strip, ragged edges, membrane. Compiled. */
export const TRIM_YIELD: Record<Format, number> = {
  whole: 1,
  'fillet-skin-on': 0.98,
  'fillet-skinless': 0.98,
  portion: 0.95,
  steak: 0.92, // the round of backbone is weighed but not eaten
  chunk: 0.94,
  slice: 0.9,
  mince: 0.97,
  frame: 1,
}
/** Kept when a frozen fish is thawed. Compiled. */
export const THAW_YIELD = 0.95
/** Share of a whole fish once gutted, where the offer does not say. Compiled. */
export const GUTTED_SHARE = 0.88
/** The rest of a fish is never credited with more than this share of what a kilogram of it costs: it is not why the fish was bought. */
export const TRIM_WORTH_MOST = 0.5
/** Depth of flesh of one fish of a known weight: fish of a weight differ in build by about this share. Compiled. */
export const SEEN_DEPTH_SPREAD = 0.06
/** Eaten from a whole fish on the plate, as a share of its skin-on fillets: cheeks and collar make up for what stays on the frame. */
export const WHOLE_EATEN = 1

/** Depth of a fillet, mm, is k times the cube root of whole weight in kg. */
export const DEPTH_FACTOR = { round: 22, deep: 20, flat: 16, eel: 25 } as const
/**
 * Weight of a steak, g, is this times W_kg^(2/3) times its thickness in mm: 220 g for 25 mm of a 3 kg round fish. A flat fish is split
 * along its backbone before it is cut across; an eel-like one is long for its weight, so its rounds are small. Compiled.
 */
export const STEAK_FACTOR = { round: 4.2, deep: 4.4, flat: 2.4, eel: 2.6 } as const
/** A steak should be at least this share of a raw portion: two small ones a plate, not three. */
export const LEAST_STEAK_SHARE = 0.5
export const DEFAULT_STEAK_MM = 25
/** Rounds of an eel: at least this thick, and this many to a portion's piece. Compiled. */
export const EEL_ROUND_MM = 40
export const EEL_ROUNDS = 2
/** A steak of a flat fish is at most this many times as thick as its flesh is deep. Compiled. */
export const FLAT_STEAK_DEPTHS = 2

/** Cooked share of a whole fish's weight, for the size that serves n. */
export const WHOLE_COOKED_SHARE = 0.45
export const WHOLE_SIZE_SPREAD = 0.25
/** The size gate is looser than the size ask: a fish a quarter off can still be asked for. */
export const SIZE_MUST_RATIO = 1.25
/** A fish this many times too small is served in number; beyond it is another dish. */
export const SIZE_SMALL_RATIO = 3

export const CHILD_PORTION = 0.6
export const DEFAULT_PORTION_G = 150
export const DEFAULT_DRAWS = 2000
export const DEFAULT_ASK_PULL = 3

/** Ice-days a class keeps (commonly published orders of magnitude). */
export const KEEPING_DAYS: Record<StorageClass, number> = { lean: 12, flat: 14, oily: 8, salmonid: 12, 'small-pelagic': 5, shellfish: 4 }
export const THAWED_KEEPS_LESS_DAYS = 3
/** Ice-days behind a fish when nobody says: low, typical, high. */
export const UNKNOWN_AGE_DAYS = { low: 1, typical: 3, high: 6 } as const
export const NOT_LANDED_SHARE = 0.03
export const QUOTE_LIFE_DAYS = 365
export const GRAMS_PER_LB = 453.592_37

/** Methylmercury, µg per g of flesh, by class: 5 %, median, 95 %. Commonly published class means, rounded; compiled. */
export const MERCURY_UG_PER_G: Record<MercuryClass, readonly [number, number, number]> = {
  low: [0.01, 0.04, 0.1],
  medium: [0.08, 0.16, 0.3],
  high: [0.2, 0.4, 0.8],
  'very-high': [0.5, 1, 1.8],
  unknown: [0.01, 0.16, 1],
}
export const MERCURY_LIMIT_UG_PER_KG_WEEK = { low: 0.7, typical: 1.3, high: 1.6 } as const
/** Dose of one portion up to which nobody need count, µg for each kg of body weight: the strictest of the published limits. */
export const MERCURY_WISH_UG_PER_KG = 0.7
export const BODY_KG = { adult: 60, child: 20 } as const

/** Stock standing. */
export const STOCK = {
  weights: { biomass: 3, pressure: 3, gear: 2, management: 2 },
  farmWeights: { feed: 3, escapes: 2, disease: 2, discharge: 3 },
  leastPart: 5,
  unknown: { low: 10, typical: 35, high: 70 },
  oldYears: 5,
  oldSpread: 20,
  spentBiomass: 0.3,
  wish: 60,
} as const

/** What can be cut from what, the most usual buy first. A steak is never cut from a fillet. */
export const FORMS_FOR: Record<Format, readonly Form[]> = {
  whole: ['whole', 'gutted'],
  'fillet-skin-on': ['fillet-skin-on', 'whole', 'gutted'],
  'fillet-skinless': ['fillet-skinless', 'fillet-skin-on', 'loin', 'gutted', 'whole'],
  portion: ['fillet-skin-on', 'fillet-skinless', 'loin', 'gutted', 'whole'],
  steak: ['steak', 'gutted', 'whole', 'loin'],
  chunk: ['fillet-skinless', 'fillet-skin-on', 'loin', 'steak', 'gutted', 'whole'],
  slice: ['fillet-skinless', 'fillet-skin-on', 'loin', 'gutted', 'whole'],
  mince: ['fillet-skinless', 'fillet-skin-on', 'loin', 'gutted', 'whole'],
  frame: ['frame', 'gutted', 'whole'],
}

/** How dear a fish is in the trade, as it is asked for: the cheaper the lower. */
export const MARKET_STEP: Record<MarketPlace, number> = { 'under-used': 0, everyday: 1, premium: 2 }

/** Warmth that histamine formers do not stand, °C, and the hours above it that commonly published guidance allows, on its strict side. */
export const HISTAMINE_LIMITS = [
  { aboveC: 21, hours: 2 },
  { aboveC: 10, hours: 4 },
  { aboveC: 4.4, hours: 8 },
] as const
