import type {
  ServingInput,
  HouseSpeciesInput,
  LookInput,
  LotInput,
  ColdPlaceRecord,
  PriceInput,
  Problem,
  PurchaseInput,
  RateRecord,
  RestUseInput,
  SeasonInput,
  StockInput,
  Brief,
  DishInput,
} from '@tender-gill/contract'
import { findMistakes } from '@tender-gill/catalogue'
import { listSigns, normaliseBrief } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'
import type { HouseBooks } from '../book/houseBook.ts'

/** What a schema cannot see of a record: every problem with its place. */
export type Check<Input> = (input: Input, kitchenId: string) => Promise<readonly Problem[]>

const within = (place: string, problems: readonly Problem[]): readonly Problem[] =>
  problems.map(({ path, message }) => ({ path: `${place}${path}`, message }))

/** A brief is stored only when it makes sense as well as fits its schema. */
export const createCheckBrief =
  (books: HouseBooks): Check<{ readonly brief: Brief }> =>
  async ({ brief }, kitchenId) => {
    const { findSpecies } = await books.read(kitchenId)
    const sense = normaliseBrief(brief, { findSpecies, today: '2000-01-01' })
    return sense.ok ? [] : within('/brief', createWords().tell(sense.error))
  }

/** A serving needs a brief that makes sense, and a dish that is there where it names one. */
export const createCheckServing = (
  books: HouseBooks,
  dishes: { readonly find: (kitchenId: string, id: string) => Promise<unknown> },
): Check<ServingInput> => {
  const checkBrief = createCheckBrief(books)
  return async (input, kitchenId) => [
    ...(await checkBrief(input, kitchenId)),
    ...(input.dishId !== undefined && !(await dishes.find(kitchenId, input.dishId)) ? [{ path: '/dishId', message: 'no such dish' }] : []),
  ]
}

/** A dish makes sense when a brief of it does. */
export const createCheckDish = (books: HouseBooks): Check<DishInput> => {
  const checkBrief = createCheckBrief(books)
  return async ({ recipe }, kitchenId) =>
    (await checkBrief({ brief: recipe }, kitchenId)).map(({ path, message }) => ({ path: path.replace('/brief', '/recipe'), message }))
}

/** The problem of a name that is no fish of the book, at its place. */
export const findUnknownFish = (
  { findSpecies }: { readonly findSpecies: (name: string) => string | undefined },
  name: string,
  path: string,
): readonly Problem[] => (findSpecies(name) ? [] : [{ path, message: `no fish named "${name}" in the book` }])

/** A price needs a fish of the book, and a weight where it is by the piece. */
export const createCheckPrice =
  (books: HouseBooks): Check<PriceInput> =>
  async ({ price: { species, unit, eachG } }, kitchenId) => [
    ...findUnknownFish(await books.read(kitchenId), species, '/price/species'),
    ...((unit === 'each' || unit === 'box') && eachG === undefined
      ? [{ path: '/price/eachG', message: 'is required for a price by the piece or the box' }]
      : []),
  ]

/** A purchase needs an offer of the book, a weight once it has come and none before, and a price that can be told in the kitchen's money. */
export const createCheckPurchase =
  (
    books: HouseBooks,
    rates: { readonly list: (kitchenId: string) => Promise<readonly RateRecord[]> },
    kitchens: { readonly find: (id: string) => Promise<{ readonly currency: string } | undefined> },
  ): Check<PurchaseInput> =>
  async ({ purchase }, kitchenId) => {
    const { species, offerId, state, g, orderedG, perKg, currency } = purchase
    const [book, kitchen, worth] = await Promise.all([books.read(kitchenId), kitchens.find(kitchenId), rates.list(kitchenId)])
    const offer = book.offers.find(({ id }) => id === offerId)
    const came = state === 'bought' || state === 'short'
    const told = currency === null || currency === kitchen?.currency || worth.some(({ rate }) => rate.currency === currency)
    const problems: readonly (readonly [boolean, string, string])[] = [
      [offer === undefined, '/purchase/offerId', `no offer "${offerId}" in the book`],
      [offer !== undefined && offer.species !== book.findSpecies(species), '/purchase/species', `is not the fish of "${offerId}"`],
      [came && g === null, '/purchase/g', 'is required once it has come'],
      [!came && g !== null, '/purchase/g', 'has no weight before it has come'],
      [state === 'short' && g !== null && g >= orderedG, '/purchase/g', 'is not less than what was ordered'],
      [perKg !== null && currency === null, '/purchase/currency', 'is required beside a price'],
      [
        !told,
        '/purchase/currency',
        `there is no rate for ${currency ?? ''}: set one under Prices, or give the price in ${kitchen?.currency ?? ''}`,
      ],
    ]
    return problems.flatMap(([wrong, path, message]) => (wrong ? [{ path, message }] : []))
  }

