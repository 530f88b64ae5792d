import { FORMATS, FORMS } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { findPinBones } from '../tables/pinBones.ts'
import { buildOffer, mustTell } from '../testing/builders.ts'
import { listHandTasks } from './index.ts'

const tasksOf = (patch: object, form: (typeof FORMS)[number], format: (typeof FORMATS)[number], skin?: 'off') =>
  mustTell({ ok: true, value: listHandTasks(buildOffer('Piscis unus', patch), form, { format, skin }) })
const names = (...args: Parameters<typeof tasksOf>) => tasksOf(...args).map(({ task }) => task)

describe('the work of hands', () => {
  it('of a whole round fish to skinless pieces goes from the scales to the dry piece, in order', () => {
    expect(names({ body: 'round' }, 'whole', 'fillet-skinless')).toEqual([
      'gut',
      'blood',
      'fillet-round',
      'pin-bones',
      'skin',
      'dry',
      'keep',
    ])
  })

  it('of a flatfish takes four fillets and has no pin bones to draw', () => {
    const flat = names({ body: 'flat' }, 'gutted', 'fillet-skin-on')
    expect(flat).toContain('fillet-flat')
    expect(flat).not.toContain('pin-bones')
    expect(flat).not.toContain('gut')
  })

  it('of a whole fish ends at the table, and scales it only where its skin is eaten', () => {
    const whole = names({}, 'whole', 'whole')
    expect(whole.at(-1)).toBe('at-table')
    expect(whole).toContain('scale')
    expect(names({}, 'whole', 'whole', 'off')).not.toContain('scale')
  })

  it('warns of spines with what to do about a prick, before anything else', () => {
    const [first] = tasksOf({ spines: 'Sharp dorsal spines.' }, 'whole', 'whole')
    expect(first).toMatchObject({ task: 'spines', minutes: null })
    expect(first?.sentence).toContain('Sharp dorsal spines.')
    expect(first?.sentence).toContain('doctor')
  })

  it('draws no bones where they fork between the muscles, nor from a loin', () => {
    const offer = buildOffer('Piscis unus')
    expect(names({ bones: { ...offer.bones, 'fillet-pinned': null } }, 'gutted', 'portion')).not.toContain('pin-bones')
    expect(names({}, 'loin', 'portion')).not.toContain('pin-bones')
  })

  it('is quicker for hands that do it daily than for new ones, and longer for a larger fish', () => {
    const minutes = (typical: number) =>
      tasksOf({ weightG: { low: typical / 2, typical, high: typical * 2, basis: 'compiled' } }, 'whole', 'portion').find(
        ({ task }) => task === 'fillet-round',
      )?.minutes
    const [small, large] = [minutes(500), minutes(2000)]
    expect(small?.low).toBeLessThan(small?.typical ?? 0)
    expect(small?.typical).toBeLessThan(small?.high ?? 0)
    expect(large?.typical).toBeGreaterThan(small?.typical ?? Infinity)
    expect(large?.typical).toBeLessThan(4 * (small?.typical ?? 0))
  })

  it('is said for every form and cut without a gap, and is none of shellfish', () => {
    for (const form of FORMS)
      for (const format of FORMATS)
        for (const { sentence } of tasksOf({ spines: 'Spines.' }, form, format)) expect(sentence.length).toBeGreaterThan(20)
    expect(tasksOf({ allergen: 'crustacean' }, 'whole', 'whole')).toEqual([])
  })

  it('has pin bones that lie inside the side, in every family', () => {
    for (const family of ['Salmonidae', 'Gadidae', 'Sparidae', 'Scombridae', 'Clupeidae', 'Nowhere'])
      for (const body of ['round', 'deep', 'eel'] as const) {
        const bones = findPinBones({ family, body })
        expect(bones?.fewest).toBeLessThan(bones?.most ?? 0)
        expect(bones?.from).toBeLessThan(bones?.to ?? 0)
        expect(bones?.to).toBeLessThanOrEqual(1)
      }
    expect(findPinBones({ family: 'Salmonidae', body: 'flat' })).toBeNull()
  })
})
