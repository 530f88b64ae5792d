import type { Entry, ServedDish } from '@tender-gill/contract'
import { servedLine } from '@tender-gill/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  ALL_WELL,
  ASKED_TRAITS,
  EMPTY_DRAFT,
  isOverweight,
  isWritten,
  MORE_TRAITS,
  readDraft,
  toEntries,
  toWrittenBefore,
  type ServedDraft,
} from './servedDraft.ts'

const KEY = 'a-serving'
const MOMENT = { day: '2026-06-13', at: '2026-06-13T21:00:00.000Z', sheet: { minutes: { low: 6, typical: 7, high: 8 }, pullC: 54 } }
const dishOf = (patch: Partial<ServedDish> = {}): ServedDish => ({
  ...{
    key: KEY,
    servingId: KEY,
    dish: 'Stew',
    method: 'stew',
    format: 'chunk',
    covers: 12,
    missing: null,
    merchant: 'quay',
    boughtG: null,
  },
  fish: {
    ...{ species: 'Gadus morhua', common: 'Atlantic cod', offerId: 'gadus-morhua.wild.fresh.body', offer: 'wild, fresh' },
    ...{ form: 'whole', taken: true, weighedAs: 'fillet-skinless' },
  },
  lines: [],
  ...patch,
})
const written = (dish: ServedDish, draft: ServedDraft) => toEntries(dish, draft, MOMENT)
/** The dish once what was written of it is kept: withdrawn lines are gone. */
const keep = (dish: ServedDish, entries: ReturnType<typeof written>): ServedDish => {
  const lines = new Map(dish.lines.map((line) => [line.id, line]))
  for (const { id, entry } of entries) {
    if (entry) lines.set(id, { ...lines.get(id), id, entry } as ServedDish['lines'][number])
    else lines.delete(id)
  }
  return { ...dish, lines: [...lines.values()] }
}
const kinds = (entries: ReturnType<typeof written>) => entries.flatMap(({ entry }) => (entry ? [entry.kind] : []))

const note = fc.constantFrom(-2, -1, 0, 1, 2)
const perhaps = <T>(of: fc.Arbitrary<T>) => fc.option(of)
const draftArbitrary: fc.Arbitrary<ServedDraft> = fc.record({
  notes: fc.record({ firmness: note, flake: note, flavour: note, cohesion: note, fat: note }, { requiredKeys: [] }),
  bones: perhaps(fc.constantFrom('none' as const, 'few' as const, 'many' as const)),
  done: perhaps(fc.constantFrom('under' as const, 'right' as const, 'over' as const)),
  again: perhaps(fc.boolean()),
  minutes: perhaps(fc.integer({ min: 1, max: 90 })),
  pullC: perhaps(fc.integer({ min: 30, max: 80 })),
  boughtG: perhaps(fc.integer({ min: 100, max: 9_000 })),
  edibleG: perhaps(fc.integer({ min: 50, max: 9_000 })),
  portionsBack: perhaps(fc.integer({ min: 1, max: 40 })),
  words: fc.constantFrom('', 'salt it later', 'a colder pan'),
  photo: perhaps(fc.constantFrom('a', 'b')),
})

