import { AXES } from '../tables/constants.ts'
import { PRICE_MOST, STEP, findNearest, type Turn, type Wanted } from './nearest.ts'
import { lacksOnly, withoutShare, type Field, type Runner } from './runners.ts'

/** Costs at which something turns for one runner: where its score meets another's, and where budget and bound open or close. */
function priceFactors(runner: Runner, others: readonly Runner[], { brief, asks }: Field): readonly number[] {
  if (!runner.cost) return []
  const { typical, low, high } = runner.cost
  const at = asks.findIndex(({ key }) => key === 'portionCost')
  const ask = asks[at]?.ask
  const gates = [
    ...(brief.budget?.must ? [brief.budget.perPortion / typical] : []),
    ...[brief.asks.portionCost?.must?.from, brief.asks.portionCost?.must?.to].flatMap((edge) => (edge ? [edge / typical] : [])),
  ]
  if (!ask || ask.pull <= 0) return gates
  const share = runner.shares[at] ?? { logD: 0, miss: 0, rangeMiss: 0 }
  const rest = withoutShare(runner.total, ask.pull, share)
  const { shoulder } = AXES.portionCost
  const edges = [ask.from, ask.to].flatMap((edge) => (edge ? [edge] : []))
  const atMiss = (miss: number) =>
    [...(ask.to ? [ask.to * Math.exp(miss * shoulder)] : []), ...(ask.from ? [ask.from * Math.exp(-miss * shoulder)] : [])].map(
      (cost) => cost / typical,
    )
  const meets = others.flatMap(({ total }) => {
    const d = Math.exp((total.logD - rest.logD) / ask.pull)
    const misses = [1 - d, (total.miss - rest.miss) / ask.pull]
    const ties = (total.rangeMiss - rest.rangeMiss) / ask.pull
    const ends = [low / typical, high / typical].flatMap((end) => atMiss(ties).map((factor) => factor / end))
    const both = ask.to ? [(ask.to * Math.exp((ties * shoulder) / 2)) / Math.sqrt(low * high)] : []
    return [...misses.filter((miss) => miss >= 0 && miss <= 1).flatMap(atMiss), ...ends, ...both]
  })
  return [...gates, ...edges.flatMap((edge) => [edge / typical, edge / low, edge / high]), ...atMiss(0.99), ...meets]
}

/** The smallest change of one species' price by which first place passes. */
export function turnByPrice(field: Field, wanted: Wanted, species: string): Turn | undefined {
  const own = field.runners.filter((runner) => runner.species === species && runner.cost && lacksOnly(runner, 'portionCost'))
  const others = field.runners.filter((runner) => runner.species !== species && runner.gates.length === 0)
  // A price moves its own fish alone: it matters where that fish meets those it has to beat, or those that would beat it.
  const rivals = others.filter(own.some(wanted.challengers) ? wanted.defenders : wanted.challengers)
  const places = own
    .flatMap((runner) => priceFactors(runner, rivals, field))
    .filter((factor) => factor > 1 / PRICE_MOST && factor < PRICE_MOST)
  return findNearest(
    field,
    wanted,
    places.map(Math.log),
    0,
    (place) => ({ kind: 'price', species, factor: Math.exp(place) }),
    (place) => Math.abs(Math.exp(place) - 1) / STEP.price,
  )
}
