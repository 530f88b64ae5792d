import type { Entry, FleshKey, ServingInput } from '@tender-gill/contract'
import { FLESH_KEYS } from '@tender-gill/contract/vocabulary'
import { addDays } from '@tender-gill/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Step } from '../documents/index.ts'
import { describePlace } from './describePlace.ts'
import { describeStep } from './describeStep.ts'
import {
  countEntries,
  describeEntry,
  describeEntryDay,
  describeLesson,
  describeWithWords,
  sayDeliveries,
  sayHouseSwap,
  sayLearnt,
  sayNote,
} from './entryWords.ts'
import { EXPLAINED } from './explained.ts'
import { EXPLANATIONS } from './explanations.ts'
import { nameWeekday, sayDay, sayOrder, WEEKDAYS } from './orderWords.ts'
import { readLocalTime } from './readLocalTime.ts'

const TODAY = '2026-06-13'
const NAMES: Readonly<Record<string, string>> = { 'Gadus morhua': 'cod', 'Pollachius virens': 'saithe' }
const nameOf = (species: string): string => NAMES[species] ?? species
const about = {
  ...{ at: '2026-06-12T18:00:00.000Z', day: '2026-06-12', servingId: null, dish: 'Stew', method: 'stew' as const, species: 'Gadus morhua' },
  ...{ offerId: null, form: null, merchant: null, words: null },
}
type Of<K extends Entry['kind']> = Omit<Extract<Entry, { kind: K }>, keyof typeof about | 'kind'>
const entry = <K extends Entry['kind']>(kind: K, rest: Of<K>, patch: object = {}): Entry =>
  ({ kind, ...about, ...rest, ...patch }) as unknown as Entry
const say = (one: Entry): string => describeEntry(one, nameOf)

describe('an entry in a few words', () => {
  const bought = { state: 'bought' as const, orderedG: 2_000, g: 2_000, perKg: 18, expectedPerKg: 16, currency: 'EUR' }
  it('says what was bought, at what, and what was expected', () => {
    expect(say(entry('bought', bought))).toBe('Bought 2.00 kg at €18.00 a kilo, €16.00 a kilo expected')
    expect(say(entry('bought', { ...bought, perKg: null }))).toBe('Bought 2.00 kg')
    expect(say(entry('bought', { ...bought, expectedPerKg: null }))).not.toContain('expected')
    expect(say(entry('bought', { ...bought, state: 'short', g: 1_400 }))).toMatch(/^Came short: 1\.40 kg/)
    expect(say(entry('bought', { ...bought, state: 'not-come' }))).toBe('Did not come')
  })

  it('says how it looked and what was done about it', () => {
    const looked = { outcome: 'walk-away' as const, refused: false, iceDays: { low: 7, typical: 8.25, high: 10 } }
    expect(say(entry('looked', looked))).toBe('Looked at: walked away, about 8.3 days on ice')
    expect(say(entry('looked', { ...looked, outcome: 'buy', iceDays: null }))).toBe('Looked at: bought')
    expect(say(entry('looked', { ...looked, refused: true }))).toBe('They would not show it')
  })

  it('says how long it was kept, one day as one day', () => {
    expect(say(entry('kept', { end: 'used', g: 800, days: 1 }))).toBe('Used 800 g after 1 day')
    expect(say(entry('kept', { end: 'thrown', g: 800, days: 2.5 }))).toBe('Thrown away: 800 g after 2.5 days')
  })

  it('says what came out of what, as a share', () => {
    const weighed = entry('weighed', { boughtAs: 'whole', boughtG: 2_000, edibleG: 900 }, { form: 'fillet-skinless' })
    expect(say(weighed)).toMatch(/^900 g .* out of 2\.00 kg .*, 45 of 100$/)
  })

  it('says how it was cooked, and against what', () => {
    const cooked = { done: 'over' as const, minutes: 9, sheetMinutes: { low: 6, typical: 7, high: 8 }, pullC: 62, sheetPullC: null }
    expect(say(entry('cooked', cooked))).toBe('Overdone, 9 min, the sheet said 6 to 8, out at 62 °C')
    expect(say(entry('cooked', { ...cooked, done: null, minutes: null, pullC: null }))).toBe('Cooked')
  })

  it('says what of the flesh was otherwise than the book, and nothing of what was as it says', () => {
    const served = { covers: 12, notes: { firmness: -2, fat: 1, flake: 0 }, bones: 'few' as const, again: true, photo: null }
    expect(say(entry('served', served))).toBe('Much softer, fatter, a few bones, would take it again')
    expect(say(entry('served', { ...served, notes: { firmness: 0 }, bones: null, again: false }))).toBe(
      'As the book says, would not take it again',
    )
    expect(say(entry('served', { ...served, notes: {}, bones: null, again: null }))).toBe('Served for 12')
  })

  it('counts what came back, and says how a swap went', () => {
    expect(say(entry('came-back', { portions: 1 }))).toBe('1 portion came back')
    expect(say(entry('came-back', { portions: 3 }))).toBe('3 portions came back')
    const swap = { missing: 'Gadus morhua', standIn: 'Pollachius virens', worked: true }
    expect(say(entry('swapped', swap))).toBe('Saithe for cod, stewed in a pot: it worked')
    expect(say(entry('swapped', { ...swap, worked: false }, { method: null }))).toBe('Saithe for cod: it did not work')
    expect(say(entry('swapped', { ...swap, worked: null }, { method: null }))).toBe('Saithe for cod')
    expect(describeWithWords(entry('swapped', { ...swap, worked: null }, { method: null, words: 'dry it' }), nameOf)).toBe(
      'Saithe for cod; “dry it”',
    )
  })

  it('is a lesson in its own words alone', () => {
    expect(say(entry('lesson', {}, { words: 'salt it later' }))).toBe('salt it later')
    expect(describeLesson(entry('lesson', {}, { words: 'salt it later' }), nameOf, TODAY)).toMatch(/, cod: salt it later$/)
  })

  it('as a lesson names the day, the fish and the words beside it, a swap without naming its fish twice', () => {
    const line = describeLesson(entry('came-back', { portions: 2 }, { words: 'too salt' }), nameOf, TODAY)
    expect(line).toMatch(/, cod: 2 portions came back; “too salt”$/)
    const swap = describeLesson(entry('swapped', { missing: 'Gadus morhua', standIn: 'Pollachius virens', worked: true }), nameOf, TODAY)
    expect(swap).not.toContain('cod: ')
    expect(describeEntryDay('2026-03-02', TODAY)).not.toContain('2026')
    expect(describeEntryDay('2025-03-02', TODAY)).toContain('2025')
  })
})

