import type { Method } from '@tender-gill/contract'
import { FORMS, MARKET_PLACES, METHODS, ORIGINS, REGIONS } from '@tender-gill/contract/vocabulary'
import type { BookRow, BookTrait, MethodFits } from '../../engine/bookRows.ts'
import { BOOK_TRAITS } from '../../engine/bookRows.ts'
import { describeMass } from '../../reader/index.ts'

/** Three words along a trait, and the values that part them. */
export interface TraitSteps {
  readonly label: string
  readonly words: readonly [low: string, middle: string, high: string]
  readonly edges: readonly [number, number]
}
export const TRAIT_STEPS: Record<BookTrait, TraitSteps> = {
  firmness: { label: 'Firmness', words: ['soft', 'medium', 'firm'], edges: [4, 6] },
  flake: { label: 'Flake', words: ['fine or none', 'medium', 'large'], edges: [3, 5.5] },
  fat: { label: 'Fat', words: ['lean', 'some', 'oily'], edges: [2.5, 8] },
  flavour: { label: 'Flavour', words: ['mild', 'medium', 'strong'], edges: [3, 5.5] },
  bones: { label: 'Bones in a fillet', words: ['few', 'some', 'many'], edges: [1, 4] },
  cohesion: { label: 'Holds together', words: ['fragile', 'with care', 'well'], edges: [4.5, 6] },
  tolerance: { label: 'Overcooking', words: ['dries', 'forgives a little', 'forgives'], edges: [4, 6] },
  skin: { label: 'Skin', words: ['off', 'fair', 'crisps'], edges: [3.5, 6.5] },
  collagen: { label: 'Body for a broth', words: ['little', 'some', 'much'], edges: [4, 6.5] },
  binding: { label: 'Binds as mince', words: ['poorly', 'fairly', 'well'], edges: [4, 6.5] },
  rawBite: { label: 'Raw bite', words: ['soft', 'fair', 'firm'], edges: [4, 6] },
  weight: {
    label: 'Whole weight',
    words: [`under ${describeMass(400)}`, `${describeMass(400)} to ${describeMass(2000)}`, `over ${describeMass(2000)}`],
    edges: [400, 2000],
  },
  thickness: { label: 'Depth of flesh', words: ['thin', 'medium', 'thick'], edges: [16, 26] },
}
export const STEP_NAMES = ['low', 'middle', 'high'] as const
export type StepName = (typeof STEP_NAMES)[number]

/** Which of the three steps a value stands on. */
export function stepOf(trait: BookTrait, value: number): StepName {
  const [low, high] = TRAIT_STEPS[trait].edges
  return value < low ? 'low' : value > high ? 'high' : 'middle'
}

/** From what fit on a fish is called good for a method. */
export const GOOD_FIT = 80

/** Filters that choose from a list: by address key, what a fish answers. */
const LISTS = {
  origin: { label: 'Origin', values: ORIGINS, of: ({ origins }: BookRow): readonly string[] => origins },
  state: { label: 'Sold', values: ['fresh', 'frozen'], of: ({ states }: BookRow): readonly string[] => states },
  form: { label: 'Sold as', values: FORMS, of: ({ forms }: BookRow): readonly string[] => forms },
  region: { label: 'From', values: REGIONS, of: ({ regions }: BookRow): readonly string[] => regions },
  market: { label: 'On the market', values: MARKET_PLACES, of: ({ market }: BookRow): readonly string[] => [market] },
} as const
export type ListKey = keyof typeof LISTS
export const LIST_KEYS = Object.keys(LISTS) as readonly ListKey[]
export const describeList = (key: ListKey): { readonly label: string; readonly values: readonly string[] } => LISTS[key]

export interface BookFilter {
  readonly traits: Readonly<Partial<Record<BookTrait, readonly StepName[]>>>
  readonly lists: Readonly<Partial<Record<ListKey, string>>>
  readonly method: Method | null
  readonly house: boolean
  readonly sort: string
}

const isStep = (text: string): text is StepName => (STEP_NAMES as readonly string[]).includes(text)

/** Reads a filter from an address; what it does not know it passes over. */
export function readFilter(search: URLSearchParams): BookFilter {
  const traits = Object.fromEntries(
    BOOK_TRAITS.flatMap((trait) => {
      const steps = (search.get(trait) ?? '').split(',').filter(isStep)
      return steps.length > 0 ? [[trait, steps]] : []
    }),
  ) as BookFilter['traits']
  const lists = Object.fromEntries(
    LIST_KEYS.flatMap((key) => {
      const value = search.get(key)
      return value && describeList(key).values.includes(value) ? [[key, value]] : []
    }),
  ) as BookFilter['lists']
  const method = METHODS.find((one) => one === search.get('method')) ?? null
  return { traits, lists, method, house: search.get('house') === 'yes', sort: search.get('sort') ?? 'name' }
}

