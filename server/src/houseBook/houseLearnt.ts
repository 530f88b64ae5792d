import type { HouseLearnt, Kitchen, LearnEvent, ResolvedOffer } from '@tender-gill/contract'
import { layChoice, LEARNT_KEYS, learnPulls, learnSwaps } from '@tender-gill/core'
import type { Desk } from '../compute/desk.ts'
import type { Study } from '../compute/study.ts'
import { computeToday } from '../kitchens/today.ts'
import { foldBook } from './learnHouse.ts'

/** Choices from which it is read what a kitchen cares about: the latest. */
const MOST_CHOICES = 60

/** A fish that was taken from a line-up, as an event and as people say it. */
interface Taken {
  readonly event: Extract<LearnEvent, { kind: 'chose' }>
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

/** What counts of the book, and what it teaches beside what is set aside. */
export const houseLearnt: Study<null, HouseLearnt> = async (desk, kitchen) => {
  const [{ book: laid }, book, choices] = await Promise.all([
    desk.openSheets(kitchen),
    desk.readHouseBook(kitchen.id),
    listChoices(desk, kitchen),
  ])
  const { offers } = laid
  const folded = foldBook(book, offers)
  const sheet = { snapshot: laid.snapshot, date: kitchen.today, offers: [...offers] }
  // A choice of a fish that has left the book since says nothing any more.
  const able = choices.flatMap(({ event, told }) => {
    const laid = layChoice(event, sheet, kitchen.today)
    return laid.ok ? [{ choice: laid.value, told }] : []
  })
  const pulls = learnPulls(able.map(({ choice }) => choice))
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
      // What somebody set by hand stands above what is learnt, and nothing is learnt of it.
      if (!offer || offer.traits[one.trait].basis === 'house') return []
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
