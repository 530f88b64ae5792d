/** The price estimate foretelling made-up markets, beside two simple rules: the last quote, and the mean of all. */
import { estimatePrice, findUsualPrice, gatherDays, gatherGroupMoves, gatherQuotes, type PriceQuote } from '@tender-gill/core'

/** Mulberry32: a small seeded stream, enough for made-up markets. */
function createRandom(seed: number) {
  let state = seed >>> 0
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform())
  return { uniform, normal }
}
type Random = ReturnType<typeof createRandom>

interface Regime {
  readonly name: string
  /** Log prices of one fish, day by day, and what all of its group do on those days. */
  readonly play: (random: Random, common: readonly number[]) => { readonly truth: readonly number[]; readonly noise: number }
  /** Chance of a quote on a day, and of a row of nonsense. */
  readonly quoted: number
  readonly nonsense: number
}

const DAYS = 730
const walk = (random: Random, step: number, days = DAYS): number[] => {
  let level = 0
  return Array.from({ length: days }, () => (level += step * random.normal()))
}
const start = (random: Random) => Math.log(12) + 0.5 * random.normal()

const REGIMES: readonly Regime[] = [
  {
    name: 'random walk, a quote a day',
    quoted: 1,
    nonsense: 0,
    play: (random, common) => {
      const from = start(random)
      const own = walk(random, 0.03)
      return { truth: own.map((value, i) => from + value + 0.3 * (common[i] ?? 0)), noise: 0 }
    },
  },
  {
    name: 'seasonal',
    quoted: 0.5,
    nonsense: 0,
    play: (random, common) => {
      const from = start(random)
      const peak = random.uniform() * 365
      return {
        truth: common.map((value, i) => from + 0.3 * Math.cos((2 * Math.PI * (i - peak)) / 365) + 0.3 * value),
        noise: 0.07,
      }
    },
  },
  {
    name: 'sticky',
    quoted: 0.5,
    nonsense: 0,
    play: (random) => {
      let level = start(random)
      return {
        truth: Array.from({ length: DAYS }, () => (random.uniform() < 1 / 30 ? (level += 0.12 * random.normal()) : level)),
        noise: 0.04,
      }
    },
  },
  {
    name: 'jumps',
    quoted: 0.5,
    nonsense: 0,
    play: (random) => {
      let level = start(random)
      return {
        truth: Array.from({ length: DAYS }, () => (random.uniform() < 1 / 90 ? (level += random.uniform() < 0.5 ? 0.35 : -0.35) : level)),
        noise: 0.05,
      }
    },
  },
  {
    name: 'sparse, 3 % nonsense',
    quoted: 1 / 12,
    nonsense: 0.03,
    play: (random, common) => {
      const from = start(random)
      const own = walk(random, 0.008)
      return { truth: own.map((value, i) => from + value + (common[i] ?? 0)), noise: 0.1 }
    },
  },
]

interface Series {
  readonly truth: readonly number[]
  readonly quotes: readonly PriceQuote[]
  /** Quotes without the nonsense: what is to be foretold. */
  readonly sane: readonly PriceQuote[]
}

function playGroup(regime: Regime, seed: number, size: number): readonly Series[] {
  const random = createRandom(seed)
  const common = walk(random, 0.012)
  return Array.from({ length: size }, () => {
    const { truth, noise } = regime.play(random, common)
    const sane: PriceQuote[] = []
    const quotes: PriceQuote[] = []
    truth.forEach((level, day) => {
      if (random.uniform() >= regime.quoted) return
      const logPerKg = level + noise * random.normal()
      if (random.uniform() < regime.nonsense) {
        quotes.push({ day, logPerKg: logPerKg + (random.uniform() < 0.5 ? 1 : -1) * Math.log(random.uniform() < 0.5 ? 10 : 100) })
        return
      }
      sane.push({ day, logPerKg })
      quotes.push({ day, logPerKg })
    })
    return { truth, quotes, sane }
  })
}

const SEEDS = process.argv.includes('--develop') ? [1, 2, 3, 4] : [90210, 424242, 777001]
const FIRST_FORETOLD = 400

const SOURCE = { merchant: null, glaze: 0, id: null, dated: true }
const until = (quotes: readonly PriceQuote[], day: number) =>
  gatherQuotes(quotes.filter((quote) => quote.day < day).map(({ day: on, logPerKg }) => ({ day: on, logPerKg, source: SOURCE })))
