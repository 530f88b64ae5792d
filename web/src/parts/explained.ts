/** What can be explained, by what it is called; the words for it are fetched when somebody asks. */
export const EXPLAINED = {
  fit: 'Fit',
  sureness: 'How sure',
  print: 'Print of the flesh',
  strip: 'Strip',
  standing: 'Standing of the stock',
  tide: 'The year',
  ladder: 'Ladder',
  dayLine: 'The line of the day',
  good: 'How good today',
  pot: 'In its place',
  year: 'Months',
} as const

export type Explained = keyof typeof EXPLAINED