/** An offer of the book, of the fish that is named beside it. */
async function findStrangeOffer(
  books: HouseBooks,
  kitchenId: string,
  { species, offerId }: { readonly species: string; readonly offerId: string },
  place: string,
): Promise<readonly Problem[]> {
  const book = await books.read(kitchenId)
  const offer = book.offers.find(({ id }) => id === offerId)
  if (!offer) return [{ path: `${place}/offerId`, message: `no offer "${offerId}" in the book` }]
  return offer.species === book.findSpecies(species) ? [] : [{ path: `${place}/species`, message: `is not the fish of "${offerId}"` }]
}

/** A look is at an offer of the book, at signs that it has. */
export const createCheckLook =
  (books: HouseBooks): Check<LookInput> =>
  async ({ look }, kitchenId) => {
    const strange = await findStrangeOffer(books, kitchenId, look, '/look')
    if (strange.length > 0) return strange
    const offer = (await books.read(kitchenId)).offers.find(({ id }) => id === look.offerId)
    const has: readonly string[] = offer ? listSigns(offer, look.view) : []
    if (has.length === 0) return [{ path: '/look/view', message: 'it cannot be looked at so' }]
    return Object.keys(look.signs)
      .filter((sign) => !has.includes(sign))
      .map((sign) => ({ path: `/look/signs/${sign}`, message: 'it has no such sign' }))
  }

/** A lot is an offer of the book, kept in places that are there, from its first moment on and onwards. */
export const createCheckLot =
  (books: HouseBooks, places: { readonly list: (kitchenId: string) => Promise<readonly ColdPlaceRecord[]> }): Check<LotInput> =>
  async ({ lot }, kitchenId) => {
    const known = new Set((await places.list(kitchenId)).map(({ id }) => id))
    const before = (i: number) => new Date(lot.stays[i - 1]?.from ?? 0).getTime()
    const age = lot.ageIceDays
    return [
      ...(await findStrangeOffer(books, kitchenId, lot, '/lot')),
      ...lot.stays.flatMap(({ from, place }, i) => [
        ...(place === null || known.has(place) ? [] : [{ path: `/lot/stays/${i}/place`, message: 'no such place' }]),
        ...(new Date(from).getTime() < before(i) ? [{ path: `/lot/stays/${i}/from`, message: 'is before the one before it' }] : []),
      ]),
      ...(age && (age.low > age.typical || age.typical > age.high)
        ? [{ path: '/lot/ageIceDays', message: 'must run from its lower end over its middle to its upper end' }]
        : []),
    ]
  }

/** A part goes from one serving that is there to another, or to broth. */
export const createCheckRestUse =
  (servings: { readonly find: (kitchenId: string, id: string) => Promise<unknown> }): Check<RestUseInput> =>
  async ({ use: { servingId, to } }, kitchenId) => [
    ...((await servings.find(kitchenId, servingId)) ? [] : [{ path: '/use/servingId', message: 'no such dish' }]),
    ...(to === servingId ? [{ path: '/use/to', message: 'is the dish it comes from' }] : []),
    ...(to === null || to === servingId || (await servings.find(kitchenId, to)) ? [] : [{ path: '/use/to', message: 'no such dish' }]),
  ]

/** A year needs a fish of the book, and a month in which it is landed at all. */
export const createCheckSeason =
  (books: HouseBooks): Check<SeasonInput> =>
  async ({ season: { species, landings } }, kitchenId) => [
    ...findUnknownFish(await books.read(kitchenId), species, '/season/species'),
    ...(landings.every((month) => month === 0) ? [{ path: '/season/landings', message: 'is landed in no month at all' }] : []),
  ]

const WILD_PARTS = ['biomassRatio', 'pressureRatio', 'gearScore', 'managementScore'] as const
const FARM_PARTS = ['feed', 'escapes', 'disease', 'discharge'] as const

/** Evidence needs a fish of the book, something that is known, and parts that belong to how it lives. */
export const createCheckStock =
  (books: HouseBooks): Check<StockInput> =>
  async ({ stock }, kitchenId) => {
    const [own, foreign] = stock.origin === 'farmed' ? [FARM_PARTS, WILD_PARTS] : [WILD_PARTS, FARM_PARTS]
    const others = stock.origin === 'farmed' ? 'wild' : 'farmed'
    return [
      ...findUnknownFish(await books.read(kitchenId), stock.species, '/stock/species'),
      ...(own.every((part) => stock[part] === undefined) ? [{ path: '/stock', message: 'says nothing of the stock' }] : []),
      ...foreign.flatMap((part) => (stock[part] ? [{ path: `/stock/${part}`, message: `belongs to ${others} fish` }] : [])),
    ]
  }

/** A species in the house's hand is checked as the shipped files are, and may not take another's name. */
export const createCheckHouseSpecies =
  (books: HouseBooks): Check<HouseSpeciesInput> =>
  async ({ source }, kitchenId) => {
    const { findSpecies } = await books.read(kitchenId)
    const taken = [source.scientific, ...(source.synonyms ?? [])].flatMap((name): Problem[] => {
      const owner = findSpecies(name)
      return owner !== undefined && owner !== source.scientific
        ? [{ path: '/scientific', message: `the name ${name} belongs to ${owner}` }]
        : []
    })
    return within('/source', [...findMistakes(source), ...taken])
  }
