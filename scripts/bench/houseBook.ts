/** A simulated kitchen that learns beside one that does not, and the folding of a long book. */
import { createOfferSheet } from '@tender-gill/catalogue'
import { FLESH_KEYS, type Brief, type FleshKey, type LearnEvent, type Method, type ResolvedOffer } from '@tender-gill/contract'
import { answerLearn, AXES, createBoard, findLeader, foldEvents, fromAxis, layLearnt, toAxis, type Board } from '@tender-gill/core'
import { medianMs, shown } from './measure.ts'

const today = '2026-06-13'
const book = createOfferSheet(today)
const WEEKS = 26
const SEEDS = 60
/** Seeds that no constant was ever set by. */
const FIRST_SEED = 260_001
/** Species that this kitchen's merchants have in a week, and those it knows at all. */
const POOL = 8
const KNOWN = 12
const DISHES: readonly (readonly [Method, Brief['format']])[] = [
  ['grill', 'chunk'],
  ['pan-sear', 'fillet-skin-on'],
  ['stew', 'chunk'],
]
const CHOICE_POWER = 20
const PULL_LN_SD = 0.5
/** Each dish is served so often a week, and every so many weeks somebody looks whether a leaning is offered. */
const SERVICES = 2
const LOOK_EVERY = 3

/** Numbers that look drawn: the same for the same seed. */
function drawFrom(seed: number) {
  let state = seed >>> 0
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform())
  return { uniform, normal }
}
type Draw = ReturnType<typeof drawFrom>

const spreadOf = ({ low, high }: { low: number; high: number }, trait: FleshKey): number =>
  (toAxis(trait, high) - toAxis(trait, low)) / 3.29
/** What this house's supply truly is: the mean of each trait drawn from half of the book's variance. */
function drawTruth(offer: ResolvedOffer, { normal }: Draw): ResolvedOffer {
  const traits = Object.fromEntries(
    FLESH_KEYS.map((trait) => {
      const range = offer.traits[trait]
      const g = toAxis(trait, range.typical) + normal() * spreadOf(range, trait) * Math.SQRT1_2
      return [trait, { ...range, typical: Math.min(AXES[trait].max, Math.max(AXES[trait].min, fromAxis(trait, Math.max(0, g)))) }]
    }),
  )
  return { ...offer, traits: { ...offer.traits, ...traits } }
}
/** What a cook notes of one fish: fish differ, and cooks do not feel exactly. */
function drawNotes(offer: ResolvedOffer, truth: ResolvedOffer, { normal }: Draw): Partial<Record<FleshKey, number>> {
  return Object.fromEntries(
    (['firmness', 'flake', 'flavour', 'fat', 'cohesion'] as const).map((trait) => {
      const step = AXES[trait].shoulder / 3
      const felt =
        toAxis(trait, truth.traits[trait].typical) + normal() * spreadOf(offer.traits[trait], trait) * Math.SQRT1_2 + normal() * step
      return [trait, Math.max(-2, Math.min(2, Math.round((felt - toAxis(trait, offer.traits[trait].typical)) / step)))]
    }),
  )
}

const lay = (brief: Brief, offers: readonly ResolvedOffer[]): Board => {
  const board = createBoard(brief, { ...book, offers: [...offers] }, today)
  if (!board.ok) throw new Error('the brief is wrong')
  return board.value
}
const fits = (board: Board): ReadonlyMap<string, number> =>
  new Map(board.entries.map(({ candidate, fit }) => [candidate.offer.id, fit.fit]))

interface Kitchen {
  readonly pulls: ReadonlyMap<Method, Brief['asks']>
}
/** What this kitchen cares about, hidden: each pull of each way of cooking times a lognormal. */
function drawPulls(briefs: readonly Brief[], offers: readonly ResolvedOffer[], { normal }: Draw): Kitchen['pulls'] {
  return new Map(
    briefs.map((brief) => {
      const { asks } = lay(brief, offers).brief
      const own = Object.entries(asks).flatMap(([key, ask]) =>
        ask.pull > 0 ? [[key, { pull: Math.min(5, ask.pull * Math.exp(PULL_LN_SD * normal())) }] as const] : [],
      )
      return [brief.method, Object.fromEntries(own)]
    }),
  )
}

interface Loss {
  readonly without: number
  readonly learning: number
}

