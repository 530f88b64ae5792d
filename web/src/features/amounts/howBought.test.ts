import { describe, expect, it } from 'vitest'
import { findMistakes, readHow, toRequest } from './howBought.ts'

const how = (text: string, counted = false) => readHow(new URLSearchParams(text), counted)

describe('how fish is bought', () => {
  it('goes by weight, whole fish by the piece, unless it is said otherwise', () => {
    expect([how('').by, how('', true).by, how('by=pack', true).by, how('by=barrel').by]).toEqual(['weight', 'piece', 'pack', 'weight'])
  })

  it('asks only what belongs to it and makes sense', () => {
    expect(toRequest(how('stepG=100&packG=1200&fromG=300&toG=400'))).toEqual({ stepG: 100 })
    expect(toRequest(how('by=pack&packG=1,2&haveG=3400&risk=0.1'))).toEqual({ packG: 1.2, haveG: 3400, shortChance: 0.1 })
    expect(toRequest(how('by=piece&fromG=300&toG=400'))).toEqual({ grade: { fromG: 300, toG: 400 } })
    for (const half of ['by=piece&fromG=300', 'by=piece&fromG=400&toG=300', 'by=pack&packG=0', 'stepG=-5', 'haveG=much'])
      expect([half, toRequest(how(half))]).toEqual([half, {}])
  })

  it('says what is wrong at its field, and nothing of what is empty', () => {
    expect(findMistakes(how(''))).toEqual({})
    expect(findMistakes(how('by=piece&fromG=900&toG=400'))).toEqual({ toG: 'below the lower end' })
    expect(Object.keys(findMistakes(how('by=pack&packG=0&haveG=x')))).toEqual(['packG', 'haveG'])
    // What is not asked is not held against anyone.
    expect(findMistakes(how('packG=0'))).toEqual({})
  })
})
