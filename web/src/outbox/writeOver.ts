import type { PurchaseInput, PurchaseRecord } from '@tender-gill/contract'
import type { Given } from './outboxSlice.ts'

/** A refused command written over what the kitchen keeps now; null where that cannot be done. Its key is new: it is another command. */
export function writeOver(given: Given, purchases: readonly PurchaseRecord[]): Given | null {
  const again = { id: crypto.randomUUID(), state: 'waiting' as const, problem: null, current: null }
  if (given.state !== 'conflict') return null
  if (given.command === 'createPurchase') {
    const input = given.arg as PurchaseInput
    const theirs = purchases.find(({ purchase }) => purchase.line === input.purchase.line)
    if (!theirs) return null
    const arg = { id: theirs.id, revision: theirs.revision, input: { purchase: input.purchase } }
    return { ...given, ...again, command: 'savePurchase', arg }
  }
  const current = given.current as { readonly revision?: number } | null
  if (typeof current?.revision !== 'number') return null
  return { ...given, ...again, arg: { ...(given.arg as object), revision: current.revision } as Given['arg'] }
}
