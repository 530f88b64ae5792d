import type { Form, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { FORMS_FOR } from '../tables/constants.ts'

/** One way to put an offer on the board: the offer and the form it is bought in. */
export interface Candidate {
  readonly offer: ResolvedOffer
  readonly form: Form
}

const SKINLESS: ReadonlySet<Form> = new Set<Form>(['fillet-skinless', 'loin'])
const COLLAR_FORMS: readonly Form[] = ['steak']
const READY_FOR_STEAK: ReadonlySet<Form> = new Set<Form>(['steak', 'loin'])

/**
 * Forms of an offer that give the brief's cut, the most usual first. Crisp skin needs a form that still has it; a fish whose bones are not
 * known for a steak is not cut across at home.
 */
export function findForms(offer: ResolvedOffer, brief: NormalisedBrief): readonly Form[] {
  // A few forms an offer, asked for every offer at every drag: a scan is quicker than a set.
  const isCut = (form: Form) => offer.forms.some((one) => one.form === form)
  const isSold = (form: Form) => offer.forms.some((one) => one.form === form && one.sold !== false)
  const needsSkin = brief.skin === 'crisp'
  // Fillets with their skin on are cut at home only from what is sold so anywhere: shellfish have none, and some skins must come off.
  if ((brief.format === 'fillet-skin-on' || needsSkin) && !isCut('fillet-skin-on') && brief.format !== 'whole' && brief.format !== 'steak')
    return []
  // A collar is sold as one thick piece, and eaten as that.
  if (offer.part === 'collar') return brief.format === 'portion' || brief.format === 'chunk' ? COLLAR_FORMS.filter(isSold) : []
  const readyOnly = brief.format === 'steak' && offer.bones.steak === null
  return FORMS_FOR[brief.format].filter(
    (form) => isSold(form) && !(needsSkin && SKINLESS.has(form)) && (!readyOnly || READY_FOR_STEAK.has(form)),
  )
}
