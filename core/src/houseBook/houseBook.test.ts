import type { Entry, EntryAct, EntryLine } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays } from '../calendar/index.ts'
import { foldEvents } from '../learn/index.ts'
import { buildOffer } from '../testing/builders.ts'
import { findOutcome, foldActs, leaveOut, LEARNT_KEYS, lookBack, rankLessons, searchBook, toLearnEvents } from './index.ts'
import { cases } from '../testing/cases.ts'

const OFFER = {
  ...buildOffer('Piscis unus'),
  forms: buildOffer('Piscis unus').forms.map((form) => ({ ...form, yieldOfWhole: { low: 0.4, typical: 0.45, high: 0.5 } })),
}
const about = {
  ...{ at: '2026-05-01T20:00:00Z', day: '2026-05-01', servingId: null, dish: 'Stew', method: 'stew' as const },
  ...{ species: OFFER.species, offerId: OFFER.id, form: 'fillet-skinless' as const, merchant: 'Quay', words: null },
}
const note = fc.integer({ min: -2, max: 2 })
const day = fc.integer({ min: 0, max: 700 }).map((n) => addDays('2024-08-01', n))
const base = fc
  .record({ day, dish: fc.constantFrom('Stew', 'Pie', null), merchant: fc.constantFrom('Quay', 'Boats', null) })
  .map((patch) => ({
    ...about,
    ...patch,
    at: `${patch.day}T20:00:00Z`,
  }))
const entry: fc.Arbitrary<Entry> = base.chain((own) =>
  fc.oneof(
    fc.record({ firmness: note, fat: note }).map((notes): Entry => ({
      ...{ kind: 'served', ...own, covers: 4, notes, bones: null, again: null, photo: null },
    })),
    fc.integer({ min: 200, max: 900 }).map((edibleG): Entry => ({ kind: 'weighed', ...own, boughtAs: 'whole', boughtG: 1000, edibleG })),
    fc.constantFrom('bought', 'short', 'not-come', 'ordered').map((state): Entry => ({
      ...{ kind: 'bought', ...own, state: state as 'bought', orderedG: 900, g: 900, perKg: 11, expectedPerKg: 10, currency: 'EUR' },
    })),
    fc.boolean().map((worked): Entry => ({ kind: 'swapped', ...own, missing: 'Piscis alter', standIn: OFFER.species, worked })),
    fc.constantFrom('Softer than it looks', 'Salt it').map((words): Entry => ({ kind: 'lesson', ...own, words })),
    fc.double({ min: 0.2, max: 9, noNaN: true }).map((typical): Entry => ({
      ...{ kind: 'looked', ...own, outcome: 'buy', refused: false, iceDays: { low: typical / 2, typical, high: typical * 2 } },
    })),
  ),
)
const write = (id: string, said: Entry): EntryAct => ({ about: id, act: 'write', entry: said, writtenAt: '2026-05-02T00:00:00Z' })
const act = (id: string, what: 'withdraw' | 'set-aside' | 'count'): EntryAct => ({
  about: id,
  act: what,
  entry: null,
  writtenAt: '2026-05-03T00:00:00Z',
})
const acts = fc.array(
  fc
    .tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.constantFrom('write', 'withdraw', 'set-aside', 'count'), entry)
    .map(([id, what, said]): EntryAct => (what === 'write' ? write(id, said) : act(id, what as 'count'))),
  { maxLength: 16 },
)
const learn = (lines: readonly EntryLine[]) => foldEvents(toLearnEvents(lines), [OFFER])

