import type { Change, ChangeKind, NormalisedBrief, TextureKey } from '@tender-gill/contract'
import { computePortionCost, computeWeightToBuyG } from '../amounts/index.ts'
import { toAxis } from '../axes/index.ts'
import { FORM_LABEL, describeGrams } from '../describe/index.ts'
import { composeFromFat, computeProperties, cookSlab, type SlabCook } from '../heat/index.ts'
import { findCautions } from '../safety/index.ts'
import { WITHOUT_DEPTH, WITH_SKIN } from '../tables/formats.ts'
import { DONE_C, FRIDGE_C, MEDIA } from '../tables/media.ts'
import { METHOD_TABLE, type Heat } from '../tables/methods.ts'
import { readTrait, type Candidate } from '../traits/index.ts'

/** A swap: what was wanted, what is taken, in which dish. */
export interface Swap {
  readonly missing: Candidate
  readonly candidate: Candidate
  readonly brief: NormalisedBrief
}

const MOST_CHANGES = 6
const change = (kind: ChangeKind, sentence: string, delta: number | null = null, unit: string | null = null): Change => ({
  kind,
  sentence,
  delta,
  unit,
})
const round = (n: number, digits = 1) => Math.round(n * 10 ** digits) / 10 ** digits

const typicalOf = (key: TextureKey, candidate: Candidate, brief: NormalisedBrief) => readTrait(key, candidate, brief)?.typical ?? 0
const stepBetween = (key: TextureKey, { missing, candidate, brief }: Swap) =>
  typicalOf(key, candidate, brief) - typicalOf(key, missing, brief)

function weightChange({ missing, candidate, brief }: Swap): Change | undefined {
  const now = computeWeightToBuyG(candidate.offer, candidate.form, brief).typical
  const before = computeWeightToBuyG(missing.offer, missing.form, brief).typical
  if (Math.abs(now - before) < 0.03 * before) return undefined
  return change('weight', `Buy ${describeGrams(now)} instead of ${describeGrams(before)}.`, Math.round(now - before), 'g')
}

function priceChange({ missing, candidate, brief }: Swap): Change | undefined {
  const now = computePortionCost(candidate.offer, candidate.form, brief)
  const before = computePortionCost(missing.offer, missing.form, brief)
  if (!now || !before || now.currency !== before.currency) return undefined
  const delta = round(now.typical - before.typical, 2)
  if (delta === 0) return change('price', 'Costs the same a portion.', 0, now.currency)
  return change(
    'price',
    `${now.typical.toFixed(2)} ${now.currency} a portion, ${Math.abs(delta).toFixed(2)} ${delta > 0 ? 'more' : 'less'}.`,
    delta,
    now.currency,
  )
}

/** Time grows as depth to this power: the thickness exponents of transient conduction by medium, 20 to 30 mm. */
const DEPTH_EXPONENT: Record<Heat, number | null> = {
  steam: 1.93,
  water: 1.85,
  fat: 1.85,
  contact: 1.7,
  fierce: 1.7,
  dry: 1.59,
  none: null,
}

/** How deep the flesh lies in the cut: none where the brief or the knife fixes it. */
const depthTells = (brief: NormalisedBrief): boolean =>
  brief.thicknessMm === null && (!WITHOUT_DEPTH.has(brief.format) || brief.format === 'whole')

/** How one fish cooks in the medium of the dish; nothing where one temperature on both faces does not tell it. */
function cookOf(candidate: Candidate, brief: NormalisedBrief): SlabCook | undefined {
  const medium = MEDIA[brief.method]
  if (!medium || !depthTells(brief) || brief.format === 'whole') return undefined
  const flesh = computeProperties(composeFromFat(typicalOf('fat', candidate, brief)), 40)
  return cookSlab(candidate.offer.depthMm.typical, flesh, medium, { startC: FRIDGE_C, targetC: DONE_C[brief.doneness] })
}

const toMinutes = (minutes: number): number => (minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes))
const depths = ({ missing, candidate }: Swap) =>
  `flesh ${Math.round(candidate.offer.depthMm.typical)} mm deep against ${Math.round(missing.offer.depthMm.typical)}; ±20 %, check the middle`

