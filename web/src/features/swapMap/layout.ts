import type { SwapLink, TextureKey } from '@tender-gill/contract'

/** Where a neighbour is drawn: from the fish in the middle, in units of the drawing's radius. */
export interface Spot {
  readonly x: number
  readonly y: number
}

/** Right: holds better and forgives more. */
const HOLDS: ReadonlySet<TextureKey> = new Set<TextureKey>(['firmness', 'cohesion', 'tolerance', 'binding', 'collagen', 'rawBite'])
/** Up: richer and stronger. */
const TASTE: ReadonlySet<TextureKey> = new Set<TextureKey>(['fat', 'flavour'])

const sumOver = (link: SwapLink, keys: ReadonlySet<TextureKey>) =>
  link.differs.reduce((sum, { trait, step }) => sum + (keys.has(trait) ? step : 0), 0)

/** Direction in which a neighbour parts, radians: 0 holds better, a quarter turn richer; undefined where it parts in neither. */
export function directionOf(link: SwapLink): number | undefined {
  const x = sumOver(link, HOLDS)
  const y = sumOver(link, TASTE)
  return x === 0 && y === 0 ? undefined : Math.atan2(y, x)
}

const TURN = 2 * Math.PI
/** The nearest a neighbour is drawn, in radii: clear of the fish in the middle. */
const NEAREST = 0.62
/** Neighbours this much alike or less are drawn at the edge, unless all of them are nearer than that. */
const LEAST_SPAN = 8

/** How far out each is drawn: the less alike the farther, the least alike of them at the edge. */
export function distancesOf(links: readonly SwapLink[]): readonly number[] {
  const span = Math.max(LEAST_SPAN, ...links.map(({ alike }) => 100 - alike))
  return links.map(({ alike }) => NEAREST + ((1 - NEAREST) * (100 - alike)) / span)
}

/** Neighbours stand at least this far apart round the fish, radians, so that none covers another. */
const LEAST_APART = TURN / 10
const STEPS = 400
const PULL = 0.02

/** Turns angles apart until no two are nearer than the least, each drawn back to where it wants to be; in the order in which they came. */
function spread(wanted: readonly number[]): readonly number[] {
  const n = wanted.length
  const apart = Math.min(LEAST_APART, TURN / Math.max(1, n))
  const order = wanted.map((_, i) => i).sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0) || a - b)
  const angles = order.map((link, place) => (wanted[link] ?? 0) + place * 1e-3)
  for (let step = 0; step < STEPS && n > 1; step += 1) {
    // At the end nothing draws back any more, so that no two are left too near.
    const pull = step < STEPS / 2 ? PULL : 0
    for (let place = 0; place < n; place += 1) {
      const next = (place + 1) % n
      const gap = (angles[next] ?? 0) + (next === 0 ? TURN : 0) - (angles[place] ?? 0)
      const short = Math.max(0, apart - gap) / 2
      angles[place] = (angles[place] ?? 0) - short
      angles[next] = (angles[next] ?? 0) + short
    }
    order.forEach((link, place) => (angles[place] = (angles[place] ?? 0) + pull * ((wanted[link] ?? 0) - (angles[place] ?? 0))))
  }
  const spots = new Array<number>(n)
  order.forEach((link, place) => (spots[link] = angles[place] ?? 0))
  return spots
}

/**
 * Places neighbours round a fish: each in the direction in which it parts from it, as near as it is alike. Those that part in no direction
 * are set below; neighbours that would cover one another are turned apart.
 */
export function layOut(links: readonly SwapLink[]): readonly Spot[] {
  const distances = distancesOf(links)
  return spread(links.map((link) => directionOf(link) ?? -Math.PI / 2)).map((angle, i) => {
    const far = distances[i] ?? 1
    return { x: far * Math.cos(angle), y: -far * Math.sin(angle) }
  })
}
