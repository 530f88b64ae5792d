import { absenceStudies } from '../absences/absenceStudies.ts'
import { answerStudies } from '../answers/answerStudies.ts'
import { bookStudies } from '../book/bookStudies.ts'
import { buySheetStudies } from '../buySheet/buySheetStudies.ts'
import { coverCardStudies } from '../coverCard/coverCardStudies.ts'
import { decisionStudies } from '../decisions/decisionStudies.ts'
import { houseBookStudies } from '../houseBook/houseBookStudies.ts'
import { marketDayStudies } from '../marketDay/marketDayStudies.ts'
import { marketFileStudies } from '../marketFiles/marketFileStudies.ts'
import { priceListStudies } from '../priceLists/priceListStudies.ts'
import { sheetStudies } from '../sheets/sheetStudies.ts'
import type { Study } from './study.ts'

/** Everything that keeps a processor busy, by name: asked of whoever computes, here or in a thread of its own. */
export const studies = {
  ...answerStudies,
  ...sheetStudies,
  ...bookStudies,
  ...decisionStudies,
  ...absenceStudies,
  ...buySheetStudies,
  ...coverCardStudies,
  ...houseBookStudies,
  ...marketDayStudies,
  ...marketFileStudies,
  ...priceListStudies,
}
export type Studies = typeof studies
export type StudyName = keyof Studies
export type PayloadOf<Name extends StudyName> = Studies[Name] extends Study<infer P, unknown> ? P : never
export type AnswerOf<Name extends StudyName> = Studies[Name] extends Study<never, infer A> ? Awaited<A> : never
