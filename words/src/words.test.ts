import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { FORMATS, METHODS, type Brief, type Fact, type Untold } from '@tender-gill/contract'
import {
  celsius,
  FACT_PARAMS,
  figure,
  length,
  mass,
  minutes,
  money,
  rankLineUp,
  findStandIns,
  say,
  share,
  term,
  trait,
  type FactCode,
} from '@tender-gill/core'
import { createOfferSheet } from '@tender-gill/catalogue'
import IntlMessageFormat from 'intl-messageformat'
import { describe, expect, it } from 'vitest'
import { EN_FACTS } from './en/facts/index.ts'
import { EN_TERMS } from './en/terms/index.ts'
import { createWords, DEFAULT_READER, nameReader, readReader, termsOf, type Reader } from './index.ts'
import { makeStrange } from './makeStrange.ts'
import {
  formatExactMass,
  formatLength,
  formatMass,
  formatMassPrice,
  formatMassToBuy,
  formatMoney,
  formatMoneyRange,
  formatTemperature,
} from './plain.ts'

const us: Reader = { ...DEFAULT_READER, units: 'us' }
const words = createWords()

/** The names of the arguments of a message, however deep. */
function namesIn(message: string): ReadonlySet<string> {
  const found = new Set<string>()
  const walk = (parts: readonly object[]) => {
    for (const part of parts as readonly { type: number; value?: string; options?: Record<string, { value: object[] }> }[]) {
      // 0 is plain text, 7 the figure of a plural.
      if (part.type !== 0 && part.type !== 7 && part.value !== undefined) found.add(part.value)
      for (const { value } of Object.values(part.options ?? {})) walk(value)
    }
  }
  walk(new IntlMessageFormat(message, 'en').getAst())
  return found
}

