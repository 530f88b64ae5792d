import type { Explained } from './explained.ts'

interface Explanation {
  readonly words: string
  /** Where on the page of help more of it is told. */
  readonly at: string
}

/** What each drawing and each figure says, in a few words; the page of help says more of those that have a place there. */
export const EXPLANATIONS: Readonly<Record<Explained, Explanation>> = {
  fit: {
    words:
      'How well a fish does what the dish asks, of 100. Each ask it misses costs points, the more it matters and the further off, the more. It says nothing of other fish: adding or leaving one out changes no other’s fit.',
    at: 'fit',
  },
  sureness: {
    words:
      'Fish differ from one to the next, and so do prices. The line-up is drawn many times over, each time within those ranges; this says how often of 100 a fish came first. Close fish share the first places.',
    at: 'sureness',
  },
  print: {
    words:
      'The flesh as it is cut. Broad arcs are large flakes; waves are dense flesh with none. Pale flecks are fat: the more, the richer. A heavy edge is firm; cracks and a broken edge come apart. Ticks on the middle line are bones to lift. The tint is that of the raw flesh.',
    at: 'print',
  },
  strip: {
    words:
      'One trait, from its least on the left to its most. The pale band is what the dish wants; the dot is the fish, with a line as far as it usually ranges. Filled: within the band. Hollow: outside.',
    at: 'strip',
  },
  standing: {
    words:
      'Seven fish: as many are filled as the stock stands well, of 100. Hollow all over: no evidence is kept here. It is worked out from figures this house has, and is no certificate; your local authority’s advice comes first.',
    at: 'standing',
  },
  tide: {
    words: 'Twelve months. Bars: how much is landed, of the best month. The line: how good the flesh is. The mark below is now.',
    at: 'tide',
  },
  ladder: {
    words:
      'Up to four fish to take instead, chosen so that at least one is most likely there: two that hang on the same weather or the same merchant do not help each other. “Alike” says how like the missing fish it is; the number how well it stands in.',
    at: 'ladder',
  },
  dayLine: {
    words: 'From morning to midnight. Each mark is the hour until which a merchant takes an order; the coral mark is now.',
    at: 'day',
  },
  good: {
    words:
      'Price against what is usual in this month, condition of the flesh, and the stock, of 100. What is not known counts as middling, and is said.',
    at: 'good',
  },
  pot: {
    words:
      'How well a fish does what its place in the pot asks, of 100: one to stay whole, one to flake, one to give the broth body. Price and stock count as the dish asks them.',
    at: 'pot',
  },
  year: {
    words:
      'Fit of 100 in the middle of each month. The fuller a field, the better; the best months are underlined, that of the dish is framed.',
    at: 'tide',
  },
}