/** Half a year of one kitchen, three dishes twice a week out of what can be had of a dozen fish: mean loss of true fit of what is recommended against the best there was. */
function runKitchen(seed: number): Loss {
  const draw = drawFrom(seed)
  const plain = book.offers.filter(({ origin, state, part }) => origin === 'wild' && state === 'fresh' && part === 'body')
  const species = [...plain].map((offer) => ({ offer, at: draw.uniform() })).sort((a, b) => a.at - b.at)
  const known = species.slice(0, KNOWN).map(({ offer }) => offer)
  const truths = new Map(known.map((offer) => [offer.id, drawTruth(offer, draw)]))
  const briefs = DISHES.map(([method, format], i): Brief => ({ dish: `d${i}`, method, format, covers: 4, draws: 100 }))
  const pulls = drawPulls(briefs, known, draw)
  const events: LearnEvent[] = []
  let leanings: ReadonlyMap<Method, Brief['asks']> = new Map()
  const sums = { without: 0, learning: 0, n: 0 }
  for (let service = 0; service < WEEKS * SERVICES; service += 1) {
    const there = known.map((offer) => ({ offer, at: draw.uniform() })).sort((a, b) => a.at - b.at)
    const offers = there.slice(0, POOL).map(({ offer }) => offer)
    const learnt = layLearnt({ ...book, offers: [...known] }, foldEvents(events, known)).offers.filter(({ id }) =>
      offers.some((one) => one.id === id),
    )
    for (const brief of briefs) {
      const hidden = { ...brief, asks: pulls.get(brief.method) }
      const truly = fits(
        lay(
          hidden,
          offers.flatMap(({ id }) => truths.get(id) ?? []),
        ),
      )
      const plainBoard = lay(brief, offers)
      const without = findLeader(plainBoard)
      const learning = findLeader(lay({ ...brief, asks: leanings.get(brief.method) }, learnt))
      const able = plainBoard.entries.filter(({ gates }) => gates.length === 0)
      if (!without || !learning || able.length < 2) continue
      const best = Math.max(...able.map(({ candidate }) => truly.get(candidate.offer.id) ?? 0))
      const lossOf = (id: string) => Math.max(0, best - (truly.get(id) ?? 0))
      sums.without += lossOf(without.candidate.offer.id)
      sums.learning += lossOf(learning.candidate.offer.id)
      sums.n += 1
      // The cook takes by what the house knows of fish and by what the kitchen cares about.
      const felt = fits(lay(hidden, offers))
      const weights = able.map(({ candidate }) =>
        Math.exp(CHOICE_POWER * Math.log(Math.max(1e-6, (felt.get(candidate.offer.id) ?? 0) / 100))),
      )
      const all = weights.reduce((a, b) => a + b, 0)
      let at = draw.uniform() * all
      const taken = able.find((_, i) => (at -= weights[i] ?? 0) <= 0) ?? able[0]
      const offer = taken?.candidate.offer
      const truth = offer && truths.get(offer.id)
      if (!offer || !truth) continue
      events.push({ kind: 'chose', brief: { ...brief, pool: offers.map((one) => one.species) }, offerId: offer.id })
      events.push({ kind: 'cooked', offerId: offer.id, notes: drawNotes(offer, truth, draw) })
    }
    if (service % (LOOK_EVERY * SERVICES) === LOOK_EVERY * SERVICES - 1) {
      const answer = answerLearn({ events: events.filter(({ kind }) => kind === 'chose') }, { ...book, offers: [...known] }, { today })
      if (!answer.ok) throw new Error(JSON.stringify(answer.error[0]))
      const offered = new Map<Method, Record<string, { pull: number }>>()
      for (const { method, trait, is } of answer.value.pulls)
        offered.set(method, { ...offered.get(method), [trait]: { pull: Math.min(5, is) } })
      leanings = offered as ReadonlyMap<Method, Brief['asks']>
    }
  }
  return { without: sums.without / sums.n, learning: sums.learning / sums.n }
}

const began = performance.now()
const losses = Array.from({ length: SEEDS }, (_, i) => runKitchen(FIRST_SEED + i))
const mean = (of: keyof Loss): number => losses.reduce((sum, loss) => sum + loss[of], 0) / losses.length
const ratios = losses.map(({ without, learning }) => learning / without).sort((a, b) => a - b)
console.log(
  `simulated kitchens: ${SEEDS} of ${WEEKS} weeks, loss of true fit ${mean('without').toFixed(2)} without learning, ${mean('learning').toFixed(2)} with: ` +
    `ratio ${(mean('learning') / mean('without')).toFixed(2)} (aim at most 0.7); the middle kitchen ${ratios[Math.floor(SEEDS / 2)]?.toFixed(2)}; ` +
    `${((performance.now() - began) / 1000).toFixed(0)} s`,
)

/** A long book: 20,000 events of every kind. */
const many = Array.from({ length: 20_000 }, (_, i): LearnEvent => {
  const offer = book.offers[(i * 37) % 400] as ResolvedOffer
  const other = book.offers[(i * 53) % 400] as ResolvedOffer
  const note = (i % 5) - 2
  switch (i % 5) {
    case 0:
      return { kind: 'delivered', merchant: `m${i % 40}`, asOrdered: i % 7 !== 0 }
    case 1:
      return { kind: 'arrived', merchant: `m${i % 40}`, iceDays: 1 + (i % 50) / 10 }
    case 2:
      return { kind: 'swap', method: 'grill', missing: offer.species, standIn: other.species, worked: i % 3 === 0 }
    case 3: {
      const form = offer.forms.at(-1)?.form ?? 'whole'
      return { kind: 'yield', offerId: offer.id, form, boughtG: 1000, edibleG: 300 + (i % 300) }
    }
    default:
      return { kind: 'cooked', offerId: offer.id, notes: { firmness: note, flavour: -note, fat: (note + 1) % 3 } }
  }
})
console.log(`20,000 events folded: ${shown(medianMs(() => foldEvents(many, book.offers)))} (aim under 200 ms)`)
const folded = foldEvents(many, book.offers)
console.log(`and laid over a day's sheet of ${book.offers.length} offers: ${shown(medianMs(() => layLearnt(book, folded)))}`)