/** What a message says in plain text, however deep, its arguments left out. */
function textsIn(message: string): readonly string[] {
  const found: string[] = []
  const walk = (parts: readonly object[]) => {
    for (const part of parts as readonly { type: number; value?: string; options?: Record<string, { value: object[] }> }[]) {
      if (part.type === 0 && part.value !== undefined) found.push(part.value)
      for (const { value } of Object.values(part.options ?? {})) walk(value)
    }
  }
  walk(new IntlMessageFormat(message, 'en').getAst())
  return found
}
/** Words of the inside, from the list that people read too. */
const INSIDE = [
  ...(readFileSync(new URL('../../docs/WORDS.md', import.meta.url), 'utf8').split('## Never before people')[1] ?? '').matchAll(
    /`([^`]+)`/g,
  ),
].map(([, word]) => word ?? '')

describe('the catalogue of messages', () => {
  it('says no word of the inside, as docs/WORDS.md lists them', () => {
    expect(INSIDE.length).toBeGreaterThan(10)
    const said = new RegExp(`\\b(?:${INSIDE.join('|')})\\b`, 'i')
    const termsSaid = (value: unknown): readonly string[] =>
      typeof value === 'string' ? [value] : typeof value === 'object' && value !== null ? Object.values(value).flatMap(termsSaid) : []
    expect([...Object.values(EN_FACTS).flatMap(textsIn), ...termsSaid(EN_TERMS)].filter((text) => said.test(text))).toEqual([])
    expect(said.test('its hash is wrong')).toBe(true)
  })

  it('says every fact with exactly the parameters it has, at the beginning of a sentence or within it', () => {
    for (const [code, params] of Object.entries(FACT_PARAMS)) {
      const names = [...namesIn(EN_FACTS[code as FactCode])]
        .filter((name) => name !== 'units')
        .map((name) => (name[0] ?? '').toLowerCase() + name.slice(1))
      expect([...new Set(names)].sort(), code).toEqual([...params].sort())
    }
  })

  it('writes numbers, names and lists into their places', () => {
    expect(words.say(say('gate.size', { from: mass(900), to: mass(2400), wanted: 'x' }))).toBe(
      'Sold at 900 g to 2.4 kg; the dish wants a whole fish of x.',
    )
    expect(words.say(say('must.unknown', { ask: term('ask', 'rawBite') }))).toBe(
      'Raw bite is not known for this fish, and the dish must have it.',
    )
    expect(words.say(say('open.must', { ask: term('ask', 'rawBite') }))).toBe('raw bite is no must')
    expect(words.say(say('open.if', { changes: [say('open.skin'), say('open.month', { month: term('month', '5') })] }))).toBe(
      'Comes in if the skin need not be eaten, and it is bought in May.',
    )
    expect(words.say(say('open.keeping', { hours: 1 }))).toContain('one hour')
    expect(words.say(say('open.keeping', { hours: 30 }))).toContain('30 hours')
    expect(words.say(say('gate.absent', { day: term('day', '2026-06-16') }))).toBe('The kitchen does without it until 16 June.')
  })

  it('tells two values of a trait apart by their figures where words make them one', () => {
    const edge = (to: number, was: number) =>
      words.say(say('turn.edge.to', { fish: 'Hake', ask: term('ask', 'firmness'), to: trait('firmness', to), was: trait('firmness', was) }))
    expect(edge(7.5, 6)).toContain('firm (7.5) instead of firm (6)')
    expect(edge(6.012, 6)).toContain('up to 6.012 instead of 6.')
  })

  it('says of the least move which way it goes, and not from a figure to the same', () => {
    const said = words.say(say('turn.edge.any.to.less', { fish: 'Hake', ask: term('ask', 'fat'), was: trait('fat', 14) }))
    expect(said).toBe('Hake goes first as soon as fat is wanted up to anything below 14 g in 100 g.')
    expect(words.say(say('turn.pull.any.more', { fish: 'Hake', ask: term('ask', 'fat'), was: figure(2, 1) }))).toBe(
      'Hake goes first as soon as fat matters more than 2 of 5.',
    )
  })
})

describe('quantities', () => {
  it('are metric or US, rounded as a cook reads them', () => {
    expect([formatMass(240, DEFAULT_READER), formatMass(9310, DEFAULT_READER), formatExactMass(9310, DEFAULT_READER)]).toEqual([
      '240 g',
      '9.3 kg',
      '9.31 kg',
    ])
    expect([formatMass(100, us), formatMass(240, us), formatMass(9310, us), formatExactMass(9310, us)]).toEqual([
      '4 oz',
      '8 oz',
      '20.5 lb',
      '20.53 lb',
    ])
    expect([formatLength(25.4, DEFAULT_READER), formatLength(25.4, us), formatLength(20, us)]).toEqual(['25 mm', '1 in', '0.79 in'])
    expect([formatTemperature(63, DEFAULT_READER), formatTemperature(63, us), formatTemperature(-20, us)]).toEqual([
      '63 °C',
      '145 °F',
      '-4 °F',
    ])
    expect(formatMassPrice(22.0462, 'EUR', termsOf('en'), us)).toBe('€10.00 a pound')
  })

  it('keep their order: more is never written as less, in either units', () => {
    const toGrams = (text: string) => {
      const [figure = '', unit = ''] = text.split(' ')
      return Number(figure) * ({ g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }[unit] ?? Number.NaN)
    }
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 50_000, noNaN: true }),
        fc.double({ min: 20, max: 50_000, noNaN: true }),
        fc.constantFrom(us, DEFAULT_READER),
        (a, b, reader) => {
          const [less, more] = a < b ? [a, b] : [b, a]
          expect(toGrams(formatMass(more, reader))).toBeGreaterThanOrEqual(toGrams(formatMass(less, reader)) - 1e-9)
          expect(Math.abs(toGrams(formatExactMass(a, reader)) / a - 1)).toBeLessThan(0.06)
        },
      ),
      { seed: 601 },
    )
  })

  it('to buy are never written as less than they are, and no more than a hundredth above', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 50_000, noNaN: true }), fc.constantFrom(us, DEFAULT_READER), (g, reader) => {
        const [figure = '', unit = ''] = formatMassToBuy(g, reader).split(' ')
        const bought = Number(figure) * ({ g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }[unit] ?? Number.NaN)
        expect(bought).toBeGreaterThanOrEqual(g - 1e-6 * g)
        expect(bought / g).toBeLessThan(1.03)
      }),
      { seed: 602 },
    )
  })

  it('have money one way: with its sign, or with its code where a reader wants that', () => {
    expect([
      formatMoney(3.45, 'EUR', DEFAULT_READER),
      formatMoney(3.45, 'EUR', { money: 'code' }),
      formatMoney(3.45, null, DEFAULT_READER),
    ]).toEqual(['€3.45', '3.45 EUR', '3.45'])
    expect(words.say(say('gate.budget', { cost: money(4.5, 'GBP'), budget: money(4, 'GBP') }))).toBe(
      'A portion costs about £4.50; the budget is £4.00.',
    )
  })

  it('have the sign or the code of a range of money once', () => {
    const range = (money: Reader['money'], currency: string) =>
      formatMoneyRange(3.5, 4.25, currency, termsOf('en'), { ...DEFAULT_READER, money })
    expect([range('symbol', 'EUR'), range('code', 'EUR'), range('symbol', 'JPY')]).toEqual(['€3.50 to 4.25', '3.50 to 4.25 EUR', '¥4 to 4'])
  })

  it('reach every sentence', () => {
    const facts: readonly Fact[] = [
      say('gate.too-thin', { depth: length(12), cut: length(30) }),
      say('caution.doneness.through', { temperature: celsius(63) }),
      say('change.weight', { now: mass(500), was: mass(900) }),
      say('change.brine', { minutes: minutes(15), salt: share(0.05) }),
    ]
    expect(facts.map(createWords(us).say).join(' ')).not.toMatch(/\d (g|kg|mm|°C)\b/)
    expect(facts.map(words.say).join(' ')).not.toMatch(/\d (oz|lb|in|°F)\b/)
  })
})

describe('a reader', () => {
  it('has a short name, and what is not understood is as it is by default', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('en', 'pseudo'),
        fc.constantFrom('metric', 'us'),
        fc.constantFrom('symbol', 'code'),
        (language, units, paid) => {
          const reader = { language, units, money: paid } as Reader
          expect(readReader(nameReader(reader))).toEqual(reader)
        },
      ),
    )
    for (const odd of [undefined, '', 'klingon', ',,,', 'us,us', '__proto__']) expect(readReader(odd).language).toBe('en')
  })
})

describe('answers', () => {
  const sheet = createOfferSheet('2026-06-13')
  const everything = (language: Reader['language']) => createWords({ ...DEFAULT_READER, language })
  const isUntold = (value: unknown): boolean =>
    typeof value === 'object' && value !== null && (('code' in value && 'params' in value) || Object.values(value).some(isUntold))

  it('are told whole: no fact is left, and an answer without any is not copied', () => {
    for (const method of METHODS) {
      const brief: Brief = {
        dish: 'Told',
        method,
        format: FORMATS.find((format) => format === 'portion') ?? 'portion',
        diners: { children: 1, pregnant: 1 },
        covers: 4,
        draws: 20,
      }
      const answer = rankLineUp(brief, sheet, { today: '2026-06-13', shares: false })
      expect(isUntold(words.tell(answer)), method).toBe(false)
    }
    const plain = { a: [1, { b: 'c' }], d: null }
    expect(words.tell(plain)).toBe(plain)
    expect(words.tell('kept by an earlier version')).toBe('kept by an earlier version')
  })

  it('are made of nothing but messages: in the strange language no sentence is in plain English', () => {
    const brief = {
      dish: 'Strange',
      method: 'grill' as const,
      format: 'steak' as const,
      missing: 'Xiphias gladius',
      draws: 20,
      keep: { hours: 40, tempC: 6 },
    }
    const found = findStandIns(brief, sheet, { today: '2026-06-13' })
    if (!found.ok) throw new Error('no answer')
    const sentences: string[] = []
    const gather = (before: unknown, after: unknown): void => {
      if (typeof before !== 'object' || before === null) return
      if (typeof after === 'string') sentences.push(after)
      else for (const key of Object.keys(before)) gather((before as Record<string, unknown>)[key], (after as Record<string, unknown>)[key])
    }
    gather(found.value, everything('pseudo').tell(found.value as Untold<object>))
    expect(sentences.length).toBeGreaterThan(200)
    for (const sentence of sentences) expect(sentence).not.toMatch(/\b(the|and|not|than|asked|wanted|is)\b/)
    expect(makeStrange('Buy {now} now')).toBe('Büÿ {now} ñøw')
  })
})
