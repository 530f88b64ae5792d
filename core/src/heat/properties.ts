/** Composition of flesh, mass fractions that add up to 1. */
export interface Composition {
  readonly water: number
  readonly protein: number
  readonly fat: number
  readonly ash: number
}

/** Properties of flesh at one temperature. */
export interface ThermalProperties {
  /** Conductivity, W/(m K). */
  readonly conductivity: number
  /** Density, kg/m3. */
  readonly density: number
  /** Heat capacity, J/(kg K). */
  readonly heatCapacity: number
  /** Diffusivity, m2/s. */
  readonly diffusivity: number
}

type Part = keyof Composition
type Quadratic = readonly [a: number, b: number, c: number]

/** Choi and Okos (1986): value = a + b T + c T2, T in degrees C, -40 to 150. */
const CONDUCTIVITY: Record<Part, Quadratic> = {
  water: [0.57109, 1.7625e-3, -6.7036e-6],
  protein: [0.17881, 1.1958e-3, -2.7178e-6],
  fat: [0.18071, -2.7604e-4, -1.7749e-7],
  ash: [0.32962, 1.4011e-3, -2.9069e-6],
}
const DENSITY: Record<Part, Quadratic> = {
  water: [997.18, 3.1439e-3, -3.7574e-3],
  protein: [1329.9, -0.5184, 0],
  fat: [925.59, -0.41757, 0],
  ash: [2423.8, -0.28063, 0],
}
const HEAT_CAPACITY: Record<Part, Quadratic> = {
  water: [4176.2, -9.0864e-2, 5.4731e-3],
  protein: [2008.2, 1.2089, -1.3129e-3],
  fat: [1984.2, 1.4733, -4.8008e-3],
  ash: [1092.6, 1.8896, -3.6817e-3],
}
const PARTS: readonly Part[] = ['water', 'protein', 'fat', 'ash']
const LEAN_PARTS: readonly Part[] = ['water', 'protein', 'ash']
const at = ([a, b, c]: Quadratic, tempC: number) => a + b * tempC + c * tempC * tempC
const sumOf = (parts: readonly Part[], value: (part: Part) => number) => parts.reduce((sum, part) => sum + value(part), 0)

/** Gaps between flakes and drip take a little off what a solid block would conduct. */
const FLAKE_GAPS = 0.95

/** Composition where only the fat is known: protein and ash as fish usually have them, water the rest. @param fatG g in 100 g */
export function composeFromFat(fatG: number): Composition {
  const fat = Math.min(0.4, Math.max(0, fatG / 100))
  const protein = 0.19
  const ash = 0.013
  return { protein, ash, fat, water: 1 - protein - ash - fat }
}

/**
 * Thermal properties of flesh from its composition, after Choi and Okos (1986): parts in parallel for the lean phase, fat as inclusions in
 * it (Maxwell and Eucken).
 * @param tempC temperature at which they are taken, -1 to 100
 */
export function computeProperties(composition: Composition, tempC: number): ThermalProperties {
  const density = 1 / sumOf(PARTS, (part) => composition[part] / at(DENSITY[part], tempC))
  const heatCapacity = sumOf(PARTS, (part) => composition[part] * at(HEAT_CAPACITY[part], tempC))
  const volume = (part: Part) => (composition[part] / at(DENSITY[part], tempC)) * density
  const leanVolume = sumOf(LEAN_PARTS, volume)
  const lean = sumOf(LEAN_PARTS, (part) => (volume(part) / leanVolume) * at(CONDUCTIVITY[part], tempC))
  const fat = at(CONDUCTIVITY.fat, tempC)
  const share = volume('fat')
  const mixed = (lean * (2 * lean + fat - 2 * share * (lean - fat))) / (2 * lean + fat + share * (lean - fat))
  const conductivity = FLAKE_GAPS * mixed
  return { conductivity, density, heatCapacity, diffusivity: conductivity / (density * heatCapacity) }
}
