import type {
  AfterService,
  Form,
  HouseBookFile,
  HouseLearnt,
  Kitchen,
  LearnEvent,
  LookBack,
  Result,
  Problem,
  ResolvedOffer,
  ServingRecord,
} from '@tender-gill/contract'
import {
  addDays,
  answerAmounts,
  answerLearn,
  countDays,
  createBoard,
  findLeader,
  LEARNT_KEYS,
  learnSwaps,
  listTaken,
  lookBack as lookBackOn,
  type LookBackContext,
} from '@tender-gill/core'
import type { KitchenSheets } from '../sheets/kitchenSheets.ts'
import { computeToday } from '../kitchens/today.ts'
import type { Desk } from '../compute/desk.ts'
import type { Study } from '../compute/study.ts'
import { refuse } from '../http/errors.ts'
import { foldBook } from './learnHouse.ts'
import { readEntryFile, type ReadEntryFile } from './readEntryFile.ts'

/** Days that one look back may span: three years. */
const MOST_DAYS = 1100
/** Choices from which it is read what a kitchen cares about: the latest. */
const MOST_CHOICES = 60

/** Days told beside one on which nothing was served. */
const OTHER_DAYS = 3

/** The fish of a dish: the one taken, else the one that led its line-up. */
function findFish({ brief, choice }: ServingRecord, sheets: KitchenSheets, today: string): AfterService['dishes'][number]['fish'] {
  const sheet = sheets.sheetOf(brief)
  const tell = ({ id, species, common, label }: ResolvedOffer, form: Form, taken: boolean) => ({
    ...{ species, common, offerId: id, offer: label, form, taken },
  })
  if (choice) {
    const offer = sheet.offers.find(({ id }) => id === choice.offerId)
    return offer ? tell(offer, choice.form, true) : null
  }
  const board = createBoard(brief, sheet, today)
  const leader = board.ok ? findLeader(board.value, { onlyOffered: true })?.candidate : undefined
  return leader ? tell(leader.offer, leader.form, false) : null
}

/** The servings of a day, each with its fish and what was meant to be in its place. */
const afterService: Study<{ readonly day?: string }, AfterService> = async (desk, kitchen, { day = kitchen.today }) => {
  const [servings, decisions, purchases, sheets, book] = await Promise.all([
    desk.servings.list(kitchen.id),
    desk.decisions.list(kitchen.id),
    desk.purchases.list(kitchen.id),
    desk.openSheets(kitchen),
    desk.readHouseBook(kitchen.id),
  ])
  const toDish = (serving: ServingRecord): AfterService['dishes'][number] => {
    const { id, brief } = serving
    const fish = findFish(serving, sheets, kitchen.today)
    const [first] = decisions.filter(({ servingId }) => servingId === id).sort((a, b) => a.revision - b.revision)
    const bought = purchases.filter(
      ({ purchase: { servings: fed, offerId, state } }) =>
        fed.includes(id) && offerId === fish?.offerId && (state === 'bought' || state === 'short'),
    )
    const alone = bought.filter(({ purchase }) => purchase.servings.length === 1)
    const boughtG = alone.reduce((sum, { purchase }) => sum + (purchase.g ?? 0), 0)
    return {
      ...{ servingId: id, dish: brief.dish, method: brief.method, format: brief.format, covers: brief.covers ?? 1, fish },
      missing: first && fish && first.species !== fish.species ? { species: first.species, common: first.common } : null,
      merchant: bought[0]?.purchase.merchant ?? null,
      boughtG: boughtG > 0 ? boughtG : null,
      lines: book.lines.filter(({ entry }) => entry.servingId === id),
    }
  }
  const days = [...new Set(servings.flatMap(({ brief: { date } }) => (date === undefined || date === day ? [] : [date])))]
  return {
    day,
    dishes: servings.filter(({ brief }) => brief.date === day).map(toDish),
    others: days
      .sort((a, b) => Math.abs(countDays(day, a)) - Math.abs(countDays(day, b)))
      .slice(0, OTHER_DAYS)
      .sort(),
  }
}

/** A fish that was taken from a line-up, as an event and as people say it. */
interface Taken {
  readonly event: LearnEvent
  readonly told: HouseLearnt['chosen'][number]
}

/** Fish taken from line-ups: the last of each serving, the latest first. */
async function listChoices({ decisions }: Desk, { id: kitchenId, zone }: Kitchen): Promise<readonly Taken[]> {
  const latest = new Map<string, Awaited<ReturnType<Desk['decisions']['list']>>[number]>()
  for (const decision of await decisions.list(kitchenId)) if (!latest.has(decision.servingId)) latest.set(decision.servingId, decision)
  const choices: Taken[] = []
  for (const decision of [...latest.values()].slice(0, MOST_CHOICES)) {
    if (decision.beside) continue
    const { brief } = await decisions.readInputs(kitchenId, decision)
    const { dish, common, offerId, decidedAt } = decision
    choices.push({
      event: { kind: 'chose', brief, offerId },
      told: { method: brief.method, dish, common, day: computeToday(new Date(decidedAt), zone) },
    })
  }
  return choices
}

const takeAll = <T>(answer: Result<T, readonly Problem[]> | { readonly ok: false }): T | undefined => (answer.ok ? answer.value : undefined)

