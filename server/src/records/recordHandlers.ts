import type { Kitchen, Problem } from '@tender-gill/contract'
import type { Database } from '../database/openDatabase.ts'
import { RequestFailure, notFound, refuse } from '../http/errors.ts'
import type { Asked, Commit } from '../http/serveOperations.ts'
import type { ChangeOutcome, RecordRepository, StoredFields } from './recordRepository.ts'

interface RecordKind<Input, Record_> {
  /** What one is called, for people. */
  readonly what: string
  readonly entity: Parameters<Parameters<Commit<unknown>>[1]>[0]
  /** Its records over a database or a transaction. */
  readonly over: (db: Database) => RecordRepository<Input, Record_>
  /** What a schema cannot see: names of the book, things that cannot be together. */
  readonly check?: (input: Input, kitchenId: string) => Promise<readonly Problem[]>
  /** What else is written down with a change, in its transaction. */
  readonly tell?: (tx: Database, kitchen: Kitchen, record: Record_) => Promise<void>
}

type Any = Pick<Asked<never>, 'kitchen'> & { readonly params: { readonly id: string }; readonly revision: number }

/** The outcome of a change as a record, or the refusal that it is. */
export function settleChange<R>(outcome: ChangeOutcome<R>, what: string, sent: unknown): R {
  if (outcome.status === 'changed') return outcome.record
  if (outcome.status === 'missing') throw notFound(`No such ${what}`)
  throw new RequestFailure('conflict', `This ${what} was changed elsewhere. Both versions are here.`, { current: outcome.current, sent })
}

/** Handlers of one kind of record, all within the kitchen that is asked. Another kitchen's id is answered as if it did not exist. */
export function createRecordHandlers<Input, Record_ extends StoredFields>(
  db: Database,
  { what, entity, over, check = async () => [], tell = async () => undefined }: RecordKind<Input, Record_>,
) {
  const make = async (input: Input, kitchenId: string): Promise<void> => {
    const problems = await check(input, kitchenId)
    if (problems.length > 0) throw refuse(problems)
  }
  return {
    list: ({ kitchen }: Pick<Any, 'kitchen'>): Promise<readonly Record_[]> => over(db).list(kitchen.id),
    find: async ({ kitchen, params }: Any): Promise<Record_> => {
      const record = await over(db).find(kitchen.id, params.id)
      if (!record) throw notFound(`No such ${what}`)
      return record
    },
    create: async ({ kitchen, input }: Pick<Any, 'kitchen'> & { readonly input: Input }): Promise<Commit<Record_>> => {
      await make(input, kitchen.id)
      return async (tx, touch) => {
        const record = await over(tx).create(kitchen.id, input)
        touch(entity, record.id)
        await tell(tx, kitchen, record)
        return record
      }
    },
    save: async ({ kitchen, params, revision, input }: Any & { readonly input: Input }): Promise<Commit<Record_>> => {
      await make(input, kitchen.id)
      return async (tx, touch) => {
        touch(entity, params.id)
        const record = settleChange(await over(tx).update(kitchen.id, params.id, revision, input), what, input)
        await tell(tx, kitchen, record)
        return record
      }
    },
    remove:
      async ({ kitchen, params, revision }: Any): Promise<Commit<Record_>> =>
      async (tx, touch) => {
        touch(entity, params.id)
        const record = settleChange(await over(tx).remove(kitchen.id, params.id, revision), what, null)
        await tell(tx, kitchen, record)
        return record
      },
    restore:
      async ({ kitchen, params }: Any): Promise<Commit<Record_>> =>
      async (tx, touch) => {
        const record = await over(tx).restore(kitchen.id, params.id)
        if (!record) throw notFound(`No such ${what}`)
        touch(entity, params.id)
        await tell(tx, kitchen, record)
        return record
      },
  }
}
