import type { Kitchen } from '@tender-gill/contract'
import type { Desk } from './desk.ts'
import { studies, type AnswerOf, type PayloadOf, type StudyName } from './studies.ts'
import { GoneAway, runInSlices, type Study } from './study.ts'

/** Whoever answers studies. */
export interface Compute {
  /** @throws GoneAway when the signal comes before the answer; RequestFailure where the question is wrong */
  readonly ask: <Name extends StudyName>(
    name: Name,
    kitchen: Kitchen,
    payload: PayloadOf<Name>,
    signal?: AbortSignal,
  ) => Promise<AnswerOf<Name>>
  readonly close: () => Promise<void>
}

/** Answers in this very thread, in slices. */
export const createLocalCompute = (desk: Desk): Compute => ({
  ask: async (name, kitchen, payload, signal) => {
    const study = studies[name] as unknown as Study<typeof payload, AnswerOf<typeof name>>
    const work = await study(desk, kitchen, payload)
    if (signal?.aborted) throw new GoneAway()
    return runInSlices(work, signal)
  },
  close: async () => undefined,
})
