import type { CookRequest } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DONE_C } from '../tables/cookPlans.ts'
import { COOK_MEDIUM_TABLE } from '../tables/cookMedia.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, mustTell } from '../testing/builders.ts'
import { findStandIns } from '../standIns/index.ts'
import { answerCook, clockBefore, cookInstead } from './index.ts'
import { cases } from '../testing/cases.ts'

const deep = (mm: number) => ({ low: 0.9 * mm, typical: mm, high: 1.1 * mm, basis: 'compiled' as const })
const sheetOf = (mm = 25) => buildSheet(buildOffer('Piscis unus', { depthMm: deep(mm) }))
const request = (patch: Partial<CookRequest> = {}): CookRequest => ({
  ...{ dish: 'Test', method: 'pan-sear', format: 'portion', covers: 4, fish: 'Piscis unus' },
  ...patch,
})
const cook = (patch: Partial<CookRequest> = {}, mm = 25) => mustTell(answerCook(request(patch), sheetOf(mm), { today: TODAY }))
const refusal = (patch: Partial<CookRequest>) => {
  const answer = answerCook(request(patch), sheetOf(), { today: TODAY })
  return answer.ok ? [] : answer.error.map(({ path }) => path)
}
const METHODS = ['pan-sear', 'deep-fry', 'grill', 'broil', 'roast', 'steam', 'poach', 'braise', 'sous-vide'] as const

