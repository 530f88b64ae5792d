import { formatMassToBuy } from '../reader/index.ts'
import type { Brief } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { EMPTY, fieldOf, readForm, toForm, type BriefForm } from './brief/briefForm.ts'
import { describeMaking, describeServing, listDiners, listLimits, ofHundred } from '../parts/dishWords.ts'
import { checkEnd } from './lineUp/BandControl.tsx'
import { withAsk, withoutAsk } from './lineUp/editAsks.ts'

const full: Brief = {
  dish: 'Skewers',
  method: 'grill',
  format: 'chunk',
  thicknessMm: 30,
  covers: 24,
  portionG: 160,
  portionBasis: 'cooked',
  diners: { children: 2, allergies: ['crustacean'] },
  doneness: 'set',
  skin: 'any',
  seasoning: 'bold',
  longCooking: true,
  origin: 'wild',
  state: 'fresh',
  keep: { hours: 12, tempC: 4 },
  budget: { perPortion: 4.2, currency: 'EUR', must: false },
  asks: { fat: { from: 3 } },
  colour: { wanted: ['white', 'ivory'], pull: 4, must: true },
  pool: ['Gadus morhua'],
}
const read = (form: BriefForm, before: Partial<Brief> = {}) => readForm(form, before, 'EUR')

describe('the brief form', () => {
  it('loses nothing of a brief that goes through it, shown or not', () => {
    expect(read(toForm(full), full)).toEqual({ ok: true, value: full })
  })

  it('says nothing that nobody said: what is left open is the house’s, or the usual', () => {
    const plain = read({ ...EMPTY, dish: 'x' })
    expect(plain).toEqual({
      ok: true,
      value: { dish: 'x', method: 'pan-sear', format: 'portion', covers: 4, portionG: 150, portionBasis: 'cooked', diners: {} },
    })
    const said = read({ ...EMPTY, dish: 'x', doneness: 'moist', skin: 'off' })
    expect(said).toMatchObject({ ok: true, value: { doneness: 'moist', skin: 'off' } })
    const unsaid = read({ ...toForm(full), doneness: '', origin: '' }, full)
    expect(unsaid.ok && [unsaid.value.doneness, unsaid.value.origin]).toEqual([undefined, undefined])
  })

  it('asks for a colour of the flesh, as a wish or a must, and lets go of it', () => {
    expect(read({ ...EMPTY, dish: 'x', colours: ['red'] })).toMatchObject({ ok: true, value: { colour: { wanted: ['red'], must: false } } })
    const none = read({ ...toForm(full), colours: [] }, full)
    expect(none.ok && 'colour' in none.value).toBe(false)
    expect(listLimits(full)).toContain('White or ivory flesh, a must')
  })

  it('keeps nothing of what its cut and way of cooking do not ask', () => {
    const whole = read({ ...toForm(full), format: 'whole', wholeServes: '2' }, full)
    expect(whole.ok && [whole.value.thicknessMm, whole.value.wholeServes]).toEqual([undefined, 2])
    expect(read({ ...EMPTY, dish: 'x', format: 'whole', thicknessMm: 'forty' }).ok).toBe(true)
    const cut = read({ ...toForm(full), wholeServes: '7' }, full)
    expect(cut.ok && [cut.value.thicknessMm, 'wholeServes' in cut.value, 'smokeHeat' in cut.value]).toEqual([30, false, false])
  })

  it('asks how many eat where that was emptied, and reads thousands as thousands', () => {
    const emptied = read({ ...EMPTY, dish: 'x', covers: ' ' })
    expect(emptied.ok ? [] : emptied.error.map(({ path }) => path)).toEqual(['/covers'])
    expect(read({ ...EMPTY, dish: 'x', covers: '1,000' })).toMatchObject({ ok: true, value: { covers: 1000 } })
  })

  it('takes a field away when it is emptied', () => {
    const read1 = read({ ...toForm(full), thicknessMm: '', budget: '', keepHours: ' ', longCooking: false }, full)
    expect(read1.ok && [read1.value.thicknessMm, read1.value.budget, read1.value.keep, read1.value.longCooking]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ])
  })

  it('reads a comma as a point, and names the field of what is no number', () => {
    expect(read({ ...EMPTY, dish: 'x', portionG: '152,5' })).toMatchObject({ ok: true, value: { portionG: 152.5 } })
    const wrong = read({ ...EMPTY, dish: 'x', covers: 'many', budget: 'a lot' })
    expect(wrong.ok ? [] : wrong.error.map(({ path }) => fieldOf(path))).toEqual(['covers', 'budget'])
  })

  it('never throws on what a person types', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), fc.string(), (covers, thicknessMm, keepHours) => {
        expect(typeof read({ ...EMPTY, dish: 'x', covers, thicknessMm, keepHours }).ok).toBe('boolean')
      }),
      { seed: 51 },
    )
  })

  it('asks any size of a whole fish when the eaters are left empty', () => {
    expect(read({ ...EMPTY, dish: 'x', method: 'roast-whole', format: 'whole', wholeServes: '' })).toMatchObject({
      ok: true,
      value: { wholeServes: null },
    })
  })
})

