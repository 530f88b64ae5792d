import { createWords, type Told } from '@tender-gill/words'

/** What the engine answers, in English and metric, as tests read it. */
export const told = <T>(answer: T): Told<T> => createWords().tell(answer)
