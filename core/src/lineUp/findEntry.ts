import type { Fact, Form, ResolvedOffer, Result } from '@tender-gill/contract'
import { say, term, type Problem } from '../facts/index.ts'
import { findForms } from '../traits/index.ts'
import { byFit, pickForSpecies, pickStanding, type Board, type Entry } from './board.ts'

/** A fish by its name, and which offer and form of it where they are said. */
export interface AskedEntry {
  readonly fish: string
  readonly offer?: string | undefined
  readonly form?: Form | undefined
}
type Answer<T> = Result<T, readonly Problem[]>
const refuse = (path: string, message: Fact): Answer<never> => ({ ok: false, error: [{ path, message }] })

/** The offer and the form asked for, or those that stand for the fish in the line-up; where none passes, the one with the fewest gates. */
export function findEntry({ fish, offer, form }: AskedEntry, board: Board): Answer<{ offer: ResolvedOffer; form: Form; entry: Entry }> {
  const { brief, scoring } = board
  const species = board.findSpecies(fish)
  const own = board.entries.filter(({ candidate }) => candidate.offer.species === species)
  if (own.length === 0) return refuse('/fish', say('problem.no-fish', { name: fish }))
  const asked = offer === undefined ? own : own.filter(({ candidate }) => candidate.offer.id === offer)
  if (asked.length === 0) return refuse('/offer', say('problem.no-offer', { offer: offer ?? '', species: fish }))
  const cut = asked.filter(({ candidate }) => findForms(candidate.offer, brief).length > 0)
  if (cut.length === 0) return refuse(offer === undefined ? '/fish' : '/offer', say('gate.form', { format: term('format', brief.format) }))
  const able = form === undefined ? cut : cut.filter(({ candidate }) => findForms(candidate.offer, brief).includes(form))
  if (form !== undefined && able.length === 0)
    return refuse('/form', say('gate.form.bought', { form: term('form', form), format: term('format', brief.format) }))
  const passing = able.filter(({ gates }) => gates.length === 0)
  const entry =
    passing.length > 0
      ? pickForSpecies(pickStanding(passing, brief, scoring), brief)[0]
      : [...able].sort((a, b) => a.gates.length - b.gates.length || byFit(a, b))[0]
  if (!entry) return refuse('/fish', say('problem.no-fish', { name: fish }))
  return { ok: true, value: { offer: entry.candidate.offer, form: form ?? entry.candidate.form, entry } }
}