describe('editing asks', () => {
  it('changes one field and keeps the rest', () => {
    expect(withAsk(full, 'fat', { pull: 5 }).asks).toEqual({ fat: { from: 3, pull: 5, loosens: true } })
    expect(withAsk(full, 'flake', { to: 6 }).asks).toEqual({ fat: { from: 3 }, flake: { to: 6, loosens: true } })
  })
  it('moves the budget with the upper end of cost', () => {
    expect(withAsk(full, 'portionCost', { from: null, to: 5 }).budget).toEqual({ perPortion: 5, currency: 'EUR', must: false })
  })
  it('gives an ask back to the method', () => {
    expect(withoutAsk(full, 'fat').asks).toEqual({})
  })
})

describe('words', () => {
  it('says how a dish is made, for how many and for whom', () => {
    expect(describeMaking(full)).toBe('Grilled over coals, 30 mm chunks')
    expect(describeServing({ ...full, covers: 1 })).toBe('1 cover at 160 g cooked')
    expect(listDiners(full.diners)).toEqual(['2 children', 'Allergic to crustacean'])
  })
  it('rounds a weight to buy up, never down', () => {
    expect([formatMassToBuy(5), formatMassToBuy(812.2), formatMassToBuy(1231), formatMassToBuy(9301), formatMassToBuy(12_340)]).toEqual([
      '5 g',
      '813 g',
      '1.24 kg',
      '9.31 kg',
      '12.4 kg',
    ])
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 90_000, noNaN: true }),
        (g) => Number.parseFloat(formatMassToBuy(g)) * (formatMassToBuy(g).endsWith('kg') ? 1000 : 1) >= g - 1e-3,
      ),
      { seed: 52 },
    )
  })
  it('says a share of 100 without claiming certainty or nothing', () => {
    expect([ofHundred(0), ofHundred(0.001), ofHundred(0.834), ofHundred(0.999), ofHundred(1)]).toEqual([
      '0',
      'under 1',
      '83',
      'over 99',
      '100',
    ])
  })
})

describe('a typed end of a band', () => {
  it('is refused beyond its scale or past the other end, so that no dish can be made unreachable', () => {
    const check = (text: string, end: 'from' | 'to' = 'from', other: number | null = 7) => checkEnd('firmness', { end, text, other })
    expect([check('5'), check(''), check('7'), check('9', 'to')]).toEqual([null, null, null, null])
    expect(check('99')).toBe('a number from 0 to 10')
    expect(check('8')).toBe('not above the other end, 7')
    expect(check('6,5', 'to')).toBe('not below the other end, 7')
    expect(check('soft')).toBe('a number from 0 to 10')
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom('from' as const, 'to' as const),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (text, end, other) => {
          if (check(text, end, other) !== null || text.trim() === '') return
          const value = Number(text.trim().replace(',', '.'))
          expect(value >= 0 && value <= 10 && (end === 'from' ? value <= other : value >= other)).toBe(true)
        },
      ),
      { seed: 52 },
    )
  })
})
