import type { ReactNode } from 'react'
import { INK } from '../../theme.ts'

/** How far a sign has gone, 0 just landed to 3. */
export type Level = 0 | 1 | 2 | 3
export type DrawSign = (level: Level) => ReactNode

/** One of four, by the level. */
export const pick = <T,>(level: Level, of: readonly [T, T, T, T]): T => of[level]

export const LINE = { stroke: INK.squid, strokeWidth: 2.5, fill: 'none', strokeLinecap: 'round', strokeLinejoin: 'round' } as const
export const THIN = { ...LINE, strokeWidth: 1.5 } as const
/** Blood and gills as they age; the drawings change in shape as well, so that nothing rests on the colour. */
export const BLOOD = ['#C2402F', '#8A2C22', '#6B4A33', '#8E8B7C'] as const
export const FLESH = ['#F4F8F8', '#E9ECE8', '#CFD2CC', '#D8CDA6'] as const
export const WATER = '#8FB7C9'
