import type { Static } from '@sinclair/typebox'
import { closed, nullable, oneOf, stored, Text } from './schemaParts.ts'
import { REST_USED } from './vocabulary.ts'

/** Where one part of what a serving buys goes: into broth, or to another serving. All of the part, and each part once. */
export const RestUse = closed({
  servingId: Text(40),
  part: oneOf(REST_USED),
  /** Another serving; null for broth. */
  to: nullable(Text(40)),
})
export type RestUse = Static<typeof RestUse>

export const RestUseInput = closed({ use: RestUse }, { $id: 'RestUseInput' })
export type RestUseInput = Static<typeof RestUseInput>
export const RestUseRecord = closed({ ...stored, use: RestUse }, { $id: 'RestUseRecord' })
export type RestUseRecord = Static<typeof RestUseRecord>
