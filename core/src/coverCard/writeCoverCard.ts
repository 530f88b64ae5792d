import type { Fact, ResolvedOffer } from '@tender-gill/contract'
import { named, say, type CoverCard, type CoverHang, type CoverRow } from '../facts/index.ts'
import { findLeader, isServedIn, type KeptDish, type KeptDishes } from '../kept/index.ts'
import { createBoard } from '../lineUp/index.ts'
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
  fish: null,
  ladder: [],
  atLeastOne: 0,
})

function findFish({ choice }: KeptDish, offers: readonly ResolvedOffer[], leader: Candidate | undefined): Candidate | undefined {
  const taken = choice && offers.find(({ id }) => id === choice.offerId)
  return taken ? { offer: taken, form: choice.form } : leader
}

function writeRow(kept: KeptDish, { sheetOf, today }: KeptDishes): Written {
  const sheet = sheetOf(kept.brief)
  const board = createBoard(kept.brief, sheet, today)
  const fish = board.ok ? findFish(kept, sheet.offers, findLeader(board.value, { onlyOffered: true })?.candidate) : undefined
  if (!fish) return { row: nobody(kept), candidate: undefined }
  const { offer, form } = fish
  const found = findStandIns({ ...kept.brief, missing: offer.species, missingOffer: offer.id }, sheet, { today })
  if (!found.ok) return { row: nobody(kept), candidate: undefined }
  const { ladder, atLeastOne, missing } = found.value
  return {
    candidate: fish,
    row: {
      ...nobody(kept),
      fish: {
        species: offer.species,
        common: offer.common,
        offer: offer.label,
        form,
        buyG: missing.buyG,
        taken: kept.choice !== null,
        absentUntil: offer.absent?.until ?? null,
      },
      ladder: ladder.map(({ species, common, offer: label, form: bought, standIn, buyG, changes }) => ({
        species,
        common,
        offer: label,
        form: bought,
        standIn,
        buyG,
        changes,
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

/** What part of all covers hangs on one thing, the most first. */
function sumHangs(written: readonly Written[]): CoverHang[] {
  const covers = written.reduce((sum, { row }) => sum + row.covers, 0)
  const hangs = new Map<string, CoverHang>()
  for (const { row, candidate } of written)
    for (const { key, kind, subject } of candidate ? listHangs(candidate) : []) {
      const before = hangs.get(key) ?? { kind, subject, covers: 0, share: 0, dishes: [] }
      hangs.set(key, {
        ...before,
        covers: before.covers + row.covers,
        share: (before.covers + row.covers) / covers,
        dishes: [...before.dishes, row.dish],
      })
    }
  return [...hangs].sort(([aKey, a], [bKey, b]) => b.covers - a.covers || (aKey < bKey ? -1 : 1)).map(([, hang]) => hang)
}

const byDay = (a: Written, b: Written) => ((a.row.date ?? '') < (b.row.date ?? '') ? -1 : (a.row.date ?? '') > (b.row.date ?? '') ? 1 : 0)

/** The card of some days, a dish at a time; yields how many are written. Servings for which no day is set yet come first, then by day. */
export function* stepCoverCard({ from, to }: CardDays, context: KeptDishes): Generator<number, CoverCard> {
  const written: Written[] = []
  for (const kept of context.dishes.filter(({ brief }) => isServedIn(brief, { from, to }))) {
    yield written.length
    written.push(writeRow(kept, context))
  }
  const sorted = [...written].sort(byDay)
  return {
    from,
    to,
    covers: sorted.reduce((sum, { row }) => sum + row.covers, 0),
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
