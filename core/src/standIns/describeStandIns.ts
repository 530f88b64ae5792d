import type { MissingFish, Range, TextureKey } from '@tender-gill/contract'
import type { StandIn } from '../facts/index.ts'
import { computePortionCost, computeWeightToBuyG } from '../amounts/index.ts'
import { toTenth } from '../fit/index.ts'
import { listStandings, type Board, type Entry } from '../lineUp/index.ts'
import { findCautions } from '../safety/index.ts'
import { readTrait } from '../traits/index.ts'
import { findCauses } from './findCauses.ts'
import type { ScoredEntry } from './scoreEntries.ts'
import { TEXTURE_LIST } from './textureSet.ts'

const toCent = (money: number) => Math.round(money * 100) / 100
function describeCost({ candidate }: Entry, board: Board) {
  const cost = computePortionCost(candidate.offer, candidate.form, board.brief)
  return cost ? { low: toCent(cost.low), typical: toCent(cost.typical), high: toCent(cost.high), currency: cost.currency } : null
}
const describeBuyG = ({ candidate }: Entry, board: Board) =>
  Math.round(computeWeightToBuyG(candidate.offer, candidate.form, board.brief).typical)
const describeAskedAs = (species: string, board: Board) => {
  const askedAs = board.brief.askedAs[species]
  return askedAs ? { askedAs } : {}
}

export function describeMissing(entry: Entry, board: Board, askedAs: string | undefined): MissingFish {
  const { offer, form } = entry.candidate
  const traits: Partial<Record<TextureKey, Range | null>> = {}
  for (const key of TEXTURE_LIST) {
    const value = readTrait(key, entry.candidate, board.brief)
    traits[key] = value ? { low: value.low, typical: value.typical, high: value.high } : null
  }
  return {
    species: offer.species,
    common: offer.common,
    ...(askedAs ? { askedAs } : {}),
    offerId: offer.id,
    offer: offer.label,
    form,
    fit: toTenth(entry.fit.fit),
    portionCost: describeCost(entry, board),
    buyG: describeBuyG(entry, board),
    traits,
    standings: listStandings(entry),
  }
}

export function describeStandIn({ entry, alike, standIn }: ScoredEntry, board: Board): StandIn {
  const { offer, form } = entry.candidate
  return {
    species: offer.species,
    common: offer.common,
    ...describeAskedAs(offer.species, board),
    offerId: offer.id,
    offer: offer.label,
    form,
    alike: toTenth(alike),
    fit: toTenth(entry.fit.fit),
    standIn: toTenth(standIn),
    portionCost: describeCost(entry, board),
    buyG: describeBuyG(entry, board),
    failsWith: findCauses(entry.candidate).map(({ kind }) => kind),
    cautions: [...findCautions(offer, board.brief)],
  }
}
