import { stepInPlace, type Body, type Boundary, type EdgeHeat } from './body.ts'

/** Implicit half steps after a change of medium: they damp what it would make Crank and Nicolson's steps ring. */
const DAMPED_HALF_STEPS = 4

export interface March {
  readonly seconds: number
  /** Length of a step at most, s. */
  readonly stepS: number
  /** Heat from the edge during the next step of that length, s, and share of new temperatures. */
  readonly edge?: (seconds: number, implicit: number) => EdgeHeat
  /** Called after each step; what gives false ends the march. */
  readonly observe?: (seconds: number) => boolean
}

/**
 * Leads a body through one medium that it has just come into: four implicit half steps, then Crank and Nicolson.
 * @returns seconds it was in it: all of them, unless it was stopped
 */
export function marchInPlace(body: Body, boundary: Boundary, { seconds, stepS, edge, observe }: March): number {
  if (!(seconds > 0)) return 0
  const steps = Math.max(DAMPED_HALF_STEPS / 2, Math.ceil(seconds / stepS - 1e-9))
  const whole = seconds / steps
  let at = 0
  for (let i = 0; i < steps + DAMPED_HALF_STEPS / 2; i += 1) {
    const damped = i < DAMPED_HALF_STEPS
    const length = damped ? whole / 2 : whole
    const implicit = damped ? 1 : 0.5
    stepInPlace(body, boundary, length, implicit, edge?.(length, implicit))
    at += length
    if (observe && !observe(at)) return at
  }
  return seconds
}
