import type { BandKey, Fact, Opening, Quantity } from '@tender-gill/contract'
import { figure, money, say, share, term, trait, type NormalisedAsk, type TurningPoint } from '../facts/index.ts'
import { fromAxis } from '../axes/index.ts'
import type { Turn } from './nearest.ts'
import type { Field } from './runners.ts'

function describePrice(fish: string, other: string, factor: number, cost: Quantity | null): Fact {
  const by = share(Math.abs(factor - 1))
  const more = factor > 1
  return cost === null
    ? say(more ? 'turn.price.more.unknown' : 'turn.price.less.unknown', { fish, other, by })
    : say(more ? 'turn.price.more' : 'turn.price.less', { fish, other, by, cost })
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
      sentence: describePrice(first.common, name, factor, cost === null ? null : money(cost, null)),
    }
  }
  const scored = field.asks[move.at]
  const key = scored?.key ?? 'firmness'
  const path = key === 'colour' ? '/colour' : `/asks/${key}`
  if (move.kind === 'pull')
    return {
      ...base,
      kind: 'pull',
      from: scored?.ask.pull ?? 0,
      to: value,
      opens:
        key === 'colour'
          ? [
              { path: '/colour/pull', value: move.to },
              { path: '/colour/wanted', value: scored?.ask.wanted ?? [] },
            ]
          : [{ path: `${path}/pull`, value: move.to }, ...asItStands(path, scored?.ask)],
      sentence: say('turn.pull', {
        fish: first.common,
        ask: term('ask', key),
        to: figure(value, 1),
        was: figure(scored?.ask.pull ?? 0, 1),
      }),
    }
  const edge = fromAxis(key as BandKey, value)
  const before = scored?.ask[move.end] ?? 0
  return {
    ...base,
    kind: 'edge',
    from: before,
    to: edge,
    opens: [{ path: `${path}/${move.end}`, value: move.to }, ...asItStands(path, scored?.ask, move.end)],
    sentence: say(move.end === 'from' ? 'turn.edge.from' : 'turn.edge.to', {
      ...{ fish: first.common, ask: term('ask', key) },
      ...{ to: trait(key, edge), was: trait(key, before) },
    }),
  }
}
