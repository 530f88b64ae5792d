import type { ChangeKind, Fact, TextureKey } from '@tender-gill/contract'
import type { Change, NormalisedBrief } from '../../facts/index.ts'
import { readTrait, type Candidate } from '../../traits/index.ts'

/** A swap: what was wanted, what is taken, in which dish. */
export interface Swap {
  readonly missing: Candidate
  readonly candidate: Candidate
  readonly brief: NormalisedBrief
}

/** Looks for one change; undefined where nothing changes that matters in this dish. */
export type FindChange = (swap: Swap) => Change | undefined

export const change = (kind: ChangeKind, sentence: Fact, delta: number | null = null, unit: string | null = null): Change => ({
  kind,
  sentence,
  delta,
  unit,
})
export const round = (n: number, digits = 1): number => Math.round(n * 10 ** digits) / 10 ** digits

export const typicalOf = (key: TextureKey, candidate: Candidate, brief: NormalisedBrief): number =>
  readTrait(key, candidate, brief)?.typical ?? 0
export const stepBetween = (key: TextureKey, { missing, candidate, brief }: Swap): number =>
  typicalOf(key, candidate, brief) - typicalOf(key, missing, brief)
