import type { Fact } from '@tender-gill/contract'
import { massPrice, massToBuy, phrase, say, term, named, type BuyLine, type BuyOrder } from '../facts/index.ts'
import { groupBy } from '../lists/index.ts'

const amountOf = ({ buy: { g, count, packs, packG }, grade }: BuyLine): Fact => {
  const weight = massToBuy(g)
  if (packs !== null && packG !== null) return say('buy.amount.packs', { count: packs, each: massToBuy(packG) })
  if (count !== null && grade !== null && grade.fromG < grade.toG)
    return say('buy.amount.grade', { count, weight, from: massToBuy(grade.fromG), to: massToBuy(grade.toG) })
  return count === null ? say('buy.amount', { weight }) : say('buy.amount.count', { count, weight })
}

/** Fish that are named to a merchant as accepted instead. */
const MOST_INSTEAD = 3

/**
 * What is accepted instead, in the order of its best place: for all of the line where it stands in for every serving, else for whom it does.
 * Its form is told where it is another.
 */
function insteadOf({ standIns, form, servings }: BuyLine): readonly Fact[] {
  const bySpecies = [...groupBy(standIns, ({ species }) => species).values()].slice(0, MOST_INSTEAD)
  return bySpecies.map((own) => {
    const [first] = own as readonly [(typeof own)[number], ...(typeof own)[number][]]
    const forAll = servings.every(({ servingId }) => own.some((one) => one.servingId === servingId))
    const g = forAll ? own.reduce((sum, one) => sum + one.g, 0) : first.g
    const params = { fish: first.common, weight: massToBuy(g) }
    const told =
      first.form === form ? say('buy.instead', params) : say('buy.instead.in-form', { ...params, form: term('form', first.form) })
    return forAll ? told : say('buy.instead.for-dish', { instead: told, dish: first.dish })
  })
}

/** One line of an order in words: how much of what, what is to be done to it, the price limit, what would do instead. */
export function writeLine(line: BuyLine): Fact {
  const { common, species, offer, form, asks, limit, currency } = line
  const instead = insteadOf(line)
  return say('buy.line', {
    amount: amountOf(line),
    fish: common,
    scientific: species,
    more: [
      phrase(offer),
      say('buy.form', { form: term('form', form) }),
      ...asks,
      ...(limit && currency ? [say('buy.at-most', { price: massPrice(limit.perKg, currency) })] : []),
      ...(instead.length > 0 ? [say('buy.or-else', { fish: instead })] : []),
    ],
  })
}

/** An order as a message to its merchant. @param kitchen the name it is signed with */
export function writeMessage({ merchant, delivery, lines }: BuyOrder, kitchen: string): Fact {
  const params = { lines: lines.map(writeLine), kitchen }
  const name = merchant === null ? say('buy.message.anybody') : named(merchant)
  return delivery === null
    ? say('buy.message.no-day', { name, ...params })
    : say('buy.message', { name, day: term('day', delivery), ...params })
}

/** Several orders, one message after the other. */
export const writeMessages = (orders: readonly BuyOrder[], kitchen: string): Fact =>
  say('buy.messages', { messages: orders.map((order) => writeMessage(order, kitchen)) })
