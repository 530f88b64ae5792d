/** A name as a token of a JSON Pointer (RFC 6901). */
export const escapePointer = (token: string): string => token.replaceAll('~', '~0').replaceAll('/', '~1')
