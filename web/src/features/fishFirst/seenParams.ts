import type { Form, Origin, Part, PriceUnit, SeenFish, State } from '@tender-gill/contract'
import { FORMS, ORIGINS, PARTS, PRICE_UNITS, STATES } from '@tender-gill/contract/vocabulary'
import { typedNumber } from '../../typed/index.ts'

/**
 * A fish somebody has seen, as it is typed: texts of what the ticket says, nothing where nothing was said. It lives in the address, so that
 * a reload or a link brings it back.
 */
export interface TypedFish {
  readonly species: string
  readonly origin: Origin | ''
  readonly state: State | ''
  readonly part: Part | ''
  readonly form: Form | ''
  readonly price: string
  readonly unit: PriceUnit
  readonly eachG: string
  readonly pieces: string
}

export const blankFish = (species: string): TypedFish => ({
  species,
  origin: '',
  state: '',
  part: '',
  form: '',
  price: '',
  unit: 'kg',
  eachG: '',
  pieces: '',
})

const SEPARATOR = '~'
const oneOf = <T extends string>(values: readonly T[], text: string | undefined): T | '' => values.find((value) => value === text) ?? ''

export const writeFish = ({ species, origin, state, part, form, price, unit, eachG, pieces }: TypedFish): string =>
  [species, origin, state, part, form, price, unit, eachG, pieces].map((text) => text.replaceAll(SEPARATOR, ' ')).join(SEPARATOR)

export function readFish(text: string): TypedFish {
  const [species = '', origin, state, part, form, price = '', unit, eachG = '', pieces = ''] = text.split(SEPARATOR)
  return {
    species,
    origin: oneOf(ORIGINS, origin),
    state: oneOf(STATES, state),
    part: oneOf(PARTS, part),
    form: oneOf(FORMS, form),
    price,
    unit: oneOf(PRICE_UNITS, unit) || 'kg',
    eachG,
    pieces,
  }
}

const PRICE = { least: 0.01, most: 100_000 }
const EACH_G = { least: 1, most: 500_000 }
const PIECES = { least: 1, most: 5_000, whole: true }

/** What is wrong with what was typed, field by field. */
export function findMistakes({ price, unit, eachG, pieces }: TypedFish): Partial<Record<'price' | 'eachG' | 'pieces', string>> {
  const typed = (text: string) => text.trim() !== ''
  return {
    ...(typed(price) && typedNumber(price, PRICE) === undefined ? { price: 'a number above 0' } : {}),
    ...(typed(eachG) && typedNumber(eachG, EACH_G) === undefined ? { eachG: 'from 1 to 500,000 g' } : {}),
    ...(typed(price) && (unit === 'each' || unit === 'box') && !typed(eachG) ? { eachG: 'a price by the piece or the box needs it' } : {}),
    ...(typed(pieces) && typedNumber(pieces, PIECES) === undefined ? { pieces: 'a whole number' } : {}),
  }
}

/** As the engine is asked: what is mistaken or not typed is left out, and a price or a weight counts only once it is known how the fish lies there. */
export function toSeenFish(typed: TypedFish, currency: string): SeenFish {
  const { species, origin, state, part, form, unit } = typed
  const mistakes = findMistakes(typed)
  const amount = form === '' || mistakes.price || mistakes.eachG ? undefined : typedNumber(typed.price, PRICE)
  const eachG = form === '' || mistakes.eachG ? undefined : typedNumber(typed.eachG, EACH_G)
  const pieces = eachG === undefined || mistakes.pieces ? undefined : typedNumber(typed.pieces, PIECES)
  return {
    species,
    ...(origin && { origin }),
    ...(state && { state }),
    ...(part && { part }),
    ...(form && { form }),
    ...(amount === undefined ? {} : { price: { amount, currency, unit } }),
    ...(eachG === undefined ? {} : { eachG }),
    ...(pieces === undefined ? {} : { pieces }),
  }
}

/** The fish of an address: those it lists, or the one it is about. */
export function readSeenList(search: URLSearchParams, species: string): readonly TypedFish[] {
  const listed = search.getAll('f').map(readFish)
  return listed[0]?.species === species ? listed : [blankFish(species)]
}
export function writeSeenList(search: URLSearchParams, fish: readonly TypedFish[]): void {
  search.delete('f')
  for (const one of fish) search.append('f', writeFish(one))
}
