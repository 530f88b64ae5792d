import type { RestUsed } from '@tender-gill/contract'
import { useCallback, useMemo } from 'react'
import {
  useCreateRestUseMutation,
  useRemoveRestUseMutation,
  useRestUsesQuery,
  useSaveRestUseMutation,
  useServingsQuery,
} from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'

/** A part goes into broth, to another serving, or nowhere yet. */
export type Goes = { readonly kind: 'broth' } | { readonly kind: 'serving'; readonly id: string } | null

const asTo = (goes: NonNullable<Goes>): string | null => (goes.kind === 'broth' ? null : goes.id)

/** Where the parts of what one serving buys go, and what comes to it from others; each change is kept at once and undone in one press. */
export function useRestUses(servingId: string) {
  const { data: records = [] } = useRestUsesQuery()
  const { data: servings = [] } = useServingsQuery()
  const [create] = useCreateRestUseMutation()
  const [save] = useSaveRestUseMutation()
  const [remove] = useRemoveRestUseMutation()
  const undoable = useUndoable()
  const nameOf = useCallback((id: string) => servings.find((serving) => serving.id === id)?.brief.dish, [servings])
  const own = useMemo(
    () => new Map(records.filter(({ use }) => use.servingId === servingId).map((one) => [one.use.part, one])),
    [records, servingId],
  )
  const goesOf = (part: string): Goes => {
    const use = own.get(part as RestUsed)?.use
    return use ? (use.to === null ? { kind: 'broth' } : { kind: 'serving', id: use.to }) : null
  }
  const say = (part: RestUsed, goes: Goes): string =>
    goes === null
      ? `The ${part} goes nowhere yet.`
      : `The ${part} goes ${goes.kind === 'broth' ? 'into broth' : `to ${nameOf(goes.id) ?? 'another dish'}`}.`
  const set = (part: RestUsed, goes: Goes): void => {
    const before = own.get(part)
    const words = { done: say(part, goes), undone: say(part, goesOf(part)) }
    const keep = (to: string | null) => create({ use: { servingId, part, to } }).unwrap()
    if (!before && goes) void undoable(() => keep(asTo(goes)), { ...words, undo: ({ id, revision }) => remove({ id, revision }).unwrap() })
    if (before && goes === null)
      void undoable(() => remove({ id: before.id, revision: before.revision }).unwrap(), { ...words, undo: () => keep(before.use.to) })
    if (before && goes) {
      const put = (id: string, revision: number, to: string | null) =>
        save({ id, revision, input: { use: { ...before.use, to } } }).unwrap()
      void undoable(() => put(before.id, before.revision, asTo(goes)), {
        ...words,
        undo: ({ id, revision }) => put(id, revision, before.use.to),
      })
    }
  }
  return {
    goesOf,
    set,
    /** Servings that a part may go to. */
    others: servings.filter(({ id }) => id !== servingId).map(({ id, brief }) => ({ id, dish: brief.dish })),
    /** Parts of other servings that come to this one. */
    coming: records
      .filter(({ use }) => use.to === servingId)
      .map(({ use }) => ({ part: use.part, from: nameOf(use.servingId) ?? 'another dish' })),
  }
}
