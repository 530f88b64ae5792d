import type { ServingRecord, DecisionInput } from '@tender-gill/contract'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { notFound, refuse } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import type { Check } from '../records/checks.ts'
import { createTellBook } from '../houseBook/tellBook.ts'
import { settleChange } from '../records/recordHandlers.ts'
import { createServingRepository } from '../servings/servingRepository.ts'
import { createDecisionRepository } from './decisionRepository.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly compute: Compute
  readonly checkBrief: Check<{ readonly brief: ServingRecord['brief'] }>
}

/** The dish as it is to be decided: as it was typed, where the command brings it along, else as it is kept. */
async function checkTyped({ brief }: DecisionInput, kitchenId: string, checkBrief: Deps['checkBrief']): Promise<void> {
  const problems = brief ? await checkBrief({ brief }, kitchenId) : []
  if (problems.length > 0) throw refuse(problems)
}

/** Decisions: the fish taken for a dish with the whole line-up behind it, in one step; reopened as it was, run again with the difference. */
export function createDecisionHandlers({
  db,
  now,
  compute,
  checkBrief,
}: Deps): HandlersOf<'decisions' | 'decision' | 'decide' | 'rerunDecision'> {
  const tellBook = createTellBook(now)
  return {
    decisions: ({ kitchen, query }) => createDecisionRepository(db, now).list(kitchen.id, query.serving),
    decision: async ({ kitchen, params }) => {
      const decisions = createDecisionRepository(db, now)
      const decision = await decisions.find(kitchen.id, params.id)
      if (!decision) throw notFound('No such decision')
      const { brief } = await decisions.readInputs(kitchen.id, decision)
      return { decision, brief, output: await decisions.readOutput(kitchen.id, decision) }
    },
    decide: async ({ kitchen, input, signal }) => {
      const { servingId, species, offerId, form, beside, note, revision, onlyOffered = false } = input
      const record = await createServingRepository(db, now).find(kitchen.id, servingId)
      if (!record) throw refuse([{ path: '/servingId', message: 'no such serving' }])
      if (revision !== undefined && revision !== record.revision) settleChange({ status: 'conflict', current: record }, 'serving', input)
      await checkTyped(input, kitchen.id, checkBrief)
      const brief = input.brief ?? record.brief
      const choice = { species, offerId, form, ...(beside ? { beside } : {}) }
      const prepared = await compute.ask('prepareDecision', kitchen, { servingId, brief, choice, note: note ?? null, onlyOffered }, signal)
      return async (tx, touch) => {
        touch('serving', servingId)
        const servings = createServingRepository(tx, now)
        settleChange(await servings.update(kitchen.id, servingId, record.revision, { brief, choice }), 'serving', input)
        const decisions = createDecisionRepository(tx, now)
        const decision = await decisions.keep(kitchen.id, prepared)
        touch('decision', decision.id)
        await tellBook.decision(tx, kitchen, { decision, first: (await decisions.list(kitchen.id, servingId)).at(-1) ?? decision, brief })
        return decision
      }
    },
    rerunDecision: ({ kitchen, params, signal }) => compute.ask('rerunDecision', kitchen, params, signal),
  }
}
