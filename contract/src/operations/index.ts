import { book } from './book.ts'
import { counter } from './counter.ts'
import { house } from './house.ts'
import { houseBook } from './houseBook.ts'
import { market } from './market.ts'
import { planning } from './planning.ts'
import { sheets } from './sheets.ts'
import { verbs } from './verbs.ts'

/**
 * Everything that can be asked of the server, declared once: from it come the routes with their checks, the OpenAPI document, the pages'
 * client with what it keeps and forgets, and the tests that try every operation. A shape is named, not imported: pages load this table
 * without any schema.
 */
export const operations = { ...house, ...verbs, ...sheets, ...planning, ...market, ...counter, ...houseBook, ...book }
export type Operations = typeof operations
export type OperationName = keyof Operations

export {
  ENTITIES,
  PERMISSIONS,
  type ArgOf,
  type Entity,
  type InputOf,
  type Operation,
  type OutputOf,
  type ParamsOf,
  type Permission,
  type QueryValue,
} from './operation.ts'
export { addressOf } from './addressOf.ts'
