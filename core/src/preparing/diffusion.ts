/** A term below this adds nothing. */
const NOTHING = 1e-12
const TERMS = 60

/**
 * Share of what could go into a slab from both faces that has gone in, after Fick: 1 - sum 2 / z2 exp(-z2 Fo), z = (n + 1/2) pi.
 * @param fourier D t / l2, l half the depth   @returns 0..1
 */
export function computeUptake(fourier: number): number {
  if (fourier <= 0) return 0
  // Early on the series is slow, and the law of the square root exact.
  if (fourier < 0.02) return 2 * Math.sqrt(fourier / Math.PI)
  let left = 0
  for (let n = 0; n < TERMS; n += 1) {
    const z2 = ((n + 0.5) * Math.PI) ** 2
    const term = (2 / z2) * Math.exp(-z2 * fourier)
    left += term
    if (term < NOTHING) break
  }
  return 1 - left
}

/** Fourier number at which a share has gone in: by halving. @param share 0..1, below 1 */
export function findFourier(share: number): number {
  let [low, high] = [0, 8]
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2
    if (computeUptake(middle) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** Where a tenth of what surrounds a thick piece has come to is this many times sqrt(D t) deep. */
const FRONT = 2.326

/** Seconds until a front of a tenth is that deep. @param depthM m   @param diffusivity m2/s */
export const findFrontSeconds = (depthM: number, diffusivity: number): number => (depthM / FRONT) ** 2 / diffusivity
