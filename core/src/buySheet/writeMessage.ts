import type { Fact } from '@tender-gill/contract'
import { massPrice, massToBuy, phrase, say, term, named, type BuyLine, type BuyOrder } from '../facts/index.ts'

const amountOf = ({ buy: { g, count, packs, packG }, grade }: BuyLine): Fact => {
  const weight = massToBuy(g)
  if (packs !== null && packG !== null) return say('buy.amount.packs', { count: packs, each: massToBuy(packG) })
  if (count !== null && grade !== null && grade.fromG < grade.toG)
    return say('buy.amount.grade', { count, weight, from: massToBuy(grade.fromG), to: massToBuy(grade.toG) })
  return count === null ? say('buy.amount', { weight }) : say('buy.amount.count', { count, weight })
}

/** What is accepted instead, each fish once, in the order of its best place. */
function insteadOf({ standIns }: BuyLine): readonly Fact[] {
  const seen = new Map<string, BuyLine['standIns'][number]>()
  for (const one of standIns) if (!seen.has(one.species)) seen.set(one.species, one)
  const several = new Set(standIns.map(({ servingId }) => servingId)).size > 1
  return [...seen.values()].map(({ common, g, dish }) =>
    several
      ? say('buy.instead.for-dish', { fish: common, weight: massToBuy(g), dish })
      : say('buy.instead', { fish: common, weight: massToBuy(g) }),
  )
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