/** What counts of the book, and what it teaches beside what is set aside. */
const houseLearnt: Study<null, HouseLearnt> = async (desk, kitchen) => {
  const [{ book: laid }, book, choices] = await Promise.all([
    desk.openSheets(kitchen),
    desk.readHouseBook(kitchen.id),
    listChoices(desk, kitchen),
  ])
  const { offers } = laid
  const folded = foldBook(book, offers)
  const sheet = { snapshot: laid.snapshot, date: kitchen.today, offers: [...offers] }
  const context = { today: kitchen.today }
  // A choice of a fish that has left the book since says nothing any more: each is asked by itself.
  const able = choices.filter(({ event }) => takeAll(answerLearn({ events: [event] }, sheet, context)) !== undefined)
  const pulls = takeAll(answerLearn({ events: able.map(({ event }) => event) }, sheet, context))?.pulls ?? []
  const offered = new Set(pulls.map(({ method }) => method))
  const byId = new Map(offers.map((offer) => [offer.id, offer]))
  const names = new Map(offers.map(({ species, common }) => [species, common]))
  const nameOf = (species: string): string => names.get(species) ?? species
  const whose = ({ id, species, common, label }: ResolvedOffer) => ({ offerId: id, species, common, offer: label })
  const plain = ({ low, typical, high }: { low: number; typical: number; high: number }) => ({ low, typical, high })
  const aside = (key: string) => ({ key, setAside: book.setAside.has(key) })
  return {
    traits: folded.traits.flatMap((one) => {
      const offer = byId.get(one.offerId)
      if (!offer) return []
      const { trait, n } = one
      return [{ ...aside(LEARNT_KEYS.trait(one)), ...whose(offer), trait, n, book: plain(offer.traits[trait]), house: plain(one) }]
    }),
    yields: folded.yields.flatMap((one) => {
      const offer = byId.get(one.offerId)
      const { form, n } = one
      const sold = offer?.forms.find((own) => own.form === form)
      return offer && sold
        ? [{ ...aside(LEARNT_KEYS.yield(one)), ...whose(offer), form, n, book: plain(sold.yieldOfWhole), house: plain(one) }]
        : []
    }),
    merchants: folded.merchants.map((one) => ({ ...aside(LEARNT_KEYS.merchant(one)), ...one })),
    swaps: learnSwaps(folded.swaps, sheet, kitchen.today).flatMap(({ group, missing, standIn, alikeWas, alike, n }) => {
      const own = folded.swaps.find((swap) => swap.group === group && swap.missing === missing && swap.standIn === standIn)
      return own
        ? [
            {
              ...aside(LEARNT_KEYS.swap(own)),
              ...{ group, missing, missingCommon: nameOf(missing), standIn, standInCommon: nameOf(standIn) },
              ...{ worked: own.worked, n, alikeWas, alike },
            },
          ]
        : []
    }),
    pulls,
    chosen: able.flatMap(({ told }) => (offered.has(told.method) ? [told] : [])),
    counted: book.lines.filter(({ setAside }) => !setAside).length,
  }
}

/** Rest of the fish that went into something else, with what the house credits for it, by the day it was used. */
async function listRest(desk: Desk, kitchen: Parameters<typeof lookBack>[1], from: string, to: string): Promise<LookBackContext['rest']> {
  const [uses, servings, sheets] = await Promise.all([
    desk.restUses.list(kitchen.id),
    desk.servings.list(kitchen.id),
    desk.openSheets(kitchen),
  ])
  const rest: LookBackContext['rest'][number][] = []
  for (const { use } of uses) {
    const serving = servings.find(({ id }) => id === use.servingId)
    const day = serving?.brief.date
    const [taken] = serving?.choice ? listTaken(serving.choice) : []
    if (!serving || !taken || day === undefined || day < from || day > to) continue
    const asked = { ...serving.brief, fish: taken.species, offer: taken.offerId, form: taken.form }
    const amounts = takeAll(answerAmounts(asked, sheets.sheetOf(serving.brief), { today: kitchen.today }))
    const part = amounts?.rest.find((one) => one.part === use.part)
    if (!amounts || !part) continue
    const currency = amounts.cost?.currency
    rest.push({ day, g: part.g, worth: part.worth !== null && currency !== undefined ? { currency, amount: part.worth } : null })
  }
  return rest
}

/** What was expected and what came: the year up to today where no days are named. */
const lookBack: Study<{ readonly from?: string; readonly to?: string }, LookBack> = async (desk, kitchen, asked) => {
  const to = asked.to ?? kitchen.today
  const from = asked.from ?? addDays(to, -364)
  if (from > to) throw refuse([{ path: '/to', message: 'must not be before the first day' }])
  if (addDays(from, MOST_DAYS) < to) throw refuse([{ path: '/to', message: `at most ${MOST_DAYS} days at once` }])
  const [
    {
      book: { offers },
    },
    book,
    rest,
  ] = await Promise.all([desk.openSheets(kitchen), desk.readHouseBook(kitchen.id), listRest(desk, kitchen, from, to)])
  return lookBackOn(book.lines, { from, to }, { offers, rest })
}

/** Entries of a file, looked through against the book of fish and what is written already. */
const readFile: Study<HouseBookFile, ReadEntryFile> = async (desk, kitchen, file) => {
  const [{ book }, { lines }] = await Promise.all([desk.openSheets(kitchen), desk.readHouseBook(kitchen.id)])
  return readEntryFile(file, book, lines)
}

/** What is worked out of the whole book. */
export const houseBookStudies = { readEntryFile: readFile, afterService, houseLearnt, lookBack }