describe('a cook sheet', () => {
  it.each(METHODS)('of %s brings the middle to the target, by rest or in the heat, and tells times to a fifth', (method) => {
    const sheet = cook({ method })
    expect(sheet.targetC).toBe(DONE_C.set)
    expect(Math.abs(sheet.peakC.typical - sheet.targetC)).toBeLessThan(0.6)
    expect(sheet.peakC.low).toBeLessThan(sheet.peakC.typical)
    expect(sheet.peakC.high).toBeGreaterThan(sheet.peakC.typical)
    expect(sheet.pull.coreC).toBeLessThanOrEqual(sheet.targetC + 0.1)
    const { low, typical, high } = sheet.pull.minutes
    expect(low / typical).toBeCloseTo(0.8, 9)
    expect(high / typical).toBeCloseTo(1.2, 9)
    expect(sheet.total.typical).toBeGreaterThanOrEqual(typical)
    // The curve begins in the fridge, ends after the rest, and its core never runs ahead of its surface while it cooks.
    expect(sheet.curve[0]).toMatchObject({ minute: 0, coreC: 5 })
    expect(sheet.curve.length).toBeGreaterThan(30)
    for (const { minute, coreC, surfaceC } of sheet.curve) if (minute < typical) expect(coreC).toBeLessThanOrEqual(surfaceC + 0.5)
  })

  it('has stages end to end, what is held in the kitchen named, and the rest last', () => {
    const { stages, pull } = cook()
    stages.forEach((stage, i) => expect(stage.fromMinutes).toBeCloseTo(stages[i - 1]?.toMinutes ?? 0, 9))
    expect(stages.map(({ rest }) => rest)).toEqual([false, false, true])
    expect(stages.map(({ face }) => face)).toEqual(['skin', 'flesh', 'all'])
    expect(stages[1]?.toMinutes).toBeCloseTo(pull.minutes.typical, 6)
    expect(stages[0]?.place).toBe('burner')
  })

  it('takes the stages somebody says: fixed minutes stay, the open ones are found', () => {
    const sheet = cook({ stages: [{ medium: 'pan', minutes: 3 }, { medium: 'hot-pan-in-oven', turned: true }, { medium: 'rest-foil' }] })
    expect(sheet.stages.map(({ medium }) => medium)).toEqual(['pan', 'hot-pan-in-oven', 'rest-foil'])
    expect(sheet.stages[0]?.toMinutes).toBeCloseTo(3, 9)
    expect(Math.abs(sheet.peakC.typical - DONE_C.set)).toBeLessThan(0.6)
    const fixed = cook({ stages: [{ medium: 'water', minutes: 4 }] })
    expect(fixed.pull.minutes.typical).toBeCloseTo(4, 6)
    expect(fixed.peakC.typical).toBeLessThan(DONE_C.set)
  })

  it('is the longer the thicker, the colder at the start and the further it goes, and the shorter the hotter', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHODS.filter((method) => method !== 'sous-vide')),
        fc.integer({ min: 12, max: 40 }),
        fc.integer({ min: 0, max: 12 }),
        (method, thicknessMm, startC) => {
          const minutes = (patch: Partial<CookRequest>) => cook({ method, thicknessMm, startC, ...patch }).pull.minutes.typical
          const base = minutes({})
          expect(minutes({ thicknessMm: thicknessMm + 4 })).toBeGreaterThan(base)
          expect(minutes({ startC: startC - 1 })).toBeGreaterThanOrEqual(base - 1e-6)
          expect(minutes({ doneness: 'moist' })).toBeLessThan(base)
        },
      ),
      { numRuns: cases(8), seed: 15 },
    )
    const inOven = (celsius: number) => cook({ stages: [{ medium: 'oven-fan', celsius }] }).pull.minutes.typical
    expect(inOven(230)).toBeLessThan(inOven(200))
    expect(inOven(200)).toBeLessThan(inOven(160))
  })

  it('leaves nothing to the rest where somebody vulnerable eats, and closes the moist school', () => {
    const sheet = cook({ diners: { children: 2 } })
    expect(sheet).toMatchObject({ targetC: DONE_C.set, doneness: 'set', reachedBy: 'pull' })
    expect(Math.abs(sheet.pull.coreC - DONE_C.set)).toBeLessThan(0.6)
    expect(sheet.schools.find(({ doneness }) => doneness === 'moist')?.closed).toBe(true)
    expect(cook({ diners: { children: 2 } }).pull.minutes.typical).toBeGreaterThan(cook().pull.minutes.typical)
  })

  it('tells the minutes that a ladder of stand-ins tells, and a swap to the same fish changes nothing', () => {
    const sheet = buildSheet(...[16, 24, 34].map((mm, i) => buildOffer(`Piscis p${i}`, { depthMm: deep(mm) })))
    const brief = { ...buildBrief({ method: 'roast' }), missing: 'Piscis p1' }
    const { ladder } = mustTell(findStandIns(brief, sheet, { today: TODAY }))
    const minutesOf = (fish: string) =>
      mustTell(answerCook({ ...buildBrief({ method: 'roast' }), fish }, sheet, { today: TODAY })).pull.minutes.typical
    const asTold = (minutes: number) => (minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes))
    const told = ladder.flatMap(({ species, changes }) => {
      const sentence = changes.find(({ kind }) => kind === 'cook-time')?.sentence
      const [, now, was] = /about ([\d.]+) min instead of ([\d.]+)/.exec(sentence ?? '') ?? []
      return now === undefined ? [] : [[species, Number(now), Number(was)] as const]
    })
    expect(told.length).toBeGreaterThan(0)
    for (const [species, now, was] of told) {
      expect(now).toBe(asTold(minutesOf(species)))
      expect(was).toBe(asTold(minutesOf('Piscis p1')))
    }
    const request = { ...buildBrief({ method: 'roast' }), fish: 'Piscis p1' }
    const [same] = cookInstead(request, [{ species: 'Piscis p1', offerId: sheet.offers[1]?.id ?? '' }], sheet, { today: TODAY })
    expect(same?.minutes.typical).toBe(minutesOf('Piscis p1'))
  })

  it('tells what to see in the order in which it comes, ending with the probe and the rest', () => {
    const { signs } = cook()
    const times = signs.map(({ minutes }) => minutes?.typical ?? 0)
    expect([...times].sort((a, b) => a - b)).toEqual(times)
    expect(signs.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['third', 'turn', 'take-out', 'rest']))
    expect(signs.find(({ kind }) => kind === 'take-out')?.sentence).toMatch(/\d+ °C to \d+ °C with the probe/)
  })

  it('has the thin end of a fillet hotter than its thick end, and sooner done', () => {
    const { thinEnd, peakC, pull } = cook({ format: 'fillet-skinless' })
    expect(thinEnd?.peakC).toBeGreaterThan(peakC.typical)
    expect(thinEnd?.minutes).toBeLessThan(pull.minutes.typical)
    expect(cook().thinEnd).toBeNull()
  })

  it('says that a face burns before the middle is done, that hot fat burns, and how to hold and cool', () => {
    const kinds = (patch: Partial<CookRequest>) => cook(patch).cautions.map(({ kind }) => kind)
    expect(kinds({ thicknessMm: 45 })).toContain('burns')
    expect(kinds({ thicknessMm: 12 })).not.toContain('burns')
    expect(kinds({ method: 'deep-fry' })).toEqual(expect.arrayContaining(['hot-oil', 'holding']))
    expect(kinds({ method: 'poach' })).not.toContain('hot-oil')
  })

  it('works back from the hour of service, over midnight too', () => {
    const { schedule, total } = cook({ serveAt: '20:00' })
    expect(schedule?.at(-1)).toMatchObject({ at: '20:00', minutesBefore: 0 })
    const into = schedule?.find(({ sentence }) => sentence === 'Into: pan')
    expect(into?.minutesBefore).toBeCloseTo(total.typical + 2, 1)
    const before = schedule?.map(({ minutesBefore }) => minutesBefore) ?? []
    expect([...before].sort((a, b) => b - a)).toEqual(before)
    expect(clockBefore('00:10', 25)).toBe('23:45')
    expect(cook().schedule).toBeNull()
  })

  it.each([
    [{ startC: -2 }, '/startC'],
    [{ thicknessMm: 3 }, '/thicknessMm'],
    [{ fish: 'Nemo' }, '/fish'],
    [{ method: 'raw', format: 'slice' }, '/method'],
    [{ stages: [{ medium: 'rest-board' }] }, '/stages'],
    [{ stages: [{ medium: 'rest-board' }, { medium: 'pan' }] }, '/stages/0/medium'],
    [{ stages: [{ medium: 'water', celsius: 120 }] }, '/stages/0/celsius'],
    [{ stages: [{ medium: 'water', celsius: 60 }] }, '/stages'],
  ] as const)('refuses %j at %s', (patch, path) => {
    expect(refusal(patch as Partial<CookRequest>)).toContain(path)
  })

  it('has a medium for every name, and its usual warmth inside its bounds', () => {
    for (const { usualC, leastC, mostC } of Object.values(COOK_MEDIUM_TABLE)) {
      expect(usualC).toBeGreaterThanOrEqual(leastC)
      expect(usualC).toBeLessThanOrEqual(mostC)
    }
  })
})
