import { isDeepStrictEqual } from 'node:util'
import type { Brief, Decision, Entry, Kitchen, LookRecord, LotRecord, PurchaseRecord, ServingRecord } from '@tender-gill/contract'
import { DAY_MS, recordLine, servedKey, servedLine } from '@tender-gill/core'
import type { Database } from '../database/openDatabase.ts'
import { computeToday } from '../kitchens/today.ts'
import { createServingRepository } from '../servings/servingRepository.ts'
import { createEntryRepository } from './entryRepository.ts'

type About = Pick<Entry, 'at' | 'day' | 'servingId' | 'dish' | 'method' | 'species' | 'offerId' | 'form' | 'merchant' | 'words'>
interface Moment {
  readonly now: Date
  readonly zone: string
  /** The serving it was for, where it was for just one. */
  readonly serving: ServingRecord | undefined
}

const of = ({ serving }: Moment): Pick<About, 'servingId' | 'dish' | 'method'> => ({
  servingId: serving?.id ?? null,
  dish: serving?.brief.dish ?? null,
  method: serving?.brief.method ?? null,
})

/** A purchase as the book has it: once it came, came short or did not come. */
function tellPurchase({ purchase, updatedAt }: PurchaseRecord, moment: Moment): Entry | null {
  const { state, date, paidOn, species, offerId, form, merchant, note, orderedG, g, perKg, currency, expectedPerKg = null } = purchase
  if (state === 'ordered') return null
  return {
    kind: 'bought',
    ...{ at: updatedAt, day: paidOn ?? date, ...of(moment), species, offerId, form, merchant, words: note ?? null },
    ...{ state, orderedG, g, perKg, expectedPerKg, currency },
  }
}

function tellLook({ look }: LookRecord, moment: Moment): Entry {
  const { at, species, offerId, form, merchant, note, outcome, refused, iceDays } = look
  const day = computeToday(new Date(at), moment.zone)
  return {
    kind: 'looked',
    ...{ at, day, ...of(moment), species, offerId, form, merchant, words: note ?? null },
    ...{ outcome, refused, iceDays },
  }
}

/** Fish in the house as the book has it: once it was used or thrown away. */
function tellLot({ lot, updatedAt }: LotRecord, moment: Moment): Entry | null {
  const { state, boughtAt, species, offerId, form, g, merchant, note } = lot
  if (state === 'here') return null
  const days = Math.max(0, (Date.parse(updatedAt) - Date.parse(boughtAt)) / DAY_MS)
  return {
    kind: 'kept',
    ...{ at: updatedAt, day: computeToday(new Date(updatedAt), moment.zone), ...of(moment) },
    ...{ species, offerId, form, merchant, words: note ?? null, end: state, g, days: Math.round(days * 10) / 10 },
  }
}

/** A change that says the same is no act: when it was said is no part of it. */
const same = (a: Entry, b: Entry): boolean => isDeepStrictEqual({ ...a, at: '' }, { ...b, at: '' })

/**
 * Writes down in the house book, in the transaction of the change, what the other rooms keep: nobody types it twice. What was written
 * before is corrected by a further act, and withdrawn where the record was taken away.
 */
export function createTellBook(now: () => Date) {
  const tell = async (
    tx: Database,
    { id: kitchenId, zone }: Pick<Kitchen, 'id' | 'zone'>,
    {
      about,
      servings,
      gone,
      toEntry,
    }: { about: string; servings: readonly string[]; gone: boolean; toEntry: (moment: Moment) => Entry | null },
  ): Promise<void> => {
    const entries = createEntryRepository(tx, now)
    const [only] = servings.length === 1 ? servings : []
    const serving = only === undefined ? undefined : await createServingRepository(tx, now).find(kitchenId, only)
    const entry = gone ? null : toEntry({ now: now(), zone, serving })
    const before = await entries.findWritten(kitchenId, about)
    if (entry === null && !before) return
    if (entry && before && same(before, entry)) return
    await entries.add(kitchenId, [{ about, act: entry ? 'write' : 'withdraw', entry }])
  }
  const gone = ({ deletedAt }: { readonly deletedAt: string | null }): boolean => deletedAt !== null
  type Told<R> = (tx: Database, kitchen: Pick<Kitchen, 'id' | 'zone'>, record: R) => Promise<void>
  const purchase: Told<PurchaseRecord> = (tx, kitchen, record) =>
    tell(tx, kitchen, {
      about: recordLine('purchase', record.id),
      ...{ servings: record.purchase.servings, gone: gone(record), toEntry: (moment) => tellPurchase(record, moment) },
    })
  const look: Told<LookRecord> = (tx, kitchen, record) =>
    tell(tx, kitchen, {
      about: recordLine('look', record.id),
      ...{ servings: record.look.servings, gone: gone(record), toEntry: (moment) => tellLook(record, moment) },
    })
  const lot: Told<LotRecord> = (tx, kitchen, record) =>
    tell(tx, kitchen, {
      about: recordLine('lot', record.id),
      ...{ servings: record.lot.servings, gone: gone(record), toEntry: (moment) => tellLot(record, moment) },
    })
  /** Another fish than was first decided on: a swap, of which it is said after service whether it worked. */
  const decision = async (
    tx: Database,
    { id: kitchenId, zone }: Pick<Kitchen, 'id' | 'zone'>,
    { decision: taken, first, brief }: { readonly decision: Decision; readonly first: Decision; readonly brief: Brief },
  ): Promise<void> => {
    const { servingId, species, offerId, form } = taken
    const entries = createEntryRepository(tx, now)
    const about = servedLine(servedKey(servingId), 'swapped')
    const before = await entries.findWritten(kitchenId, about)
    const swapped = first.species !== species
    if (!swapped && !before) return
    const at = now().toISOString()
    const entry: Entry = {
      ...{ kind: 'swapped', at, day: brief.date ?? computeToday(now(), zone), servingId, dish: brief.dish, method: brief.method },
      ...{ species, offerId, form, merchant: null, words: null, missing: first.species, standIn: species, worked: null },
    }
    await entries.add(kitchenId, [{ about, act: swapped ? 'write' : 'withdraw', entry: swapped ? entry : null }])
  }
  return { purchase, look, lot, decision }
}
