import type { Method, MethodGroup } from '@tender-gill/contract'

/** Half-width of a range in standard deviations: its ends are the 5th and the 95th of a hundred. */
export const RANGE_SD = 1.645
/** Of what a book's range covers, this part is between fish; the rest is that we do not know this house's supply. */
export const BETWEEN_SHARE = 0.5
/** One step of a note, as a share of the trait's shoulder; its own noise is as much. */
export const NOTE_SHARE = 1 / 3
/** Chance that a line does not come as ordered, before anything was seen: one in twenty. */
export const FAIL_PRIOR = { failed: 1, came: 19 } as const
/** Days on ice on arrival before anything was seen: median, standard deviation of the logarithm, least that counts. */
export const ARRIVAL_PRIOR = { medianDays: 3, lnSd: 0.7, leastDays: 0.25 } as const
/** A likeness of the book weighs as much as this many swaps. */
export const SWAP_WEIGHT = 6
/** A choice goes as the fit to this power; pulls stand about the dish's with this spread of their logarithm. */
export const CHOICE_POWER = 20
export const PULL_LN_SD = 0.5
/** A leaning is offered after so many choices and so much gain. */
export const LEAST_CHOICES = 8
export const LEAST_NATS = 2

/** Ways of cooking in which a swap that worked in one works in the others, the one it is judged by first. */
export const METHODS_OF_GROUP: Readonly<Record<MethodGroup, readonly Method[]>> = {
  fried: ['pan-sear', 'shallow-fry', 'deep-fry'],
  fierce: ['grill', 'broil'],
  oven: ['roast', 'roast-whole'],
  moist: ['steam', 'steam-whole', 'wrap-steam', 'poach', 'sous-vide'],
  pot: ['braise', 'stew', 'chowder', 'curry', 'broth'],
  raw: ['raw', 'cure'],
  smoke: ['smoke'],
  mince: ['mince'],
}

/** How much entries have to say to whoever does the same again: a lesson most of all, then what went wrong, then a word, then a note. */
export const TELLING = { lesson: 4, bad: 2, words: 1.5, note: 0.5 } as const
/** After so many days an entry tells half as much: a season. */
export const LESSON_HALF_LIFE_DAYS = 180
