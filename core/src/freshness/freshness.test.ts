import { CIRCUMSTANCES, SIGN_LEVELS, type FreshnessRequest, type Sign } from '@tender-gill/contract'
import { parseFreshness } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SIGN_TABLE, SIGNS_OF_VIEW } from '../tables/signs.ts'
import { buildOffer } from '../testing/builders.ts'
import { told } from '../testing/told.ts'
import { answerFreshness, RAW_FOR_THE_VULNERABLE } from './index.ts'
import { AGES, layPrior, likelihoodOf, rangeOf, seeLevel } from './posterior.ts'
import { cases } from '../testing/cases.ts'

const LEAN = buildOffer('Piscis lentus', {})
const OILY = buildOffer('Piscis oleosus', { storage: 'small-pelagic' })
const THAWED = buildOffer('Piscis lentus', { state: 'frozen' })
const MUSSEL = buildOffer('Concha viva', { storage: 'shellfish', allergen: 'mollusc', bivalve: true })
const SHEET = { offers: [THAWED, LEAN, OILY, MUSSEL] }

const look = (patch: Partial<FreshnessRequest> = {}) => {
  const answer = answerFreshness({ fish: 'Piscis lentus', view: 'whole', signs: {}, ...patch }, SHEET)
  if (!answer.ok) throw new Error(JSON.stringify(answer.error))
  return answer.value
}
const refuse = (patch: Partial<FreshnessRequest>) => {
  const answer = answerFreshness({ fish: 'Piscis lentus', view: 'whole', signs: {}, ...patch }, SHEET)
  return answer.ok ? [] : told(answer.error).map(({ path, message }) => `${path} ${message}`)
}
const all = (level: number, signs: readonly Sign[] = SIGNS_OF_VIEW.whole) => Object.fromEntries(signs.map((sign) => [sign, level]))

const level = fc.constantFrom(...SIGN_LEVELS)
const seen = (view: 'whole' | 'fillet') =>
  fc.uniqueArray(fc.tuple(fc.constantFrom(...SIGNS_OF_VIEW[view]), level), { selector: ([sign]) => sign, maxLength: 10 })
const request = fc.constantFrom('whole' as const, 'fillet' as const).chain((view) =>
  fc.record({
    view: fc.constant(view),
    fish: fc.constantFrom('Piscis lentus', 'Piscis oleosus'),
    pairs: seen(view),
    circumstances: fc.subarray([...CIRCUMSTANCES]),
    use: fc.constantFrom('cooked' as const, 'raw' as const),
    vulnerable: fc.boolean(),
    keep: fc.option(
      fc.record({ hours: fc.double({ min: 0, max: 96, noNaN: true }), tempC: fc.double({ min: -12, max: 12, noNaN: true }) }),
      {
        nil: undefined,
      },
    ),
  }),
)
const asked = ({
  pairs,
  keep,
  ...rest
}: Omit<FreshnessRequest, 'signs' | 'keep'> & {
  pairs: readonly (readonly [Sign, number])[]
  keep: FreshnessRequest['keep']
}): FreshnessRequest => ({
  ...rest,
  ...(keep ? { keep } : {}),
  signs: Object.fromEntries(pairs),
})

