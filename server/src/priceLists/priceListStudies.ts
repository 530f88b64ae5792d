import type { Merchant, PriceListInput, PriceListReport, SettledName, SettledNames } from '@tender-gill/contract'
import type { HouseBook } from '../book/houseBook.ts'
import type { Study } from '../compute/study.ts'
import { refuse } from '../http/errors.ts'
import { openNames } from './bookOfNames.ts'
import type { ListReadAgain, ListToKeep } from './priceListRepository.ts'
import { foldListName, readPriceList, toSettled, type ReadList } from './readPriceList.ts'

export interface ListOrder {
  readonly input: PriceListInput
  readonly merchant: Merchant
  readonly source: 'file' | 'feed'
}

/** A list as it was read: what is told of it, and, where it is to be kept, all there is to keep. */
export interface ListRead {
  readonly report: PriceListReport
  readonly toKeep: ListToKeep | null
  readonly names: readonly SettledName[]
}

const toReport = ({ rows, quotes, headings, sample, reading, open, bad }: ReadList): PriceListReport => ({
  rows,
  good: quotes.length,
  headings: [...headings],
  sample: sample.map((row) => [...row]),
  reading,
  open: [...open],
  bad: [...bad],
  same: false,
  list: null,
})

/** Names under the accepted species they stand for. @throws RequestFailure with the places of names that are no fish of the book */
function acceptNames({ findSpecies }: Pick<HouseBook, 'findSpecies'>, names: readonly SettledName[]): readonly SettledName[] {
  const unknown = names.flatMap(({ species }, i) =>
    species !== null && !findSpecies(species) ? [{ path: `/names/${i}/species`, message: `no fish named "${species}" in the book` }] : [],
  )
  if (unknown.length > 0) throw refuse(unknown)
  // Of one name said twice, in whatever case, the last stands.
  const accepted = names.map(({ name, species }) => ({ name, species: species && (findSpecies(species) ?? null) }))
  return [...new Map(accepted.map((one) => [foldListName(one.name), one])).values()]
}

/** Reads a merchant's list. It is to be kept all of it or nothing, or by its good rows, as was asked. */
const readList: Study<ListOrder, ListRead> = async (desk, kitchen, { input, merchant, source }) => {
  const book = await desk.books.read(kitchen.id)
  const names = acceptNames(book, input.names ?? [])
  const settled = new Map([...(await desk.lists.readNames(kitchen.id)), ...toSettled(names)])
  const read = readPriceList(
    { text: input.text, date: input.date, merchant: merchant.name, reading: input.reading ?? merchant.reading },
    openNames(book, settled, kitchen.currency),
  )
  const whole = read.bad.length === 0 && read.open.length === 0
  const keeps = read.quotes.length > 0 && (input.keep === 'good' || (input.keep === 'all' && whole))
  const { merchantId, date, text, fileName = null } = input
  return { report: toReport(read), names, toKeep: keeps ? { merchantId, date, source, fileName, text, read } : null }
}

/** Every list on which some of these names wait, read again with them settled. */
const readAgain: Study<SettledNames, { readonly names: readonly SettledName[]; readonly lists: readonly ListReadAgain[] }> = async (
  desk,
  kitchen,
  asked,
) => {
  const book = await desk.books.read(kitchen.id)
  const names = acceptNames(book, asked.names)
  const settled = new Map([...(await desk.lists.readNames(kitchen.id)), ...toSettled(names)])
  const known = openNames(book, settled, kitchen.currency)
  const waiting = await desk.lists.listWaiting(kitchen.id, new Set(names.map(({ name }) => foldListName(name))))
  return { names, lists: waiting.map((list) => ({ id: list.id, contentHash: list.contentHash, read: readPriceList(list, known) })) }
}

export const priceListStudies = { readList, readAgain }
