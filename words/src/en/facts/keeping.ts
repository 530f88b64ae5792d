import type { FactCodeOf } from '@tender-gill/core'
import { ADVICE } from './advice.ts'

/** A fish that is looked at, how it was kept, and how long it lasts. */
export const KEEPING_WORDS: Readonly<Record<FactCodeOf<'keeping'>, string>> = {
  'look.level': '{level}',
  'look.sign': '{sign}: {level}',
  'look.buy': 'Buy it: {age} on ice behind it ({low} to {high}), {left} left; sure in {sure} of 100.',
  'look.today': 'Buy it to cook today: {age} on ice behind it ({low} to {high}), {left} left; good today in {sure} of 100.',
  'look.ask-for-less':
    'Ask for less, and cook it today: {age} on ice behind it ({low} to {high}), {left} left; good today in {sure} of 100.',
  'look.walk-away.old': 'Walk away: {age} on ice behind it ({low} to {high}), {left} left; good today in only {sure} of 100.',
  'look.walk-away.veto': 'Walk away. {Signs}. Nothing else makes up for that.',
  'look.walk-away.refused': 'Walk away: who will not show a fish has a reason.',
  'look.walk-away.vulnerable': `Not raw for somebody pregnant, small, old or ill. ${ADVICE}`,
  'cold.left': '{left} on ice left ({low} to {high}).',
  'cold.spent':
    'Past its time by {days, plural, =0 {less than an hour} =1 {a day} other {# days}} on ice{doubt, select, yes {; it would do only if it was younger than usual when bought} other {}}.',
  'cold.stop': 'Throw it away.',
  'cold.histamine.stop': `It was too warm for too long, and may have formed histamine. Do not use it, raw or cooked: cooking does not undo it. ${ADVICE}`,
  'cold.unknown': 'Nobody knows how warm it was for a while; that counts as {temperature}.',
  'cold.doubtful': 'If it was already old when bought, nothing is left of its time. Look at it and smell it before you use it.',
  'lot.fine': '{left} days on ice left ({low} to {high}).',
  'lot.doubtful': 'It lasts until {dishes} only if it was not older than usual when bought: {left} days on ice left ({low} to {high}).',
  'lot.late': 'It will not last until {dishes}: {left} days on ice left ({low} to {high}).',
  'lot.use-first': 'Use it first: {left} days on ice left ({low} to {high}).',
  'lot.use-now':
    'Cook it today{look, select, yes {, once it was looked at and smelt} other {}}: {left} days on ice left ({low} to {high}).',
  'lot.freeze':
    'It will not last until {dishes}. Freeze it now, while it is worth it, or cook it before: {left} days on ice left ({low} to {high}).',
  'lot.frozen': 'Frozen: its clock stands, and goes on at thawing.',
  'lot.throw.histamine': `Throw it away: it was too warm for too long. Do not use it, raw or cooked: cooking does not undo it. ${ADVICE}`,
  'lot.throw.spent': 'Throw it away: its time is up, however young it was when bought.',
  'place.warm': '{place} is too warm: up to {hottest} for {time, plural, =1 {an hour} other {# hours}}, and {limit} is the most for fish.',
  'place.was-warm':
    '{place} was too warm: up to {hottest} for {time, plural, =1 {an hour} other {# hours}}, where {limit} is the most. What lay in it is older for it.',
  'place.silent': '{place} has told no warmth for {time, plural, =1 {an hour} other {# hours}}.',
}
