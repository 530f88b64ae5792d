import type { RunOptions } from './runCook.ts'

/** Cells and steps of a curve that is shown: within 0.05 °C of the exact series once heat is in the middle. */
export const FINE: Pick<RunOptions, 'cells' | 'stepS'> = { cells: 64, stepS: () => 1 }
/** Cells and steps of minutes alone: within a hundredth of those of the fine grid. */
export const QUICK: Pick<RunOptions, 'cells' | 'stepS'> = { cells: 32, stepS: (seconds) => Math.max(0.4, seconds / 140) }
