import { question, type Entity } from './operation.ts'

/** Everything that is laid over the book to make the offers of a day. */
export const LAID_OVER: readonly Entity[] = [
  'kitchen',
  'species',
  'leanings',
  'price',
  'purchase',
  'list',
  'rate',
  'season',
  'stock',
  'absence',
  'entry',
]

/** The offers of a kitchen's day: named cheaply, fetched once under their name. */
export const sheets = {
  sheetName: question({
    method: 'GET',
    path: '/sheets',
    summary: 'The name of the offers of a day; today where none is said',
    query: { date: 'day' },
    output: 'SheetName',
    reads: LAID_OVER,
  }),
  sheet: question({
    method: 'GET',
    path: '/sheets/{date}/{snapshot}',
    summary: 'The offers under their name: they never change',
    output: 'OfferSheet',
  }),
  offers: question({
    method: 'GET',
    path: '/offers',
    scope: 'verb',
    summary: 'The offers of a day with their snapshot',
    query: { date: 'day' },
    output: 'OfferSheet',
    reads: LAID_OVER,
  }),
}
