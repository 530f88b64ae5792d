import type { ResolvedOffer, SpeciesSheet } from '@tender-gill/contract'
import { findRelatives, type Relative } from '@tender-gill/core'
import type { FishHit, SharedName } from '@tender-gill/names'
import { listBookRows, stepMethodFits, type BookRow, type MethodFits } from './bookRows.ts'
import { runInSlices } from './runInSlices.ts'
import { createBookDesk, type Laid } from './sheetDesk.ts'
import type { SheetRef } from './sheetRef.ts'

/** A fish as it is chosen from a list. */
export interface FishName {
  readonly species: string
  readonly common: string
}

/** What is asked of the book and of the fish of a sheet, whatever they are cooked for. */
export function createBookAnswers({ open }: { readonly open: (ref: SheetRef) => Promise<Laid> }) {
  const entries = createBookDesk()
  return {
    offers: async (ref: SheetRef, ids: readonly string[]): Promise<readonly ResolvedOffer[]> =>
      (await open(ref)).sheet.offers.filter(({ id }) => ids.includes(id)),
    offersOf: async (ref: SheetRef, species: string): Promise<readonly ResolvedOffer[]> =>
      (await open(ref)).sheet.offers.filter((offer) => offer.species === species),
    commonNames: async (ref: SheetRef, species: readonly string[]): Promise<Readonly<Record<string, string>>> =>
      Object.fromEntries(
        (await open(ref)).sheet.offers.filter((offer) => species.includes(offer.species)).map((offer) => [offer.species, offer.common]),
      ),
    /** Every fish of a sheet by its common name, in that order. */
    fishNames: async (ref: SheetRef): Promise<readonly FishName[]> => {
      const { offers } = (await open(ref)).sheet
      const names = new Map(offers.map(({ species, common }) => [species, { species, common }]))
      return [...names.values()].sort((a, b) => a.common.localeCompare(b.common, 'en'))
    },
    search: async (ref: SheetRef, text: string): Promise<readonly FishHit[]> => (await open(ref)).search().find(text),
    sharedName: async (ref: SheetRef, text: string): Promise<SharedName | null> => (await open(ref)).search().findShared(text),
    relatives: async (ref: SheetRef, offerId: string): Promise<readonly Relative[]> => {
      const { offers } = (await open(ref)).sheet
      const offer = offers.find(({ id }) => id === offerId)
      return offer ? findRelatives(offer, offers) : []
    },
    /** The book as lines, before any fits are worked out. */
    book: async (ref: SheetRef): Promise<readonly BookRow[]> => listBookRows(await entries.all(ref)),
    /** The best fit of each fish for each way of cooking. */
    methodFits: async (ref: SheetRef): Promise<ReadonlyMap<string, MethodFits>> => {
      const laid = await open(ref)
      return (laid.fits ??= await runInSlices(stepMethodFits(laid.sheet, laid.today)))
    },
    /** Entries of the book, in the order of the names asked. */
    sheets: (ref: SheetRef, names: readonly string[]): Promise<readonly SpeciesSheet[]> => entries.some(ref, names),
  }
}
