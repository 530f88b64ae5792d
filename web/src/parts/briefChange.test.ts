import type { Brief } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeBriefChange } from './briefChange.ts'

const STEW: Brief = { dish: 'Stew', method: 'stew', format: 'chunk', covers: 4 }
const change = (patch: Partial<Brief>, from: Brief = STEW) => describeBriefChange(from, { ...from, ...patch })

describe('what was changed in a brief', () => {
  it('is nothing where nothing was, or only how it is drawn', () => {
    expect(describeBriefChange(STEW, { ...STEW })).toEqual([])
    expect(change({ draws: 20_000 })).toEqual([])
  })

  it('tells an ask by its band, how much it matters, and when it is let go', () => {
    expect(change({ asks: { fat: { pull: 4 } } })).toEqual(['fat matters 4 of 5'])
    expect(change({ asks: { fat: { pull: 0 } } })).toEqual(['fat does not matter'])
    expect(change({ asks: { firmness: { from: 7, loosens: true } } })[0]).toMatch(/^firmness is wanted /)
    expect(change({ asks: {} }, { ...STEW, asks: { fat: { pull: 4 } } })).toEqual(['fat as the method has it'])
    expect(change({ asks: { fat: { must: true } } })).toEqual(['fat is a must'])
    expect(change({ asks: { fat: {} } }, { ...STEW, asks: { fat: { must: true } } })).toEqual(['fat is no must'])
  })

  it('tells every field in words, and says each thing once', () => {
    expect(change({ covers: 1 })).toEqual(['1 cover'])
    expect(change({ thicknessMm: 30 })).toEqual(['30 mm thick'])
    expect(change({ diners: { pregnant: 1 } })).toEqual(['for 1 pregnant'])
    expect(change({ waters: [], keep: { hours: 1, tempC: 2, iced: true } } as Partial<Brief>)).toEqual(['other waters', 'the brief'])
    for (const words of change({ method: 'braise', format: 'steak', seasoning: 'bold', spend: 'least', habitat: 'sea', part: 'tail' }))
      expect(words).not.toBe('the brief')
  })
})