type Test = (row: BookRow) => boolean

/** Each part of a filter as a test of its own, by the key it is changed under. */
function listTests({ traits, lists, method, house }: BookFilter): ReadonlyMap<string, Test> {
  const tests = new Map<string, Test>()
  for (const [trait, steps] of Object.entries(traits) as [BookTrait, readonly StepName[]][])
    tests.set(trait, (row) => steps.includes(stepOf(trait, row.traits[trait])))
  for (const [key, value] of Object.entries(lists) as [ListKey, string][]) tests.set(key, (row) => LISTS[key].of(row).includes(value))
  if (method) tests.set('method', (row) => (row.fits?.[method] ?? 0) >= GOOD_FIT)
  if (house) tests.set('house', (row) => row.hand !== 'book' || row.hidden)
  return tests
}

/** The fish that pass every part of a filter. Hidden ones are shown only among the house's own. */
export function filterBook(rows: readonly BookRow[], filter: BookFilter): readonly BookRow[] {
  const tests = [...listTests(filter).values()]
  return rows.filter((row) => (filter.house || !row.hidden) && tests.every((test) => test(row)))
}

/** How many fish would be left on each step of a trait, all else as it is. */
export function countSteps(rows: readonly BookRow[], filter: BookFilter, trait: BookTrait): Readonly<Record<StepName, number>> {
  const { [trait]: _own, ...others } = filter.traits
  const left = filterBook(rows, { ...filter, traits: others })
  const counts: Record<StepName, number> = { low: 0, middle: 0, high: 0 }
  for (const row of left) counts[stepOf(trait, row.traits[trait])] += 1
  return counts
}

const SORT_LABELS: readonly (readonly [string, string])[] = [
  ['name', 'name'],
  ['known', 'best known first'],
  ...BOOK_TRAITS.flatMap((trait) => {
    const { label, words } = TRAIT_STEPS[trait]
    return [
      [`-${trait}`, `${label.toLowerCase()}: ${words[2]} first`],
      [trait, `${label.toLowerCase()}: ${words[0]} first`],
    ] as const
  }),
]
export const SORTS = SORT_LABELS

/** Sorts by a key of `SORTS`, or by fit where a method is chosen and nothing else is asked. */
export function sortBook(rows: readonly BookRow[], { sort, method }: BookFilter): readonly BookRow[] {
  const byName = (a: BookRow, b: BookRow) => a.common.localeCompare(b.common, 'en')
  const down = sort.startsWith('-')
  const trait = BOOK_TRAITS.find((one) => one === sort.replace('-', ''))
  const value = (row: BookRow): number => {
    if (trait) return (down ? -1 : 1) * row.traits[trait]
    if (sort === 'known') return -row.familiarity
    return method ? -(row.fits?.[method] ?? 0) : 0
  }
  return [...rows].sort((a, b) => value(a) - value(b) || byName(a, b))
}

/** The flesh in a few words: "firm, large flakes, lean, mild, few bones". */
export function describeFlesh({ traits }: Pick<BookRow, 'traits'>): string {
  const word = (trait: BookTrait) => TRAIT_STEPS[trait].words[STEP_NAMES.indexOf(stepOf(trait, traits[trait]))] ?? ''
  const firm = word('firmness')
  return [
    firm === 'medium' ? 'medium firm' : firm,
    word('flake') === 'fine or none' ? 'fine flakes or none' : `${word('flake')} flakes`,
    word('fat') === 'some' ? 'some fat' : word('fat'),
    word('flavour') === 'medium' ? 'medium flavour' : word('flavour'),
    `${word('bones')} bones`,
  ].join(', ')
}

/** What a fish does best, best first. */
export function listBest({ fits }: Pick<BookRow, 'fits'>, most = 3): readonly (readonly [Method, number])[] {
  return (Object.entries(fits ?? {}) as [Method, number][])
    .filter(([, fit]) => fit >= GOOD_FIT)
    .sort(([, a], [, b]) => b - a)
    .slice(0, most)
}

/** The lines with the fits in their place. */
export const layFits = (rows: readonly BookRow[], fits: ReadonlyMap<string, MethodFits>): readonly BookRow[] =>
  rows.map((row) => ({ ...row, fits: fits.get(row.species) ?? {} }))
