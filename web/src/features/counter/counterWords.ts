import type { BuyLine, LookOutcome, Purchase } from '@tender-gill/contract'
import { joinWords } from '../../parts/dishWords.ts'
import { FORM_LABEL, formatMassPrice, formatMassToBuy, formatMoney } from '../../reader/index.ts'
import { stateOf, type CounterLine } from './counterLines.ts'

/** What to do with a fish, as it is said largest on the screen. */
export const OUTCOME_WORDS: Readonly<Record<LookOutcome, string>> = {
  buy: 'Buy it',
  today: 'Cook it today',
  'ask-for-less': 'Ask for less',
  'walk-away': 'Walk away',
}

/** The fish as it is asked for: "Haddock, fillet, skin on". */
export const nameLine = ({ common, form }: Pick<BuyLine, 'common' | 'form'>): string => `${common}, ${FORM_LABEL[form]}`

/** How much, and what is to be done to it. */
export function describeWanted({ buy: { g, count, packs }, asks }: BuyLine): string {
  const amount = count === null ? formatMassToBuy(g) : `${count} fish, ${formatMassToBuy(g)}`
  return [packs === null ? amount : `${packs} ${packs === 1 ? 'box' : 'boxes'}, ${formatMassToBuy(g)}`, ...asks].join(', ')
}

/** For what, and up to which price. */
export function describeFor({ servings, limit, currency }: BuyLine): string {
  const dishes = joinWords([...new Set(servings.map(({ dish }) => dish))])
  return limit && currency ? `${dishes}. Not past ${formatMassPrice(limit.perKg, currency)}` : dishes
}

/** What was paid for what came, in words. */
export function describeBought({ g, perKg, currency, state }: Purchase): string {
  const weight = formatMassToBuy(g ?? 0)
  const paid =
    perKg !== null && currency !== null
      ? ` at ${formatMassPrice(perKg, currency)}, ${formatMoney((perKg * (g ?? 0)) / 1000, currency)}`
      : ''
  return `${state === 'short' ? 'Came short: ' : ''}${weight}${paid}`
}

/** How it stands with a line, in words; null while it is still to be got. */
export function describeCame(line: CounterLine): string | null {
  const { purchase, look } = line
  if (!purchase || stateOf(line) === 'open') return null
  if (purchase.purchase.state !== 'not-come') return describeBought(purchase.purchase)
  return look?.outcome === 'walk-away' || look?.outcome === 'ask-for-less' ? 'Walked away' : 'Not there'
}

/** What is said to the fishmonger. */
export function saySo({
  common,
  form,
  asks,
  amount,
}: {
  readonly common: string
  readonly form: BuyLine['form']
  readonly asks: readonly string[]
  readonly amount: string
}): string {
  return `“${[`${amount} of ${common.toLowerCase()}`, FORM_LABEL[form], ...asks.filter((ask) => !FORM_LABEL[form].includes(ask))].join(', ')}, please.”`
}
