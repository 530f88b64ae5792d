import type { Entry, Problem } from '@tender-gill/contract'
import type { HouseBook } from '../book/houseBook.ts'

/** What a schema cannot see of an entry: fish that is not in the book, weights that cannot be, a lesson without a word. */
export function checkEntry(entry: Entry, { findSpecies, offers }: Pick<HouseBook, 'findSpecies' | 'offers'>): readonly Problem[] {
  const { species, offerId } = entry
  const problems: Problem[] = []
  const unknown = (name: string | null, path: string): void => {
    if (name !== null && findSpecies(name) === undefined) problems.push({ path, message: `no fish "${name}" in the book` })
  }
  unknown(species, '/species')
  const offer = offerId === null ? undefined : offers.find(({ id }) => id === offerId)
  if (offerId !== null && !offer) problems.push({ path: '/offerId', message: `nothing called "${offerId}" is sold` })
  if (entry.kind === 'weighed') {
    if (entry.edibleG >= entry.boughtG) problems.push({ path: '/edibleG', message: 'must be less than what was bought' })
    if (offer)
      for (const [path, form] of [
        ['/form', entry.form],
        ['/boughtAs', entry.boughtAs],
      ] as const)
        if (form !== null && form !== 'whole' && !offer.forms.some((sold) => sold.form === form))
          problems.push({ path, message: 'it is not sold in this form' })
  }
  if (entry.kind === 'swapped') {
    unknown(entry.missing, '/missing')
    unknown(entry.standIn, '/standIn')
  }
  if (entry.kind === 'lesson' && entry.words === null) problems.push({ path: '/words', message: 'a lesson needs words' })
  return problems
}