/** Minutes where they can be worked out, else how much longer or shorter; nothing when the brief fixes the thickness. */
function timeChange(swap: Swap): Change | undefined {
  const { missing, candidate, brief } = swap
  const now = cookOf(candidate, brief)
  const before = cookOf(missing, brief)
  if (!now || !before) return relativeTimeChange(swap)
  if (Math.abs(now.minutes / before.minutes - 1) < 0.15) return undefined
  const [minutes, was] = [toMinutes(now.minutes), toMinutes(before.minutes)]
  return change('cook-time', `Cooks about ${minutes} min instead of ${was} (${depths(swap)}).`, round(minutes - was), 'min')
}

/** Thin pieces go on cooking for longer out of the heat, thick ones for less: where that differs, when to take it out. */
function pullChange({ missing, candidate, brief }: Swap): Change | undefined {
  const now = cookOf(candidate, brief)
  const before = cookOf(missing, brief)
  if (!now || !before) return undefined
  const delta = Math.round(now.pullC) - Math.round(before.pullC)
  if (delta === 0) return undefined
  return change(
    'pull-temp',
    `Take it out at about ${Math.round(now.pullC)} °C in the middle, not ${Math.round(before.pullC)}; resting brings it to ${DONE_C[brief.doneness]}.`,
    delta,
    '°C',
  )
}

function relativeTimeChange(swap: Swap): Change | undefined {
  const { missing, candidate, brief } = swap
  const exponent = DEPTH_EXPONENT[METHOD_TABLE[brief.method].heat]
  if (exponent === null || !depthTells(brief)) return undefined
  const percent = Math.round((100 * (candidate.offer.depthMm.typical / missing.offer.depthMm.typical) ** exponent - 100) / 5) * 5
  if (Math.abs(percent) < 15) return undefined
  const far = percent > 100 ? 'more than twice as long' : `about ${Math.abs(percent)} % ${percent > 0 ? 'longer' : 'shorter'}`
  return change('cook-time', `Cooks ${far} (${depths(swap)}).`, percent, '%')
}

function fatChange(swap: Swap): Change | undefined {
  const now = typicalOf('fat', swap.candidate, swap.brief)
  const before = typicalOf('fat', swap.missing, swap.brief)
  if (Math.abs(toAxis('fat', now) - toAxis('fat', before)) < 0.6) return undefined
  const figures = `(${round(now)} g of fat in 100 g against ${round(before)})`
  const leaner = swap.brief.method === 'raw' || swap.brief.method === 'cure' ? 'dress it with oil' : 'brush or baste it'
  return change(
    'fat',
    now < before ? `Leaner ${figures}: ${leaner}.` : `Fatter ${figures}: use less fat in the pan.`,
    round(now - before),
    'g/100 g',
  )
}

function bonesChange(swap: Swap): Change | undefined {
  const delta = stepBetween('bones', swap)
  if (Math.abs(delta) < 1) return undefined
  return change('bones', delta > 0 ? 'More bones to draw or warn of.' : 'Fewer bones.', round(delta), 'of 10')
}

function handlingChange(swap: Swap): Change | undefined {
  const holds = stepBetween('cohesion', swap)
  const forgives = stepBetween('tolerance', swap)
  const flake = stepBetween('flake', swap)
  if (holds <= -1.5) return change('handling', 'More fragile: cut larger pieces, turn once, lift with a wide slice.', round(holds), 'of 10')
  if (forgives <= -1.5) return change('handling', 'Dries sooner: take it off earlier and watch it.', round(forgives), 'of 10')
  if (holds >= 1.5) return change('handling', 'Holds better: it may be turned and stirred more freely.', round(holds), 'of 10')
  if (flake >= 2.5) return change('handling', 'Larger flakes: cut across the grain and serve in bigger pieces.', round(flake), 'of 10')
  if (flake <= -2.5 && stepBetween('firmness', swap) >= 1)
    return change('handling', 'Denser, finer flesh: cut it smaller so that it eats tender.', round(flake), 'of 10')
  return forgives >= 2 ? change('handling', 'Forgives a longer time on the heat.', round(forgives), 'of 10') : undefined
}

