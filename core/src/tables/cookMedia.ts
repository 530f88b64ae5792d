import type { CookMedium } from '@tender-gill/contract'
import type { Face } from '../conduction/index.ts'

/** What stands at the faces of a piece. */
export interface MediumFaces {
  readonly below: Face
  readonly above: Face
  /** Round its edge, and round a whole fish. */
  readonly around: Face
}
/** How the faces of a piece are when it comes into a medium. */
export interface FaceState {
  readonly skinBelow: boolean
  readonly skinAbove: boolean
  /** The face above was seared and dry. */
  readonly searedAbove: boolean
}
/** What is held while a medium is in use; two dishes that want the same one clash. */
export type CookPlace = 'burner' | 'oven' | 'steamer' | 'bath' | 'fryer' | 'grill' | 'broiler'

export interface CookMediumEntry {
  /** What it is set to, degrees C: of an oven its air, of a pan its face. */
  readonly usualC: number
  readonly leastC: number
  readonly mostC: number
  readonly place: CookPlace | null
  /** It dries and colours the face it touches. */
  readonly sears: boolean
  /** It heats one face at a time: a whole fish lies in it as a flat piece. */
  readonly oneSided: boolean
  readonly faces: (celsius: number, state: FaceState) => MediumFaces
  /** What it is like at first, where it takes a while. */
  readonly warmUp?: { readonly seconds: number; readonly faces: MediumFaces }
}

/** Skin between pan and flesh, m2 K/W. */
const SKIN_RESISTANCE = 0.003
/** Dry gap under a leaf or paper. */
const WRAP_RESISTANCE = 0.006
/** Batter of 2.5 mm at 0.35 W/(m K). */
const BATTER_RESISTANCE = 0.007
const BOIL_C = 100
/** A little fat keeps the crust above the boil. */
const FRY_CAP_C = 102
/** Vapour in a closed oven, and in a kitchen, Pa. */
const OVEN_VAPOUR_PA = 4000
const KITCHEN_VAPOUR_PA = 1300
/** Of flesh and skin. */
const EMISSIVITY = 0.9

/** Until the lid is full of steam again, s. */
const STEAM_LAG_S = 90

const everywhere = (face: Face): MediumFaces => ({ below: face, above: face, around: face })
const still = (mediumC: number, coefficient: number): Face => ({ mediumC, coefficient })
/** How wet a face in dry heat is: naked flesh oiled, skin, or seared before. */
const OILED = 0.35
const SKIN = 0.3
const SEARED = 0.1
const wetnessOf = ({ searedAbove, skinAbove }: FaceState): number => (searedAbove ? SEARED : skinAbove ? SKIN : OILED)

const ovenAir = (mediumC: number, convection: number, wetness: number): Face => ({
  ...{ mediumC, coefficient: convection, emissivity: EMISSIVITY, wetness, vapourPa: OVEN_VAPOUR_PA },
})
const tray = (ovenC: number): Face => ({ mediumC: ovenC - 20, coefficient: 45, capC: BOIL_C })
const restingAir = (mediumC: number, coefficient: number): Face => ({ mediumC, coefficient, wetness: 0.4, vapourPa: KITCHEN_VAPOUR_PA })
const pan = (mediumC: number, coefficient: number, skin: boolean, capC = BOIL_C): Face => ({
  ...{ mediumC, coefficient, capC },
  ...(skin && { resistance: SKIN_RESISTANCE }),
})
const oven = (convection: number) => (celsius: number, state: FaceState) => ({
  below: tray(celsius),
  above: ovenAir(celsius, convection, wetnessOf(state)),
  around: ovenAir(celsius, convection, state.skinAbove ? SKIN : OILED),
})
const rest = (
  above: Face,
  below: Face,
): Pick<CookMediumEntry, 'usualC' | 'leastC' | 'mostC' | 'place' | 'sears' | 'oneSided' | 'faces'> => ({
  ...{ usualC: above.mediumC, leastC: 5, mostC: 70, place: null, sears: false, oneSided: false },
  faces: () => ({ below, above, around: above }),
})

/**
 * What a piece meets in each medium: temperatures, coefficients in W/(m2 K), what evaporates. Usual values of kitchens and of published
 * ranges, engineering estimates where nothing is published; compiled, none measured in this kitchen.
 */
