import { fetchBaseQuery, retry, type FetchArgs, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import type { BaseQueryApi, BaseQueryFn } from '@reduxjs/toolkit/query'
import { nameReader } from '@tender-gill/words/plain'
import type { KitchenState } from '../kitchen/index.ts'
import { noteOutdated } from '../offline/outdated.ts'
import { readApiName } from '../offline/readApiName.ts'
import { reader } from '../reader/index.ts'
import type { BaseQuery } from './endpoints.ts'

const MOST_TRIES = 4

const isAway = (error: unknown): boolean => {
  const { status } = error as { status?: number | string }
  return status === 'FETCH_ERROR' || status === 503
}

const fetchIt: BaseQueryFn<FetchArgs, unknown, FetchBaseQueryError> = fetchBaseQuery({ baseUrl: '' })

/** A server that was renewed will not hear this page: that is told once. */
const send: typeof fetchIt = async (args, api, extra) => {
  const answer = await fetchIt(args, api, extra)
  if (answer.error?.status === 426) noteOutdated()
  return answer
}
const apiName = readApiName()

/**
 * Sends a request to the kitchen of this tab. While the server or its database is away it is sent again for a while; a command carries a
 * key, so that the server carries it out once however often it comes.
 */
const sendAgain = retry(send, { retryCondition: (error, _args, { attempt }) => attempt < MOST_TRIES && isAway(error) })

const kitchenOf = (api: BaseQueryApi): KitchenState => (api.getState() as { kitchen: KitchenState }).kitchen

export const baseQuery: BaseQuery = (request, api, extra) => {
  const { id, client } = kitchenOf(api)
  const key = api.type === 'mutation' ? { 'Idempotency-Key': crypto.randomUUID() } : {}
  const { headers, ...fetch } = request.fetch
  return (request.once ? send : sendAgain)(
    {
      url: request.address(id),
      ...fetch,
      headers: {
        Client: client,
        Reader: nameReader(reader),
        ...(apiName === null ? {} : { Api: apiName }),
        ...key,
        ...(headers as Record<string, string>),
      },
    },
    api,
    extra as object,
  )
}