describe('what is written of a dish after service', () => {
  it('reads back as it was answered, but for a weight that cannot be', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const back = readDraft(keep(dishOf(), written(dishOf(), draft)))
        const { boughtG, edibleG, ...rest } = back
        const { boughtG: saidBought, edibleG: saidEdible, ...said } = draft
        expect(rest).toEqual(said)
        const isWeighed = saidBought !== null && saidEdible !== null && !isOverweight(draft)
        expect([boughtG, edibleG]).toEqual(isWeighed ? [saidBought, saidEdible] : [null, null])
      }),
    )
  })

  it('has one line of each kind, by the names that every device gives them', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, (first, second) => {
        const once = keep(dishOf(), written(dishOf(), first))
        const twice = keep(once, written(once, second))
        expect(new Set(twice.lines.map(({ id }) => id)).size).toBe(twice.lines.length)
        for (const { id, entry } of twice.lines) expect(id).toBe(servedLine(KEY, (entry as Entry).kind as 'served'))
        // What was answered last is what stands, whatever was before.
        expect(twice.lines.map(({ id, entry }) => [id, entry])).toEqual(
          expect.arrayContaining(keep(dishOf(), written(dishOf(), second)).lines.map(({ id, entry }) => [id, entry])),
        )
        expect(twice.lines).toHaveLength(keep(dishOf(), written(dishOf(), second)).lines.length)
      }),
    )
  })

  it('is put back as it was by what was written before', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, (first, second) => {
        const before = keep(dishOf(), written(dishOf(), first))
        const acts = written(before, second)
        const after = keep(keep(before, acts), toWrittenBefore(before, acts))
        const plain = ({ lines }: ServedDish) => lines.map(({ id, entry }) => JSON.stringify([id, entry])).sort()
        expect(plain(after)).toEqual(plain(before))
      }),
    )
  })

  it('is one line where all went as the book says, and says so of every trait that is asked', () => {
    const entries = written(dishOf(), { ...EMPTY_DRAFT, ...ALL_WELL })
    expect(kinds(entries)).toEqual(['served', 'cooked'])
    expect(Object.keys(ALL_WELL.notes).sort()).toEqual([...ASKED_TRAITS, ...MORE_TRAITS].sort())
    expect(Object.values(ALL_WELL.notes).every((said) => said === 0)).toBe(true)
    expect(isWritten(dishOf())).toBe(false)
    expect(isWritten(keep(dishOf(), entries))).toBe(true)
  })

  it('says nothing that nobody answered: only that it was served', () => {
    expect(kinds(written(dishOf(), EMPTY_DRAFT))).toEqual(['served'])
    expect(kinds(written(dishOf(), { ...EMPTY_DRAFT, words: '   ' }))).toEqual(['served'])
    expect(kinds(written(dishOf(), { ...EMPTY_DRAFT, portionsBack: 0 }))).toEqual(['served'])
  })

  it('withdraws a line whose answer was taken back', () => {
    const before = keep(dishOf(), written(dishOf(), { ...EMPTY_DRAFT, words: 'salt it later', portionsBack: 2 }))
    const acts = written(before, EMPTY_DRAFT)
    expect(acts.filter(({ entry }) => entry === null).map(({ id }) => id)).toEqual([
      servedLine(KEY, 'came-back'),
      servedLine(KEY, 'lesson'),
    ])
    expect(keep(before, acts).lines.map(({ entry }) => (entry as Entry).kind)).toEqual(['served'])
  })

  it('tells how a swap went where another fish was meant, by whether it would be taken again', () => {
    const missing = { species: 'Pollachius virens', common: 'Saithe' }
    for (const again of [true, false, null]) {
      const swap = written(dishOf({ missing }), { ...EMPTY_DRAFT, again }).find(({ entry }) => entry?.kind === 'swapped')?.entry
      expect(swap).toMatchObject({ missing: 'Pollachius virens', standIn: 'Gadus morhua', worked: again })
    }
    expect(kinds(written(dishOf({ missing, fish: null }), EMPTY_DRAFT))).toEqual(['served'])
  })

  it('weighs nothing of a fish whose cut is weighed in no way, and holds minutes against the sheet', () => {
    const weighed = { ...EMPTY_DRAFT, boughtG: 1_000, edibleG: 500, minutes: 9 }
    const dish = dishOf()
    const unweighed = dishOf({ fish: dish.fish && { ...dish.fish, weighedAs: null } })
    expect(kinds(written(dish, weighed))).toContain('weighed')
    expect(kinds(written(unweighed, weighed))).not.toContain('weighed')
    const cooked = written(dish, weighed).find(({ entry }) => entry?.kind === 'cooked')?.entry
    expect(cooked).toMatchObject({ minutes: 9, sheetMinutes: MOMENT.sheet.minutes, sheetPullC: 54 })
    expect(toEntries(dish, weighed, { ...MOMENT, sheet: null }).find(({ entry }) => entry?.kind === 'cooked')?.entry).toMatchObject({
      sheetMinutes: null,
      sheetPullC: null,
    })
  })

  it('takes what came of it as what was bought, until somebody says otherwise', () => {
    expect(readDraft(dishOf({ boughtG: 2_400 })).boughtG).toBe(2_400)
    expect(isOverweight({ boughtG: 1_000, edibleG: 1_000 })).toBe(true)
    expect(isOverweight({ boughtG: 1_000, edibleG: 999 })).toBe(false)
    expect(isOverweight({ boughtG: null, edibleG: 999 })).toBe(false)
  })
})
