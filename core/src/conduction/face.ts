/** What touches one face of a body. */
export interface Face {
  /** Temperature of the medium; of an oven that of its air and walls, degrees C. */
  readonly mediumC: number
  /** By convection or contact, W/(m2 K). */
  readonly coefficient: number
  /** Of a skin, a wrap or a batter between medium and flesh, m2 K/W. */
  readonly resistance?: number
  /** Of the face, where it sees walls as hot as the medium, 0..1. */
  readonly emissivity?: number
  /** Share of the face from which water evaporates, 0..1. */
  readonly wetness?: number
  /** Pressure of water vapour in the air, Pa; used where the face is wet. */
  readonly vapourPa?: number
  /** The flesh at the face gets no hotter while it is wet, degrees C. */
  readonly capC?: number
}

/** A face as the cell behind it meets it: straight through one temperature and one conductance. */
export interface BalancedFace {
  readonly driveC: number
  /** From the middle of the outermost cell to the drive, W/(m2 K). */
  readonly outwards: number
  /** Of the flesh at the face, degrees C. */
  readonly surfaceC: number
  /** It gets no hotter than this, degrees C. */
  readonly capC: number
}

/** Stefan and Boltzmann, W/(m2 K4). */
const SIGMA = 5.670374e-8
const KELVIN = 273.15
/** Of water, kg/mol, and of gases, J/(mol K). */
const MOLAR_MASS = 0.018015
const GAS = 8.314
/** Lewis number of water in air to the power two thirds. */
const LEWIS = 0.907
/** Density of air times its temperature, kg K/m3, and its heat capacity, J/(kg K). */
const AIR_DENSITY_K = 353
const AIR_CAPACITY = 1010

const saturationPa = (tempC: number) => 610.94 * Math.exp((17.625 * tempC) / (tempC + 243.04))

/** Heat that evaporation takes from a face, W/m2: transfer of mass by analogy to that of heat, no Stefan flow; to be trusted to about 85 °C. */
function evaporate({ mediumC, coefficient, wetness = 0, vapourPa = 0 }: Face, surfaceC: number): number {
  const filmK = (mediumC + surfaceC) / 2 + KELVIN
  const transfer = coefficient / ((AIR_DENSITY_K / filmK) * AIR_CAPACITY * LEWIS)
  const latent = 2.501e6 - 2370 * surfaceC
  return wetness * ((transfer * MOLAR_MASS) / (GAS * filmK)) * Math.max(0, saturationPa(surfaceC) - vapourPa) * latent
}

/** Heat into a face at a surface temperature, W/m2. */
export function computeFluxIn(face: Face, surfaceC: number): number {
  const { mediumC, coefficient, emissivity = 0, wetness = 0 } = face
  const radiated = emissivity === 0 ? 0 : emissivity * SIGMA * ((mediumC + KELVIN) ** 4 - (surfaceC + KELVIN) ** 4)
  return coefficient * (mediumC - surfaceC) + radiated - (wetness === 0 ? 0 : evaporate(face, surfaceC))
}

/** Iterations of Newton's method; each brings several more figures. */
const ITERATIONS = 3

/** The flux as a straight line about the surface temperature in balance: drive and coefficient outside the skin. */
function straighten(
  face: Face,
  through: number,
  insideC: number,
  guessC: number,
): { readonly driveC: number; readonly coefficient: number } {
  if (!face.emissivity && !face.wetness) return { driveC: face.mediumC, coefficient: face.coefficient }
  const inwards = 1 / (1 / through + (face.resistance ?? 0))
  let surfaceC = guessC
  let coefficient = face.coefficient
  for (let i = 0; i < ITERATIONS; i += 1) {
    const flux = computeFluxIn(face, surfaceC)
    coefficient = -(computeFluxIn(face, surfaceC + 0.1) - flux) / 0.1
    surfaceC += (flux - inwards * (surfaceC - insideC)) / (coefficient + inwards)
  }
  return { driveC: surfaceC + computeFluxIn(face, surfaceC) / coefficient, coefficient }
}

/**
 * Balance of a face with the cell behind it. Radiation and evaporation are straightened about the balance by Newton's method; a cap holds
 * the flesh at the boil.
 * @param through from the middle of the outermost cell to the face, W/(m2 K)   @param guessC surface temperature of the step before
 */
export function balanceFace(face: Face, through: number, insideC: number, guessC: number): BalancedFace {
  const { driveC, coefficient } = straighten(face, through, insideC, guessC)
  const film = 1 / (1 / coefficient + (face.resistance ?? 0))
  const surfaceC = (through * insideC + film * driveC) / (through + film)
  const capC = face.capC ?? Infinity
  if (surfaceC > capC) return { driveC: capC, outwards: through, surfaceC: capC, capC }
  return { driveC, outwards: (through * film) / (through + film), surfaceC, capC }
}
