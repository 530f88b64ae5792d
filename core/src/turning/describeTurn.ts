import type { BandKey, TurningPoint } from '@tender-gill/contract'
import { fromAxis } from '../axes/index.ts'
import { ASK_LABEL, describeValue } from '../describe/index.ts'
import type { Turn } from './nearest.ts'
import type { Field } from './runners.ts'

const percent = (factor: number) => Math.abs(Math.round((factor - 1) * 1000) / 10)

const toFigures = (x: number) => String(Number(x.toPrecision(4)))

/** A turn in words, and written into the brief. */
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
      sentence: `${first.common} goes first if a portion of ${name} costs ${percent(factor)} % ${factor > 1 ? 'more' : 'less'}${cost === null ? '' : `, ${cost.toFixed(2)}`}.`,
    }
  }
  const scored = field.asks[move.at]
  const key = scored?.key ?? 'firmness'
  const label = ASK_LABEL[key]
  const path = key === 'colour' ? '/colour' : `/asks/${key}`
  if (move.kind === 'pull')
    return {
      ...base,
      kind: 'pull',
      from: scored?.ask.pull ?? 0,
      to: value,
      opens: [{ path: `${path}/pull`, value: move.to }],
      sentence: `${first.common} goes first if ${label.toLowerCase()} matters ${value.toFixed(1)} of 5 instead of ${scored?.ask.pull ?? 0}.`,
    }
  const edge = fromAxis(key as BandKey, value)
  const before = scored?.ask[move.end] ?? 0
  const words = (x: number) => describeValue(key as BandKey, x)
  // Two places so near that words do not tell them apart are told by their figures.
  const [to, was] = words(edge) === words(before) ? [toFigures(edge), toFigures(before)] : [words(edge), words(before)]
  return {
    ...base,
    kind: 'edge',
    from: before,
    to: edge,
    opens: [{ path: `${path}/${move.end}`, value: move.to }],
    sentence: `${first.common} goes first if ${label.toLowerCase()} is wanted ${move.end === 'from' ? 'from' : 'up to'} ${to} instead of ${was}.`,
  }
}
