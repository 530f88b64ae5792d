import type { Round } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import { describeMass, describeValue, FORM_LABEL, formatMassToBuy, METHOD_LABEL, terms } from '../../reader/index.ts'

const OUTCOMES: Readonly<Record<string, string>> = {
  buy: 'Buy it',
  today: 'Buy it, and cook it today',
  'ask-for-less': 'Ask for less',
  'walk-away': 'Walk away',
}

/** What is asked. */
export function sayQuestion(round: Told<Round>): string {
  const { common } = round.offer
  switch (round.kind) {
    case 'stand-in':
      return `${common} is not to be had. What goes ${METHOD_LABEL[round.brief.method].toLowerCase()} in its place?`
    case 'freshness':
      return `${common}, to wait ${round.waits.hours} hours in the fridge. What do you do?`
    case 'name':
      return 'Whose flesh is this?'
    case 'weight':
      return `${common}, ${FORM_LABEL[round.form]}: how much for ${round.brief.covers ?? 1} at ${describeMass(round.brief.portionG ?? 150)} cooked?`
  }
}

/** A choice in words. */
export function sayChoice(round: Told<Round>, key: string): string {
  switch (round.kind) {
    case 'stand-in':
      return round.rows.find(({ species }) => species === key)?.common ?? key
    case 'freshness':
      return OUTCOMES[key] ?? key
    case 'name':
      return round.others.find(({ species }) => species === key)?.common ?? key
    case 'weight':
      return formatMassToBuy(Number(key))
  }
}

/** Why, as the engine has it. */
export function sayReason(round: Told<Round>): readonly string[] {
  switch (round.kind) {
    case 'stand-in':
      return [...round.rows]
        .sort((a, b) => b.standIn - a.standIn)
        .map(
          ({ common, alike, fit, standIn }) =>
            `${common}: ${standIn.toFixed(0)}, ${alike.toFixed(0)} alike, fit ${fit.toFixed(0)} in the dish`,
        )
    case 'freshness':
      return [round.answer.sentence]
    case 'name': {
      const { traits } = round.offer
      return [
        `${round.offer.common}: ${describeValue('firmness', traits.firmness.typical)}, ${describeValue('flake', traits.flake.typical)}, ${describeValue('fat', traits.fat.typical)} fat`,
      ]
    }
    case 'weight': {
      const { answer } = round
      const share = Math.round(100 * Math.exp(answer.kept.mean))
      return [
        `${share} of 100 of what is bought comes to the table cooked, and a margin is bought for falling short once in twenty.`,
        `${formatMassToBuy(answer.buy.g)} feeds ${answer.feeds}.`,
      ]
    }
  }
}

/** A sign as it was seen. */
export const saySign = (
  sign: Extract<Told<Round>, { kind: 'freshness' }>['signs'][number],
  table: Extract<Told<Round>, { kind: 'freshness' }>['answer']['table'],
): string => {
  const levels = table.find((row) => row.sign === sign.sign)?.levels
  return `${terms.sign[sign.sign]}: ${levels?.[sign.level] ?? sign.level}`
}