describe('the age of a fish by its looks', () => {
  it('starts from what is usual at a counter: half of it within three days', () => {
    expect(rangeOf(layPrior())).toEqual({ low: 1, typical: 3, high: 9.5 })
    expect(layPrior({ medianIceDays: 1, lnSd: 0.3 }).reduce((a, b) => a + b)).toBeCloseTo(1, 12)
  })

  it('weighs a level by where the age has brought it, and sums to 1 over the levels where it is wholly believed', () => {
    const reading = { levels: 4, spanDays: 12, trust: 1 }
    const levels = SIGN_LEVELS.map((one) => likelihoodOf(reading, one))
    AGES.forEach((_, i) => expect(levels.reduce((sum, chances) => sum + (chances[i] ?? 0), 0)).toBeCloseTo(1, 12))
    // At 8 of 12 days the middle is level 2: e^0 against e^(-1/0.72) to both sides and e^(-4/0.72).
    const side = Math.exp(-1 / 0.72)
    expect(levels[2]?.[AGES.indexOf(8)]).toBeCloseTo(1 / (1 + 2 * side + Math.exp(-4 / 0.72)), 12)
  })

  it('is told by its schema, and tells how it was reckoned', () => {
    const answer = told(look({ signs: { eyes: 1 }, circumstances: ['sour-rinse'], keep: { hours: 24, tempC: 4 } }))
    expect(parseFreshness(answer)).toMatchObject({ ok: true })
    expect(answer.table.find(({ sign }) => sign === 'eyes')).toEqual({
      sign: 'eyes',
      levels: ['full and clear', 'flat, a little cloudy', 'sunken, cloudy', 'hollow, milky'],
      spanDays: 0.9 * 12,
      trust: 0,
      vetoFrom: null,
      falseAlarms: ['sour-rinse', 'on-ice', 'large-eyed'],
    })
    expect(answer.neededIceDays).toBeCloseTo(1.96, 9)
  })

  it('does not hang on the order in which signs are looked at', () => {
    fc.assert(
      fc.property(request, (one) => {
        const there = look(asked(one))
        const back = look(asked({ ...one, pairs: [...one.pairs].reverse() }))
        expect(back.outcome).toBe(there.outcome)
        expect(back.iceDays).toEqual(there.iceDays)
      }),
      { numRuns: cases(120) },
    )
  })

  it('never gives more days for a worse level', () => {
    fc.assert(
      fc.property(request, fc.nat(9), (one, at) => {
        const signs = SIGNS_OF_VIEW[one.view]
        const sign = signs[at % signs.length] ?? 'spring'
        const rest = one.pairs.filter(([seenSign]) => seenSign !== sign)
        const left = SIGN_LEVELS.map((l) => look(asked({ ...one, pairs: [...rest, [sign, l]] })).left)
        left.slice(1).forEach((worse, i) => {
          for (const end of ['low', 'typical', 'high'] as const) expect(worse[end]).toBeLessThanOrEqual((left[i]?.[end] ?? 0) + 1e-9)
        })
      }),
      { numRuns: cases(120) },
    )
  })

  it('believes a sign less where a false alarm holds, of several the least, and never more', () => {
    fc.assert(
      fc.property(request, (one) => {
        for (const { sign, trust, falseAlarms } of look(asked(one)).table) {
          const alarms = falseAlarms
            .filter((alarm) => one.circumstances.includes(alarm))
            .map((alarm) => SIGN_TABLE[sign].falseAlarms[alarm] ?? 1)
          expect(trust).toBe(Math.min(SIGN_TABLE[sign].trust, ...alarms))
        }
      }),
      { numRuns: cases(120) },
    )
  })
})

