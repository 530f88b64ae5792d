import type { AskKey, AskSource, Brief, CookedColour, Fact } from '@tender-gill/contract'
import { DEFAULT_PORTION_G, MARKET_STEP, MERCURY_WISH_UG_PER_KG, WHOLE_COOKED_SHARE, WHOLE_SIZE_SPREAD } from '../tables/constants.ts'
import { ANY_SIZE, HIDES_OFF_FLAVOURS } from '../tables/methods.ts'
import { hidesTheFish } from './hidesTheFish.ts'
import { length, phrase, say } from '../facts/index.ts'

/** Something about the diners or the dish that narrows a band and raises a pull, or lets a side of a band go. */
export interface AskModifier {
  readonly key: AskKey
  readonly from?: number
  readonly to?: number
  /** Colours wanted, where it is no band. */
  readonly wanted?: readonly CookedColour[]
  /** A side that is opened, up to this value or altogether, before anything is narrowed. */
  readonly opens?: { readonly from?: null; readonly to?: number }
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
  if (brief.format !== 'whole' || brief.wholeServes === null || (brief.wholeServes === undefined && ANY_SIZE.has(brief.method))) return null
  const cookedG = brief.portionG ?? DEFAULT_PORTION_G
  const wholeG = ((brief.wholeServes ?? 1) * cookedG) / WHOLE_COOKED_SHARE
  return { from: wholeG * (1 - WHOLE_SIZE_SPREAD), to: wholeG * (1 + WHOLE_SIZE_SPREAD) }
}

/** Whether the brief itself names a size: only then is a fish left out for its size. */
const namesSize = ({ wholeServes, wholeWeightG }: Pick<Brief, 'wholeServes' | 'wholeWeightG'>): boolean =>
  wholeWeightG !== undefined || typeof wholeServes === 'number'

/** What a dish may cost without a figure: by how dear the fish is in the trade. */
function findSpend({ spend = 'any', method, format }: Brief): readonly AskModifier[] {
  if (spend === 'least')
    return [
      { key: 'marketClass', to: MARKET_STEP['under-used'], pull: 4, source: 'brief', why: phrase('it should cost as little as it can') },
    ]
  if (spend === 'everyday')
    return [{ key: 'marketClass', to: MARKET_STEP.everyday, pull: 3, source: 'brief', why: phrase('everyday fish is what it should be') }]
  if (!hidesTheFish({ method, format })) return []
  const why = phrase('nobody sees which fish it is: an everyday one will do')
  return [{ key: 'marketClass', to: MARKET_STEP.everyday, pull: 1, source: 'method', why }]
}

/** Tolerance means nothing where the middle stays raw; bite and colour of the raw flesh do. */
const RARE: readonly AskModifier[] = [
  { key: 'tolerance', silent: true, source: 'brief', why: phrase('the middle stays raw') },
  { key: 'rawBite', from: 6, pull: 4, must: { from: 3 }, source: 'brief', why: phrase('the middle is eaten raw and must cut clean') },
  { key: 'colour', wanted: ['red', 'pink', 'dark'], pull: 2, source: 'brief', why: phrase('the raw middle is shown') },
]

/** What a seasoning opens and asks. */
function findSeasoning({ seasoning }: Brief): readonly AskModifier[] {
  if (seasoning === 'gentle')
    return [
      { key: 'flavour', opens: { from: null }, to: 4, pull: 2, source: 'brief', why: phrase('the fish speaks, so it must speak softly') },
    ]
  if (seasoning !== 'bold') return []
  return [{ key: 'flavour', opens: { to: 8 }, source: 'brief', why: phrase('strong flavours carry a strong fish') }]
}

/** Whether rare, off-flavours or a mercury dose are asked about. */
function findFlesh({ method, doneness, seasoning, diners = {} }: Brief): readonly AskModifier[] {
  const found: AskModifier[] = []
  if (doneness === 'rare' && method !== 'raw') found.push(...RARE)
  if (seasoning !== 'bold' && !HIDES_OFF_FLAVOURS.has(method))
    found.push({ key: 'offFlavour', to: 0, pull: 1, source: 'method', why: phrase('a taste of earth or ammonia is met by nothing here') })
  if (diners.children || diners.pregnant)
    found.push({
      key: 'mercury',
      to: MERCURY_WISH_UG_PER_KG,
      pull: 3,
      source: 'diner',
      why: phrase('small children or a pregnancy: a fish that need not be counted comes first'),
    })
  return found
}

/** What the diners, the seasoning, the skin and the size of this brief do to its asks. */
export function findModifiers(brief: Brief): readonly AskModifier[] {
  const { diners = {}, longCooking, skin, smokeHeat, method, format } = brief
  const found: AskModifier[] = []
  const bones = boneWhy(brief)
  if (bones) found.push({ key: 'bones', to: 3, pull: 4, must: { to: 6 }, source: 'diner', why: phrase(bones) })
  if (diners.newToWholeFish && format === 'whole')
    found.push({ key: 'bones', to: 4, pull: 1, source: 'diner', why: phrase('somebody meets a whole fish for the first time') })
  if (diners.dislikesStrongFish)
    found.push({ key: 'flavour', to: 5, pull: 4, source: 'diner', why: phrase('somebody dislikes strong fish') })
  found.push(...findSeasoning(brief), ...findFlesh(brief), ...findSpend(brief))
  if (longCooking) found.push({ key: 'tolerance', from: 6, pull: 4, source: 'brief', why: phrase('it cooks longer than it needs') })
  if (skin === 'crisp')
    found.push({ key: 'skin', from: 6, pull: 3, must: { from: 3 }, source: 'brief', why: phrase('the crisp skin is the point') })
  if (skin === 'off') found.push({ key: 'skin', silent: true, source: 'brief', why: phrase('the skin comes off') })
  if (method === 'smoke' && smokeHeat === 'cold' && brief.servedAs !== 'cooked')
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
  if (weight)
    found.push({
      key: 'weight',
      ...weight,
      pull: 3,
      source: namesSize(brief) ? 'brief' : 'format',
      why: phrase('a fish of the right size for the plate'),
    })
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