describe('what a house learnt', () => {
  it('is the same trait less or more, and much so at its ends', () => {
    fc.assert(
      fc.property(fc.constantFrom<FleshKey>(...FLESH_KEYS), fc.constantFrom(-2, -1, 1, 2), (trait, note) => {
        expect(sayNote(trait, note).startsWith('much ')).toBe(Math.abs(note) === 2)
        expect(sayNote(trait, note)).not.toBe(sayNote(trait, -note))
        expect(sayNote(trait, note).replace('much ', '')).toBe(sayNote(trait, Math.sign(note)))
      }),
    )
    expect(sayNote('fat', 0)).toBe('as the book says')
  })

  it('says on which side of the book it lies, or that it lies with it, and from how much', () => {
    const book = { low: 4, typical: 5, high: 6 }
    expect(sayLearnt('firmness', { typical: 3.5 }, { n: 6, book } as never)).toBe('house: softer than the book, from 6 servings')
    expect(sayLearnt('firmness', { typical: 7 }, { n: 1, book } as never)).toBe('house: firmer than the book, from 1 serving')
    expect(sayLearnt('firmness', { typical: 5.01 }, { n: 2, book } as never)).toBe('house: as the book has it, from 2 servings')
  })

  it('counts tries and lines as people do', () => {
    expect(sayHouseSwap({ worked: 1, n: 1 })).toBe('house: it worked the one time it was tried')
    expect(sayHouseSwap({ worked: 0, n: 1 })).toBe('house: it did not work the one time it was tried')
    expect(sayHouseSwap({ worked: 2, n: 5 })).toBe('house: it worked 2 of 5 times')
    expect(sayDeliveries({ n: 40, failChance: 0.075 })).toBe('house: 8 of 100 lines do not come as ordered, from 40 lines')
    expect(sayDeliveries({ n: 1, failChance: 0.001 })).toBe('house: 1 of 100 lines do not come as ordered, from 1 line')
    expect([countEntries(1), countEntries(2), countEntries(0)]).toEqual(['1 entry', '2 entries', '0 entries'])
  })
})

