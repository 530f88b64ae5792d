import type { MissingFish, Range, TextureKey } from '@tender-gill/contract'
import type { StandIn } from '../facts/index.ts'
import { listStandings, type Board, type Entry } from '../lineUp/index.ts'
import { findCautions } from '../safety/index.ts'
import { readTrait } from '../traits/index.ts'
import { findCauses } from './findCauses.ts'
import type { ScoredEntry } from './scoreEntries.ts'
import { TEXTURE_LIST } from './textureSet.ts'
import { describeFish, describePurchase } from '../rows/index.ts'
import { toTenth } from '../rounding/index.ts'

export function describeMissing(entry: Entry, board: Board, askedAs: string | undefined): MissingFish {
  const traits: Partial<Record<TextureKey, Range | null>> = {}
  for (const key of TEXTURE_LIST) {
    const value = readTrait(key, entry.candidate, board.brief)
    traits[key] = value ? { low: value.low, typical: value.typical, high: value.high } : null
  }
  return {
    ...describeFish(entry.candidate, askedAs),
    fit: toTenth(entry.fit.fit),
    ...describePurchase(entry.candidate, board.brief),
    traits,
    standings: listStandings(entry),
  }
}

export function describeStandIn({ entry, alike, learnt, standIn }: ScoredEntry, board: Board): StandIn {
  const { offer } = entry.candidate
  return {
    ...describeFish(entry.candidate, board.brief.askedAs[offer.species]),
    alike: toTenth(alike),
    ...(learnt && { learnt: { ...learnt, alikeWas: toTenth(learnt.alikeWas) } }),
    fit: toTenth(entry.fit.fit),
    standIn: toTenth(standIn),
    ...describePurchase(entry.candidate, board.brief),
    failsWith: findCauses(entry.candidate).map(({ kind }) => kind),
    cautions: [...findCautions(offer, board.brief)],
  }
}
