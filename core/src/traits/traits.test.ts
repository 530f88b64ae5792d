import { createOfferSheet } from '@tender-gill/catalogue'
import { BAND_KEYS, FORMATS, METHODS, type Format } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { gridCell } from '../tables/cuts.ts'
import { TODAY, buildBrief, buildOffer, must } from '../testing/builders.ts'
import { findForms, readBones, readTrait } from './index.ts'

const { offers } = createOfferSheet(TODAY)
const normalise = (patch: object) => must(normaliseBrief(buildBrief(patch), { findSpecies: createFindSpecies([]), today: TODAY }))
const possible = METHODS.flatMap((method) =>
  FORMATS.filter((format) => gridCell(method, format) !== 'impossible').map((format) => ({ method, format })),
)

describe('what an offer gives', () => {
  it('is a range the right way up, on every ask, in every way of cooking, over the whole book', () => {
    const wrong: string[] = []
    let read = 0
    for (const pair of possible) {
      const brief = normalise(pair)
      for (const offer of offers)
        for (const form of findForms(offer, brief).slice(0, 1))
          for (const key of BAND_KEYS) {
            const value = readTrait(key, { offer, form }, brief)
            if (!value) continue
            read += 1
            if (!(value.low <= value.typical && value.typical <= value.high)) wrong.push(`${offer.id} ${key} ${pair.method} ${pair.format}`)
          }
    }
    expect(read).toBeGreaterThan(100_000)
    expect(wrong).toEqual([])
  })

  it('of bones falls as more of them are taken out: whole, fillet, pins drawn, minced', () => {
    const range = (typical: number) => ({ low: typical, typical, high: typical, basis: 'compiled' as const })
    const bones = { whole: range(7), steak: range(5), fillet: range(4), 'fillet-pinned': range(1), mince: range(0.5) }
    const offer = buildOffer('Piscis unus', { bones })
    const typical = (format: Format) => readBones(offer, format).typical
    expect([typical('whole'), typical('steak'), typical('portion'), typical('mince'), typical('frame')]).toEqual([7, 5, 1, 0.5, 0])
    // Pins that cannot be drawn stay; of a cut nothing is kept of, the flesh as it is nearest.
    expect(readBones({ ...offer, bones: { ...bones, 'fillet-pinned': null } }, 'portion').typical).toBe(4)
    expect(readBones({ ...offer, bones: { ...bones, 'fillet-pinned': null, fillet: null } }, 'portion').typical).toBe(5)
  })

  it('of the year is known of wild fresh fish alone, and of those only where the kitchen keeps one', () => {
    const brief = normalise({ waters: 'bay' })
    const season = { water: 'bay', landings: 0.4, condition: 3, closed: false }
    const read = (key: 'landings' | 'condition', patch: object) =>
      readTrait(key, { offer: { ...buildOffer('Piscis unus'), ...patch }, form: 'whole' }, brief)
    expect(read('landings', { season })).toEqual({ low: 0.4, typical: 0.4, high: 0.4 })
    expect(read('condition', { season })).toEqual({ low: 2, typical: 3, high: 4 })
    expect(read('landings', { season: null })).toBeNull()
    expect(read('condition', { season: null })).toBeNull()
    for (const steady of [{ origin: 'farmed' }, { state: 'frozen' }]) {
      expect(read('landings', { ...steady, season })).toEqual({ low: 1, typical: 1, high: 1 })
      expect(read('condition', { ...steady, season })?.typical).toBe(7)
    }
  })
})

describe('the forms that give a cut', () => {
  it('are among those it is sold in, and keep the skin where it is to be crisp', () => {
    const wrong: string[] = []
    for (const pair of possible)
      for (const skin of ['any', 'crisp'] as const) {
        const brief = normalise({ ...pair, skin })
        for (const offer of offers)
          for (const form of findForms(offer, brief)) {
            const sold = offer.forms.some((one) => one.form === form)
            const skinned = form === 'fillet-skinless' || form === 'loin'
            if (!sold || (skin === 'crisp' && skinned)) wrong.push(`${offer.id} ${form} ${pair.method} ${pair.format} ${skin}`)
          }
      }
    expect(wrong).toEqual([])
  })
})
