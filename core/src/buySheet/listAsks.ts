import type { Fact, Form, ResolvedOffer } from '@tender-gill/contract'
import { mass, length, say, type NormalisedBrief } from '../facts/index.ts'
import { COUNTED } from '../purchase/index.ts'
import { kindOf } from '../traits/index.ts'

const WITH_SCALES: ReadonlySet<string> = new Set(['fine', 'large', 'scutes'])
const SKIN_STAYS: ReadonlySet<string> = new Set(['whole', 'fillet-skin-on', 'portion', 'steak'])
const FILLETS: ReadonlySet<Form> = new Set<Form>(['fillet-skin-on', 'fillet-skinless'])

/** Whether drawing pin bones leaves fewer of them. */
const hasPinBones = ({ bones }: ResolvedOffer): boolean => (bones.fillet?.typical ?? 0) > (bones['fillet-pinned']?.typical ?? 0)

interface Bought {
  readonly offer: ResolvedOffer
  readonly form: Form
  /** One portion as it is bought, g. */
  readonly portionG: number
}

/**
 * What a merchant is asked to have done to a fish for a dish, in the order in which it is done: scaled, gutted, fins, filleted, pin bones,
 * skin, cut, frames kept. A house that cuts its fish itself asks for none of the cutting.
 */
export function listAsks({ offer, form, portionG }: Bought, brief: NormalisedBrief): readonly Fact[] {
  if (kindOf(offer) !== 'fish') return kindOf(offer) === 'cephalopod' && COUNTED.has(form) ? [say('buy.ask.clean')] : []
  const { format, skin, house } = brief
  const cuts = house.bought !== 'whole'
  const whole = COUNTED.has(form)
  const served = format === 'whole'
  const skinEaten = SKIN_STAYS.has(format) && skin !== 'off'
  const asks: (Fact | false)[] = [
    WITH_SCALES.has(offer.scales ?? 'fine') && skinEaten && (whole || form !== 'fillet-skinless') && say('buy.ask.scale'),
    form === 'whole' && say('buy.ask.gut'),
    whole && served && say('buy.ask.fins'),
    whole && !served && cuts && say(format === 'steak' ? 'buy.ask.steaks' : 'buy.ask.fillet'),
    !served && format !== 'steak' && (FILLETS.has(form) || (whole && cuts)) && hasPinBones(offer) && say('buy.ask.pin-bone'),
    FILLETS.has(form) && say(form === 'fillet-skin-on' ? 'buy.ask.skin-on' : 'buy.ask.skin-off'),
    cuts && format === 'portion' && FILLETS.has(form) && say('buy.ask.portion', { weight: mass(portionG) }),
    cuts && format === 'steak' && brief.thicknessMm !== null && say('buy.ask.thickness', { depth: length(brief.thicknessMm) }),
    whole && !served && cuts && house.trim !== null && say('buy.ask.keep-frames'),
  ]
  return asks.filter((ask) => ask !== false)
}
