import type { FactCodeOf } from '@tender-gill/core'
import { ADVICE } from './advice.ts'

/** What can hurt: cautions of a dish, and what is said of a species whatever the dish. */
export const CAUTION_WORDS: Readonly<Record<FactCodeOf<'cautions'>, string>> = {
  'caution.mercury.predator': `A large predator that gathers mercury: not for every week. ${ADVICE}`,
  'caution.mercury.child': `{known, select, no {Mercury is not known for this fish. } other {}}One portion a week gives a small child of {units, select, us {44 lb} other {20 kg}} about {typical} µg of mercury per kg of body weight ({low} to {high}), {verdict, select, above {above} other {below}} the often used {limit} (limits run from {limitLow} to {limitHigh}). Compiled class figures. ${ADVICE}`,
  'caution.mercury.pregnant': `{known, select, no {Mercury is not known for this fish. } other {}}One portion a week gives a pregnant diner of {units, select, us {132 lb} other {60 kg}} about {typical} µg of mercury per kg of body weight ({low} to {high}), {verdict, select, above {above} other {below}} the often used {limit} (limits run from {limitLow} to {limitHigh}). Compiled class figures. ${ADVICE}`,
  'caution.histamine': `Keep it on ice without a break; it can form histamine, and cooking does not remove that. ${ADVICE}`,
  'caution.histamine.warm': `{temperature} is too warm for it. Keep it on ice without a break; it can form histamine, and cooking does not remove that. ${ADVICE}`,
  'caution.keeping.warm': 'Above {temperature} the keeping estimate is only a hint. Put it on ice.',
  'caution.keeping.between': 'Between {from} and {to} the keeping estimate is outside the range it was made for.',
  'caution.keeping.old': 'The wait uses {needed} on ice; if the fish is already old only {left} are left. Ask when it was landed.',
  'caution.raw.frozen': `Only if it was frozen as commonly published for raw fish ({freezing} for 7 days, or {deep} until solid and 15 hours). Salt, acid and cold smoke do not replace it. ${ADVICE}`,
  'caution.raw.fresh': `Served without cooking: ask that it was bred for it or is of a kind eaten so, and is spotless. Salt, acid and cold smoke do not make fish safe. ${ADVICE}`,
  'caution.raw.rare': `Left raw in the middle: only fish that may be served raw. ${ADVICE}`,
  'caution.salt-time': `Its safety hangs on strength and time of salt, and on cold: keep to a tested recipe. ${ADVICE}`,
  'caution.doneness.moist': `Taken out below {temperature} it is moister, and parasites or germs may survive. ${ADVICE}`,
  'caution.doneness.through': `Cook it through, {temperature} in the middle at least, for the diners you named. ${ADVICE}`,
  'caution.ciguatera': `A large reef hunter: in warm waters it can carry ciguatera, which no cooking removes. Buy small ones from known waters. ${ADVICE}`,
  'caution.listing': `{listing} ({year}, compiled). ${ADVICE}`,
  'caution.bones': 'Bones remain in what is eaten: run a finger over every piece before it goes to children or the elderly.',
  'caution.opened': 'You lifted a limit of this method by hand: {asks}.',
  'caution.format': '{odd}.',
  'caution.unchecked': '{Ask} is a must, and is known for no fish: it could not be checked.',
  'odd-cut': '{Method} is seldom done with {format}',
  'note.wax-ester': `Its oil is wax that the body cannot digest: it runs through the gut and makes people ill. It is not offered here. ${ADVICE}`,
  'note.mercury.low': 'Little mercury: about {typical} µg in a gram of flesh ({low} to {high}, compiled class figures).',
  'note.mercury.unknown': `Its mercury is not known; fish in general hold about {typical} µg in a gram of flesh ({low} to {high}, compiled class figures). ${ADVICE}`,
  'note.mercury.class': `Mercury {class, select, veryHigh {very high} high {high} other {medium}}: about {typical} µg in a gram of flesh ({low} to {high}, compiled class figures). {who, select, count {Pregnant women and small children count their portions} other {Not for pregnant women and small children every week}}. ${ADVICE}`,
  'note.histamine': `Keep it on ice without a break: it can form histamine, and cooking does not remove that. ${ADVICE}`,
  'note.raw': `{who}: {said}. Salt, acid and cold smoke do not replace freezing. ${ADVICE}`,
  'note.raw.who.all': 'Raw',
  'note.raw.who.wild': 'Wild fish',
  'note.raw.who.farmed': 'Farmed fish',
  'note.raw.who.of':
    '{origin, select, wild {Wild} other {Farmed}} fish {water, select, sea {of the sea} fresh {of fresh water} other {of unknown water}}',
  'note.raw.fresh-water': 'never raw: it comes from fresh water, or its water is not known',
  'note.raw.bivalve': 'not offered raw in this book',
  'note.raw.controlled-feed': 'reared in the sea on pellets, commonly taken as safe raw unfrozen',
  'note.raw.low': 'a kind commonly eaten raw unfrozen',
  'note.raw.host':
    'may carry parasites: raw only after freezing as commonly published ({freezing} for 7 days, or {deep} until solid and 15 hours)',
  'note.raw.unknown':
    'its parasites are not known: raw only after freezing as commonly published ({freezing} for 7 days, or {deep} until solid and 15 hours)',
  'note.allergy':
    '{allergen, select, fish {It is a fish: closed to anyone allergic to fish} crustacean {It is a crustacean: closed to anyone allergic to crustaceans} other {It is a mollusc: closed to anyone allergic to molluscs}}.',
  'caution.cook.burns':
    '{minutes} on one face burn it before the middle is done: sear it for three, then let the oven finish it, or have it cut thinner.',
  'caution.cook.oil': `Hot fat burns, and wet fish makes it spit: dry the fish, lay it down away from you, never fill a pan more than a third, never put water on burning fat. ${ADVICE}`,
  'caution.cook.steam': 'Steam burns before it is seen: open the lid away from you.',
  'caution.cook.flame': `Alcohol and dripping fat flare: bottle away from the flame, sleeves back, a lid at hand. ${ADVICE}`,
  'caution.cook.holding': `What waits hot is held at {hot} or above; what is kept is cooled to {cold} within {within} and eaten cold or heated once to {reheat} throughout. ${ADVICE}`,
}
