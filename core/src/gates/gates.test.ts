import { createOfferSheet } from '@tender-gill/catalogue'
import { GATES, type Brief, type Gate } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createBoard } from '../lineUp/index.ts'
import { briefArbitrary, offersArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, must } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { told } from '../testing/told.ts'
import { GATE_ORDER, applyOpenings, describeGate, findGates, passesGates } from './index.ts'

const SAFETY: ReadonlySet<Gate> = new Set<Gate>(['allergy', 'vulnerable', 'wax-ester', 'protected'])
const book = createOfferSheet(TODAY)
const gatesOf = (brief: Brief, ...offers: ReturnType<typeof buildOffer>[]) => {
  const board = must(createBoard(brief, buildSheet(...offers), TODAY))
  return board.entries.map(({ gates, candidate }) => ({ gates, candidate, board }))
}

describe('the gates of a candidate', () => {
  it('are those of the contract', () => {
    expect(GATE_ORDER).toEqual(GATES)
  })

  it('close it or not, alike whether they are told or only asked for', () => {
    let open = 0
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(1, 6), (brief, offers) => {
        for (const { candidate, board } of gatesOf(brief, ...offers)) {
          const told = findGates(candidate, board.brief, board.scoring)
          expect(passesGates(candidate, board.brief, board.scoring)).toBe(told.length === 0)
          if (told.length === 0) open += 1
        }
      }),
      { seed: 913, numRuns: cases(120) },
    )
    expect(open).toBeGreaterThan(5)
  })

  it('are told each once, in one order', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(1, 6), (brief, offers) => {
        for (const { gates } of gatesOf(brief, ...offers)) {
          const places = gates.map((gate) => GATE_ORDER.indexOf(gate))
          expect(places).toEqual([...new Set(places)].sort((a, b) => a - b))
          expect(places).not.toContain(-1)
        }
      }),
      { seed: 911, numRuns: cases(80) },
    )
  })

  it('each have a reason of their own in words, over the whole book and every way it may be asked for', () => {
    const reasons = new Map<Gate, Set<string>>()
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        const board = must(createBoard(brief, book, TODAY))
        for (const { gates, candidate } of board.entries.slice(0, 150))
          for (const gate of gates) {
            const sentence = told(describeGate(gate, candidate, board.brief))
            expect(sentence).toMatch(/^\S.*[.]$/s)
            reasons.set(gate, (reasons.get(gate) ?? new Set()).add(sentence))
          }
      }),
      { seed: 912, numRuns: cases(40) },
    )
    expect(reasons.size).toBeGreaterThan(12)
    for (const gate of SAFETY) for (const sentence of reasons.get(gate) ?? []) expect(sentence).not.toMatch(/must have|wanted/)
  })

  it('of safety stay closed whatever a brief lets go of: no must lifted and no wish widened opens one', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(1, 6), (brief, offers) => {
        const before = gatesOf(brief, ...offers)
        const lifted = applyOpenings(brief, [
          { path: '/origin', value: 'any' },
          { path: '/state', value: 'any' },
          ...Object.keys(brief.asks ?? {}).map((key) => ({ path: `/asks/${key}/must`, value: false })),
        ])
        const after = gatesOf(lifted, ...offers)
        for (const [i, { gates }] of before.entries())
          for (const gate of gates) if (SAFETY.has(gate)) expect(after[i]?.gates).toContain(gate)
      }),
      { seed: 913, numRuns: cases(80) },
    )
  })

  it('hang on what the brief asks and on nothing else of the sheet: another fish beside it changes none', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(2, 5), (brief, offers) => {
        const [first, ...others] = offers
        if (!first) return
        const alone = must(createBoard(brief, buildSheet(first), TODAY))
        const among = must(createBoard(brief, buildSheet(first, ...others), TODAY))
        const gap = { dropped: [] }
        for (const entry of alone.entries) {
          const beside = among.entries.find(({ candidate }) => candidate.offer.id === entry.candidate.offer.id)
          if (!beside) throw new Error('it is not on the board')
          expect(findGates(beside.candidate, among.brief, gap)).toEqual(findGates(entry.candidate, alone.brief, gap))
        }
      }),
      { seed: 914, numRuns: cases(60) },
    )
  })

  it('say what was marked, what an absence closes and until when', () => {
    const absent = { ...buildOffer('Piscis unus'), absent: { until: '2026-06-20', because: null } }
    const [entry] = gatesOf(buildBrief(), absent)
    expect(entry?.gates[0]).toBe('unavailable')
    expect(
      told(
        describeGate(
          'unavailable',
          entry?.candidate ?? { offer: absent, form: 'whole' },
          must(createBoard(buildBrief(), book, TODAY)).brief,
        ),
      ),
    ).toBe('The kitchen does without it until 20 June.')
  })
})