describe('a day as a kitchen says it', () => {
  it('is today, tomorrow, a weekday within the week, and a date beyond and before', () => {
    expect(sayDay(TODAY, TODAY)).toBe('today')
    expect(sayDay(addDays(TODAY, 1), TODAY)).toBe('tomorrow')
    for (let ahead = 2; ahead < 7; ahead += 1) expect(WEEKDAYS).toContain(sayDay(addDays(TODAY, ahead), TODAY))
    expect(WEEKDAYS).not.toContain(sayDay(addDays(TODAY, 7), TODAY))
    expect(WEEKDAYS).not.toContain(sayDay(addDays(TODAY, -1), TODAY))
    expect(nameWeekday(TODAY)).toBe('Saturday')
  })

  it('names no two days of a week alike', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), (offset) => {
        const today = addDays('2000-01-01', offset)
        const said = Array.from({ length: 7 }, (_, ahead) => sayDay(addDays(today, ahead), today))
        expect(new Set(said).size).toBe(7)
      }),
      { numRuns: 60 },
    )
  })

  it('says until when to order, and for which day', () => {
    const order = { delivery: addDays(TODAY, 3), orderBy: { date: TODAY, time: '21:00' } } as Parameters<typeof sayOrder>[0]
    expect(sayOrder(order, TODAY)).toBe('order by 21:00 today for Tuesday')
  })

  it('is told by the clock of its own zone', () => {
    const at = new Date('2026-06-13T22:30:00Z')
    expect(readLocalTime('UTC', at)).toBe('22:30')
    expect(readLocalTime('Europe/Copenhagen', at)).toBe('00:30')
    expect(readLocalTime('America/New_York', at)).toBe('18:30')
  })
})

describe('where a stock lives', () => {
  it('is its water and its gear, or the farm', () => {
    const place = (patch: object) => describePlace({ origin: 'wild', water: null, gear: null, ...patch } as never)
    expect(place({ water: 'Marrow Sound', gear: 'longline' })).toBe('Marrow Sound, by longline')
    expect(place({})).toBe('any water')
    expect(place({ gear: 'trap' })).toBe('any water, by trap')
    expect(place({ origin: 'farmed', water: 'Marrow Sound' })).toBe('farmed')
  })
})

describe('one change in a few words', () => {
  const brief = { dish: 'Stew', method: 'stew', format: 'chunk', covers: 4 } as const
  const choice = { offerId: 'gadus-morhua.wild.fresh.body', form: 'whole' }
  const step = (before: object, after: object): Step => ({ kind: 'serving', id: 'a', before, after, at: 0 }) as unknown as Step
  const input = (patch: Partial<ServingInput>) => ({ brief, ...patch }) as ServingInput

  it('is the fish that was taken or let go, before anything else that changed', () => {
    expect(describeStep(step(input({ choice: null }), input({ choice: choice as never })))).toBe('taking another fish for Stew')
    expect(describeStep(step(input({ choice: choice as never }), input({ choice: null })))).toBe('letting the fish of Stew go')
  })

  it('is what changed of the brief, or that something did', () => {
    expect(describeStep(step(input({}), input({ brief: { ...brief, covers: 9 } as never })))).toMatch(/9/)
    expect(describeStep(step(input({}), input({})))).toBe('a change of Stew')
  })

  it('names what it was a change of where it was no dish', () => {
    const other = (kind: string) => describeStep({ kind, id: 'a', before: {}, after: {}, at: 0 } as unknown as Step)
    const said = ['season', 'stock', 'merchant', 'leanings'].map(other)
    expect(new Set(said).size).toBe(4)
    for (const words of said) expect(words).toMatch(/^a change of /)
  })
})

describe('explanations', () => {
  it('are written for everything that can be explained, and for nothing else', () => {
    expect(Object.keys(EXPLANATIONS).sort()).toEqual(Object.keys(EXPLAINED).sort())
    for (const said of Object.values(EXPLANATIONS)) expect(JSON.stringify(said).length).toBeGreaterThan(60)
  })
})
