import { randomBytes } from 'node:crypto'
import { commitChange } from '../commands/commitChange.ts'
import type { OpenDatabase } from '../database/openDatabase.ts'
import { createPhoneRepository, hashSecret } from './phoneRepository.ts'

/** As it is typed: in any case, with spaces or strokes between. */
const foldCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, '')

export type PairPhone = (typed: string, name: string) => Promise<{ readonly token: string; readonly kitchenId: string } | undefined>

/**
 * Lets a phone in by its code, once, and tells whoever looks at the kitchen's phones.
 * @returns the phone's secret and its kitchen; undefined where the code is none, past or used
 */
export function createPairPhone(db: OpenDatabase['db'], now: () => Date): PairPhone {
  return async (typed, name) => {
    const codeHash = hashSecret(foldCode(typed))
    const kitchenId = await createPhoneRepository(db, now).findOfferer(codeHash)
    if (kitchenId === undefined) return undefined
    const token = randomBytes(32).toString('base64url')
    const { body: isIn } = await commitChange({ db, now }, { kitchenId, actor: null, touches: ['phone'], key: null }, async (tx) => ({
      status: 200,
      headers: {},
      body: await createPhoneRepository(tx, now).letIn(codeHash, { name, token }),
    }))
    return isIn === true ? { token, kitchenId } : undefined
  }
}
