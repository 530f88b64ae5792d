import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import type { EntryLine } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeEntry, sayHouseSwap, sayLearnt } from '../../parts/entryWords.ts'
import { openPage } from '../../testing/openPage.tsx'
import type { RealServer, TestKitchen } from '../../testing/realServer.ts'
import { askSo, listMoved } from './Leaning.tsx'
import { sayAgainst, sayFish } from './lookBackWords.ts'
import { ALL_WELL, EMPTY_DRAFT, isWritten, readDraft, toEntries, type ServedDraft } from './servedDraft.ts'

const COD = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' } as const
const KITCHEN: TestKitchen = {
  dishes: [
    {
      id: 'a',
      choice: COD,
      brief: { dish: 'Supper', method: 'pan-sear', format: 'fillet-skin-on', covers: 10, date: '2026-06-13', draws: 200 },
    },
  ],
}
const lines = async (server: RealServer): Promise<readonly EntryLine[]> =>
  ((await (await server.call('/house-book', { method: 'GET' })).json()) as { lines: EntryLine[] }).lines
const card = () => screen.findByRole('article', { name: 'Supper' })

const WHOLE: TestKitchen = { dishes: KITCHEN.dishes?.map((dish) => ({ ...dish, choice: { ...COD, form: 'whole' as const } })) ?? [] }

