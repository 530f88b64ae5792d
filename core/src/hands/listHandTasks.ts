import type { Fact, Form, Format, Range, ResolvedOffer } from '@tender-gill/contract'
import { phrase, say } from '../facts/index.ts'
import { ASKED_OF_FISHMONGER, HAND_TASKS, SKILLS, TASK_EXPONENT, TASK_MINUTES, type HandTask } from '../tables/handTasks.ts'
import { WITH_SKIN } from '../tables/formats.ts'
import { findPinBones, type PinBones } from '../tables/pinBones.ts'

/** One piece of work before the pan. */
export interface HandWork {
  readonly task: HandTask
  readonly sentence: Fact
  /** For one fish of its usual weight: hands that do it daily, used to it, new to it, min; null where it is no work of its own. */
  readonly minutes: Range | null
  /** A fishmonger does it when asked. */
  readonly canBeAsked: boolean
}

const CUT_FROM: ReadonlySet<Format> = new Set(['fillet-skin-on', 'fillet-skinless', 'portion', 'chunk', 'slice', 'mince'])
const SKINLESS: ReadonlySet<Format> = new Set(['fillet-skinless', 'chunk', 'slice', 'mince'])
const WHOLE: ReadonlySet<Form> = new Set(['whole', 'gutted'])

/** Whether a task is there for a fish bought in a form and cooked in a cut. */
function isNeeded(task: HandTask, offer: ResolvedOffer, form: Form, format: Format, skin: boolean): boolean {
  const fromWhole = WHOLE.has(form)
  const cut = fromWhole && CUT_FROM.has(format)
  switch (task) {
    case 'spines':
      return offer.spines !== null && fromWhole
    case 'scale':
      return fromWhole && skin
    case 'fins':
      return fromWhole && (format === 'whole' || offer.spines !== null)
    case 'gut':
      return form === 'whole'
    case 'blood':
      return fromWhole
    case 'fillet-round':
      return cut && offer.body !== 'flat'
    case 'fillet-flat':
      return cut && offer.body === 'flat'
    case 'steaks':
      return fromWhole && format === 'steak'
    case 'pin-bones':
      return CUT_FROM.has(format) && form !== 'loin' && offer.bones['fillet-pinned'] !== null && findPinBones(offer) !== null
    case 'skin':
      return SKINLESS.has(format) && form !== 'fillet-skinless' && form !== 'loin'
    case 'dry':
      return format !== 'frame'
    case 'keep':
      return cut || (fromWhole && format === 'steak')
    case 'at-table':
      return format === 'whole'
  }
}

function describe(task: HandTask, offer: ResolvedOffer, bones: PinBones | null): Fact {
  if (task === 'spines') return say('hands.spines', { spines: phrase(offer.spines ?? '') })
  if (task !== 'pin-bones' || !bones) return say(`hands.${task}` as 'hands.dry')
  return say('hands.pin-bones', {
    ...{ fewest: bones.fewest, most: bones.most, share: Math.round(bones.to * 100) },
    ...{ slant: bones.angleDeg >= 65 ? 'up' : bones.angleDeg >= 38 ? 'slanting' : 'flat', out: bones.cutOut ? 'yes' : 'no' },
  })
}

/** Minutes for one fish, by how used to it the hands are. */
function timeTask(task: HandTask, { weightG }: ResolvedOffer): Range | null {
  const minutes = TASK_MINUTES[task]
  if (minutes === null) return null
  const usual = minutes * (weightG.typical / 1000) ** TASK_EXPONENT
  return { low: usual * SKILLS.daily, typical: usual * SKILLS.used, high: usual * SKILLS.new }
}

/**
 * What hands do to a fish, from as it is bought to as it goes into the pan, in order; whole fish are lifted off their frame at the table.
 * Shellfish are another craft and have none. Compiled.
 * @param cooked how it is cooked: its cut, and whether its skin is eaten
 */
export function listHandTasks(
  offer: ResolvedOffer,
  form: Form,
  { format, skin }: { readonly format: Format; readonly skin?: 'crisp' | 'off' | 'any' | undefined },
): readonly HandWork[] {
  if (offer.allergen !== 'fish') return []
  const eaten = WITH_SKIN.has(format) && skin !== 'off'
  const bones = findPinBones(offer)
  return HAND_TASKS.filter((task) => isNeeded(task, offer, form, format, eaten)).map((task) => ({
    task,
    sentence: describe(task, offer, bones),
    minutes: timeTask(task, offer),
    canBeAsked: ASKED_OF_FISHMONGER.has(task),
  }))
}
