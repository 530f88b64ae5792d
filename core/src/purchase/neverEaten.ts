import type { Form, ResolvedOffer } from '@tender-gill/contract'
import { say, type Amounts } from '../facts/index.ts'
import { HAS_BONES, HAS_INSIDE } from '../tables/cutMap.ts'
import { kindOf } from '../traits/index.ts'

const HAS_HEAD: ReadonlySet<Form> = new Set<Form>(['whole', 'gutted', 'frame'])

/** What of a fish as it is bought must not be eaten, or only of fish of which it is known that it may: with the reason, after common guidance. */
export function listNeverEaten(offer: ResolvedOffer, form: Form): Amounts['never'] {
  if (kindOf(offer) !== 'fish') return []
  const inside = HAS_INSIDE.has(form)
  return [
    ...(offer.ciguatera && (inside || HAS_BONES.has(form)) ? [{ part: 'head', sentence: say('rest.never.ciguatera') }] : []),
    ...(inside ? [{ part: 'guts', sentence: say('rest.never.gall') }] : []),
    ...(HAS_HEAD.has(form) ? [{ part: 'head', sentence: say('rest.never.gills') }] : []),
    ...(inside
      ? [
          { part: 'liver', sentence: say('rest.never.liver') },
          { part: 'roe', sentence: say('rest.never.roe') },
        ]
      : []),
  ]
}