describe('what to do with it', () => {
  it('is one of four, by how sure it is that the fish keeps as long as it must', () => {
    expect(look({ signs: all(0) }).outcome).toBe('buy')
    expect(look({ fish: 'Piscis oleosus', signs: all(1), keep: { hours: 72, tempC: 4 } }).outcome).toBe('today')
    expect(look({ fish: 'Piscis oleosus', signs: { 'gill-smell': 2 } }).outcome).toBe('ask-for-less')
    expect(look({ fish: 'Piscis oleosus', signs: { 'gill-smell': 2 }, vulnerable: true }).outcome).toBe('walk-away')
    expect(look({ signs: { ...all(3), 'gill-smell': 2, spring: 2, belly: 2 }, use: 'raw' }).outcome).toBe('walk-away')
  })

  it.each(SIGNS_OF_VIEW.whole.filter((sign) => SIGN_TABLE[sign].vetoFrom !== undefined))(
    'is to walk away for %s alone, whatever else is seen or said',
    (sign) => {
      fc.assert(
        fc.property(fc.subarray([...CIRCUMSTANCES]), fc.double({ min: 0.05, max: 2, noNaN: true }), (circumstances, medianIceDays) => {
          const answer = look({ signs: { ...all(0), [sign]: 3 }, circumstances, prior: { medianIceDays, lnSd: 0.3 } })
          expect(answer.outcome).toBe('walk-away')
          expect(answer.vetoes).toEqual([sign])
        }),
        { numRuns: cases(40) },
      )
    },
  )

  it('says why in words', () => {
    const say = (patch: Partial<FreshnessRequest>) => told(look(patch)).sentence
    expect(say({ signs: { ...all(0), 'gill-smell': 3 } })).toBe(
      'Walk away. Smell at the gills: sour, or of ammonia. Nothing else makes up for that.',
    )
    expect(say({ refused: true })).toBe('Walk away: who will not show a fish has a reason.')
    expect(say({ signs: all(0) })).toMatch(
      /^Buy it: 1\.\d+ days on ice behind it \(0\.5 to [\d.]+\), 1\d\.\d days left; sure in 99 of 100\.$/,
    )
  })

  it('is to leave it where they will not show it, and where it would be raw for somebody vulnerable', () => {
    expect(look({ signs: all(0), refused: true })).toMatchObject({ outcome: 'walk-away', vetoes: [] })
    expect(look({ signs: all(0), use: 'raw', vulnerable: true })).toMatchObject({ outcome: 'walk-away', vetoes: [RAW_FOR_THE_VULNERABLE] })
  })

  it('keeps a thawed fish three days less, and half of its time to be eaten raw', () => {
    expect(look({}).keepingDays).toBe(12)
    expect(look({ offer: THAWED.id }).keepingDays).toBe(9)
    expect(look({ offer: THAWED.id, use: 'raw' }).keepingDays).toBe(4.5)
  })

  it('asks for the most telling sign next, and for none of which nothing is believed', () => {
    const { next } = look({ signs: { 'gill-smell': 0 }, circumstances: ['gills-out'] })
    expect(next).not.toContain('gill-smell')
    expect(next).not.toContain('gill-colour')
    expect(next).toHaveLength(8)
    // The smell of the gills tells more than the skin, by hand: variance before less the variance expected after it.
    const fall = (sign: Sign) => {
      const prior = layPrior()
      const { spanOfKeeping, trust } = SIGN_TABLE[sign]
      const reading = { levels: 4, spanDays: 12 * spanOfKeeping, trust }
      const variance = (ages: readonly number[]) => {
        const mean = ages.reduce((sum, w, i) => sum + w * (AGES[i] ?? 0), 0)
        return ages.reduce((sum, w, i) => sum + w * ((AGES[i] ?? 0) - mean) ** 2, 0)
      }
      const weights = SIGN_LEVELS.map((l) => likelihoodOf(reading, l).reduce((sum, chance, i) => sum + chance * (prior[i] ?? 0), 0))
      const total = weights.reduce((a, b) => a + b)
      return (
        variance(prior) -
        SIGN_LEVELS.reduce<number>((sum, l) => sum + ((weights[l] ?? 0) / total) * variance(seeLevel(prior, reading, l)), 0)
      )
    }
    const order = [...SIGNS_OF_VIEW.whole].sort((a, b) => fall(b) - fall(a))
    expect(look({}).next).toEqual(order)
  })

  it('refuses what it cannot judge, with the place', () => {
    expect(refuse({ fish: 'Piscis nullus' })).toEqual(['/fish no fish named "Piscis nullus" in the book'])
    expect(refuse({ offer: 'x' })).toEqual(['/offer no offer "x" of Piscis lentus'])
    expect(refuse({ signs: { drip: 1 } })).toEqual(['/signs/drip drip is no sign of a whole fish'])
    expect(refuse({ view: 'shellfish' })).toEqual(['/view Piscis cannot be looked at as shellfish'])
    expect(refuse({ fish: 'Concha viva' })).toEqual(['/view Concha cannot be looked at as a whole fish'])
  })

  it('looks at shellfish by the animal', () => {
    expect(look({ fish: 'Concha viva', view: 'shellfish', signs: { shells: 3 } })).toMatchObject({
      outcome: 'walk-away',
      vetoes: ['shells'],
    })
  })
})
