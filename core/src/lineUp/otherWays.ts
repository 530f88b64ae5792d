import type { Brief, Fact, Format, Method, Opening, ResolvedOffer } from '@tender-gill/contract'
import { say, term, type NormalisedBrief } from '../facts/index.ts'
import type { Normalise } from '../brief/index.ts'
import { computeFit, createScoring, type Scoring } from '../fit/index.ts'
import { EFFORT, applyOpenings, passesGates, type OpeningResult } from '../gates/index.ts'
import { METHODS_IN_ORDER, gridCell, usualFormats } from '../tables/cuts.ts'
import { findForms } from '../traits/index.ts'

/** The dish cooked another way: in its own cut where that way takes it, else in the way's usual one. */
export interface OtherWay {
  readonly method: Method
  readonly opens: readonly Opening[]
  readonly change: Fact
  readonly brief: NormalisedBrief
  readonly scoring: Scoring
}

const describeWay = (method: Method, format: Format | undefined): Fact =>
  format
    ? say('open.method-and-format', { method: term('method', method), format: term('format', format) })
    : say('open.method', { method: term('method', method) })

/** Ways that leave no piece of fish on the plate, or no cooked one: nobody comes to them from a dish of another kind. */
const OTHER_DISHES: ReadonlySet<Method> = new Set<Method>(['mince', 'broth', 'raw', 'cure'])

/** Every other way of cooking in which the brief still makes sense; for another cut too where the way does not take this one. */
export function listOtherWays(rawBrief: Brief, offers: readonly ResolvedOffer[], normalise: Normalise): readonly OtherWay[] {
  return METHODS_IN_ORDER.filter((method) => method !== rawBrief.method && !OTHER_DISHES.has(method)).flatMap((method): OtherWay[] => {
    const [usual] = usualFormats(method)
    const format = gridCell(method, rawBrief.format) === 'allowed' ? undefined : usual
    const opens: Opening[] = [
      { path: '/method', value: method },
      ...(format ? [{ path: '/format', value: format }] : []),
      // A style is of its own way of cooking.
      ...(['style', 'servedAs'] as const).flatMap((said) => (rawBrief[said] ? [{ path: `/${said}`, value: null }] : [])),
    ]
    const normalised = normalise(applyOpenings(rawBrief, opens))
    if (!normalised.ok) return []
    const brief = normalised.value
    return [{ method, opens, change: describeWay(method, format), brief, scoring: createScoring(brief, offers) }]
  })
}

/** The way that suits an offer best, all gates open. */
function findBestWay(offer: ResolvedOffer, ways: readonly OtherWay[]): OtherWay | undefined {
  let best: { readonly fit: number; readonly way: OtherWay } | undefined
  for (const way of ways) {
    const [form] = findForms(offer, way.brief)
    if (form === undefined || !passesGates({ offer, form }, way.brief, way.scoring)) continue
    const { fit } = computeFit({ offer, form }, way.brief, way.scoring)
    if (!best || fit > best.fit) best = { fit, way }
  }
  return best?.way
}

const keepsTheCut = ({ opens }: OtherWay) => opens.every(({ path }) => path !== '/format')

/**
 * The other way of cooking that suits a species best, in the same cut if any way takes it so; undefined where none lets it in.
 * @param offers the species' offers, the one that speaks for it first: the first that any way takes decides
 */
export function findOtherWay(offers: readonly ResolvedOffer[], ways: readonly OtherWay[]): OpeningResult | undefined {
  for (const offer of offers) {
    const way = findBestWay(offer, ways.filter(keepsTheCut)) ?? findBestWay(offer, ways)
    if (way) return { opens: way.opens, changes: [way.change], effort: EFFORT.method }
  }
  return undefined
}
