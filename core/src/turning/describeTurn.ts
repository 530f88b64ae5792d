import type { AskKey, BandKey, Fact, Opening, Quantity } from '@tender-gill/contract'
import { figure, money, say, share, term, trait, type NormalisedAsk, type TurningPoint } from '../facts/index.ts'
import { fromAxis } from '../axes/index.ts'
import type { Turn } from './nearest.ts'
import type { Field } from './runners.ts'

/** Fewer steps than this are none: who stands on the very edge falls by the least move, and which way is what there is to say. */
const BARELY_STEPS = 1e-5
const wayOf = (more: boolean) => (more ? 'more' : 'less')

function describePrice(fish: string, other: string, { value, steps }: Turn, more: boolean, cost: Quantity | null): Fact {
  const factor = Math.exp(value)
  const way = wayOf(more)
  const by = share(Math.abs(factor - 1))
  if (steps < BARELY_STEPS) return say(`turn.price.any.${way}`, { fish, other })
  return cost === null ? say(`turn.price.${way}.unknown`, { fish, other, by }) : say(`turn.price.${way}`, { fish, other, by, cost })
}

function describePull(fish: string, key: AskKey, { value, steps }: Turn, more: boolean, before: number): Fact {
  const was = figure(before, 1)
  const ask = term('ask', key)
  if (steps < BARELY_STEPS) return say(`turn.pull.any.${wayOf(more)}`, { fish, ask, was })
  return say('turn.pull', { fish, ask, to: figure(value, 1), was })
}

interface MovedEdge {
  readonly key: BandKey
  readonly end: 'from' | 'to'
  readonly was: number
  readonly to: number
}
function describeEdge(fish: string, { key, end, was, to }: MovedEdge, { steps }: Turn, more: boolean): Fact {
  const said = { fish, ask: term('ask', key), was: trait(key, was) }
  if (steps < BARELY_STEPS) return say(`turn.edge.any.${end}.${wayOf(more)}`, said)
  return say(`turn.edge.${end}`, { ...said, to: trait(key, to) })
}

/** The rest of an ask as it stands, said on purpose: a wish that lowers would count for nothing else. */
const asItStands = (path: string, ask: NormalisedAsk | undefined, moved?: 'from' | 'to'): readonly Opening[] => [
  ...(['from', 'to'] as const).flatMap((end) => (ask && end !== moved ? [{ path: `${path}/${end}`, value: ask[end] }] : [])),
  { path: `${path}/loosens`, value: true },
]

/** A turn as a fact, and written into the brief. */
export function describeTurn(turn: Turn, field: Field): TurningPoint {
  const { move, first, value, steps } = turn
  const base = { species: first.species, common: first.common, steps }
  if (move.kind === 'price') {
    const factor = Math.exp(value)
    const own = field.runners.find(({ species, cost }) => species === move.species && cost)
    const cost = own?.cost ? own.cost.typical * factor : null
    const name = own?.common ?? move.species
    return {
      ...base,
      kind: 'price',
      from: own?.cost?.typical ?? null,
      to: cost,
      opens: [],
      sentence: describePrice(first.common, name, turn, move.factor > 1, cost === null ? null : money(cost, null)),
    }
  }
  const scored = field.asks[move.at]
  const key = scored?.key ?? 'firmness'
  const path = key === 'colour' ? '/colour' : `/asks/${key}`
  if (move.kind === 'pull') {
    const before = scored?.ask.pull ?? 0
    return {
      ...base,
      kind: 'pull',
      from: before,
      to: value,
      opens:
        key === 'colour'
          ? [
              { path: '/colour/pull', value: move.to },
              { path: '/colour/wanted', value: scored?.ask.wanted ?? [] },
            ]
          : [{ path: `${path}/pull`, value: move.to }, ...asItStands(path, scored?.ask)],
      sentence: describePull(first.common, key, turn, move.to > before, before),
    }
  }
  const edge = fromAxis(key as BandKey, value)
  const before = scored?.ask[move.end] ?? 0
  return {
    ...base,
    kind: 'edge',
    from: before,
    to: edge,
    opens: [{ path: `${path}/${move.end}`, value: move.to }, ...asItStands(path, scored?.ask, move.end)],
    sentence: describeEdge(first.common, { key: key as BandKey, end: move.end, was: before, to: edge }, turn, move.to > before),
  }
}
