import type { Entry, FleshKey, HouseLearnt, LearntFrom, Range } from '@tender-gill/contract'
import { AXES, toAxis } from '@tender-gill/core'
import { describeDay, FORM_LABEL, formatMass, formatMassPrice, formatTemperature, METHOD_LABEL } from '../reader/index.ts'
import { capitalise } from './dishWords.ts'

/** What a species is called here. */
export type NameOf = (species: string) => string

/** Less and more of a trait, as cooks say it. */
const DEGREES: Readonly<Record<FleshKey, readonly [less: string, more: string]>> = {
  firmness: ['softer', 'firmer'],
  flake: ['finer flakes', 'larger flakes'],
  cohesion: ['falls apart sooner', 'holds together better'],
  fat: ['leaner', 'fatter'],
  flavour: ['milder', 'stronger'],
  tolerance: ['less forgiving', 'more forgiving'],
  collagen: ['less of a jelly', 'more of a jelly'],
  skin: ['poorer skin', 'better skin'],
  binding: ['binds less', 'binds more'],
  rawBite: ['less bite raw', 'more bite raw'],
}
/** A note against the book: -2 to 2. */
export const sayNote = (trait: FleshKey, note: number): string => {
  if (note === 0) return 'as the book says'
  const [less, more] = DEGREES[trait]
  return `${Math.abs(note) === 2 ? 'much ' : ''}${note < 0 ? less : more}`
}

export const BONES_WORDS = { none: 'no bones', few: 'a few bones', many: 'many bones' } as const
export const DONE_WORDS = { under: 'underdone', right: 'cooked right', over: 'overdone' } as const

const figure = (value: number): string => String(Math.round(value * 10) / 10)
const sayG = (g: number | null): string => (g === null ? '' : ` ${formatMass(g)}`)

function sayServed({ notes, bones, again, covers }: Extract<Entry, { kind: 'served' }>): string {
  const said = Object.entries(notes) as [FleshKey, number][]
  const off = said.filter(([, note]) => note !== 0).map(([trait, note]) => sayNote(trait, note))
  const told = [
    ...(off.length > 0 ? off : said.length > 0 ? ['as the book says'] : []),
    ...(bones === null ? [] : [BONES_WORDS[bones]]),
    ...(again === null ? [] : [again ? 'would take it again' : 'would not take it again']),
  ]
  return told.length > 0 ? capitalise(told.join(', ')) : `Served for ${covers}`
}

/** What an entry says, without when and of which fish, in a few words. */
export function describeEntry(entry: Entry, nameOf: NameOf): string {
  switch (entry.kind) {
    case 'bought': {
      const { state, g, perKg, currency, expectedPerKg } = entry
      if (state === 'not-come') return 'Did not come'
      const price = perKg !== null && currency !== null ? ` at ${formatMassPrice(perKg, currency)}` : ''
      const against =
        price !== '' && expectedPerKg !== null && currency !== null ? `, ${formatMassPrice(expectedPerKg, currency)} expected` : ''
      return `${state === 'short' ? 'Came short:' : 'Bought'}${sayG(g)}${price}${against}`
    }
    case 'looked': {
      const { outcome, refused, iceDays } = entry
      const age = iceDays ? `, about ${figure(iceDays.typical)} days on ice` : ''
      const words = { buy: 'bought', today: 'for today only', 'ask-for-less': 'asked for less', 'walk-away': 'walked away' }[outcome]
      return refused ? 'They would not show it' : `Looked at: ${words}${age}`
    }
    case 'kept':
      return `${entry.end === 'used' ? 'Used' : 'Thrown away:'} ${formatMass(entry.g)} after ${figure(entry.days)} ${entry.days === 1 ? 'day' : 'days'}`
    case 'weighed': {
      const { boughtG, edibleG, boughtAs, form } = entry
      const share = Math.round((100 * edibleG) / boughtG)
      return `${formatMass(edibleG)} ${form === null ? '' : `${FORM_LABEL[form]} `}out of ${formatMass(boughtG)} ${FORM_LABEL[boughtAs]}, ${share} of 100`
    }
    case 'cooked': {
      const { done, minutes, sheetMinutes, pullC } = entry
      const sheet = sheetMinutes ? `, the sheet said ${figure(sheetMinutes.low)} to ${figure(sheetMinutes.high)}` : ''
      const told = [
        ...(done === null ? [] : [DONE_WORDS[done]]),
        ...(minutes === null ? [] : [`${figure(minutes)} min${sheet}`]),
        ...(pullC === null ? [] : [`out at ${formatTemperature(pullC)}`]),
      ]
      return told.length > 0 ? capitalise(told.join(', ')) : 'Cooked'
    }
    case 'served':
      return sayServed(entry)
    case 'came-back':
      return `${entry.portions} ${entry.portions === 1 ? 'portion' : 'portions'} came back`
    case 'swapped': {
      const way = entry.method === null ? '' : `, ${METHOD_LABEL[entry.method].toLowerCase()}`
      const how = entry.worked === null ? '' : entry.worked ? ': it worked' : ': it did not work'
      return `${capitalise(nameOf(entry.standIn))} for ${nameOf(entry.missing)}${way}${how}`
    }
    case 'lesson':
      return entry.words ?? ''
  }
}

/** A day, with its year where that is not this one. */
export const describeEntryDay = (day: string, today: string): string =>
  day.slice(0, 4) === today.slice(0, 4) ? describeDay(day) : `${describeDay(day)} ${day.slice(0, 4)}`

/** What an entry says, with what was written beside it in words. */
export const describeWithWords = (entry: Entry, nameOf: NameOf): string =>
  `${describeEntry(entry, nameOf)}${entry.kind === 'lesson' || entry.words === null ? '' : `; “${entry.words}”`}`

/** A lesson in one line: when, of which fish, what. */
export function describeLesson(entry: Entry, nameOf: NameOf, today: string): string {
  const fish = entry.species === null || entry.kind === 'swapped' ? '' : `${nameOf(entry.species)}: `
  return `${describeEntryDay(entry.day, today)}, ${fish}${describeWithWords(entry, nameOf)}`
}

export const countEntries = (n: number): string => `${n} ${n === 1 ? 'entry' : 'entries'}`

/** Less than this share of a trait's shoulder is no difference that a cook would notice. */
const TOLD_SHARE = 0.1

/** "house: softer than the book, from 6 servings". */
export function sayLearnt(trait: FleshKey, house: Pick<Range, 'typical'>, { n, book }: LearntFrom): string {
  const [less, more] = DEGREES[trait]
  const far = Math.abs(toAxis(trait, house.typical) - toAxis(trait, book.typical)) >= TOLD_SHARE * AXES[trait].shoulder
  const how = far ? `${house.typical < book.typical ? less : more} than the book` : 'as the book has it'
  return `house: ${how}, from ${n} ${n === 1 ? 'serving' : 'servings'}`
}

/** How a swap went in this house. */
export const sayHouseSwap = ({ worked, n }: { readonly worked: number; readonly n: number }): string =>
  n === 1 ? `house: it ${worked === 1 ? 'worked' : 'did not work'} the one time it was tried` : `house: it worked ${worked} of ${n} times`

/** How a merchant delivers, as the house has seen it. */
export const sayDeliveries = ({ n, failChance }: Pick<HouseLearnt['merchants'][number], 'n' | 'failChance'>): string =>
  `house: ${Math.max(1, Math.round(100 * failChance))} of 100 lines do not come as ordered, from ${n} ${n === 1 ? 'line' : 'lines'}`
