import type { ShapeName } from '../schemas.ts'
import { command, question, type Entity, type Permission } from './operation.ts'

interface RecordKind<Path extends string, Input extends ShapeName, Record_ extends ShapeName> {
  readonly path: Path
  readonly what: string
  readonly entity: Entity
  readonly permission: Permission
  readonly input: Input
  readonly record: Record_
  /** What a change of one touches, where that is more than its own kind. */
  readonly touches?: readonly Entity[]
}

const capital = <T extends string>(text: T): Capitalize<T> => (text.slice(0, 1).toUpperCase() + text.slice(1)) as Capitalize<T>

/** The operations of one kind of record: all of them, one, a new one, a change at a revision, taking it away and putting it back. */
export function recordOperations<
  One extends string,
  Many extends string,
  Path extends string,
  Input extends ShapeName,
  Record_ extends ShapeName,
>(one: One, many: Many, { path, what, entity, permission, input, record, touches = [entity] }: RecordKind<Path, Input, Record_>) {
  const list = question({ method: 'GET', path: `/${path}`, summary: `The kitchen's: ${what}`, output: record, many: true, reads: [entity] })
  const find = question({
    method: 'GET',
    path: `/${path}/{id}`,
    summary: `One: ${what}`,
    output: record,
    answers: { one, all: many },
    reads: [entity],
  })
  const keeps = { permission, output: record, answers: { one, all: many }, touches } as const
  const create = command({ ...keeps, method: 'POST', path: `/${path}`, summary: `Keep a new one: ${what}`, input, creates: true })
  const save = command({ ...keeps, method: 'PUT', path: `/${path}/{id}`, summary: `Change: ${what}`, input, ifMatch: true })
  const remove = command({
    ...{ ...keeps, method: 'DELETE' as const, path: `/${path}/{id}` as const, ifMatch: true as const },
    summary: `Take away, to be put back within 30 days: ${what}`,
  })
  const restore = command({ ...keeps, method: 'POST', path: `/${path}/{id}/restore`, summary: `Put back: ${what}` })
  const Name = capital(one)
  return {
    [many]: list,
    [one]: find,
    [`create${Name}`]: create,
    [`save${Name}`]: save,
    [`remove${Name}`]: remove,
    [`restore${Name}`]: restore,
  } as { readonly [K in Many]: typeof list } & { readonly [K in One]: typeof find } & {
    readonly [K in `create${Capitalize<One>}`]: typeof create
  } & { readonly [K in `save${Capitalize<One>}`]: typeof save } & { readonly [K in `remove${Capitalize<One>}`]: typeof remove } & {
    readonly [K in `restore${Capitalize<One>}`]: typeof restore
  }
}
