import type { BriefRecord, DecisionInput } from '@tender-gill/contract'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { notFound, refuse } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import type { Check } from '../records/checks.ts'
import { briefMapping } from '../records/mappings.ts'
import { settleChange } from '../records/recordHandlers.ts'
import { createRecordRepository } from '../records/recordRepository.ts'
import { createDecisionRepository } from './decisionRepository.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly compute: Compute
  readonly checkBrief: Check<{ readonly brief: BriefRecord['brief'] }>
}

/** The dish as it is to be decided: as it was typed, where the command brings it along, else as it is kept. */
async function checkTyped({ brief }: DecisionInput, kitchenId: string, checkBrief: Deps['checkBrief']): Promise<void> {
  const problems = brief ? await checkBrief({ brief }, kitchenId) : []
  if (problems.length > 0) throw refuse(problems)
}

/** Decisions: the fish taken for a dish with the whole line-up behind it, in one step; reopened as it was, run again with the difference. */
export const createDecisionHandlers = ({
  db,
  now,
  compute,
  checkBrief,
}: Deps): HandlersOf<'decisions' | 'decision' | 'decide' | 'rerunDecision'> => ({
  decisions: ({ kitchen, query }) => createDecisionRepository(db, now).list(kitchen.id, query.brief),
  decision: async ({ kitchen, params }) => {
    const decisions = createDecisionRepository(db, now)
    const decision = await decisions.find(kitchen.id, params.id)
    if (!decision) throw notFound('No such decision')
    const { brief } = await decisions.readInputs(kitchen.id, decision)
    return { decision, brief, output: await decisions.readOutput(kitchen.id, decision) }
  },
  decide: async ({ kitchen, input, signal }) => {
    const { briefId, species, offerId, form, note, revision } = input
    const record = await createRecordRepository(db, now, briefMapping).find(kitchen.id, briefId)
    if (!record) throw refuse([{ path: '/briefId', message: 'no such dish' }])
    if (revision !== undefined && revision !== record.revision) settleChange({ status: 'conflict', current: record }, 'dish', input)
    await checkTyped(input, kitchen.id, checkBrief)
    const brief = input.brief ?? record.brief
    const choice = { species, offerId, form }
    const prepared = await compute.ask('prepareDecision', kitchen, { briefId, brief, choice, note: note ?? null }, signal)
    return async (tx, touch) => {
      touch('dish', briefId)
      const briefs = createRecordRepository(tx, now, briefMapping)
      settleChange(await briefs.update(kitchen.id, briefId, record.revision, { brief, choice }), 'dish', input)
      const decision = await createDecisionRepository(tx, now).keep(kitchen.id, prepared)
      touch('decision', decision.id)
      return decision
    }
  },
  rerunDecision: ({ kitchen, params, signal }) => compute.ask('rerunDecision', kitchen, params, signal),
})
