import type { AmountsRequest } from '@tender-gill/contract'
import { GRAMS_PER_PIECE_UNIT, PIECE_UNIT } from '../../reader/index.ts'
import { typedNumber } from '../../typed/index.ts'

/** How the fish is sold: loose by weight, in packs, or by the piece of a size. */
export type SoldBy = 'weight' | 'pack' | 'piece'

/** As it is typed and stands in the address, in the unit of whoever reads: every number a text, so that nothing half typed is lost. */
export interface HowBought {
  readonly by: SoldBy
  readonly stepG: string
  readonly packG: string
  readonly fromG: string
  readonly toG: string
  readonly haveG: string
  /** Chance of falling short; as the house has it where empty. */
  readonly risk: string
}

const KEYS = ['stepG', 'packG', 'fromG', 'toG', 'haveG', 'risk'] as const

/** Its name in the address, which tells the unit as well: a link opened by somebody who reads in another unit is not misread. */
export const nameInAddress = (key: keyof HowBought): string =>
  key === 'by' || key === 'risk' ? key : `${key.slice(0, -1)}${PIECE_UNIT === 'g' ? 'G' : 'Oz'}`
const isSoldBy = (text: string | null): text is SoldBy => text === 'pack' || text === 'piece' || text === 'weight'

/** What the address says of how it is bought. @param counted whether whole fish are bought, which go by the piece */
export function readHow(search: URLSearchParams, counted: boolean): HowBought {
  const by = search.get('by')
  const text = (key: (typeof KEYS)[number]) => search.get(nameInAddress(key)) ?? ''
  return {
    by: isSoldBy(by) ? by : counted ? 'piece' : 'weight',
    ...(Object.fromEntries(KEYS.map((key) => [key, text(key)])) as Record<(typeof KEYS)[number], string>),
  }
}

/** What is asked of the engine: of what is typed, all that makes sense. */
export function toRequest({
  by,
  stepG,
  packG,
  fromG,
  toG,
  haveG,
  risk,
}: HowBought): Pick<AmountsRequest, 'shortChance' | 'grade' | 'stepG' | 'packG' | 'haveG'> {
  const above = { above: 0 }
  const [step, pack, from, to, have] = [stepG, packG, fromG, toG, haveG].map((text) => {
    const typed = typedNumber(text, above)
    return typed === undefined ? undefined : typed * GRAMS_PER_PIECE_UNIT
  })
  const chance = typedNumber(risk, above)
  return {
    ...(by === 'weight' && step !== undefined ? { stepG: step } : {}),
    ...(by === 'pack' && pack !== undefined ? { packG: pack } : {}),
    ...(by === 'piece' && from !== undefined && to !== undefined && from <= to ? { grade: { fromG: from, toG: to } } : {}),
    ...(have === undefined ? {} : { haveG: have }),
    ...(chance === undefined ? {} : { shortChance: chance }),
  }
}

/** What is wrong with what is typed, at its field; nothing where all of it can be asked. */
export function findMistakes({ by, stepG, packG, fromG, toG, haveG }: HowBought): Partial<Record<keyof HowBought, string>> {
  const wanted = 'a number above 0'
  const wrong = (text: string) => text.trim() !== '' && typedNumber(text, { above: 0 }) === undefined
  const from = typedNumber(fromG, { above: 0 })
  const to = typedNumber(toG, { above: 0 })
  return {
    ...(by === 'weight' && wrong(stepG) ? { stepG: wanted } : {}),
    ...(by === 'pack' && wrong(packG) ? { packG: wanted } : {}),
    ...(by === 'piece' && wrong(fromG) ? { fromG: wanted } : {}),
    ...(by === 'piece' && wrong(toG) ? { toG: wanted } : {}),
    ...(by === 'piece' && from !== undefined && to !== undefined && from > to ? { toG: 'below the lower end' } : {}),
    ...(wrong(haveG) ? { haveG: wanted } : {}),
  }
}
