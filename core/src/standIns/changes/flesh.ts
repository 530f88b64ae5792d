import type { Method } from '@tender-gill/contract'
import { figure, minutes, phrase, say, share, type NormalisedBrief } from '../../facts/index.ts'
import { toAxis } from '../../axes/index.ts'
import { isMinced, WITH_SKIN } from '../../tables/formats.ts'
import { METHOD_TABLE, type Heat } from '../../tables/methods.ts'
import type { Candidate } from '../../traits/index.ts'
import { change, round, stepBetween, typicalOf, type FindChange, type Swap } from './swap.ts'

/** A step on the axis of fat that a cook would notice. */
const FAT_STEP = 0.6
const WHEN_FATTER: Record<Heat, string> = {
  contact: 'use less fat in the pan',
  fat: 'drain it well',
  fierce: 'it bastes itself; mind the flare',
  dry: 'it needs no basting',
  steam: 'skim what it gives off',
  water: 'skim what it gives off',
  none: 'dress it with less oil and more sharpness',
}

const WHEN_LEANER: Record<Heat, string> = {
  contact: 'give the pan more butter or oil',
  fat: 'fry it shorter, it dries sooner',
  fierce: 'oil it well and baste it',
  dry: 'brush or baste it',
  steam: 'dress it with oil or butter when it is done',
  water: 'give the pot more oil or butter',
  none: 'dress it with oil',
}
/** Flesh that is worked with others before it is cooked takes its fat there, whatever heat it meets. */
const MINCED_LEANER = 'work some oil or fat into it'
const MINCED_FATTER = 'work no fat into it'

export const findFatChange: FindChange = ({ missing, candidate, brief }) => {
  const now = typicalOf('fat', candidate, brief)
  const before = typicalOf('fat', missing, brief)
  if (Math.abs(toAxis('fat', now) - toAxis('fat', before)) < FAT_STEP) return undefined
  const { heat } = METHOD_TABLE[brief.method]
  const figures = { now: figure(now, 1), was: figure(before, 1) }
  const minced = isMinced(brief)
  return change(
    'fat',
    now < before
      ? say('change.fat.leaner', { ...figures, care: phrase(minced ? MINCED_LEANER : WHEN_LEANER[heat]) })
      : say('change.fat.fatter', { ...figures, care: phrase(minced ? MINCED_FATTER : WHEN_FATTER[heat]) }),
    round(now - before),
    'g/100 g',
  )
}

export const findBonesChange: FindChange = (swap) => {
  const delta = stepBetween('bones', swap)
  if (Math.abs(delta) < 1) return undefined
  return change('bones', say(delta > 0 ? 'change.bones.more' : 'change.bones.fewer'), round(delta), 'of 10')
}

/** What saves a fragile fish, by the way it is cooked. */
const FRAGILE: { readonly [M in Method]?: string } = {
  grill: 'grill it in an oiled basket',
  broil: 'broil it on an oiled tray and do not turn it',
  stew: 'cut larger chunks and put them in last',
  curry: 'cut larger chunks and put them in last',
  chowder: 'cut larger chunks and put them in last',
  braise: 'leave it in the pot and spoon the sauce over',
  poach: 'cut larger pieces and lift them with a wide slice',
  steam: 'steam it on the plate it is served on',
  'steam-whole': 'steam it on the plate it is served on',
  'deep-fry': 'coat it well and fry few pieces at a time',
  roast: 'roast it on paper and lift it with that',
  'roast-whole': 'roast it on paper and lift it with that',
  'wrap-steam': 'serve it in its parcel',
  'sous-vide': 'lift it out of the bag with care',
  raw: 'chill it well and cut it thicker',
  cure: 'keep it on its skin and slice it cold',
  smoke: 'smoke it on its skin and lift it with that',
  broth: 'lift it out in a cloth or a basket',
}

/** How a fish holds, flakes and forgives in the dish; of one that is minced there is nothing of that to handle. */
export const findHandlingChange: FindChange = (swap) => {
  if (isMinced(swap.brief)) return undefined
  const holds = stepBetween('cohesion', swap)
  const forgives = stepBetween('tolerance', swap)
  const flake = stepBetween('flake', swap)
  if (holds <= -1.5) {
    const care = FRAGILE[swap.brief.method] ?? 'cut larger pieces, turn once, lift with a wide slice'
    return change('handling', say('change.handling.fragile', { care: phrase(care) }), round(holds), 'of 10')
  }
  if (forgives <= -1.5) return change('handling', say('change.handling.dries'), round(forgives), 'of 10')
  if (holds >= 1.5) return change('handling', say('change.handling.holds'), round(holds), 'of 10')
  if (flake >= 2.5) return change('handling', say('change.handling.flakes'), round(flake), 'of 10')
  if (flake <= -2.5 && stepBetween('firmness', swap) >= 1) return change('handling', say('change.handling.dense'), round(flake), 'of 10')
  return forgives >= 2 ? change('handling', say('change.handling.forgives'), round(forgives), 'of 10') : undefined
}

/** Heats that dry a face: there a salted surface holds its water and sets before it sticks. */
const DRYING: ReadonlySet<Heat> = new Set<Heat>(['contact', 'fierce', 'dry'])
/** Below this firmness and this fat, g/100 g, a short brine is worth the trouble. */
const SOFT = 4.5
const LEAN = 4
/** The short brine: how long, and how strong, salt by weight of water. */
const BRINE_MINUTES = 15
const BRINE_SHARE = 0.05

const wantsBrine = (candidate: Candidate, brief: NormalisedBrief): boolean =>
  DRYING.has(METHOD_TABLE[brief.method].heat) &&
  typicalOf('firmness', candidate, brief) < SOFT &&
  typicalOf('fat', candidate, brief) < LEAN &&
  candidate.offer.allergen === 'fish'

/** A soft lean fish over dry heat wants a short brine, a firm or fat one does not: told where the swap changes it. */
export const findBrineChange: FindChange = ({ missing, candidate, brief }) => {
  const now = wantsBrine(candidate, brief)
  if (now === wantsBrine(missing, brief)) return undefined
  return now
    ? change('seasoning', say('change.brine', { minutes: minutes(BRINE_MINUTES), salt: share(BRINE_SHARE) }), BRINE_MINUTES, 'min')
    : change('seasoning', say('change.brine.none'), 0, 'min')
}

export const findSeasoningChange: FindChange = (swap) => {
  const delta = stepBetween('flavour', swap)
  if (Math.abs(delta) < 1.5) return undefined
  return change('seasoning', say(delta > 0 ? 'change.taste.stronger' : 'change.taste.milder'), round(delta), 'of 10')
}

const skinMatters = ({ brief }: Swap): boolean => WITH_SKIN.has(brief.format) && (brief.asks.skin?.pull ?? 0) > 0

export const findSkinChange: FindChange = (swap) => {
  const delta = stepBetween('skin', swap)
  if (!skinMatters(swap) || Math.abs(delta) < 2) return undefined
  return change('skin', say(delta > 0 ? 'change.skin.crisper' : 'change.skin.limper'), round(delta), 'of 10')
}
