import { say, term, type Cook, type PrepareWindow } from '../facts/index.ts'
import type { LaidStage, Run } from '../cooking/index.ts'

const DAY_MIN = 24 * 60
/** On the plate and through the door. */
const PLATING_MIN = 2

/** A clock time some minutes before another, HH:MM; the day before where it comes to that. */
export function clockBefore(at: string, minutesBefore: number): string {
  const [hour = 0, minute = 0] = at.split(':').map(Number)
  const then = (((hour * 60 + minute - Math.ceil(minutesBefore)) % DAY_MIN) + DAY_MIN) % DAY_MIN
  return `${String(Math.floor(then / 60)).padStart(2, '0')}:${String(then % 60).padStart(2, '0')}`
}

/** What is done when, worked back from the hour of service: the longest way, so that it is there in time. */
export function listSchedule(serveAt: string, run: Run, stages: readonly LaidStage[], windows: readonly PrepareWindow[]): Cook['schedule'] {
  const tasks: { minutesBefore: number; sentence: ReturnType<typeof say> }[] = []
  const restMin = (run.peakS - run.cookedS) / 60
  const begin = PLATING_MIN + restMin + run.cookedS / 60
  windows
    .filter(({ usual }) => usual)
    .forEach(({ kind, fromMinutes, toMinutes }) =>
      tasks.push({ minutesBefore: begin + (fromMinutes + toMinutes) / 2, sentence: say('task.window', { what: term('window', kind) }) }),
    )
  let at = begin
  stages.forEach(({ medium, seconds, turned }) => {
    tasks.push({ minutesBefore: at, sentence: say(turned ? 'task.turned' : 'task.stage', { medium: term('medium', medium) }) })
    at -= seconds / 60
  })
  tasks.push({ minutesBefore: PLATING_MIN + restMin, sentence: say('task.take-out') })
  tasks.push({ minutesBefore: 0, sentence: say('task.serve') })
  return tasks.sort((a, b) => b.minutesBefore - a.minutesBefore).map((task) => ({ ...task, at: clockBefore(serveAt, task.minutesBefore) }))
}
