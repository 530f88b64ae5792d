import type {
  Brief,
  BuyLine,
  Circumstance,
  ColdPlaceRecord,
  Freshness,
  FreshnessRequest,
  Kitchen,
  Look,
  LookOutcome,
  LookView,
  Sign,
} from '@tender-gill/contract'
import { useState } from 'react'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { readKeep } from './waiting.ts'

interface Asked {
  readonly line: BuyLine
  readonly briefs: readonly Brief[]
  readonly kitchen: Kitchen
  readonly places: readonly ColdPlaceRecord[]
  readonly isShellfish: boolean
  readonly merchant: string | null
}

interface Written {
  readonly line: BuyLine
  readonly merchant: string | null
  /** What was done, where that is not what the signs say. */
  readonly outcome: LookOutcome | null
  readonly asked: Look['asked']
  readonly note: string
}

const LIES_WHOLE: ReadonlySet<string> = new Set(['whole', 'gutted'])

/** What was seen of one fish, and what it comes to: asked again at every tap. */
export function useLook({ line, briefs, kitchen, places, isShellfish, merchant }: Asked) {
  const [lies, setLies] = useState<'whole' | 'fillet'>(LIES_WHOLE.has(line.form) ? 'whole' : 'fillet')
  const [signs, setSigns] = useState<FreshnessRequest['signs']>({})
  const [circumstances, setCircumstances] = useState<readonly Circumstance[]>([])
  const [refused, setRefused] = useState(false)
  const [chosen, setSign] = useState<Sign | null>(null)
  // How long it waits is read once: a look does not change under the thumb.
  const [keep] = useState(() => readKeep(line.servings, kitchen, places))
  const view: LookView = isShellfish ? 'shellfish' : lies
  const request: FreshnessRequest = {
    ...{ fish: line.species, offer: line.offerId, view, signs, circumstances: [...circumstances], refused, keep },
  }
  const raw = briefs.some(({ method, servedAs }) => method === 'raw' || (method === 'cure' && servedAs !== 'cooked'))
  const told = useAnswer(useSheet(), nameQuestion({ request, briefs, merchant }), (desk) => desk.look(request, briefs, merchant))?.value
  // What is written down is what was seen alone: the house learns from it, and must not learn from what it has learnt.
  const seenAlone = useAnswer(useSheet(), nameQuestion({ request, briefs }), (desk) => desk.look(request, briefs, null))?.value
  const answer: Freshness | undefined = told?.ok ? told.value : undefined
  const next = answer?.next ?? []
  const sign = chosen ?? next[0] ?? null
  return {
    ...{ answer, signs, circumstances, refused, view, sign, setSign, setCircumstances, use: raw ? ('raw' as const) : ('cooked' as const) },
    looked: Object.keys(signs).length > 0,
    /** The most telling one that is neither seen nor on the screen. */
    nextSign: next.find((one) => one !== sign) ?? null,
    /** A level is seen: the most telling sign of what is left comes next by itself. */
    see: (of: Sign, level: number): void => {
      setSigns({ ...signs, [of]: level })
      setSign(next.find((one) => one !== of) ?? of)
    },
    refuse: (): void => setRefused(true),
    setView: (now: 'whole' | 'fillet'): void => {
      setLies(now)
      setSigns({})
      setSign(null)
    },
    write: ({ iceDays, outcome }: Freshness, written: Written): Look => ({
      ...{ at: new Date().toISOString(), line: written.line.key, servings: written.line.servings.map(({ servingId }) => servingId) },
      ...{ merchant: written.merchant, species: line.species, offerId: line.offerId, form: line.form, view, signs },
      ...{ circumstances: [...circumstances], refused, outcome: written.outcome ?? outcome, asked: written.asked },
      iceDays: Object.keys(signs).length > 0 ? (seenAlone?.ok ? seenAlone.value.iceDays : iceDays) : null,
      ...(written.note === '' ? {} : { note: written.note }),
    }),
  }
}
