import { Type, type ObjectOptions, type TProperties, type TSchema } from '@sinclair/typebox'

/** A closed set of strings as a plain JSON Schema `enum`, so that one bad value makes one clear error. */
export const oneOf = <const T extends readonly string[]>(values: T) => Type.Unsafe<T[number]>({ type: 'string', enum: [...values] })

/** An object that refuses fields it does not know. */
export const closed = <T extends TProperties>(properties: T, options: ObjectOptions = {}) =>
  Type.Object(properties, { additionalProperties: false, ...options })

export const nullable = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()])

export const Text = (maxLength = 200) => Type.String({ minLength: 1, maxLength })
/** A day of the calendar from the year 1 on. */
export const IsoDate = Type.String({ format: 'date', pattern: '^(?!0000)' })
/** ISO 4217 code, three capitals. */
export const Currency = Type.String({ pattern: '^[A-Z]{3}$' })
export const ScientificName = Type.String({ minLength: 3, maxLength: 80 })
/** A share or a fraction, 0..1. */
export const Fraction = Type.Number({ minimum: 0, maximum: 1 })

/** What every record that is kept carries beside what it says. */
export const stored = {
  id: Text(40),
  revision: Type.Integer({ minimum: 1 }),
  updatedAt: Type.String(),
  deletedAt: nullable(Type.String()),
}

/** A moment, UTC. */
export const Instant = Type.String({ format: 'date-time', pattern: '^(?!0000)', maxLength: 40 })

/** The id that whoever wrote it down gave it, where that was done out of reach of the server. */
export const madeBefore = { id: Type.Optional(Type.String({ format: 'uuid' })) }

/** 5th percentile, median and 95th percentile of what a buyer meets. */
export const Range = closed({ low: Type.Number(), typical: Type.Number(), high: Type.Number() })
