import type { Fact, ResolvedOffer, TakenFish } from '@tender-gill/contract'
import { named, say, type CoverCard, type CoverHang, type CoverRow } from '../facts/index.ts'
import { findLeader, isServedIn, listTaken, type KeptDish, type KeptDishes } from '../kept/index.ts'
import { createBoard } from '../lineUp/index.ts'
import { groupBy } from '../lists/index.ts'
import { chooseOffered } from '../market/index.ts'
import { findCauses, findStandIns } from '../standIns/index.ts'
import type { Candidate } from '../traits/index.ts'

export interface CardDays {
  readonly from: string
  readonly to: string
}

/** A row of the card with the fish behind it. */
interface Written {
  readonly row: CoverRow
  readonly candidate: Candidate | undefined
}

const nobody = ({ id, brief }: KeptDish): CoverRow => ({
  servingId: id,
  dish: brief.dish,
  date: brief.date ?? null,
  covers: brief.covers ?? 1,
  kinds: 1,
  fish: null,
  ladder: [],
  atLeastOne: 0,
})

const findFish = ({ offerId, form }: TakenFish, offers: readonly ResolvedOffer[]): readonly Candidate[] =>
  offers.flatMap((offer) => (offer.id === offerId ? [{ offer, form }] : []))

/** A row for each fish of a dish: those taken, or the one that leads. */
function writeRows(kept: KeptDish, context: KeptDishes): readonly Written[] {
  const sheet = context.sheetOf(kept.brief)
  const taken = kept.choice ? listTaken(kept.choice).flatMap((fish) => findFish(fish, sheet.offers)) : []
  if (taken.length > 0) return taken.map((fish) => writeRow(kept, fish, taken.length, context))
  const board = createBoard(kept.brief, sheet, context.today)
  const leader = board.ok ? findLeader(board.value, { onlyOffered: true })?.candidate : undefined
  return [leader ? writeRow(kept, leader, 1, context) : { row: nobody(kept), candidate: undefined }]
}

function writeRow(kept: KeptDish, fish: Candidate, kinds: number, { sheetOf, today }: KeptDishes): Written {
  const { offer, form } = fish
  const sheet = sheetOf(kept.brief)
  const found = findStandIns({ ...kept.brief, missing: offer.species, missingOffer: offer.id }, chooseOffered(sheet, kept.brief), { today })
  if (!found.ok) return { row: nobody(kept), candidate: undefined }
  const { ladder, atLeastOne, missing } = found.value
  const allergens = new Map(sheet.offers.map(({ id, allergen }) => [id, allergen]))
  return {
    candidate: fish,
    row: {
      ...nobody(kept),
      kinds,
      fish: {
        species: offer.species,
        common: offer.common,
        offer: offer.label,
        form,
        buyG: Math.round(missing.buyG / kinds),
        taken: kept.choice !== null,
        absentUntil: offer.absent?.until ?? null,
      },
      ladder: ladder.map(({ species, common, offerId, offer: label, form: bought, standIn, buyG, changes }) => ({
        species,
        common,
        offer: label,
        form: bought,
        standIn,
        buyG: Math.round(buyG / kinds),
        changes,
        otherAllergen: allergens.get(offerId) !== offer.allergen,
      })),
      atLeastOne,
    },
  }
}

/** One thing that a fish hangs on; two that are the same have one key. */
interface Hang {
  readonly key: string
  readonly kind: CoverHang['kind']
  readonly subject: Fact
}

/** Waters of which the kitchen keeps no name. */
const NAMELESS: Readonly<Record<string, Fact>> = { sea: say('hang.sea'), inland: say('hang.inland') }

/** What one fish hangs on: the weather on its water, its merchant, its farms, and itself. */
function listHangs(candidate: Candidate): readonly Hang[] {
  const { offer } = candidate
  const causes = findCauses(candidate)
  const causedBy = (kind: string) => causes.find((cause) => cause.kind === kind)?.name.slice(kind.length + 1)
  const hang = (kind: Hang['kind'], name: string, subject = named(name)): Hang => ({ key: `${kind}:${name}`, kind, subject })
  const water = causedBy('weather')
  const merchant = causedBy('merchant')
  return [
    hang('species', offer.common),
    ...(water === undefined ? [] : [hang('weather', water, NAMELESS[water])]),
    ...(merchant === undefined ? [] : [hang('merchant', merchant)]),
    ...(offer.origin === 'farmed' ? [hang('farm', 'farms', say('hang.farms'))] : []),
  ]
}

/** Rows of one dish stand beside each other; its covers count once, however many fish are in it. */
const byServing = (written: readonly Written[]): readonly (readonly Written[])[] => [
  ...groupBy(written, ({ row }) => row.servingId).values(),
]
const countCovers = (written: readonly Written[]): number => byServing(written).reduce((sum, [first]) => sum + (first?.row.covers ?? 0), 0)

/** What part of all covers hangs on one thing, the most first. A dish hangs on whatever one of its fish does. */
function sumHangs(written: readonly Written[]): CoverHang[] {
  const covers = countCovers(written)
  const hangs = new Map<string, CoverHang>()
  for (const rows of byServing(written)) {
    const own = new Map(rows.flatMap(({ candidate }) => (candidate ? listHangs(candidate) : [])).map((hang) => [hang.key, hang]))
    const [{ row }] = rows as readonly [Written]
    for (const { key, kind, subject } of own.values()) {
      const before = hangs.get(key) ?? { kind, subject, covers: 0, share: 0, dishes: [] }
      hangs.set(key, {
        ...before,
        covers: before.covers + row.covers,
        share: (before.covers + row.covers) / covers,
        dishes: [...before.dishes, row.dish],
      })
    }
  }
  return [...hangs].sort(([aKey, a], [bKey, b]) => b.covers - a.covers || (aKey < bKey ? -1 : 1)).map(([, hang]) => hang)
}

const byDay = (a: Written, b: Written) => ((a.row.date ?? '') < (b.row.date ?? '') ? -1 : (a.row.date ?? '') > (b.row.date ?? '') ? 1 : 0)

/** The card of some days, a dish at a time; yields how many are written. Servings for which no day is set yet come first, then by day. */
export function* stepCoverCard({ from, to }: CardDays, context: KeptDishes): Generator<number, CoverCard> {
  const written: Written[] = []
  for (const [i, kept] of context.dishes.filter(({ brief }) => isServedIn(brief, { from, to })).entries()) {
    yield i
    written.push(...writeRows(kept, context))
  }
  const sorted = [...written].sort(byDay)
  return {
    from,
    to,
    covers: countCovers(sorted),
    rows: sorted.map(({ row }) => row),
    hangs: sumHangs(sorted),
  }
}

/** The card in one go. */
export function writeCoverCard(days: CardDays, context: KeptDishes): CoverCard {
  const steps = stepCoverCard(days, context)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
