import type { BaseQueryFn, EndpointBuilder, MutationDefinition, QueryDefinition } from '@reduxjs/toolkit/query'
import type { FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import {
  addressOf,
  operations,
  type ArgOf,
  type Entity,
  type Operation,
  type OperationName,
  type Operations,
  type OutputOf,
} from '@tender-gill/contract/operations'

/** One request: below which address, and what goes with it. */
export interface Request_ {
  /** Where it is called, once the kitchen is known. */
  readonly address: (kitchenId: string) => string
  readonly fetch: Omit<FetchArgs, 'url'>
  /** Not sent again by itself: whoever sent it sees to that. */
  readonly once: boolean
}
export type BaseQuery = BaseQueryFn<Request_, unknown, FetchBaseQueryError>
type Build = EndpointBuilder<BaseQuery, Entity, 'api'>

type EndpointOf<O extends Operation> = O extends { readonly kind: 'question' }
  ? QueryDefinition<ArgOf<O>, BaseQuery, Entity, OutputOf<O>, 'api'>
  : MutationDefinition<ArgOf<O>, BaseQuery, Entity, OutputOf<O>, 'api'>
export type Endpoints = { readonly [Name in OperationName]: EndpointOf<Operations[Name]> }

/** Tag of everything that reads records of a kind together: lists, and what is worked out from them. */
export const ALL = 'all'

interface Pieces {
  readonly id?: string
  readonly revision?: number
  readonly input?: unknown
  /** The key under which a command is sent, where it must outlive the page. */
  readonly commandKey?: string
  readonly once?: boolean
  readonly names: Readonly<Record<string, string>>
  readonly params: Readonly<Record<string, string>>
}

/** Whether a command is sent under a key of its own, beside what it says. */
export const isKeyed = (arg: unknown): arg is { readonly commandKey: string; readonly input?: unknown; readonly once?: boolean } =>
  typeof arg === 'object' && arg !== null && typeof (arg as { commandKey?: unknown }).commandKey === 'string'

/** What was said to call an operation, taken apart: see ArgOf of the contract. */
export function readArg(operation: Operation, arg: unknown): Pieces {
  const inPath = [...operation.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name ?? '')
  const byName = operation.ifMatch || operation.query || (operation.input && inPath.length > 0)
  if (!byName) {
    if (operation.input && isKeyed(arg))
      return { input: arg.input, commandKey: arg.commandKey, once: arg.once ?? false, names: {}, params: {} }
    if (operation.input) return { input: arg, names: {}, params: {} }
    const [only] = inPath
    return only === undefined ? { names: {}, params: {} } : { id: String(arg), names: { [only]: String(arg) }, params: {} }
  }
  const said = (arg ?? {}) as Record<string, unknown>
  const pick = (keys: readonly string[]) =>
    Object.fromEntries(keys.flatMap((key) => (said[key] === undefined ? [] : [[key, String(said[key])]])))
  return {
    ...(typeof said.id === 'string' ? { id: said.id } : {}),
    ...(typeof said.revision === 'number' ? { revision: said.revision } : {}),
    ...(said.input === undefined ? {} : { input: said.input }),
    ...(typeof said.commandKey === 'string' ? { commandKey: said.commandKey } : {}),
    ...(said.once === true ? { once: true } : {}),
    names: pick(inPath),
    params: pick(Object.keys(operation.query ?? {})),
  }
}

const toRequest = (operation: Operation, arg: unknown): Request_ => {
  const { revision, input, commandKey, once = false, names, params } = readArg(operation, arg)
  const headers = {
    ...(revision === undefined ? {} : { 'If-Match': `"${revision}"` }),
    ...(commandKey === undefined ? {} : { 'Idempotency-Key': commandKey }),
  }
  return {
    once,
    address: (kitchen) => addressOf(operation, { ...names, kitchen }),
    fetch: {
      method: operation.method,
      ...(Object.keys(params).length > 0 ? { params } : {}),
      ...(input === undefined ? {} : { body: input }),
      headers,
    },
  }
}

/** One record is known by its id; whatever reads more than one is asked again when any of them changes. */
const listRead = ({ answers, reads }: Operation, id: string | undefined) =>
  answers && id !== undefined ? reads.map((type) => ({ type, id })) : reads.map((type) => ({ type, id: ALL }))

/**
 * What a command makes stale. Of one that answers with the record itself, the record is put in its place (see `keepRecords`), and what was
 * worked out from it is asked for again; after a refusal the record too.
 */
const listTouched = ({ answers, touches }: Operation, id: string | undefined, failed: boolean) =>
  touches.flatMap((type) => [{ type, id: ALL }, ...(answers && !failed ? [] : answers && id !== undefined ? [{ type, id }] : [type])])

/** An endpoint for every operation of the contract, with what it keeps and forgets. */
export function buildEndpoints(build: Build): Endpoints {
  const made = (Object.entries(operations) as [OperationName, Operation][]).map(([name, operation]) => {
    const query = (arg: unknown) => toRequest(operation, arg)
    if (operation.kind === 'question')
      return [
        name,
        build.query<unknown, unknown>({
          query,
          providesTags: (_answer, _error, arg) => listRead(operation, readArg(operation, arg).id),
          ...(operation.study ? { keepUnusedDataFor: 30 } : {}),
        }),
      ] as const
    return [
      name,
      build.mutation<unknown, unknown>({
        query,
        invalidatesTags: (_answer, error, arg) => listTouched(operation, readArg(operation, arg).id, error !== undefined),
      }),
    ] as const
  })
  return Object.fromEntries(made) as unknown as Endpoints
}
