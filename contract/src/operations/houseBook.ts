import { command, question } from './operation.ts'

const ENTRY_KIND_NAMES = ['bought', 'looked', 'kept', 'weighed', 'cooked', 'served', 'came-back', 'swapped', 'lesson'] as const
const keeps = { permission: 'plan', touches: ['entry'] } as const

/** The house book: what happened, and what the house learns from it. */
export const houseBook = {
  entries: question({
    method: 'GET',
    path: '/house-book',
    summary: 'Lines of the house book, the newest first, fifty at a time',
    query: {
      ...{ from: 'day', to: 'day', months: 'text', kinds: 'text', species: 'text', offerId: 'text', dish: 'text', merchant: 'text' },
      ...{ servingId: 'text', outcome: ['good', 'bad', 'set-aside'], text: 'text', after: 'text' },
    },
    output: 'EntryPage',
    reads: ['entry', 'species'],
  }),
  entryHistory: question({
    method: 'GET',
    path: '/house-book/lines/{id}',
    summary: 'Everything that was ever done about one line',
    output: 'EntryHistory',
    reads: ['entry'],
  }),
  writeEntries: command({
    ...keeps,
    method: 'POST',
    path: '/house-book',
    summary: 'Write lines, correct them or withdraw them; nothing is overwritten',
    input: 'EntriesInput',
    output: 'EntryLine',
    many: true,
  }),
  setEntryAside: command({
    ...keeps,
    method: 'POST',
    path: '/house-book/set-aside',
    summary: 'Set an odd line or a learnt value aside, or count it again',
    input: 'SetAsideInput',
    output: 'Changed',
  }),
  afterService: question({
    method: 'GET',
    path: '/house-book/after-service',
    summary: 'The servings of a day with what is known of each without typing, and what is written already',
    query: { day: 'day' },
    output: 'AfterService',
    reads: ['entry', 'serving', 'dish', 'decision', 'purchase', 'species'],
  }),
  lessons: question({
    method: 'GET',
    path: '/house-book/lessons',
    summary: 'What this house wrote about a dish, a fish or a merchant, the most telling and the newest first',
    query: { dish: 'text', species: 'text', merchant: 'text' },
    output: 'EntryLine',
    many: true,
    reads: ['entry'],
  }),
  houseBookFile: question({
    method: 'GET',
    path: '/house-book/file',
    summary: 'The house book as CSV or JSON; of one kind of entry where that is said',
    query: { format: ['csv', 'json'], kind: ENTRY_KIND_NAMES },
    output: 'FileText',
    reads: ['entry'],
  }),
  bringHouseBook: command({
    ...keeps,
    method: 'POST',
    path: '/house-book/file',
    summary: 'Look a file of entries through, or keep it',
    input: 'HouseBookFile',
    output: 'HouseBookReport',
    file: true,
    study: true,
  }),
  undoHouseBook: command({
    ...keeps,
    method: 'POST',
    path: '/house-book/file/undo',
    summary: 'Take such a file back',
    input: 'HouseBookUndo',
    output: 'Changed',
  }),
  houseLearnt: question({
    method: 'GET',
    path: '/house-book/learnt',
    summary: 'What the house has learnt, beside what the book says',
    output: 'HouseLearnt',
    study: true,
    reads: ['entry', 'decision', 'species', 'leanings'],
  }),
  lookBack: question({
    method: 'GET',
    path: '/house-book/look-back',
    summary: 'What was expected and what came, between two days',
    query: { from: 'day', to: 'day' },
    output: 'LookBack',
    study: true,
    reads: ['entry', 'restUse', 'serving', 'species'],
  }),
}
