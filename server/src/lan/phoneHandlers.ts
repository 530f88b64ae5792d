import { toString as drawQr } from 'qrcode'
import type { Database } from '../database/openDatabase.ts'
import { RequestFailure, notFound } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import { createPhoneRepository } from './phoneRepository.ts'

/** The door to the local network, where it was opened at the start. */
export interface LanDoor {
  readonly addresses: readonly string[]
  readonly fingerprint: string
}

/** Which phones come in, a code for another, and shutting one out. */
export const createPhoneHandlers = (
  db: Database,
  now: () => Date,
  lan: LanDoor | undefined,
): HandlersOf<'phones' | 'createPairingCode' | 'revokePhone'> => {
  const stateOf = async (tx: Database, kitchenId: string) => ({
    open: lan !== undefined,
    addresses: [...(lan?.addresses ?? [])],
    fingerprint: lan?.fingerprint ?? null,
    phones: await createPhoneRepository(tx, now).list(kitchenId),
  })
  return {
    phones: ({ kitchen }) => stateOf(db, kitchen.id),
    createPairingCode:
      async ({ kitchen }) =>
      async (tx: Database) => {
        const [address] = lan?.addresses ?? []
        if (address === undefined) throw new RequestFailure('conflict', 'No phone can come in: start with npm start -- --lan.')
        const { code, expiresAt } = await createPhoneRepository(tx, now).createCode(kitchen.id)
        const at = `${address}/pair?code=${code}`
        return { code, expiresAt: expiresAt.toISOString(), address: at, qrSvg: await drawQr(at, { type: 'svg', margin: 1 }) }
      },
    revokePhone:
      async ({ kitchen, params }) =>
      async (tx: Database) => {
        if (!(await createPhoneRepository(tx, now).revoke(kitchen.id, params.id))) throw notFound('No such phone')
        return stateOf(tx, kitchen.id)
      },
  }
}
