/** Texts that stand as they are. */
export const PLAIN_PARAMS = {
  /** Text of the tables and of the book, in which a reason stands beside its number: looked up by itself. */
  phrase: ['text'],
  /** A name that stands as it is in every language: of a fish, a merchant, a water. */
  name: ['text'],
  /** A way of cooking, by its name. */
  method: ['method'],
} as const
