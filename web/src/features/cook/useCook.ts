import type { Cook, CookRequest, CookStage, Problem, ResolvedOffer, Result } from '@tender-gill/contract'
import { cutThicknessMm, type CookedInstead } from '@tender-gill/core'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import type { Dish } from '../../state/useDish.ts'
import { useSearch } from '../../state/useSearch.ts'
import { readStages, writeStages } from './stagesInAddress.ts'

/** What is said of the piece and its stages besides the dish; it stands in the address. */
export interface CookHow {
  readonly stages: readonly CookStage[] | undefined
  readonly thicknessMm: number | undefined
  readonly weightG: number | undefined
  readonly startC: number | undefined
  /** Hour of service, HH:MM. */
  readonly serveAt: string | undefined
}
type Figure = 'thicknessMm' | 'weightG' | 'startC'
const NAMES: Record<Figure, string> = { thicknessMm: 'thick', weightG: 'weighs', startC: 'from' }

const readFigure = (text: string | null): number | undefined => {
  const value = text === null || text === '' ? NaN : Number(text)
  return Number.isFinite(value) ? value : undefined
}

/** How a piece is cooked, kept in the address so that a reload or a link finds it again. */
export function useCookHow() {
  const [search, change] = useSearch()
  const set = (name: string, value: string | undefined) =>
    change((params) => {
      if (value === undefined || value === '') params.delete(name)
      else params.set(name, value)
    })
  const how: CookHow = {
    stages: readStages(search.get('stages')),
    ...{ thicknessMm: readFigure(search.get(NAMES.thicknessMm)), weightG: readFigure(search.get(NAMES.weightG)) },
    startC: readFigure(search.get(NAMES.startC)),
    serveAt: /^([01]\d|2[0-3]):[0-5]\d$/.exec(search.get('at') ?? '')?.[0],
  }
  return {
    how,
    setStages: (stages: readonly CookStage[] | undefined) => set('stages', stages && writeStages(stages)),
    setServeAt: (at: string) => set('at', at),
    setFigure: (figure: Figure, value: number | null) => set(NAMES[figure], value === null ? undefined : String(value)),
  }
}

export interface ShownCook {
  readonly answer: Result<Cook, readonly Problem[]> | undefined
  readonly instead: readonly CookedInstead[] | undefined
  /** An answer to an earlier question is still shown. */
  readonly stale: boolean
  readonly insteadStale: boolean
}

/** The cook sheet of a fish of a dish, and its stand-ins in the same pan. */
export function useCook(
  { brief }: Pick<Dish, 'brief'>,
  offer: ResolvedOffer | undefined,
  { stages, thicknessMm, weightG, startC, serveAt }: CookHow,
): ShownCook {
  const sheet = useSheet(brief.date)
  const thick = thicknessMm ?? (offer && cutThicknessMm(brief, offer))
  const common: CookRequest = {
    ...brief,
    ...{ fish: offer?.species ?? '', offer: offer?.id ?? '' },
    ...(weightG !== undefined && { weightG }),
    ...(startC !== undefined && { startC }),
    ...(stages && { stages: [...stages] }),
    ...(serveAt !== undefined && { serveAt }),
  }
  const request = thick === undefined ? common : { ...common, thicknessMm: thick }
  const key = offer ? nameQuestion(request) : null
  const answer = useAnswer(sheet, key, (desk) => desk.cook(request))
  // Another fish is in the dish's cut, not as thick as this piece.
  const instead = useAnswer(sheet, answer?.value.ok ? key : null, (desk) => desk.cookInstead(common), 300)
  return {
    answer: answer?.value,
    instead: instead?.value,
    stale: answer !== undefined && answer.key !== key,
    insteadStale: instead !== undefined && instead.key !== key,
  }
}
