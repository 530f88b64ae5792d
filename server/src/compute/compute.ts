import type { Kitchen } from '@tender-gill/contract'
import type { Desk } from './desk.ts'
import { createKeptAnswers } from './keptAnswers.ts'
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
export function createLocalCompute(desk: Desk): Compute {
  const kept = createKeptAnswers(desk)
  return {
    ask: async (name, kitchen, payload, signal) => {
      type Answer = AnswerOf<typeof name>
      const key = await kept.nameAnswer(name, kitchen, payload)
      const ready = kept.find(key)
      if (ready) return ready.answer as Answer
      const study = studies[name] as unknown as Study<typeof payload, Answer>
      const work = await study(desk, kitchen, payload)
      if (signal?.aborted) throw new GoneAway()
      const answer = await runInSlices(work, signal)
      kept.keep(key, answer)
      return answer
    },
    close: async () => undefined,
  }
}
