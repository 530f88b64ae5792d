import { findShipped, fromPatch, toPatch } from '@tender-gill/catalogue'
import type {
  ColdPlaceInput,
  ColdPlaceRecord,
  HouseSpeciesInput,
  HouseSpeciesRecord,
  LookInput,
  LookRecord,
  LotInput,
  LotRecord,
  MerchantInput,
  MerchantRecord,
  Price,
  PriceInput,
  PriceRecord,
  PurchaseInput,
  PurchaseRecord,
  RestUseInput,
  RestUseRecord,
  RateInput,
  RateRecord,
  SeasonInput,
  SeasonRecord,
  StockInput,
  StockRecord,
} from '@tender-gill/contract'
import {
  coldPlaces,
  houseSpecies,
  looks,
  lots,
  merchants,
  prices,
  purchases,
  rates,
  restUses,
  seasons,
  stocks,
} from '../database/schema/index.ts'
import type { RecordMapping } from './recordRepository.ts'

/** Drops what is not there, so that a price reads back as it was written. */
const present = <T extends object>(fields: T) => Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== null))

export const priceMapping: RecordMapping<typeof prices, PriceInput, PriceRecord> = {
  table: prices,
  toColumns: ({ price }) => ({
    merchant: price.merchant ?? null,
    date: price.date ?? null,
    species: price.species,
    origin: price.origin ?? null,
    state: price.state ?? null,
    part: price.part ?? null,
    form: price.form,
    grade: price.grade ?? null,
    amount: price.price,
    currency: price.currency,
    unit: price.unit,
    eachG: price.eachG ?? null,
    minimumKg: price.minimumKg ?? null,
    glaze: price.glaze ?? null,
  }),
  toRecord: (row, stored) => {
    const { merchant, date, species, origin, state, part, form, grade, amount, currency, unit, eachG, minimumKg, glaze } = row
    const fields = present({ merchant, date, species, origin, state, part, form, grade, currency, unit, eachG, minimumKg, glaze })
    return { ...stored, price: { ...fields, id: stored.id, price: amount } as Price }
  },
}

export const houseSpeciesMapping: RecordMapping<typeof houseSpecies, HouseSpeciesInput, HouseSpeciesRecord> = {
  table: houseSpecies,
  toColumns: ({ source, hidden }) => ({
    species: source.scientific,
    hidden: hidden ?? false,
    patch: toPatch(source, findShipped(source.scientific)),
  }),
  toRecord: ({ species, patch, hidden }, stored) => {
    const shipped = findShipped(species)
    return { ...stored, source: fromPatch(patch, shipped), hidden, own: shipped === undefined }
  },
}

export const seasonMapping: RecordMapping<typeof seasons, SeasonInput, SeasonRecord> = {
  table: seasons,
  toColumns: ({ season }) => ({ species: season.species, water: season.water, season }),
  toRecord: (row, stored) => ({ ...stored, season: row.season }),
}

export const stockMapping: RecordMapping<typeof stocks, StockInput, StockRecord> = {
  table: stocks,
  toColumns: ({ stock }) => ({ species: stock.species, stock }),
  toRecord: (row, stored) => ({ ...stored, stock: row.stock }),
}

export const merchantMapping: RecordMapping<typeof merchants, MerchantInput, MerchantRecord> = {
  table: merchants,
  toColumns: ({ merchant }) => ({ merchant }),
  toRecord: (row, stored) => ({ ...stored, merchant: row.merchant }),
}

export const purchaseMapping: RecordMapping<typeof purchases, PurchaseInput, PurchaseRecord> = {
  table: purchases,
  toColumns: ({ purchase }) => ({ line: purchase.line, date: purchase.date, purchase }),
  toRecord: (row, stored) => ({ ...stored, purchase: row.purchase }),
}

export const restUseMapping: RecordMapping<typeof restUses, RestUseInput, RestUseRecord> = {
  table: restUses,
  toColumns: ({ use: { servingId, part, to } }) => ({ servingId, part, toServing: to }),
  toRecord: ({ servingId, part, toServing }, stored) => ({ ...stored, use: { servingId, part, to: toServing } }),
}

export const lookMapping: RecordMapping<typeof looks, LookInput, LookRecord> = {
  table: looks,
  toColumns: ({ look }) => ({ at: new Date(look.at), look }),
  toRecord: (row, stored) => ({ ...stored, look: row.look }),
}

export const lotMapping: RecordMapping<typeof lots, LotInput, LotRecord> = {
  table: lots,
  toColumns: ({ lot }) => ({ boughtAt: new Date(lot.boughtAt), lot }),
  toRecord: (row, stored) => ({ ...stored, lot: row.lot }),
}

export const coldPlaceMapping: RecordMapping<typeof coldPlaces, ColdPlaceInput, ColdPlaceRecord> = {
  table: coldPlaces,
  toColumns: ({ place }) => ({ place }),
  toRecord: (row, stored) => ({ ...stored, place: row.place }),
}

export const rateMapping: RecordMapping<typeof rates, RateInput, RateRecord> = {
  table: rates,
  toColumns: ({ rate }) => rate,
  toRecord: ({ currency, date, worth }, stored) => ({ ...stored, rate: { currency, date, worth } }),
}
