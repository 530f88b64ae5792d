import type { BriefInput, Problem, Result, SeasonInput, StockInput } from '@tender-gill/contract'
import { parseBriefInput, parsePriceInput, parseSeasonInput, parseStockInput } from '@tender-gill/contract/validators'
import { normaliseBrief } from '@tender-gill/core'
import type { HouseBooks } from '../book/houseBook.ts'

const within = (place: string, problems: readonly Problem[]): readonly Problem[] =>
  problems.map(({ path, message }) => ({ path: `${place}${path}`, message }))

/** A brief is stored only when it makes sense as well as fits its schema. */
export const createParseBrief =
  (books: HouseBooks) =>
  async (body: unknown, kitchenId: string): Promise<Result<BriefInput, readonly Problem[]>> => {
    const parsed = parseBriefInput(body)
    if (!parsed.ok) return parsed
    const { findSpecies } = await books.read(kitchenId)
    const sense = normaliseBrief(parsed.value.brief, { findSpecies, today: '2000-01-01' })
    return sense.ok ? parsed : { ok: false, error: within('/brief', sense.error) }
  }

/** A price needs a fish of the book, and a weight where it is by the piece. */
export const createParsePrice =
  (books: HouseBooks) =>
  async (body: unknown, kitchenId: string): Promise<ReturnType<typeof parsePriceInput>> => {
    const parsed = parsePriceInput(body)
    if (!parsed.ok) return parsed
    const { findSpecies } = await books.read(kitchenId)
    const { species, unit, eachG } = parsed.value.price
    const problems: Problem[] = []
    if (!findSpecies(species)) problems.push({ path: '/price/species', message: `no fish named "${species}" in the book` })
    if ((unit === 'each' || unit === 'box') && eachG === undefined)
      problems.push({ path: '/price/eachG', message: 'is required for a price by the piece or the box' })
    return problems.length > 0 ? { ok: false, error: problems } : parsed
  }

/** A year needs a fish of the book, and a month in which it is landed at all. */
export const createParseSeason =
  (books: HouseBooks) =>
  async (body: unknown, kitchenId: string): Promise<Result<SeasonInput, readonly Problem[]>> => {
    const parsed = parseSeasonInput(body)
    if (!parsed.ok) return parsed
    const { findSpecies } = await books.read(kitchenId)
    const { species, landings } = parsed.value.season
    const problems: Problem[] = []
    if (!findSpecies(species)) problems.push({ path: '/season/species', message: `no fish named "${species}" in the book` })
    if (landings.every((month) => month === 0)) problems.push({ path: '/season/landings', message: 'is landed in no month at all' })
    return problems.length > 0 ? { ok: false, error: problems } : parsed
  }

const WILD_PARTS = ['biomassRatio', 'pressureRatio', 'gearScore', 'managementScore'] as const
const FARM_PARTS = ['feed', 'escapes', 'disease', 'discharge'] as const

/** Evidence needs a fish of the book, something that is known, and parts that belong to how it lives. */
export const createParseStock =
  (books: HouseBooks) =>
  async (body: unknown, kitchenId: string): Promise<Result<StockInput, readonly Problem[]>> => {
    const parsed = parseStockInput(body)
    if (!parsed.ok) return parsed
    const { stock } = parsed.value
    const { findSpecies } = await books.read(kitchenId)
    const problems: Problem[] = []
    if (!findSpecies(stock.species)) problems.push({ path: '/stock/species', message: `no fish named "${stock.species}" in the book` })
    const [own, foreign] = stock.origin === 'farmed' ? [FARM_PARTS, WILD_PARTS] : [WILD_PARTS, FARM_PARTS]
    if (own.every((part) => stock[part] === undefined)) problems.push({ path: '/stock', message: 'says nothing of the stock' })
    for (const part of foreign)
      if (stock[part])
        problems.push({ path: `/stock/${part}`, message: `belongs to ${stock.origin === 'farmed' ? 'wild' : 'farmed'} fish` })
    return problems.length > 0 ? { ok: false, error: problems } : parsed
  }
