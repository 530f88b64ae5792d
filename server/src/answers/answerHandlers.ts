import type { Compute } from '../compute/index.ts'
import type { HandlersOf } from '../http/serveOperations.ts'

/** The engine's verbs over HTTP: they compute and keep nothing. */
export const createAnswerHandlers = (
  compute: Compute,
): HandlersOf<
  | 'lineUp'
  | 'standIns'
  | 'swapMap'
  | 'year'
  | 'turningPoints'
  | 'pot'
  | 'amounts'
  | 'freshness'
  | 'cold'
  | 'conduct'
  | 'cook'
  | 'learn'
  | 'fishFirst'
  | 'find'
> => ({
  lineUp: ({ kitchen, input, signal }) => compute.ask('lineUp', kitchen, input, signal),
  standIns: ({ kitchen, input, signal }) => compute.ask('standIns', kitchen, input, signal),
  swapMap: ({ kitchen, input, signal }) => compute.ask('swapMap', kitchen, input, signal),
  year: ({ kitchen, input, signal }) => compute.ask('year', kitchen, input, signal),
  turningPoints: ({ kitchen, input, signal }) => compute.ask('turningPoints', kitchen, input, signal),
  pot: ({ kitchen, input, signal }) => compute.ask('pot', kitchen, input, signal),
  freshness: ({ kitchen, input, signal }) => compute.ask('freshness', kitchen, input, signal),
  learn: ({ kitchen, input, signal }) => compute.ask('learn', kitchen, input, signal),
  cook: ({ kitchen, input, signal }) => compute.ask('cook', kitchen, input, signal),
  conduct: ({ kitchen, input, signal }) => compute.ask('conduct', kitchen, input, signal),
  cold: ({ kitchen, input, signal }) => compute.ask('cold', kitchen, input, signal),
  amounts: ({ kitchen, input, signal }) => compute.ask('amounts', kitchen, input, signal),
  fishFirst: ({ kitchen, input, signal }) => compute.ask('fishFirst', kitchen, input, signal),
  find: ({ kitchen, input, signal }) => compute.ask('find', kitchen, input, signal),
})
