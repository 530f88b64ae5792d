/**
 * The exact series of heating a body of constant properties in one medium (Carslaw and Jaeger), the oracle of the solver: used by tests
 * alone. Roots by bisection between the poles of their equations, Bessel functions by the trapezoid rule over a period.
 */
export type SeriesShape = 'slab' | 'cylinder' | 'sphere'

/** Beyond these nothing is left at a Fourier number of 0.05. */
const TERMS = 14
const PERIOD = 128

const bessel = (order: 0 | 1, x: number): number => {
  let sum = 0
  for (let i = 0; i < PERIOD; i += 1) {
    const t = (2 * Math.PI * (i + 0.5)) / PERIOD
    sum += Math.cos(order * t - x * Math.sin(t))
  }
  return sum / PERIOD
}

/** Below 0 before the root and above it after. */
const EQUATION: Record<SeriesShape, (mu: number, biot: number) => number> = {
  slab: (mu, biot) => mu * Math.sin(mu) - biot * Math.cos(mu),
  cylinder: (mu, biot) => mu * bessel(1, mu) - biot * bessel(0, mu),
  sphere: (mu, biot) => (1 - biot) * Math.sin(mu) - mu * Math.cos(mu),
}

function findRoots(shape: SeriesShape, biot: number): readonly number[] {
  const value = (mu: number) => EQUATION[shape](mu, biot)
  const roots: number[] = []
  const step = 0.1
  for (let low = 1e-6; roots.length < TERMS && low < TERMS * 4; low += step) {
    if (value(low) * value(low + step) > 0) continue
    let [a, b] = [low, low + step]
    for (let i = 0; i < 45; i += 1) {
      const middle = (a + b) / 2
      if (value(a) * value(middle) <= 0) b = middle
      else a = middle
    }
    roots.push((a + b) / 2)
  }
  return roots
}

/** Amplitude of a term, and its shape at a place (0 the middle, 1 the surface). */
const TERM: Record<SeriesShape, (mu: number, place: number) => number> = {
  slab: (mu, place) => ((4 * Math.sin(mu)) / (2 * mu + Math.sin(2 * mu))) * Math.cos(mu * place),
  cylinder: (mu, place) => ((2 * bessel(1, mu)) / (mu * (bessel(0, mu) ** 2 + bessel(1, mu) ** 2))) * bessel(0, mu * place),
  sphere: (mu, place) =>
    ((4 * (Math.sin(mu) - mu * Math.cos(mu))) / (2 * mu - Math.sin(2 * mu))) * (place === 0 ? 1 : Math.sin(mu * place) / (mu * place)),
}

/** What is left of the first difference to the medium, 0..1. @param place 0 the middle, 1 the surface   @param fourier alpha t / L2, 0.05 and more */
export const seriesShare = (
  shape: SeriesShape,
  { biot, fourier }: { readonly biot: number; readonly fourier: number },
  place: 0 | 1,
): number => findRoots(shape, biot).reduce((sum, mu) => sum + TERM[shape](mu, place) * Math.exp(-mu * mu * fourier), 0)
