import type { AskKey, Fact, FactParam, Quantity, Term, Untold } from '@tender-gill/contract'
import { FACT_PARAMS, type FactCode } from '@tender-gill/core'
import IntlMessageFormat from 'intl-messageformat'
import { EN_FACTS } from './en/facts/index.ts'
import { termsOf } from './languages.ts'
import { makeStrange } from './makeStrange.ts'
import { formatQuantity } from './quantities.ts'
import { DEFAULT_READER, nameReader, type Reader } from './reader.ts'
import { nameDay, nameMonth, type Terms } from './terms.ts'

/** Turns what the engine says into words for one reader. */
export interface Words {
  readonly reader: Reader
  readonly terms: Terms
  readonly say: (fact: Fact) => string
  readonly write: (quantity: Quantity) => string
  /** An answer with a sentence in the place of each fact; what holds none is not copied. */
  readonly tell: <T>(answer: T) => Told<T>
}

/** What an answer of the engine is once it is told. */
export type Told<T> = T extends Fact ? string : T extends object ? { [K in keyof T]: Told<T[K]> } : T

const isFact = (value: unknown): value is Fact =>
  typeof value === 'object' && value !== null && 'code' in value && 'params' in value && (value.code as string) in FACT_PARAMS

const capital = (text: string): string => (text[0] ?? '').toUpperCase() + text.slice(1)
const small = (text: string): string => (text[0] ?? '').toLowerCase() + text.slice(1)

function nameTerm({ term, key }: Term, terms: Terms): string {
  switch (term) {
    case 'month':
      return nameMonth(Number(key), terms)
    case 'day':
      return nameDay(key, terms)
    default:
      return (terms[term] as Readonly<Record<string, string>>)[key] ?? key
  }
}

/** Terms whose names begin with a capital where they stand alone, and with a small letter within a sentence. */
const isNamed = (param: FactParam): boolean => typeof param === 'object' && 'term' in param && NAMED.has(param.term)
const NAMED: ReadonlySet<Term['term']> = new Set<Term['term']>(['ask', 'gate', 'method', 'sign'])

/** A list within a sentence: changes one after the other are a chain, dishes and places go together, all else is counted off. */
const JOINS: { readonly [C in FactCode]?: string } = {
  'open.if': ', and ',
  'absence.short.others-lose': ' and ',
  'lot.doubtful': ' and ',
  'lot.late': ' and ',
  'lot.freeze': ' and ',
  'pot.unfilled': ' or the ',
  'buy.line': '; ',
  'buy.or-else': ', or ',
  'buy.message': '\n',
  'buy.message.no-day': '\n',
  'buy.messages': '\n\n',
}

function createForReader(reader: Reader): Words {
  const terms = termsOf(reader.language)
  const strange = reader.language === 'pseudo'
  const messages = new Map<string, IntlMessageFormat>()
  const messageOf = (code: FactCode): IntlMessageFormat => {
    const ready = messages.get(code) ?? new IntlMessageFormat(EN_FACTS[code], 'en')
    messages.set(code, ready)
    return ready
  }
  const write = (quantity: Quantity): string => formatQuantity(quantity, terms, reader)
  const writeParam = (param: FactParam, join: string): string | number => {
    if (typeof param === 'string' || typeof param === 'number') return param
    if (Array.isArray(param)) return (param as readonly FactParam[]).map((one) => writeParam(one, join)).join(join)
    if (isFact(param)) return say(param)
    if ('quantity' in param) return write(param)
    return 'term' in param ? nameTerm(param, terms) : ''
  }
  const say = (fact: Fact): string => {
    const code = fact.code as FactCode
    // Texts of the tables and of the book are their own key in a language; the English ones stand as they are.
    if (code === 'name') return String(fact.params.text)
    if (code === 'phrase') return strange ? makeStrange(String(fact.params.text)) : String(fact.params.text)
    const values: Record<string, string | number> = { units: reader.units }
    const params = apart(fact.params, write)
    for (const [name, param] of Object.entries(params)) {
      const text = writeParam(param, JOINS[code] ?? ', ')
      values[name] = typeof text === 'string' && isNamed(param) ? small(text) : text
      if (typeof text === 'string') values[capital(name)] = capital(text)
    }
    const told = messageOf(code).format(values) as string
    return strange ? makeStrange(told) : told
  }
  const tell = (value: unknown): unknown => {
    if (typeof value !== 'object' || value === null) return value
    if (isFact(value)) return say(value)
    if (Array.isArray(value)) {
      const told = value.map(tell)
      return told.some((one, i) => one !== value[i]) ? told : value
    }
    let copy: Record<string, unknown> | undefined
    for (const [key, one] of Object.entries(value)) {
      const told = tell(one)
      if (told === one) continue
      copy ??= { ...value }
      copy[key] = told
    }
    return copy ?? value
  }
  return { reader, terms, say, write, tell: tell as Words['tell'] }
}

/** Two values of one trait so near that words do not tell them apart are told by their figures. */
function apart(params: Fact['params'], write: (quantity: Quantity) => string): Fact['params'] {
  const traits = Object.entries(params).filter(
    ([, param]) => typeof param === 'object' && 'quantity' in param && param.quantity === 'trait',
  )
  const [a, b] = traits.map(([, param]) => param as Quantity & { readonly quantity: 'trait'; readonly ask: AskKey })
  if (!a || !b || a.ask !== b.ask || a.value === b.value || write(a) !== write(b)) return params
  return { ...params, ...Object.fromEntries(traits.map(([name, param]) => [name, toFigures((param as typeof a).value)])) }
}
const toFigures = (value: number): string => String(Number(value.toPrecision(4)))

const ready = new Map<string, Words>()

/** The words for a reader; made once for each way of reading. */
export function createWords(reader: Reader = DEFAULT_READER): Words {
  const name = nameReader(reader)
  const words = ready.get(name) ?? createForReader(reader)
  ready.set(name, words)
  return words
}

/** An answer told to a reader. */
export const tell = <T>(answer: Untold<T>, reader?: Reader): T => createWords(reader).tell(answer) as T
