import type { Cook } from '@tender-gill/contract'
import type { Timer } from '../../timers/index.ts'
import { nameMedium } from './cookWords.ts'

const MINUTE_MS = 60_000

interface Started {
  /** The serving. */
  readonly id: string
  readonly dish: string
  readonly common: string
  readonly nowMs: number
}

/** The moments of a cook that has begun, each as a timer: turns and changes of medium, taking out, serving. */
export function layTimers(cook: Cook, { id, dish, common, nowMs }: Started): readonly Timer[] {
  const what = `${common}, ${dish}`
  const at = (name: string, minutes: number, then: string, from = minutes): Timer => ({
    ...{ id: `${id} ${name}`, what, then, path: `/dishes/${id}/cook` },
    ...{ endsMs: nowMs + minutes * MINUTE_MS, fromMs: nowMs + from * MINUTE_MS },
  })
  const heated = cook.stages.filter(({ rest }) => !rest)
  const changes = heated
    .slice(1)
    .map(({ fromMinutes, medium, turned }, i) => at(`stage ${i}`, fromMinutes, turned ? 'Turn it' : `Into: ${nameMedium(medium)}`))
  const { typical, low } = cook.pull.minutes
  const rests = cook.total.typical - typical > 0.5
  return [...changes, at('out', typical, 'Take it out', low), ...(rests ? [at('rest', cook.total.typical, 'Rested: serve it')] : [])]
}