describe('the house book', () => {
  it('is what was written last of each line, and keeps who is set aside through a correction', () => {
    fc.assert(
      fc.property(acts, (list) => {
        const { lines } = foldActs(list)
        for (const id of ['a', 'b', 'c', 'd']) {
          const own = list.filter(({ about: of }) => of === id)
          const last = own.findLast(({ act: what }) => what === 'write' || what === 'withdraw')
          const line = lines.find((one) => one.id === id)
          expect(line?.entry).toEqual(last?.entry ?? undefined)
        }
      }),
    )
    const again = foldActs([
      write('a', { kind: 'lesson', ...about, words: 'x' }),
      act('a', 'set-aside'),
      write('a', { kind: 'lesson', ...about, words: 'y' }),
    ])
    expect(again.lines).toMatchObject([{ setAside: true, written: 2, entry: { words: 'y' } }])
  })

  it('teaches the same whether a line is set aside or was never written, to the last digit', () => {
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 12 }), fc.nat(11), (entries, at) => {
        const ids = entries.map((_, i) => `line ${i}`)
        const odd = at % entries.length
        const all = entries.map((said, i) => write(ids[i] ?? '', said))
        const without = learn(foldActs(all.filter((_, i) => i !== odd)).lines)
        expect(learn(foldActs([...all, act(ids[odd] ?? '', 'set-aside')]).lines)).toEqual(without)
        expect(learn(foldActs([...all, act(ids[odd] ?? '', 'withdraw')]).lines)).toEqual(without)
        // Counted again it is as if nothing had been done.
        expect(learn(foldActs([...all, act(ids[odd] ?? '', 'set-aside'), act(ids[odd] ?? '', 'count')]).lines)).toEqual(
          learn(foldActs(all).lines),
        )
      }),
      { numRuns: cases(120) },
    )
  })

  it('teaches nothing from a weight that cannot be, nor from what is only ordered', () => {
    const lines = foldActs([
      write('a', { kind: 'weighed', ...about, boughtAs: 'whole', boughtG: 100, edibleG: 100 }),
      write('b', {
        ...{ kind: 'bought', ...about, state: 'ordered', orderedG: 1, g: null, perKg: null, expectedPerKg: null, currency: null },
      }),
    ]).lines
    expect(toLearnEvents(lines)).toEqual([])
  })

  it('leaves out just the learnt values that are set aside', () => {
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 12 }), (entries) => {
        const all = learn(foldActs(entries.map((said, i) => write(String(i), said))).lines)
        expect(leaveOut(all, new Set())).toEqual(all)
        const [trait] = all.traits
        if (!trait) return
        const left = leaveOut(all, new Set([LEARNT_KEYS.trait(trait)]))
        expect(left.traits).toEqual(all.traits.slice(1))
        expect([left.yields, left.merchants, left.swaps]).toEqual([all.yields, all.merchants, all.swaps])
      }),
      { numRuns: cases(100) },
    )
  })
})

const book = (entries: readonly Entry[]) => foldActs(entries.map((said, i) => write(String(i), said))).lines

describe('searching', () => {
  it('finds just the lines in which everything that is asked holds, the newest first', () => {
    const search = fc.record({
      months: fc.option(fc.subarray([1, 2, 3, 6, 7, 11, 12], { minLength: 1 }), { nil: undefined }),
      dish: fc.option(fc.constantFrom('Stew', 'Pie'), { nil: undefined }),
      merchant: fc.option(fc.constant('Quay'), { nil: undefined }),
      outcome: fc.option(fc.constantFrom('good', 'bad'), { nil: undefined }),
    })
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 14 }), search, (entries, asked) => {
        const found = searchBook(book(entries), asked, () => 'gilt fish')
        const wanted = entries.filter(
          (said) =>
            (!asked.months || asked.months.includes(Number(said.day.slice(5, 7)))) &&
            (asked.dish === undefined || said.dish === asked.dish) &&
            (asked.merchant === undefined || said.merchant === asked.merchant) &&
            (asked.outcome === undefined || findOutcome(said) === asked.outcome),
        )
        expect(found).toHaveLength(wanted.length)
        const moments = found.map(({ entry: said }) => said.at)
        expect(moments).toEqual([...moments].sort().reverse())
      }),
      { numRuns: cases(120) },
    )
  })

  it('reads words without their case and their marks, in names as they are sold too', () => {
    const lines = book([{ kind: 'lesson', ...about, words: 'Crème under it' }])
    expect(searchBook(lines, { text: 'creme GILT' }, () => 'Gilt fish')).toHaveLength(1)
    expect(searchBook(lines, { text: 'creme cod' }, () => 'Gilt fish')).toHaveLength(0)
  })
})

