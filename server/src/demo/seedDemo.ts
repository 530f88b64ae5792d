import { eq, inArray, sql } from 'drizzle-orm'
import { addDays, DAY_MS, weekdayOf } from '@tender-gill/core'
import type { Database } from '../database/openDatabase.ts'
import {
  absences,
  blobs,
  changes,
  coldPlaces,
  coldReadings,
  commands,
  decisions,
  dishes,
  entryActs,
  houseSpecies,
  kitchens,
  leanings,
  looks,
  lots,
  merchants,
  photos,
  priceLists,
  priceSeries,
  prices,
  purchases,
  rates,
  restUses,
  seasons,
  servings,
  settledNames,
  stocks,
} from '../database/schema/index.ts'
import { createEntryRepository } from '../houseBook/entryRepository.ts'
import { computeToday } from '../kitchens/today.ts'
import { priceMapping, seasonMapping, stockMapping } from '../records/mappings.ts'
import { splitBrief } from '../servings/briefParts.ts'
import { createPriceListRepository } from '../priceLists/priceListRepository.ts'
import { writeListText } from '../priceLists/writeListText.ts'
import { makeDemoBook } from './demoBook.ts'
import { DEMO_LOTS, DEMO_PLACES } from './demoCold.ts'
import { DEMO_MERCHANTS, makeDemoLists } from './demoMarket.ts'
import { DEMO_KITCHENS, type DemoKitchen } from './demoKitchens.ts'

const daysBefore = (now: Date, days: number) => new Date(now.getTime() - days * DAY_MS)

/** Wednesday to Saturday: the demo's merchants deliver on them, and the fish of the day before can still be had. */
const SERVICE_WEEKDAYS = [3, 4, 5, 6]
/** The so many-th day of service from the day after tomorrow on. */
function findService(today: string, place: number): string {
  const days = Array.from({ length: 21 }, (_, i) => addDays(today, i + 2)).filter((day) => SERVICE_WEEKDAYS.includes(weekdayOf(day)))
  return days[place - 1] ?? today
}

async function seedKitchen(
  db: Database,
  { dishes: menu, quotes, seasons: years, stocks: evidence, hasMarket: _market, ...kitchen }: DemoKitchen,
  now: Date,
): Promise<void> {
  await db.insert(kitchens).values(kitchen)
  const stored = (id: string, i: number) => ({ kitchenId: kitchen.id, id, updatedAt: new Date(now.getTime() + i) })
  const today = computeToday(now, kitchen.zone)
  const written = menu.map(({ id, brief, service }, i) => ({
    ...stored(id, i),
    ...splitBrief(service === undefined ? brief : { ...brief, date: findService(today, service) }),
  }))
  await db.insert(dishes).values(written.map(({ parts: _parts, ...dish }) => dish))
  await db.insert(servings).values(written.map(({ recipe: _recipe, parts, ...row }) => ({ ...row, ...parts, dishId: row.id })))
  const priced = quotes.map(({ daysAgo, ...price }, i) => ({
    ...stored(`price-${i + 1}`, i),
    ...priceMapping.toColumns({ price: { ...price, date: computeToday(daysBefore(now, daysAgo), kitchen.zone) } }),
  }))
  const kept = years.map((season, i) => ({ ...stored(`season-${i + 1}`, i), ...seasonMapping.toColumns({ season }) }))
  if (kept.length > 0) await db.insert(seasons).values(kept as (typeof seasons.$inferInsert)[])
  const known = evidence.map((stock, i) => ({ ...stored(`stock-${i + 1}`, i), ...stockMapping.toColumns({ stock }) }))
  if (known.length > 0) await db.insert(stocks).values(known as (typeof stocks.$inferInsert)[])
  if (priced.length > 0) await db.insert(prices).values(priced as (typeof prices.$inferInsert)[])
}

/** The merchants of a demo kitchen with a year of their lists. */
async function seedMarket(db: Database, kitchen: Pick<DemoKitchen, 'id' | 'zone'>, now: Date): Promise<void> {
  const lists = createPriceListRepository(db, () => now)
  for (const [i, demo] of DEMO_MERCHANTS.entries()) {
    await db
      .insert(merchants)
      .values({ kitchenId: kitchen.id, id: demo.id, merchant: demo.merchant, updatedAt: new Date(now.getTime() + i) })
    for (const { date, quotes } of makeDemoLists(demo, computeToday(now, kitchen.zone))) {
      const { text, reading } = writeListText(quotes)
      const read = { headings: [], sample: [], rows: quotes.length, reading, quotes, bad: [], open: [] }
      await lists.keep(kitchen.id, { merchantId: demo.id, date, source: 'file', fileName: `${demo.id}-${date}.csv`, text, read })
    }
  }
}

