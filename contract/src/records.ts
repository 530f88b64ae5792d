import { Type, type Static } from '@sinclair/typebox'
import { Brief, HouseLeanings, Recipe } from './brief.ts'
import { Price, Season, Stock } from './market.ts'
import { closed, nullable, oneOf, ScientificName, stored, Text } from './schemaParts.ts'
import { SourceSpecies } from './sourceSpecies.ts'
import { FORMS } from './vocabulary.ts'

/** One fish as it is bought. */
export const TakenFish = closed({ species: ScientificName, offerId: Text(120), form: oneOf(FORMS) })
export type TakenFish = Static<typeof TakenFish>

/** What goes into a pot of several beside its first fish; each is bought for an even share of the portions. */
export const Beside = Type.Array(TakenFish, { minItems: 1, maxItems: 4 })

/** The fish taken for a dish, as the cook last chose it; a pot, a fry or a board of several has the others beside it. */
export const Choice = closed({ ...TakenFish.properties, beside: Type.Optional(Beside) })
export type Choice = Static<typeof Choice>

/** A dish: what is cooked, apart from when and for whom. */
export const DishInput = closed({ recipe: Recipe }, { $id: 'DishInput' })
export type DishInput = Static<typeof DishInput>
export const DishRecord = closed({ ...stored, recipe: Recipe }, { $id: 'DishRecord' })
export type DishRecord = Static<typeof DishRecord>

/**
 * A serving as it is planned or changed: the brief of a dish on a day for so many, and the fish taken for it. What belongs to the dish is
 * changed for all its servings. With `dishId` a new serving is one of a dish that is kept already, as that stands.
 */
export const ServingInput = closed(
  { brief: Brief, choice: Type.Optional(nullable(Choice)), dishId: Type.Optional(Text(40)) },
  { $id: 'ServingInput' },
)
export type ServingInput = Static<typeof ServingInput>

/** A serving of the kitchen: its dish, the whole brief it is answered by, its choice, and the revision that If-Match must name. */
export const ServingRecord = closed({ ...stored, dishId: Text(40), brief: Brief, choice: nullable(Choice) }, { $id: 'ServingRecord' })
export type ServingRecord = Static<typeof ServingRecord>

/** A price typed in by the kitchen. */
export const PriceRecord = closed({ ...stored, price: Price }, { $id: 'PriceRecord' })
export type PriceRecord = Static<typeof PriceRecord>
export const PriceInput = closed({ price: Price }, { $id: 'PriceInput' })
export type PriceInput = Static<typeof PriceInput>

/** A species' year in one water, as the kitchen keeps it. */
export const SeasonInput = closed({ season: Season }, { $id: 'SeasonInput' })
export type SeasonInput = Static<typeof SeasonInput>
export const SeasonRecord = closed({ ...stored, season: Season }, { $id: 'SeasonRecord' })
export type SeasonRecord = Static<typeof SeasonRecord>

/** What the kitchen keeps on one stock. */
export const StockInput = closed({ stock: Stock }, { $id: 'StockInput' })
export type StockInput = Static<typeof StockInput>
export const StockRecord = closed({ ...stored, stock: Stock }, { $id: 'StockRecord' })
export type StockRecord = Static<typeof StockRecord>

/** A species in the house's hand: as the house has it, and whether it is kept out of sight. */
export const HouseSpeciesInput = closed({ source: SourceSpecies, hidden: Type.Optional(Type.Boolean()) }, { $id: 'HouseSpeciesInput' })
export type HouseSpeciesInput = Static<typeof HouseSpeciesInput>
export const HouseSpeciesRecord = closed(
  { ...stored, source: SourceSpecies, hidden: Type.Boolean(), own: Type.Boolean({ description: 'The book has no such species.' }) },
  { $id: 'HouseSpeciesRecord' },
)
export type HouseSpeciesRecord = Static<typeof HouseSpeciesRecord>

/** A file of species that is brought in. */
export const SpeciesImport = closed(
  {
    format: oneOf(['json', 'csv']),
    text: Type.String({ maxLength: 40_000_000 }),
    /** Look only; keep all or nothing; keep the good rows although others are bad. */
    keep: oneOf(['nothing', 'all', 'good']),
  },
  { $id: 'SpeciesImport' },
)
export type SpeciesImport = Static<typeof SpeciesImport>
export const SpeciesImportReport = closed(
  {
    rows: Type.Integer(),
    good: Type.Integer(),
    kept: Type.Integer(),
    /** Rows that say just what the book says: nothing to keep. */
    same: Type.Integer(),
    /** Names this import so that it can be taken back; null when nothing was kept. */
    importId: nullable(Text(40)),
    bad: Type.Array(closed({ line: Type.Integer(), species: nullable(Text(120)), path: Type.String(), message: Text(600) })),
  },
  { $id: 'SpeciesImportReport' },
)
export type SpeciesImportReport = Static<typeof SpeciesImportReport>

/** The house's leanings with the revision that If-Match must name; 0 before any were set. */
export const LeaningsRecord = closed({ revision: Type.Integer({ minimum: 0 }), leanings: HouseLeanings }, { $id: 'LeaningsRecord' })
export type LeaningsRecord = Static<typeof LeaningsRecord>
export const LeaningsInput = closed({ leanings: HouseLeanings }, { $id: 'LeaningsInput' })
export type LeaningsInput = Static<typeof LeaningsInput>

export const Kitchen = closed(
  { id: Text(40), name: Text(80), waters: Text(120), zone: Text(60), currency: Text(3), today: Type.String() },
  { $id: 'Kitchen' },
)
export type Kitchen = Static<typeof Kitchen>
