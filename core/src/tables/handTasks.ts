/** What hands do to a fish before the pan, in the order in which it is done. */
export const HAND_TASKS = [
  'spines',
  'scale',
  'fins',
  'gut',
  'blood',
  'fillet-round',
  'fillet-flat',
  'steaks',
  'pin-bones',
  'skin',
  'dry',
  'keep',
  'at-table',
] as const
export type HandTask = (typeof HAND_TASKS)[number]

/** Minutes for one fish of a kilogram, for hands that have done it often; null where it is no work of its own. Compiled. */
export const TASK_MINUTES: Record<HandTask, number | null> = {
  spines: null,
  scale: 2.5,
  fins: 1,
  gut: 2,
  blood: 1,
  'fillet-round': 4,
  'fillet-flat': 6,
  steaks: 2,
  'pin-bones': 4,
  skin: 1.5,
  dry: 0.5,
  keep: null,
  'at-table': 2,
}
/** Work grows less than the fish. */
export const TASK_EXPONENT = 0.6
/** Times as long for hands that are new to it, and for those who do it all day. */
export const SKILLS = { new: 2.5, used: 1, daily: 0.6 } as const
/** What a fishmonger does when asked. */
export const ASKED_OF_FISHMONGER: ReadonlySet<HandTask> = new Set<HandTask>([
  'scale',
  'fins',
  'gut',
  'fillet-round',
  'fillet-flat',
  'steaks',
  'pin-bones',
  'skin',
])