function seasoningChange(swap: Swap): Change | undefined {
  const delta = stepBetween('flavour', swap)
  if (Math.abs(delta) < 1.5) return undefined
  return change(
    'seasoning',
    delta > 0 ? 'Stronger taste: add sharpness, hold back the delicate herbs.' : 'Milder taste: season up.',
    round(delta),
    'of 10',
  )
}

function skinChange(swap: Swap): Change | undefined {
  const matters = WITH_SKIN.has(swap.brief.format) && (swap.brief.asks.skin?.pull ?? 0) > 0
  const delta = stepBetween('skin', swap)
  if (!matters || Math.abs(delta) < 2) return undefined
  return change(
    'skin',
    delta > 0 ? 'Its skin crisps better: leave it on.' : 'Its skin does not crisp as well: dry it longer, or take it off.',
    round(delta),
    'of 10',
  )
}

function formatChange({ missing, candidate }: Swap): Change | undefined {
  if (missing.form === candidate.form) return undefined
  return change('format', `Ask for ${FORM_LABEL[candidate.form]}, not ${FORM_LABEL[missing.form]}.`)
}

function originChange({ missing, candidate }: Swap): Change | undefined {
  const { origin, state } = candidate.offer
  if (state !== missing.offer.state)
    return change('origin', state === 'fresh' ? 'Fresh instead of frozen.' : 'Frozen: thaw it overnight in the fridge, on a rack.')
  return origin === missing.offer.origin
    ? undefined
    : change('origin', `${origin === 'farmed' ? 'Farmed' : 'Wild'} instead of ${missing.offer.origin}.`)
}

/** Kinds of caution that come with the fish, as they are named in passing; the whole sentence stands in the rung's cautions. */
const FISH_CAUTIONS: Readonly<Record<string, string>> = {
  raw: 'serving raw',
  mercury: 'mercury',
  histamine: 'histamine',
  keeping: 'how long it keeps',
  ciguatera: 'ciguatera',
  spines: 'spines',
  listing: 'its stock or trade',
  doneness: 'cooking it through',
  bones: 'bones',
}

function safetyChange({ missing, candidate, brief }: Swap): Change | undefined {
  const kindsOf = ({ offer }: Candidate) =>
    [...new Set(findCautions(offer, brief).map(({ kind }) => kind))].filter((kind) => kind in FISH_CAUTIONS)
  const before = kindsOf(missing)
  const now = kindsOf(candidate)
  const name = (kinds: readonly string[]) => kinds.map((kind) => FISH_CAUTIONS[kind]).join(', ')
  const incoming = now.filter((kind) => !before.includes(kind))
  if (incoming.length > 0) return change('safety', `Brings a caution: ${name(incoming)}.`)
  const outgoing = before.filter((kind) => !now.includes(kind))
  return outgoing.length > 0 ? change('safety', `No caution any more: ${name(outgoing)}.`) : undefined
}

function stockChange({ missing, candidate }: Swap): Change | undefined {
  const now = candidate.offer.stock?.typical
  const before = missing.offer.stock?.typical
  if (now === undefined || before === undefined || Math.abs(now - before) < 10) return undefined
  return change(
    'stock',
    `Its stock stands ${now > before ? 'better' : 'worse'}: ${Math.round(now)} of 100 against ${Math.round(before)}.`,
    Math.round(now - before),
    'of 100',
  )
}

/** In the order of consequence: what can hurt, what it costs, how much, how long, then how it is handled and seasoned. */
const FINDERS = [
  safetyChange,
  priceChange,
  weightChange,
  timeChange,
  pullChange,
  handlingChange,
  bonesChange,
  fatChange,
  seasoningChange,
  formatChange,
  skinChange,
  originChange,
  stockChange,
]

/** What changes with a swap, in numbers: at most six that matter in this dish, and always the menu's name when another species is served. */
export function listChanges(swap: Swap): Change[] {
  const found = FINDERS.flatMap((find) => find(swap) ?? []).slice(0, MOST_CHANGES)
  const { missing, candidate } = swap
  if (missing.offer.species === candidate.offer.species) return found
  return [...found, change('menu-name', `Now ${candidate.offer.common}: change the menu, tell the floor and the allergen sheet.`)]
}
