import { inject } from 'vitest'

declare module 'vitest' {
  interface ProvidedContext {
    /** How many times over the laws are held: more where nobody waits for them. */
    lawTimes: number
  }
}

/** The number of cases a law is held against: half of those asked, several times all of them under `npm test -- --long`. */
export const cases = (number: number): number => Math.ceil(inject('lawTimes') * number)