describe('lessons', () => {
  const lesson = (words: string, patch: Partial<typeof about> = {}): Entry => ({ kind: 'lesson', ...about, ...patch, words })
  const ask = (entries: readonly Entry[], subject = { dish: 'Stew', species: OFFER.species } as object) =>
    rankLessons(book(entries), subject, '2026-05-02', 5).map(({ entry: said }) => said.words)

  it('come with the most telling first; of two alike the newer, and the one about this dish with this fish', () => {
    expect(ask([lesson('old', { day: '2024-05-01' }), lesson('new')])).toEqual(['new', 'old'])
    expect(ask([lesson('another dish', { dish: 'Pie' }), lesson('this one')])).toEqual(['this one', 'another dish'])
    expect(ask([lesson('not about it', { dish: 'Pie', species: 'Piscis alter' })])).toEqual([])
  })

  it('say nothing of what went as it should, nor of what is set aside', () => {
    const fine: Entry = { kind: 'served', ...about, covers: 2, notes: { firmness: 0 }, bones: 'none', again: true, photo: null }
    expect(ask([fine])).toEqual([])
    const odd = foldActs([write('a', lesson('odd')), act('a', 'set-aside')]).lines
    expect(rankLessons(odd, { dish: 'Stew' }, '2026-05-02', 5)).toEqual([])
  })
})

describe('looking back', () => {
  it('counts every line of its days once, and none that is set aside', () => {
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 16 }), day, day, (entries, a, b) => {
        const [from, to] = [a, b].sort() as [string, string]
        const within = entries.filter((said) => from <= said.day && said.day <= to)
        const back = lookBack(book(entries), { from, to }, { offers: [OFFER], rest: [] })
        const of = (kind: Entry['kind']) => within.filter((said) => said.kind === kind)
        expect(back.services.dishes).toBe(of('served').length)
        expect(back.swaps.reduce((sum, { n }) => sum + n, 0)).toBe(of('swapped').length)
        const came = of('bought').filter((said) => said.kind === 'bought' && said.state !== 'ordered' && said.merchant !== null)
        expect(back.merchants.reduce((sum, { lines }) => sum + lines, 0)).toBe(came.length)
        expect(back.yields).toHaveLength(of('weighed').length)
      }),
      { numRuns: cases(120) },
    )
  })

  it('adds up what the rest saved by currency, and what went where by months', () => {
    const kept = (end: 'used' | 'thrown', g: number, on: string): Entry => ({ kind: 'kept', ...about, day: on, end, g, days: 2 })
    const rest = [
      { day: '2026-05-03', g: 400, worth: { currency: 'EUR', amount: 1.5 } },
      { day: '2026-05-09', g: 100, worth: { currency: 'EUR', amount: 0.5 } },
      { day: '2026-06-09', g: 100, worth: null },
    ]
    const lines = book([kept('used', 500, '2026-05-02'), kept('thrown', 200, '2026-05-20'), kept('used', 50, '2026-06-01')])
    const { fish, saved } = lookBack(lines, { from: '2026-05-01', to: '2026-06-30' }, { offers: [OFFER], rest })
    expect(fish).toEqual([
      { month: '2026-05', usedG: 500, thrownG: 200, restG: 500 },
      { month: '2026-06', usedG: 50, thrownG: 0, restG: 100 },
    ])
    expect(saved).toEqual([{ currency: 'EUR', amount: 2 }])
  })
})