export const COOK_MEDIUM_TABLE: Record<CookMedium, CookMediumEntry> = {
  // Contact as of patties on a hot plate, 150 to 600; above the pan some warm air.
  pan: {
    ...{ usualC: 180, leastC: 120, mostC: 240, place: 'burner', sears: true, oneSided: true },
    faces: (celsius, { skinBelow }) => ({ below: pan(celsius, 300, skinBelow), above: still(60, 20), around: still(60, 20) }),
  },
  'lidded-pan': {
    ...{ usualC: 170, leastC: 110, mostC: 220, place: 'burner', sears: true, oneSided: true },
    faces: (celsius, { skinBelow }) => ({ below: pan(celsius, 300, skinBelow), above: still(90, 60), around: still(90, 60) }),
  },
  // Fat up the side of the piece.
  'shallow-fat': {
    ...{ usualC: 175, leastC: 150, mostC: 200, place: 'burner', sears: true, oneSided: true },
    faces: (celsius, { skinBelow }) => ({
      below: pan(celsius, 450, skinBelow, FRY_CAP_C),
      above: still(65, 25),
      around: pan(celsius, 300, false, FRY_CAP_C),
    }),
  },
  // The pan it was seared in keeps its heat in the oven.
  'hot-pan-in-oven': {
    ...{ usualC: 200, leastC: 120, mostC: 250, place: 'oven', sears: true, oneSided: true },
    faces: (celsius, state) => ({
      below: pan(celsius - 30, 200, state.skinBelow),
      above: ovenAir(celsius, 22, wetnessOf(state)),
      around: ovenAir(celsius, 22, OILED),
    }),
  },
  // Domestic ovens with a fan: 15 to 35 by convection, and radiation.
  'oven-fan': { usualC: 200, leastC: 80, mostC: 260, place: 'oven', sears: false, oneSided: false, faces: oven(22) },
  oven: { usualC: 220, leastC: 80, mostC: 280, place: 'oven', sears: false, oneSided: false, faces: oven(9) },
  // Air in a domestic steamer cuts the heat of pure steam; the plate shields the underside; the first minute goes on driving the air out.
  steam: {
    ...{ usualC: 100, leastC: 85, mostC: 100, place: 'steamer', sears: false, oneSided: false },
    faces: (celsius) => ({ below: still(celsius - 2, 120), above: still(celsius, 800), around: still(celsius, 800) }),
    warmUp: { seconds: STEAM_LAG_S, faces: { below: still(80, 120), above: still(80, 200), around: still(80, 200) } },
  },
  'wrapped-steam': {
    ...{ usualC: 100, leastC: 85, mostC: 100, place: 'steamer', sears: false, oneSided: false },
    faces: (celsius) => everywhere({ mediumC: celsius, coefficient: 800, resistance: WRAP_RESISTANCE }),
    warmUp: { seconds: STEAM_LAG_S, faces: everywhere({ mediumC: 80, coefficient: 200, resistance: WRAP_RESISTANCE }) },
  },
  // Moving water, a shiver to a simmer: the geometric middle of 300 to 1000.
  water: {
    usualC: 85,
    leastC: 50,
    mostC: 98,
    place: 'burner',
    sears: false,
    oneSided: false,
    faces: (celsius) => everywhere(still(celsius, 550)),
  },
  // Still sauce under a lid; steam above it. Brought up from cold.
  'covered-sauce': {
    ...{ usualC: 93, leastC: 75, mostC: 98, place: 'oven', sears: false, oneSided: false },
    faces: (celsius) => ({ below: still(celsius, 150), above: still(celsius, 120), around: still(celsius, 150) }),
    warmUp: { seconds: 480, faces: { below: still(73, 150), above: still(73, 120), around: still(73, 150) } },
  },
  // Circulated water through a bag: 95 to 400, the main uncertainty of bath times.
  bath: {
    usualC: 57,
    leastC: 40,
    mostC: 85,
    place: 'bath',
    sears: false,
    oneSided: false,
    faces: (celsius) => everywhere(still(celsius, 250)),
  },
  'deep-fat': {
    ...{ usualC: 178, leastC: 150, mostC: 195, place: 'fryer', sears: false, oneSided: false },
    faces: (celsius) => everywhere({ mediumC: celsius, coefficient: 500, capC: FRY_CAP_C }),
  },
  'deep-fat-battered': {
    ...{ usualC: 178, leastC: 150, mostC: 195, place: 'fryer', sears: false, oneSided: false },
    faces: (celsius) => everywhere({ mediumC: celsius, coefficient: 500, resistance: BATTER_RESISTANCE, capC: FRY_CAP_C }),
  },
  // Radiation, gas and bars together at the face below; warm air above.
  charcoal: {
    ...{ usualC: 270, leastC: 180, mostC: 350, place: 'grill', sears: true, oneSided: true },
    faces: (celsius) => ({
      below: { mediumC: celsius, coefficient: 90, capC: BOIL_C },
      above: still(70, 20),
      around: still(120, 25),
    }),
  },
  // From above at ten centimetres; the pan below warms with it.
  broiler: {
    ...{ usualC: 260, leastC: 200, mostC: 320, place: 'broiler', sears: true, oneSided: true },
    faces: (celsius) => ({
      below: still(100, 60),
      above: { mediumC: celsius, coefficient: 60, capC: BOIL_C },
      around: still(120, 25),
    }),
  },
  'rest-board': rest(restingAir(22, 11), still(28, 30)),
  'rest-foil': rest(still(35, 6), still(28, 30)),
  'rest-plate': rest(restingAir(22, 11), still(45, 25)),
}
