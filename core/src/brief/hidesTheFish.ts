import type { Brief } from '@tender-gill/contract'
import { HIDES_THE_FISH, HIDING_CUTS } from '../tables/methods.ts'

/** Whether nobody sees which fish it is: in mince, chowder and broth, and where poached pieces go under a crust or a sauce. */
export const hidesTheFish = ({ method, format }: Pick<Brief, 'method' | 'format'>): boolean =>
  HIDES_THE_FISH.has(method) || (HIDING_CUTS[method] ?? []).includes(format)
