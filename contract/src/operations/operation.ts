import type { ShapeName, Shapes } from '../schemas.ts'

/** What a kitchen keeps: caches are told by these what a question reads and what a command touches. */
export const ENTITIES = [
  'kitchen',
  'dish',
  'serving',
  'decision',
  'absence',
  'price',
  'list',
  'rate',
  'season',
  'stock',
  'merchant',
  'purchase',
  'restUse',
  'look',
  'lot',
  'coldPlace',
  'coldReading',
  'entry',
  'phone',
  'feed',
  'species',
  'leanings',
] as const
export type Entity = (typeof ENTITIES)[number]

/** What one must be allowed to do, by the room in which it is done. */
export const PERMISSIONS = ['look', 'plan', 'market', 'book', 'house'] as const
export type Permission = (typeof PERMISSIONS)[number]

/** A value in the address, behind the question mark; all may be left out. */
export type QueryValue = 'day' | 'text' | readonly string[]

export interface Operation {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** Below `/api/kitchens/{kitchen}`, or below `/api` for what belongs to no kitchen. */
  readonly path: string
  /** `verb`: a computation that a kitchen's prices and years are laid under; it answers below `/api` as well. */
  readonly scope: 'kitchen' | 'everyone' | 'verb'
  readonly summary: string
  readonly permission: Permission
  /** A question keeps nothing, whatever its method; a command does. */
  readonly kind: 'question' | 'command'
  readonly input?: ShapeName
  readonly query?: Readonly<Record<string, QueryValue>>
  readonly output: ShapeName
  /** The answer is a list of the output. */
  readonly many?: boolean
  /** 201 with the address of what was made. */
  readonly creates?: boolean
  /** Wants the revision that was read. */
  readonly ifMatch?: boolean
  /** The answer is the record itself: by which question it is read, alone and among all of its kind. */
  readonly answers?: { readonly one: string; readonly all?: string }
  /** A body as large as a file. */
  readonly file?: boolean
  /** Keeps a processor busy: few at once. */
  readonly study?: boolean
  readonly reads: readonly Entity[]
  readonly touches: readonly Entity[]
}

/** Names in braces of a path. */
export type ParamsOf<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}` ? Name | ParamsOf<Rest> : never

type QueryOf<Q> = { readonly [Name in keyof Q]?: Q[Name] extends readonly string[] ? Q[Name][number] : string }

export type InputOf<O extends Operation> = O extends { readonly input: infer Name extends ShapeName } ? Shapes[Name] : undefined
export type OutputOf<O extends Operation> = O extends { readonly many: true } ? readonly Shapes[O['output']][] : Shapes[O['output']]

type Pieces<O extends Operation> = ([ParamsOf<O['path']>] extends [never] ? object : { readonly [Name in ParamsOf<O['path']>]: string }) &
  (O extends { readonly ifMatch: true } ? { readonly revision: number } : object) &
  (O extends { readonly input: infer Name extends ShapeName } ? { readonly input: Shapes[Name] } : object) &
  (O extends { readonly query: infer Q } ? QueryOf<Q> : object)

/**
 * What one says to call an operation: nothing, the one thing that it wants (the id, or the input), or else its pieces by name: those of the
 * path, `revision`, `input`, and what stands behind the question mark.
 */
export type ArgOf<O extends Operation> = O extends { readonly ifMatch: true } | { readonly query: object }
  ? object extends Pieces<O>
    ? Pieces<O> | void
    : Pieces<O>
  : O extends { readonly input: infer Name extends ShapeName }
    ? [ParamsOf<O['path']>] extends [never]
      ? Shapes[Name]
      : Pieces<O>
    : [ParamsOf<O['path']>] extends [never]
      ? void
      : string

type Plain<O> = Omit<O, 'reads' | 'touches' | 'scope' | 'permission' | 'kind'>
interface Given {
  readonly scope?: Operation['scope']
  readonly permission?: Permission
  readonly reads?: readonly Entity[]
  readonly touches?: readonly Entity[]
}
type Stated<O, Kind extends Operation['kind']> = Plain<O> & {
  readonly kind: Kind
  readonly scope: Operation['scope']
  readonly permission: Permission
  readonly reads: readonly Entity[]
  readonly touches: readonly Entity[]
}
type Declared = Omit<Operation, 'reads' | 'touches' | 'scope' | 'permission' | 'kind'> & Given

/** A question: it keeps nothing. Of one kitchen, and open to whoever may look, where nothing else is said. */
export const question = <const O extends Declared>(declared: O): Stated<O, 'question'> => ({
  scope: 'kitchen',
  permission: 'look',
  reads: [],
  touches: [],
  ...declared,
  kind: 'question',
})

/** A command: it changes what a kitchen keeps, and says what it touches. */
export const command = <const O extends Declared & { readonly permission: Permission; readonly touches: readonly Entity[] }>(
  declared: O,
): Stated<O, 'command'> => ({ scope: 'kitchen', reads: [], ...declared, kind: 'command' })