describe('after service', () => {
  it('writes one dish down in three taps, with what the sheet says beside it, and undoes it by a further act', async () => {
    const server = await openPage('/house-book', KITCHEN)
    const supper = within(await card())
    await supper.findByText('the book: medium')
    fireEvent.click(within(supper.getByRole('group', { name: 'Firmness against the book' })).getByRole('button', { name: 'softer' }))
    fireEvent.click(supper.getByRole('button', { name: 'overdone' }))
    fireEvent.click(supper.getByRole('button', { name: /^Fat, minutes/ }))
    await supper.findAllByText(/^the sheet: \d/)
    fireEvent.click(supper.getByRole('button', { name: 'Write it down' }))
    await waitFor(async () => expect(await lines(server)).toHaveLength(2))
    const of = async (id: string) => (await lines(server)).find((line) => line.id === id)?.entry
    expect(await of('service:a:served')).toMatchObject({ ...COD, dish: 'Supper', notes: { firmness: -1 }, again: null })
    expect(await of('service:a:cooked')).toMatchObject({ done: 'over', sheetMinutes: { low: expect.any(Number) } })
    expect((await screen.findByRole('status', { name: 'What is still to be written down' })).textContent).toContain('written down')
    fireEvent.click((await screen.findAllByRole('button', { name: 'Undo' }))[0] as HTMLElement)
    await waitFor(async () => expect(await lines(server)).toHaveLength(0))
  })

  it('refuses a weight that cannot be where it is typed, and writes nothing of it', async () => {
    const server = await openPage('/house-book', WHOLE)
    const supper = within(await card())
    fireEvent.click(supper.getByRole('button', { name: /^Fat, minutes/ }))
    fireEvent.change(supper.getByLabelText('Bought, kg'), { target: { value: '1' } })
    fireEvent.change(supper.getByLabelText('After trimming, kg'), { target: { value: '1,2' } })
    expect((await supper.findByRole('alert')).textContent).toBe('More than was bought cannot come out.')
    expect((supper.getByRole('button', { name: 'Write it down' }) as HTMLButtonElement).disabled).toBe(true)
    fireEvent.change(supper.getByLabelText('After trimming, kg'), { target: { value: '0,8' } })
    fireEvent.click(supper.getByRole('button', { name: 'Write it down' }))
    await waitFor(async () =>
      expect((await lines(server)).find(({ id }) => id === 'service:a:weighed')?.entry).toMatchObject({
        boughtAs: 'whole',
        form: 'fillet-skin-on',
        boughtG: 1000,
        edibleG: 800,
      }),
    )
  })

  it('says of a day that is still to come that it is', async () => {
    const [supper] = KITCHEN.dishes
    if (!supper) throw new Error('a dish was laid')
    await openPage('/house-book?day=2026-06-17', {
      dishes: [supper, { ...supper, id: 'b', brief: { ...supper.brief, dish: 'Pie', date: '2026-06-17' } }],
    })
    await screen.findByRole('article', { name: 'Pie' })
    expect((await screen.findByRole('alert')).textContent).toMatch(/^17 June is still to come\. /)
    fireEvent.click(screen.getByRole('button', { name: 'The day before' }))
    await screen.findByText('Nothing was on the menu on 16 June.')
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('says of a day without dishes which days have some', async () => {
    await openPage('/house-book?day=2026-06-10', KITCHEN)
    const days = await screen.findByRole('navigation', { name: 'Days with dishes' })
    expect(within(days).getByRole('link', { name: '13 June' })).toBeDefined()
  })
})

describe('every entry', () => {
  const about = {
    ...{ at: '2026-06-10T20:00:00Z', day: '2026-06-10', servingId: null, dish: 'Supper', method: 'grill' as const, ...COD },
    ...{ merchant: null, words: 'Dry it' },
  }
  const keep = async (server: RealServer, entry: object) =>
    server.call('/house-book', { method: 'POST', body: { entries: [{ id: 'line', entry }] } })

  it('opens to what was done about it, is corrected and withdrawn by further acts, and undone', async () => {
    const server = await openPage('/house-book/entries', KITCHEN)
    expect((await keep(server, { kind: 'lesson', ...about })).status).toBe(200)
    fireEvent.click(await screen.findByRole('button', { name: /Dry it/ }))
    fireEvent.change(await screen.findByLabelText('In words'), { target: { value: 'Dry it longer' } })
    server.setDown(true)
    fireEvent.click(screen.getByRole('button', { name: 'Correct the words' }))
    await waitFor(() => expect(server.asked).toContain('POST /api/house-book'))
    // What could not be kept is still typed.
    expect(await screen.findByRole('alert')).toBeDefined()
    expect(screen.getByLabelText('In words')).toHaveProperty('value', 'Dry it longer')
    server.setDown(false)
    const again = screen.getByRole('button', { name: 'Correct the words' })
    await waitFor(() => expect(again).toHaveProperty('disabled', false))
    fireEvent.click(again)
    await waitFor(async () => expect((await lines(server))[0]).toMatchObject({ written: 2, entry: { words: 'Dry it longer' } }))
    const acts = await screen.findByRole('list', { name: 'Everything that was done about it' })
    await waitFor(() => expect(within(acts).getAllByRole('listitem')).toHaveLength(2))
    expect(
      within(acts)
        .getAllByRole('listitem')
        .map(({ textContent }) => /Dry it.*/.exec(textContent ?? '')?.[0]),
    ).toEqual(['Dry it', 'Dry it longer'])
    fireEvent.click(screen.getByRole('button', { name: 'Withdraw it' }))
    await waitFor(async () => expect(await lines(server)).toEqual([]))
    // The undo that stands there until then is that of the correction.
    await screen.findByText('The entry is withdrawn.')
    fireEvent.click((await screen.findAllByRole('button', { name: 'Undo' }))[0] as HTMLElement)
    await waitFor(async () => expect((await lines(server))[0]?.entry.words).toBe('Dry it longer'))
  })

  it('takes a lesson about a dish at any time, and none without words or about nothing', async () => {
    const server = await openPage('/house-book/entries', KITCHEN)
    const form = within(await screen.findByRole('region', { name: 'A lesson' }))
    const write = form.getByRole('button', { name: 'Write it down' }) as HTMLButtonElement
    fireEvent.change(form.getByLabelText('For next time'), { target: { value: 'Salt it an hour before' } })
    expect(write.disabled).toBe(true)
    fireEvent.mouseDown(form.getByRole('combobox', { name: 'About the dish' }))
    fireEvent.click(await screen.findByRole('option', { name: 'Supper' }))
    fireEvent.click(write)
    await waitFor(async () =>
      expect((await lines(server))[0]?.entry).toMatchObject({ kind: 'lesson', dish: 'Supper', words: 'Salt it an hour before' }),
    )
  })
})

describe('what is written of a dish', () => {
  const dish = {
    ...{ key: 'a', servingId: 'a', dish: 'Supper', method: 'pan-sear' as const, format: 'portion' as const, covers: 4 },
    fish: { ...COD, common: 'Atlantic cod', offer: 'wild, fresh', taken: true, weighedAs: 'fillet-skinless' as const },
    ...{ missing: { species: 'Molva molva', common: 'Common ling' }, merchant: null, boughtG: null, lines: [] },
  }
  const moment = { day: '2026-06-13', at: '2026-06-13T20:00:00Z', sheet: null }
  const note = fc.constantFrom(-2, -1, 0, 1, 2)
  const draft: fc.Arbitrary<ServedDraft> = fc.record({
    notes: fc.record({ firmness: note, flake: note, fat: note }, { requiredKeys: [] }),
    bones: fc.constantFrom('none', 'few', 'many', null),
    done: fc.constantFrom('under', 'right', 'over', null),
    again: fc.constantFrom(true, false, null),
    minutes: fc.option(fc.integer({ min: 1, max: 90 }), { nil: null }),
    pullC: fc.option(fc.integer({ min: 30, max: 70 }), { nil: null }),
    boughtG: fc.option(fc.integer({ min: 500, max: 4000 }), { nil: null }),
    edibleG: fc.option(fc.integer({ min: 100, max: 499 }), { nil: null }),
    portionsBack: fc.option(fc.integer({ min: 1, max: 9 }), { nil: null }),
    words: fc.constantFrom('', 'Dry it longer'),
    photo: fc.constant(null),
  })

  it('reads back as it was answered, but for a weight without the other', () => {
    fc.assert(
      fc.property(draft, (answered) => {
        const written = toEntries(dish, answered, moment).flatMap(({ id, entry }) =>
          entry ? [{ id, entry, setAside: false, written: 1, writtenAt: moment.at }] : [],
        )
        const again = readDraft({ ...dish, lines: written })
        const weighed = answered.boughtG !== null && answered.edibleG !== null
        expect(again).toEqual({ ...answered, ...(weighed ? {} : { boughtG: null, edibleG: null }) })
        expect(isWritten({ ...dish, lines: written })).toBe(true)
      }),
    )
  })

  it('withdraws what a correction no longer says, and tells a swap by whether it would be taken again', () => {
    const first = toEntries(dish, { ...EMPTY_DRAFT, ...ALL_WELL, words: 'x' }, moment)
    const there = first.flatMap(({ id, entry }) => (entry ? [{ id, entry, setAside: false, written: 1, writtenAt: moment.at }] : []))
    const second = toEntries({ ...dish, lines: there }, { ...EMPTY_DRAFT, again: false }, moment)
    const of = (kind: string) => second.find(({ id }) => id === `service:a:${kind}`)
    expect(of('lesson')).toEqual({ id: 'service:a:lesson', entry: null })
    expect(of('cooked')).toEqual({ id: 'service:a:cooked', entry: null })
    expect(of('swapped')?.entry).toMatchObject({ missing: 'Molva molva', standIn: 'Gadus morhua', worked: false })
    expect(of('weighed')).toBeUndefined()
  })
})

describe('what a kitchen seems to care about', () => {
  it('is laid on a dish in halves of a pull, of what moved alone, and leaves the rest of what it asks', () => {
    const pull = (trait: 'fat' | 'flake' | 'firmness', was: number, is: number) => ({
      method: 'grill' as const,
      trait,
      was,
      is,
      choices: 9,
      gainNats: 3,
    })
    const pulls = [pull('fat', 2, 3.3), pull('flake', 2, 2.05), pull('firmness', 3, 9)]
    const moved = listMoved(pulls, 'grill')
    expect(moved.map(({ trait }) => trait)).toEqual(['firmness', 'fat'])
    expect(listMoved(pulls, 'poach')).toEqual([])
    const brief = { dish: 'x', method: 'grill', format: 'chunk', asks: { fat: { from: 3 }, skin: { pull: 1 } } } as const
    expect(askSo(brief, moved).asks).toEqual({ fat: { from: 3, pull: 3.5 }, firmness: { pull: 5 }, skin: { pull: 1 } })
  })
})

describe('words of the house book', () => {
  it('say a learnt value as the house’s, from how many servings, and no difference that nobody would notice', () => {
    const book = { low: 4, typical: 5, high: 6 }
    expect(sayLearnt('firmness', { typical: 4.2 }, { n: 6, book })).toBe('house: softer than the book, from 6 servings')
    expect(sayLearnt('firmness', { typical: 5.1 }, { n: 1, book })).toBe('house: as the book has it, from 1 serving')
    expect(sayHouseSwap({ worked: 4, n: 5 })).toBe('house: it worked 4 of 5 times')
    expect(sayHouseSwap({ worked: 0, n: 1 })).toBe('house: it did not work the one time it was tried')
  })

  it('tell every kind of entry in a few words', () => {
    const about = {
      ...{ at: '2026-06-13T20:00:00Z', day: '2026-06-13', servingId: null, dish: 'Supper', method: 'grill' as const, ...COD },
      ...{ merchant: null, words: null },
    }
    const say = (entry: object) => describeEntry({ ...about, ...entry } as never, (species) => (species === COD.species ? 'cod' : 'ling'))
    expect(say({ kind: 'served', covers: 4, notes: { firmness: -2, flavour: 0 }, bones: 'none', again: true, photo: null })).toBe(
      'Much softer, no bones, would take it again',
    )
    expect(say({ kind: 'served', covers: 4, notes: {}, bones: null, again: null, photo: null })).toBe('Served for 4')
    expect(say({ kind: 'swapped', missing: 'Molva molva', standIn: COD.species, worked: false })).toMatch(
      /^Cod for ling, .+: it did not work$/,
    )
    expect(say({ kind: 'came-back', portions: 1 })).toBe('1 portion came back')
    expect(say({ kind: 'bought', state: 'not-come', orderedG: 1, g: null, perKg: null, expectedPerKg: null, currency: null })).toBe(
      'Did not come',
    )
    expect(say({ kind: 'kept', end: 'thrown', g: 500, days: 2 })).toBe('Thrown away: 500 g after 2 days')
    expect(
      say({ kind: 'cooked', done: 'over', minutes: 9, sheetMinutes: { low: 5, typical: 6, high: 7.25 }, pullC: null, sheetPullC: null }),
    ).toBe('Overdone, 9 min, the sheet said 5 to 7.3')
    expect(say({ kind: 'looked', outcome: 'walk-away', refused: true, iceDays: null })).toBe('They would not show it')
    expect(say({ kind: 'lesson', words: 'Dry it' })).toBe('Dry it')
  })

  it('say what charts come to', () => {
    const points = [90, 110, 120].map((ofHundred, day) => ({ day, ofHundred, name: '' }))
    const words = { more: 'more', less: 'less', what: 'prices' }
    expect(sayAgainst(points, words)).toBe('Usually 10 of 100 more, over 3 prices.')
    expect(sayAgainst([], words)).toBe('No prices in this time.')
    expect(sayFish({ fish: [{ month: '2026-05', usedG: 750, thrownG: 250, restG: 100 }], saved: [{ currency: 'EUR', amount: 2 }] })).toBe(
      '250 g, 25 of 100, of what was kept over was thrown away. 100 g of the rest went into something else: €2.00 saved.',
    )
  })
})
