import fc from 'fast-check'
import { afterAll } from 'vitest'

/**
 * Laws are held against the same cases at every `npm test`, so that a change is judged by itself and not by its luck;
 * `--long` looks for new ones, and `TENDER_GILL_SEED` goes back to those of a run that failed.
 */
const { TENDER_GILL_LONG, TENDER_GILL_SEED } = process.env
const said = Number(TENDER_GILL_SEED)
const seed = Number.isInteger(said) && TENDER_GILL_SEED ? said : TENDER_GILL_LONG === undefined ? 20_260_613 : undefined
const before = fc.readConfigureGlobal()
if (seed !== undefined) fc.configureGlobal({ ...before, seed })
afterAll(() => {
  fc.configureGlobal(before)
})
