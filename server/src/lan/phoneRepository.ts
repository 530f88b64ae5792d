import { createHash, randomInt, randomUUID } from 'node:crypto'
import { and, asc, eq, gt, isNull, lt } from 'drizzle-orm'
import type { Phone } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { pairingCodes, phones } from '../database/schema/index.ts'

/** How long a code lets a phone in. */
const CODE_LIFE_MS = 10 * 60_000
/** Letters and figures that nobody takes for one another. */
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'
const CODE_LENGTH = 8
/** A phone's last call is written down no more often than this. */
const SEEN_EVERY_MS = 60_000

export const hashSecret = (secret: string): string => createHash('sha256').update(secret).digest('hex')
const makeCode = (): string => Array.from({ length: CODE_LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('')

/** Phones of kitchens and the codes by which they come in. Secrets are kept as hashes alone. */
export function createPhoneRepository(db: Database, now: () => Date) {
  const holds = (codeHash: string) =>
    and(eq(pairingCodes.codeHash, codeHash), isNull(pairingCodes.usedAt), gt(pairingCodes.expiresAt, now()))
  return {
    list: async (kitchenId: string): Promise<Phone[]> => {
      const rows = await db
        .select()
        .from(phones)
        .where(and(eq(phones.kitchenId, kitchenId), isNull(phones.revokedAt)))
        .orderBy(asc(phones.pairedAt))
      return rows.map(({ id, name, pairedAt, lastSeenAt }) => ({
        ...{ id, name, pairedAt: pairedAt.toISOString() },
        lastSeenAt: lastSeenAt?.toISOString() ?? null,
      }))
    },
    /** A new code for one phone; those that are past go. */
    createCode: async (kitchenId: string): Promise<{ readonly code: string; readonly expiresAt: Date }> => {
      const code = makeCode()
      const expiresAt = new Date(now().getTime() + CODE_LIFE_MS)
      await db.delete(pairingCodes).where(lt(pairingCodes.expiresAt, now()))
      await db.insert(pairingCodes).values({ kitchenId, codeHash: hashSecret(code), expiresAt })
      return { code, expiresAt }
    },
    /** The kitchen whose code it is; undefined where it is none, past or used. */
    findOfferer: async (codeHash: string): Promise<string | undefined> => {
      const [row] = await db.select({ kitchenId: pairingCodes.kitchenId }).from(pairingCodes).where(holds(codeHash))
      return row?.kitchenId
    },
    /** Lets a phone in by a code, once; false where somebody else was quicker. */
    letIn: async (codeHash: string, phone: { readonly name: string; readonly token: string }): Promise<boolean> => {
      const [row] = await db
        .update(pairingCodes)
        .set({ usedAt: now() })
        .where(holds(codeHash))
        .returning({ kitchenId: pairingCodes.kitchenId })
      if (!row) return false
      const { name, token } = phone
      await db.insert(phones).values({ kitchenId: row.kitchenId, id: randomUUID(), name, tokenHash: hashSecret(token), pairedAt: now() })
      return true
    },
    /** The kitchen a phone may see; undefined where nobody let it in, or somebody shut it out again. */
    findKitchen: async (token: string): Promise<string | undefined> => {
      const [row] = await db
        .select()
        .from(phones)
        .where(and(eq(phones.tokenHash, hashSecret(token)), isNull(phones.revokedAt)))
      if (!row) return undefined
      if (row.lastSeenAt === null || now().getTime() - row.lastSeenAt.getTime() > SEEN_EVERY_MS)
        await db
          .update(phones)
          .set({ lastSeenAt: now() })
          .where(and(eq(phones.kitchenId, row.kitchenId), eq(phones.id, row.id)))
      return row.kitchenId
    },
    /** Shuts a phone out; false where there is none. */
    revoke: async (kitchenId: string, id: string): Promise<boolean> => {
      const changed = await db
        .update(phones)
        .set({ revokedAt: now() })
        .where(and(eq(phones.kitchenId, kitchenId), eq(phones.id, id), isNull(phones.revokedAt)))
        .returning({ id: phones.id })
      return changed.length > 0
    },
  }
}
export type PhoneRepository = ReturnType<typeof createPhoneRepository>
