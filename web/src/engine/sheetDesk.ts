import type { Method, OfferSheet, Problem, Result, SpeciesSheet, SwapMap, TurningPoints } from '@tender-gill/contract'
import { keepOffered } from '@tender-gill/core'
import { createFishSearch, type FishSearch } from '@tender-gill/names'
import type { BookRow } from './bookRows.ts'
import type { SheetRef } from './sheetRef.ts'
import type { SheetShelf } from './sheetShelf.ts'

/** A sheet that cannot be had just now: it is worth asking again. */
export class SheetAway extends Error {
  override readonly name = 'SheetAway'
}
/** A sheet that is called otherwise by now: its day wants another name. */
export class SheetGone extends Error {
  override readonly name = 'SheetGone'
}

/** A sheet with what was worked out from it alone. */
export interface Laid {
  readonly sheet: OfferSheet
  readonly today: string
  /** What of it can be bought. */
  readonly offered: () => OfferSheet
  readonly search: () => FishSearch
  /** The book of the kitchen, fetched when first asked for; asked for again when that failed. */
  readonly species: () => Promise<readonly SpeciesSheet[]>
  rows: readonly BookRow[] | undefined
  readonly turned: Map<string, Result<TurningPoints, readonly Problem[]>>
  readonly maps: Map<Method, Result<SwapMap, readonly Problem[]>>
}

/** Sheets of different days that are held ready at once. */
const MOST_LAID = 4

async function fetchJson<T>(path: string): Promise<T> {
  let answer: Response
  try {
    answer = await fetch(path)
  } catch (error) {
    throw new SheetAway('the server does not answer', { cause: error })
  }
  if (answer.status === 404) throw new SheetGone('called otherwise by now')
  if (!answer.ok) throw new SheetAway(`the server answered ${answer.status}`)
  return (await answer.json()) as T
}

function layOut(sheet: OfferSheet, { kitchenId, today }: SheetRef): Laid {
  let search: FishSearch | undefined
  let offered: OfferSheet | undefined
  let species: Promise<readonly SpeciesSheet[]> | undefined
  return {
    sheet,
    today,
    offered: () => (offered ??= keepOffered(sheet)),
    search: () => (search ??= createFishSearch(sheet.offers)),
    species: () =>
      (species ??= fetchJson<readonly SpeciesSheet[]>(`/api/kitchens/${encodeURIComponent(kitchenId)}/species`).catch((error: unknown) => {
        species = undefined
        throw error
      })),
    rows: undefined,
    turned: new Map(),
    maps: new Map(),
  }
}

/** Opens sheets by their name: those that are held ready, else from the shelf, else from the server. Several may be open at once. */
export function createSheetDesk(shelf: SheetShelf) {
  const laid = new Map<string, Promise<Laid>>()
  const fetchSheet = async (ref: SheetRef): Promise<Laid> => {
    const { kitchenId, date, snapshot } = ref
    const kept = await shelf.find(ref)
    if (kept) return layOut(kept, ref)
    const sheet = await fetchJson<OfferSheet>(
      `/api/kitchens/${encodeURIComponent(kitchenId)}/sheets/${date}/${encodeURIComponent(snapshot)}`,
    )
    void shelf.keep(ref, sheet)
    return layOut(sheet, ref)
  }
  return (ref: SheetRef): Promise<Laid> => {
    const ready = laid.get(ref.name) ?? fetchSheet(ref)
    laid.delete(ref.name)
    laid.set(ref.name, ready)
    for (const oldest of [...laid.keys()].slice(0, Math.max(0, laid.size - MOST_LAID))) laid.delete(oldest)
    ready.catch(() => laid.get(ref.name) === ready && laid.delete(ref.name))
    return ready
  }
}
