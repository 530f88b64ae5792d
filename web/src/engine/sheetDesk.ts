import type { Method, OfferSheet, Problem, Result, SpeciesSheet, SwapMap, TurningPoints } from '@tender-gill/contract'
import { keepOffered } from '@tender-gill/core'
import { createFishSearch, type FishSearch } from '@tender-gill/names'
import type { MethodFits } from './bookRows.ts'
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
  fits: ReadonlyMap<string, MethodFits> | undefined
  readonly turned: Map<string, Result<TurningPoints, readonly Problem[]>>
  readonly maps: Map<Method, Result<SwapMap, readonly Problem[]>>
}

/** Sheets of different days that are held ready at once. */
const MOST_LAID = 4
/** Entries of the book that are held ready at once, the whole book being one. */
const MOST_ENTRIES = 40

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

function layOut(sheet: OfferSheet, { today }: SheetRef): Laid {
  let search: FishSearch | undefined
  let offered: OfferSheet | undefined
  return {
    sheet,
    today,
    offered: () => (offered ??= keepOffered(sheet)),
    search: () => (search ??= createFishSearch(sheet.offers)),
    fits: undefined,
    turned: new Map(),
    maps: new Map(),
  }
}

const kitchenAddress = (kitchenId: string): string => `/api/kitchens/${encodeURIComponent(kitchenId)}`

/**
 * The entries of a kitchen's book as they stood under the name of a sheet: all of them, or those of some names alone while the whole book was
 * not read. Fetched when first asked for; asked for again when that failed, and whenever the sheet has another name than the last one asked
 * for: the book is fetched as it is and not by that name, so that what came under an old name may be newer than it, and undoing a change
 * brings an old name back.
 */
export function createBookDesk() {
  const kept = new Map<string, Promise<unknown>>()
  let lastName = ''
  const goTo = ({ name }: SheetRef): void => {
    if (name !== lastName) kept.clear()
    lastName = name
  }
  const once = <T>(key: string, path: string): Promise<T> => {
    const ready = (kept.get(key) as Promise<T> | undefined) ?? fetchJson<T>(path)
    kept.delete(key)
    kept.set(key, ready)
    for (const oldest of [...kept.keys()].slice(0, Math.max(0, kept.size - MOST_ENTRIES))) kept.delete(oldest)
    ready.catch(() => kept.get(key) === ready && kept.delete(key))
    return ready
  }
  const all = ({ name, kitchenId }: SheetRef) => once<readonly SpeciesSheet[]>(`book|${name}`, `${kitchenAddress(kitchenId)}/species`)
  const one = ({ name, kitchenId }: SheetRef, species: string) =>
    once<SpeciesSheet>(`one|${name}|${species}`, `${kitchenAddress(kitchenId)}/species/${encodeURIComponent(species)}`).catch(
      (error: unknown) => {
        // No such fish: the others are answered.
        if (error instanceof SheetGone) return null
        throw error
      },
    )
  return {
    all: (ref: SheetRef): Promise<readonly SpeciesSheet[]> => {
      goTo(ref)
      return all(ref)
    },
    /** In the order of the names asked; a name that is no fish of the book is left out. */
    some: async (ref: SheetRef, names: readonly string[]): Promise<readonly SpeciesSheet[]> => {
      goTo(ref)
      const found = kept.has(`book|${ref.name}`)
        ? await all(ref).then((entries) => names.map((species) => entries.find((entry) => entry.species === species) ?? null))
        : await Promise.all(names.map((species) => one(ref, species)))
      return found.filter((entry) => entry !== null)
    },
  }
}

/** Opens sheets by their name: those that are held ready, else from the shelf, else from the server. Several may be open at once. */
export function createSheetDesk(shelf: SheetShelf) {
  const laid = new Map<string, Promise<Laid>>()
  const fetchSheet = async (ref: SheetRef): Promise<Laid> => {
    const { kitchenId, date, snapshot } = ref
    const kept = await shelf.find(ref)
    if (kept) return layOut(kept, ref)
    const sheet = await fetchJson<OfferSheet>(`${kitchenAddress(kitchenId)}/sheets/${date}/${encodeURIComponent(snapshot)}`)
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
