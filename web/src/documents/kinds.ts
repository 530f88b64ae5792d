import type {
  LeaningsInput,
  LeaningsRecord,
  MerchantInput,
  MerchantRecord,
  SeasonInput,
  SeasonRecord,
  ServingInput,
  ServingRecord,
  StockInput,
  StockRecord,
} from '@tender-gill/contract'

/** What is edited where it stands, and kept by itself: what is sent of each kind, and what comes back. */
export interface Documents {
  readonly serving: { readonly input: ServingInput; readonly record: ServingRecord }
  readonly season: { readonly input: SeasonInput; readonly record: SeasonRecord }
  readonly stock: { readonly input: StockInput; readonly record: StockRecord }
  readonly merchant: { readonly input: MerchantInput; readonly record: MerchantRecord }
  readonly leanings: { readonly input: LeaningsInput; readonly record: LeaningsRecord }
}
export type DocumentKind = keyof Documents
export type InputOf<K extends DocumentKind> = Documents[K]['input']

interface Kind<K extends DocumentKind> {
  /** The command that keeps it. */
  readonly save: string
  readonly toInput: (record: Documents[K]['record']) => InputOf<K>
  /** What it is called where it is spoken of. */
  readonly name: string
}

/** One line a kind: another kind of document is one more. */
export const KINDS: { readonly [K in DocumentKind]: Kind<K> } = {
  serving: { save: 'saveServing', toInput: ({ brief, choice }) => ({ brief, choice }), name: 'This dish' },
  season: { save: 'saveSeason', toInput: ({ season }) => ({ season }), name: 'This year' },
  stock: { save: 'saveStock', toInput: ({ stock }) => ({ stock }), name: 'This evidence' },
  merchant: { save: 'saveMerchant', toInput: ({ merchant }) => ({ merchant }), name: 'This merchant' },
  leanings: { save: 'saveLeanings', toInput: ({ leanings }) => ({ leanings }), name: 'How the house leans' },
}
/** Commands that keep documents: what becomes of them is shown beside each document. */
export const DOCUMENT_COMMANDS: ReadonlySet<string> = new Set(Object.values(KINDS).map(({ save }) => save))

/** The name of one document among all of a kitchen. */
export const nameDocument = (kind: DocumentKind, id: string): string => `${kind}/${id}`