console.log(`seeds ${SEEDS.join(', ')}; mean absolute error of log price of the next quote, from ${FIRST_FORETOLD} days on`)
for (const regime of REGIMES) {
  const sums = { ours: 0, last: 0, mean: 0, held: 0, n: 0 }
  for (const seed of SEEDS) {
    const group = playGroup(regime, seed, 6)
    group.forEach((series, which) => {
      const others = group.filter((_, i) => i !== which)
      for (const { day, logPerKg } of series.sane) {
        // Where quotes are dense, not every day need be foretold.
        if (day < FIRST_FORETOLD || (regime.quoted > 0.1 && day % 4 !== 0)) continue
        const known = series.quotes.filter((quote) => quote.day < day)
        const last = known.at(-1)
        if (!last) continue
        const estimate = estimatePrice(known, day, () =>
          gatherGroupMoves(others.map(({ quotes }, i) => ({ member: String(i), quotes: until(quotes, day) })))(),
        )
        if (!estimate) continue
        sums.ours += Math.abs(Math.log(estimate.perKg.typical) - logPerKg)
        sums.last += Math.abs(last.logPerKg - logPerKg)
        sums.mean += Math.abs(known.reduce((sum, quote) => sum + quote.logPerKg, 0) / known.length - logPerKg)
        sums.held += Number(Math.log(estimate.perKg.low) <= logPerKg && logPerKg <= Math.log(estimate.perKg.high))
        sums.n += 1
      }
    })
  }
  const mean = (sum: number) => (sum / sums.n).toFixed(4)
  console.log(
    `${regime.name}: ${mean(sums.ours)}; ${(sums.ours / sums.last).toFixed(3)} of the last quote's, ${(sums.ours / sums.mean).toFixed(3)} of the mean's; range holds ${((100 * sums.held) / sums.n).toFixed(1)} % (${sums.n} foretold)`,
  )
}

/**
 * The usual price of a month against what was then asked in it, each month of the third year held back in turn; beside the middle of the whole
 * year before, which knows no season. A shelf with a season of its own, that repeats, and one without.
 */
const MONTH_DAYS = 30
const YEAR_DAYS = 365
const playYears = (random: Random, swing: number): readonly PriceQuote[] => {
  const level = start(random)
  const peak = YEAR_DAYS * random.uniform()
  const drift = walk(random, 0.004, 3 * YEAR_DAYS)
  return Array.from({ length: 3 * YEAR_DAYS }, (_, day) => day)
    .filter((day) => day % 2 === 0)
    .map((day) => ({
      day,
      logPerKg: level + (drift[day] ?? 0) + swing * Math.cos((2 * Math.PI * (day - peak)) / YEAR_DAYS) + 0.05 * random.normal(),
    }))
}
const middle = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN
for (const [name, swing] of [
  ['a year that swings by a third', 0.3],
  ['a year that does not', 0],
] as const) {
  const sums = { ours: 0, year: 0, within: 0, n: 0 }
  for (const seed of SEEDS)
    for (let fish = 0; fish < 6; fish += 1) {
      const quotes = playYears(createRandom(seed + fish), swing)
      for (let month = 0; month < 12; month += 1) {
        const from = 2 * YEAR_DAYS + month * MONTH_DAYS
        const asked = quotes.filter(({ day }) => day >= from && day < from + MONTH_DAYS).map(({ logPerKg }) => logPerKg)
        const before = quotes.filter(({ day }) => day < from)
        const sameMonth = before
          .filter(({ day }) => day >= from - YEAR_DAYS && day < from - YEAR_DAYS + MONTH_DAYS)
          .map(({ logPerKg }) => logPerKg)
        const usual = findUsualPrice(gatherDays(before), from + MONTH_DAYS / 2)
        if (usual === null) continue
        sums.ours += Math.abs(Math.log(usual) - middle(asked))
        sums.year += Math.abs(middle(before.filter(({ day }) => day >= from - YEAR_DAYS).map(({ logPerKg }) => logPerKg)) - middle(asked))
        sums.within += Number(Math.log(usual) >= Math.min(...sameMonth) && Math.log(usual) <= Math.max(...sameMonth))
        sums.n += 1
      }
    }
  console.log(
    `usual price of a month held back, ${name}: ${(sums.ours / sums.n).toFixed(4)}; ${(sums.ours / sums.year).toFixed(3)} of the year's middle; within what was asked in that month the year before ${((100 * sums.within) / sums.n).toFixed(0)} % (${sums.n} months)`,
  )
}
