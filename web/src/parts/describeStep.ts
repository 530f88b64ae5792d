import type { ServingInput } from '@tender-gill/contract'
import { listTaken } from '@tender-gill/core'
import type { Step } from '../documents/index.ts'
import { describeBriefChange } from './briefChange.ts'
import { joinWords } from './dishWords.ts'

const WHAT: { readonly [K in Exclude<Step['kind'], 'serving'>]: string } = {
  season: 'a change of the year',
  stock: 'a change of the evidence',
  merchant: 'a change of the merchant',
  leanings: 'a change of how the house leans',
}

const nameChoice = (choice: ServingInput['choice']): string =>
  (choice ? listTaken(choice).map(({ offerId, form }) => `${offerId} ${form}`) : []).join('|')

/** What one change was, in a few words. */
export function describeStep({ kind, before, after }: Step): string {
  if (kind !== 'serving') return WHAT[kind]
  const [old, now] = [before as ServingInput, after as ServingInput]
  if (nameChoice(old.choice) !== nameChoice(now.choice))
    return now.choice ? `taking another fish for ${now.brief.dish}` : `letting the fish of ${now.brief.dish} go`
  const changed = describeBriefChange(old.brief, now.brief)
  return changed.length > 0 ? joinWords(changed.slice(0, 3)) : `a change of ${now.brief.dish}`
}
