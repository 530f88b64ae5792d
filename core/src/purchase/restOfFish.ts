import type { Form, ResolvedOffer } from '@tender-gill/contract'
import { computeYields } from '../amounts/index.ts'
import type { NormalisedBrief } from '../facts/index.ts'
import { kindOf } from '../traits/index.ts'
import { BONY_REST, HAS_BONES, HAS_INSIDE, HAS_SKIN, INSIDE, REST_PARTS, STEAKED_REST, type RestPart } from '../tables/cutMap.ts'
import { GUTTED_SHARE } from '../tables/constants.ts'

type Shares = Partial<Record<RestPart, number>>

/** Cuts that go into the pan without their skin. */
const SKINLESS_CUTS: ReadonlySet<string> = new Set(['fillet-skinless', 'chunk', 'slice', 'mince'])

const shareOf = ({ forms }: ResolvedOffer, form: Form): number | undefined =>
  form === 'whole' ? 1 : forms.find((sold) => sold.form === form)?.yieldOfWhole.typical

/** A mass shared out by weights, in hundredths or any other measure. */
function shareOut(mass: number, weights: Shares): Shares {
  const all = Object.values(weights).reduce((sum, weight) => sum + weight, 0)
  return Object.fromEntries(Object.entries(weights).map(([part, weight]) => [part, (mass * weight) / all]))
}

/**
 * What a form has beside the cut, as shares of its own weight that sum to `uncut`: first what gutting takes, then the skin of a cut without
 * one, then bones by the build of the fish.
 */
function splitUncut(offer: ResolvedOffer, form: Form, brief: NormalisedBrief, uncut: number): readonly Shares[] {
  const bought = shareOf(offer, form) ?? 1
  if (kindOf(offer) !== 'fish') return [{ shell: uncut }]
  const inside = HAS_INSIDE.has(form) ? Math.min(uncut, (1 - (shareOf(offer, 'gutted') ?? GUTTED_SHARE)) / bought) : 0
  const skinless = SKINLESS_CUTS.has(brief.format) || brief.skin === 'off'
  const off = (shareOf(offer, 'fillet-skin-on') ?? 0) - (shareOf(offer, 'fillet-skinless') ?? 0)
  const bones = HAS_BONES.has(form)
  const left = uncut - inside
  const skin = skinless && HAS_SKIN.has(form) ? (bones ? Math.min(left, Math.max(0, off) / bought) : left) : 0
  const rest = left - skin
  return [
    shareOut(inside, INSIDE),
    { skin },
    bones ? shareOut(rest, brief.format === 'steak' ? STEAKED_REST : BONY_REST[offer.body]) : { trim: rest },
  ]
}

/**
 * Everything of what is bought that does not go into the pan, as shares of its weight: ice and drip are lost; what the cut leaves is parted
 * by the build of the fish; the rest is trim. With what goes into the pan it is the whole.
 */
export function splitRest(offer: ResolvedOffer, form: Form, brief: NormalisedBrief): readonly (readonly [part: RestPart, share: number])[] {
  const { form: cut, trim, thaw, glaze } = computeYields(offer, form, brief)
  const thawed = (1 - glaze) * thaw
  // A fish that comes whole to the table leaves its bones on the plate, and there is nothing to trim.
  const parts: readonly Shares[] = [
    { loss: 1 - thawed },
    ...splitUncut(offer, form, brief, 1 - cut.typical).map((shares) =>
      Object.fromEntries(Object.entries(shares).map(([part, share]) => [part, share * thawed])),
    ),
    { trim: thawed * cut.typical * (1 - trim) },
  ]
  return REST_PARTS.flatMap((part) => {
    const share = parts.reduce((sum, shares) => sum + (shares[part] ?? 0), 0)
    return share > 0 ? [[part, share] as const] : []
  })
}
