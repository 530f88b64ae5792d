import type { Form, Origin, Part, PriceUnit, SeenFish, State } from '@tender-gill/contract'
import { FORMS, ORIGINS, PARTS, PRICE_UNITS, STATES } from '@tender-gill/contract/vocabulary'

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

const readNumber = (text: string): number => Number(text.trim().replace(',', '.'))
/** A number that may be asked of the engine; nothing for an empty field or for what is no number yet. */
function usable(text: string, least: number, most: number): number | undefined {
  const value = readNumber(text)
  return text.trim() !== '' && value >= least && value <= most ? value : undefined
}

/** What is wrong with what was typed, field by field. */
export function findMistakes({ price, unit, eachG, pieces }: TypedFish): Partial<Record<'price' | 'eachG' | 'pieces', string>> {
  const typed = (text: string) => text.trim() !== ''
  return {
    ...(typed(price) && usable(price, 0.01, 100_000) === undefined ? { price: 'a number above 0' } : {}),
    ...(typed(eachG) && usable(eachG, 1, 500_000) === undefined ? { eachG: 'from 1 to 500,000 g' } : {}),
    ...(typed(price) && (unit === 'each' || unit === 'box') && !typed(eachG) ? { eachG: 'a price by the piece or the box needs it' } : {}),
    ...(typed(pieces) && !(Number.isInteger(readNumber(pieces)) && usable(pieces, 1, 5_000) !== undefined)
      ? { pieces: 'a whole number' }
      : {}),
  }
}

/** As the engine is asked: what is mistaken or not typed is left out, and a price or a weight counts only once it is known how the fish lies there. */
export function toSeenFish(typed: TypedFish, currency: string): SeenFish {
  const { species, origin, state, part, form, unit } = typed
  const mistakes = findMistakes(typed)
  const amount = form === '' || mistakes.price || mistakes.eachG ? undefined : usable(typed.price, 0.01, 100_000)
  const eachG = form === '' || mistakes.eachG ? undefined : usable(typed.eachG, 1, 500_000)
  const pieces = eachG === undefined || mistakes.pieces ? undefined : usable(typed.pieces, 1, 5_000)
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
