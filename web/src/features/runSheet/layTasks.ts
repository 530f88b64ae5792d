import type { CookedStage } from '@tender-gill/contract'
import type { RunPlan } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import type { CookedToRun } from '../../engine/index.ts'
import { sayStage } from '../cook/index.ts'

/** One line of a run sheet. */
export interface RunLine {
  readonly id: string
  readonly servingId: string
  readonly atMin: number
  readonly what: string
  readonly then: string
  readonly kind: 'prepare' | 'stage' | 'turn' | 'out' | 'serve'
  /** How much sooner and later it may be due, min. */
  readonly earlyMin: number
}

/** Minutes after midnight as a clock, 19:42. */
export function sayClock(minutes: number): string {
  const whole = ((Math.floor(minutes) % 1440) + 1440) % 1440
  return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`
}
/** Minutes after midnight of a clock time; undefined where it is none. */
export function readClock(text: string | null): number | undefined {
  const [, hour, minute] = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(text ?? '') ?? []
  return hour === undefined || minute === undefined ? undefined : Number(hour) * 60 + Number(minute)
}

/** At one moment something comes out before the next goes in. */
const ORDER: Record<RunLine['kind'], number> = { out: 0, turn: 1, prepare: 2, stage: 3, serve: 4 }

function sayTask(kind: RunLine['kind'], stage: CookedStage | undefined): string {
  switch (kind) {
    case 'prepare':
      return 'Prepare'
    case 'stage':
      return stage ? `Into: ${sayStage(stage)}` : 'Begin'
    case 'turn':
      return 'Turn it'
    case 'out':
      return 'Take it out'
    case 'serve':
      return 'On the table'
  }
}

/** Everything that is done, in the order in which it is done. */
export function layTasks(
  { rows }: Told<RunPlan>,
  cooked: Readonly<Record<string, CookedToRun>>,
  dishOf: (id: string) => string,
): readonly RunLine[] {
  return rows
    .flatMap(({ id, tasks, batches }) => {
      const one = cooked[id]
      if (!one) return []
      const { cook, common } = one
      const what = `${common}, ${dishOf(id)}`
      return tasks.map(({ kind, atMin, stage, batch }): RunLine => {
        const shown = cook.stages[stage]
        const whole = batches === 1 || kind === 'prepare' || kind === 'serve'
        const then = `${sayTask(kind, shown)}${whole ? '' : `, batch ${batch} of ${batches}`}`
        const earlyMin = kind === 'out' ? cook.pull.minutes.typical - cook.pull.minutes.low : 0
        return { ...{ id: `${id} ${kind} ${stage} ${batch}`, servingId: id, atMin, what, then, kind }, earlyMin }
      })
    })
    .sort((a, b) => Math.round(a.atMin * 60) - Math.round(b.atMin * 60) || ORDER[a.kind] - ORDER[b.kind] || (a.id < b.id ? -1 : 1))
}
