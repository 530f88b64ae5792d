import { matchPath } from 'react-router'
import { api } from './api/api.ts'
import { createSheetRef, type EngineRemote } from './engine/index.ts'
import type { AppStore } from './state/store.ts'
import { readOnlyOffered } from './state/useOnlyOffered.ts'

const { kitchen, serving, servings, sheetName } = api.endpoints
const QUIETLY = { subscribe: false } as const

interface Asked {
  readonly store: Pick<AppStore, 'dispatch'>
  readonly engine: Pick<EngineRemote, 'lay'>
  /** Below the kitchen's. */
  readonly path: string
}

/** Pages of a dish that begin with its line-up. */
const BEGINS_WITH_LINE_UP = /\/(?:line-up|stand-ins|amounts|cook)$/

/**
 * Asks what nearly every page asks, before anything is drawn: the kitchen, its servings or the one of the address, the name of the offers
 * of the page's day; the offers themselves are being laid out when it is done. What cannot be had is asked again by the page that needs it.
 * @returns whether the kitchen is kept; undefined where nobody answers
 */
export async function askAhead({ store: { dispatch }, engine, path }: Asked): Promise<boolean | undefined> {
  const id = matchPath('/dishes/:id/*', path)?.params.id
  const asked = id === undefined || id === 'new' ? dispatch(servings.initiate(undefined, QUIETLY)) : dispatch(serving.initiate(id, QUIETLY))
  const [{ data: here, error }, { data: todays }, { data: found }] = await Promise.all([
    dispatch(kitchen.initiate(undefined, QUIETLY)),
    // The day is not known yet: it is said in the answer.
    dispatch(sheetName.initiate({}, QUIETLY)),
    asked,
  ])
  if (!here) return (error as { status?: unknown } | undefined)?.status === 404 ? false : undefined
  if (todays?.date === here.today) await dispatch(api.util.upsertQueryData('sheetName', { date: here.today }, todays))
  const date = (found && 'brief' in found ? found.brief.date : undefined) ?? here.today
  const { data: named } = date === todays?.date ? { data: todays } : await dispatch(sheetName.initiate({ date }, QUIETLY))
  const dish =
    found && 'brief' in found && BEGINS_WITH_LINE_UP.test(path) ? { brief: found.brief, only: readOnlyOffered(here.id) } : undefined
  if (named) engine.lay(createSheetRef(here, date, named.snapshot), dish).catch(() => undefined)
  return true
}
