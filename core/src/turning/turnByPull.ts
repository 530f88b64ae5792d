import { PULL_LEAST, PULL_MOST, STEP, findNearest, pairs, type Turn, type Wanted } from './nearest.ts'
import { pullRoots } from './roots.ts'
import type { Field, Runner, Share } from './runners.ts'

/** The smallest change of one ask's pull by which first place passes. */
export function turnByPull(field: Field, wanted: Wanted, at: number): Turn | undefined {
  const pull = field.asks[at]?.ask.pull ?? 0
  const none: Share = { logD: 0, miss: 0, rangeMiss: 0 }
  const view = (runner: Runner) => ({ total: runner.total, share: runner.shares[at] ?? none })
  const places = [...pairs(field, wanted, ({ gates }) => gates.length === 0)].flatMap(([a, b]) => pullRoots(view(a), view(b), pull))
  return findNearest(
    field,
    wanted,
    places.filter((place) => place >= PULL_LEAST && place <= PULL_MOST),
    pull,
    (to) => ({ kind: 'pull', at, to }),
    (to) => Math.abs(to - pull) / STEP.pull,
  )
}
