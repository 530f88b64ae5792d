import type { AskKey, AskSource, Brief, Fact } from '@tender-gill/contract'
import { DEFAULT_PORTION_G, WHOLE_COOKED_SHARE, WHOLE_SIZE_SPREAD } from '../tables/constants.ts'
import { length, phrase, say } from '../facts/index.ts'

/** Something about the diners or the dish that narrows a band and raises a pull. */
export interface AskModifier {
  readonly key: AskKey
  readonly from?: number
  readonly to?: number
  readonly pull?: number
  readonly must?: { readonly from?: number; readonly to?: number }
  /** Sets the pull to nothing instead of raising it. */
  readonly silent?: boolean
  readonly source: AskSource
  readonly why: Fact
}

const boneWhy = ({ diners = {} }: Brief): string | undefined => {
  if (diners.children) return 'small children eat it'
  if (diners.elderly) return 'elderly diners eat it'
  return diners.boneShy ? 'the diners are shy of bones' : undefined
}

/** The weight band of a whole fish that serves so many, g; null when any size will do or the fish is cut. */
export function computeWholeWeightBand(brief: Brief): { from: number; to: number } | null {
  if (brief.wholeWeightG) return brief.wholeWeightG
  if (brief.format !== 'whole' || brief.wholeServes === null) return null
  const cookedG = brief.portionG ?? DEFAULT_PORTION_G
  const wholeG = ((brief.wholeServes ?? 1) * cookedG) / WHOLE_COOKED_SHARE
  return { from: wholeG * (1 - WHOLE_SIZE_SPREAD), to: wholeG * (1 + WHOLE_SIZE_SPREAD) }
}

/** What the diners, the seasoning, the skin and the size of this brief do to its asks. */
export function findModifiers(brief: Brief): readonly AskModifier[] {
  const { diners = {}, seasoning, longCooking, skin, smokeHeat, method, format } = brief
  const found: AskModifier[] = []
  const bones = boneWhy(brief)
  if (bones) found.push({ key: 'bones', to: 3, pull: 4, must: { to: 6 }, source: 'diner', why: phrase(bones) })
  if (diners.newToWholeFish && format === 'whole')
    found.push({ key: 'bones', to: 4, pull: 1, source: 'diner', why: phrase('somebody meets a whole fish for the first time') })
  if (diners.dislikesStrongFish)
    found.push({ key: 'flavour', to: 5, pull: 4, source: 'diner', why: phrase('somebody dislikes strong fish') })
  if (seasoning === 'gentle')
    found.push({ key: 'flavour', to: 4, pull: 2, source: 'brief', why: phrase('the fish speaks, so it must speak softly') })
  if (seasoning === 'bold')
    found.push({ key: 'flavour', from: 4, pull: 2, source: 'brief', why: phrase('it must hold its own against strong flavours') })
  if (longCooking) found.push({ key: 'tolerance', from: 6, pull: 4, source: 'brief', why: phrase('it cooks longer than it needs') })
  if (skin === 'crisp')
    found.push({ key: 'skin', from: 6, pull: 3, must: { from: 3 }, source: 'brief', why: phrase('the crisp skin is the point') })
  if (skin === 'off') found.push({ key: 'skin', silent: true, source: 'brief', why: phrase('the skin comes off') })
  if (method === 'smoke' && smokeHeat === 'cold')
    found.push({
      key: 'rawBite',
      from: 5,
      pull: 3,
      must: { from: 3 },
      source: 'method',
      why: phrase('cold smoke does not cook; it is sliced raw'),
    })
  if (brief.thicknessMm)
    found.push({
      key: 'thickness',
      from: brief.thicknessMm,
      pull: 2,
      source: 'brief',
      why: say('why.thickness', { cut: length(brief.thicknessMm) }),
    })
  const weight = computeWholeWeightBand(brief)
  if (weight) found.push({ key: 'weight', ...weight, pull: 3, source: 'format', why: phrase('a fish of the right size for the plate') })
  if (brief.budget)
    found.push({ key: 'portionCost', to: brief.budget.perPortion, pull: 3, source: 'brief', why: phrase('what a portion may cost') })
  if (brief.waters != null) {
    found.push({
      key: 'landings',
      from: 0.5,
      to: 1,
      pull: 1,
      source: 'brief',
      why: phrase('well landed in these waters, so it is there and fairly priced'),
    })
    found.push({
      key: 'condition',
      from: 6,
      to: 10,
      pull: 2,
      source: 'brief',
      why: phrase('the flesh is in good condition at this time of year'),
    })
  }
  return found
}