/** Where the demo's kitchen keeps its fish, and what lies there. */
async function seedCold(db: Database, { id: kitchenId }: Pick<DemoKitchen, 'id'>, now: Date): Promise<void> {
  const hoursLater = (from: number, hours: number) => new Date(from + hours * 3_600_000)
  await db.insert(coldPlaces).values(DEMO_PLACES.map(({ id, place }) => ({ kitchenId, id, place, updatedAt: now })))
  await db.insert(lots).values(
    DEMO_LOTS.map(({ id, hoursAgo, lot, stays }) => {
      const boughtAt = hoursLater(now.getTime(), -hoursAgo)
      const moves = stays.map(({ after, place, iced }) => ({
        from: hoursLater(boughtAt.getTime(), after).toISOString(),
        place,
        iced,
        celsius: null,
      }))
      const kept = { ...lot, boughtAt: boughtAt.toISOString(), stays: moves, line: null, journey: null, state: 'here' as const }
      return { kitchenId, id, boughtAt, lot: kept, updatedAt: now }
    }),
  )
}

/** Lays the demo's table once: nothing happens when any kitchen is there. Whole or not at all. */
export async function seedDemo(db: Database, now: Date): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(7321)`)
    const [there] = await tx.select({ id: kitchens.id }).from(kitchens).limit(1)
    if (there) return
    for (const kitchen of DEMO_KITCHENS) {
      await seedKitchen(tx, kitchen, now)
      if (kitchen.hasMarket) {
        await seedMarket(tx, kitchen, now)
        await seedCold(tx, kitchen, now)
        await createEntryRepository(tx, () => now).add(kitchen.id, makeDemoBook(computeToday(now, kitchen.zone)))
      }
    }
  })
}

/** Renews the demo kitchens and leaves every other kitchen alone. */
export async function resetDemo(db: Database, now: Date): Promise<void> {
  const ids = DEMO_KITCHENS.map(({ id }) => id)
  await db.transaction(async (tx) => {
    await tx.delete(absences).where(inArray(absences.kitchenId, ids))
    await tx.delete(servings).where(inArray(servings.kitchenId, ids))
    await tx.delete(dishes).where(inArray(dishes.kitchenId, ids))
    await tx.delete(prices).where(inArray(prices.kitchenId, ids))
    await tx.delete(decisions).where(inArray(decisions.kitchenId, ids))
    await tx.delete(blobs).where(inArray(blobs.kitchenId, ids))
    await tx.delete(seasons).where(inArray(seasons.kitchenId, ids))
    await tx.delete(stocks).where(inArray(stocks.kitchenId, ids))
    await tx.delete(priceLists).where(inArray(priceLists.kitchenId, ids))
    await tx.delete(priceSeries).where(inArray(priceSeries.kitchenId, ids))
    await tx.delete(merchants).where(inArray(merchants.kitchenId, ids))
    await tx.delete(purchases).where(inArray(purchases.kitchenId, ids))
    await tx.delete(looks).where(inArray(looks.kitchenId, ids))
    await tx.delete(photos).where(inArray(photos.kitchenId, ids))
    await tx.delete(entryActs).where(inArray(entryActs.kitchenId, ids))
    await tx.delete(lots).where(inArray(lots.kitchenId, ids))
    await tx.delete(coldReadings).where(inArray(coldReadings.kitchenId, ids))
    await tx.delete(coldPlaces).where(inArray(coldPlaces.kitchenId, ids))
    await tx.delete(restUses).where(inArray(restUses.kitchenId, ids))
    await tx.delete(rates).where(inArray(rates.kitchenId, ids))
    await tx.delete(settledNames).where(inArray(settledNames.kitchenId, ids))
    await tx.delete(leanings).where(inArray(leanings.kitchenId, ids))
    await tx.delete(houseSpecies).where(inArray(houseSpecies.kitchenId, ids))
    await tx.delete(changes).where(inArray(changes.kitchenId, ids))
    await tx.delete(commands).where(inArray(commands.kitchenId, ids))
    for (const kitchen of DEMO_KITCHENS) {
      await tx.delete(kitchens).where(eq(kitchens.id, kitchen.id))
      await seedKitchen(tx, kitchen, now)
      if (kitchen.hasMarket) {
        await seedMarket(tx, kitchen, now)
        await seedCold(tx, kitchen, now)
        await createEntryRepository(tx, () => now).add(kitchen.id, makeDemoBook(computeToday(now, kitchen.zone)))
      }
    }
  })
}
