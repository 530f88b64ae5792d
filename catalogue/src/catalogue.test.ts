import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { FLESH_KEYS, type SourceSpecies } from '@tender-gill/contract'
import { parseSourceSpecies, parseSpeciesSheet } from '@tender-gill/contract/validators'
import { describe, expect, it } from 'vitest'
import { createOfferSheet, listOffers, listSpecies } from './book.ts'
import { expandSpecies } from './expand/expandSpecies.ts'
import { readMeasured } from './measured/readMeasured.ts'
import { describeBook } from './report/describeBook.ts'
import { findFarApart, findGaps } from './report/findGaps.ts'
import { checkSpecies, findMistakes } from './source/checkSpecies.ts'
import { addNames } from './source/readNames.ts'
import { readSpeciesFiles } from './source/readSpeciesFiles.ts'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const sources = addNames(readSpeciesFiles(here('../species')), here('../names'))
const [cod] = sources.filter(({ scientific }) => scientific === 'Gadus morhua')
if (!cod) throw new Error('the book has no cod')

describe('the species files', () => {
  it('hold at least 210 species and 300 offers, and no mistake a schema cannot see', () => {
    expect(sources.length).toBeGreaterThanOrEqual(210)
    expect(listOffers().length).toBeGreaterThanOrEqual(300)
    expect(checkSpecies(sources)).toEqual([])
  })

  it('are what the built book was made from', () => {
    const measured = readMeasured()
    const expanded = sources.map((source) => expandSpecies(source, { measured: measured[source.ifct ?? ''] ?? [], shipped: source }))
    expect(listSpecies()).toEqual(JSON.parse(JSON.stringify(expanded)))
  })

  it('say of every offer every trait, low to high, with its basis', () => {
    for (const offer of listOffers())
      for (const key of FLESH_KEYS) {
        const { low, typical, high, basis } = offer.traits[key]
        expect(low, `${offer.id} ${key}`).toBeLessThanOrEqual(typical)
        expect(typical, `${offer.id} ${key}`).toBeLessThanOrEqual(high)
        expect(['compiled', 'measured']).toContain(basis)
      }
  })

  it('give every offer an id of its own', () => {
    const ids = listOffers().map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
  })

  it('never let a fish of fresh or unknown water pass as bred for raw', () => {
    for (const { id, water, parasites } of listOffers()) if (water !== 'sea') expect(parasites, id).not.toBe('controlled-feed')
  })

  it('name as wax-ester fish the two snake mackerels', () => {
    expect([
      ...new Set(
        listOffers()
          .filter(({ waxEster }) => waxEster)
          .map(({ species }) => species),
      ),
    ]).toEqual(['Lepidocybium flavobrunneum', 'Ruvettus pretiosus'])
  })
})

describe('the book', () => {
  it('has the shape of the contract, species by species', () => {
    for (const species of listSpecies()) expect(parseSpeciesSheet(species), species.species).toMatchObject({ ok: true })
  })

  it('takes a table’s mean as typical fat and its spread as the range, and names the table', () => {
    const rohu = listSpecies().find(({ species }) => species === 'Labeo rohita')
    expect(rohu?.measured).toMatchObject([
      { trait: 'fatG', per100G: 2.39, spread: 0.64, source: expect.stringContaining('Indian Food Composition Tables') },
      { trait: 'waterG', per100G: 76.34 },
      { trait: 'proteinG', per100G: 19.71 },
      { trait: 'ashG', per100G: 1.28 },
    ])
    expect(rohu?.offers[0]?.traits.fat).toMatchObject({ low: 1.34, typical: 2.39, high: 3.44, basis: 'measured' })
    expect(rohu?.composition[0]).toMatchObject({ waterG: { typical: 76.34, basis: 'measured' }, proteinG: { basis: 'measured' } })
  })

  it('says measured of nothing but what a table measured', () => {
    for (const { species, measured, offers } of listSpecies())
      for (const { traits } of offers)
        for (const key of FLESH_KEYS)
          if (traits[key].basis === 'measured') {
            expect(key, species).toBe('fat')
            expect(traits.fat.typical).toBe(measured.find(({ trait }) => trait === 'fatG')?.per100G)
          }
  })

  it('keeps its own fat where a table is far from it, and explains each; every gap has its reason', () => {
    const far = findFarApart(listSpecies())
    expect(far.map(({ species }) => species)).toContain('Chanos chanos')
    expect(far.filter(({ reason }) => reason === null)).toEqual([])
    expect(findGaps(sources).filter(({ reason }) => reason === null)).toEqual([])
  })

  it('is counted in docs/DATA.md as it is', () => {
    const squeeze = (text: string) => text.replaceAll(/[\s|*_-]+/g, ' ')
    expect(squeeze(readFileSync(here('../../docs/DATA.md'), 'utf8'))).toBe(squeeze(describeBook(sources, listSpecies())))
  })

  it('makes every composition whole: water is what is left', () => {
    for (const { species, composition } of listSpecies())
      for (const { waterG, proteinG, fatG, ashG, carbohydrateG } of composition) {
        const sum = waterG.typical + proteinG.typical + fatG.typical + ashG.typical + (carbohydrateG?.typical ?? 0)
        expect(Math.abs(sum - 100), species).toBeLessThan(waterG.basis === 'measured' ? 5 : 0.11)
      }
  })

  it('has the farmed and the wild salmon apart: more fat in the farmed', () => {
    const fat = (origin: string) => listOffers().find(({ id }) => id === `salmo-salar.${origin}.fresh.body`)?.traits.fat.typical ?? 0
    expect(fat('farmed')).toBeGreaterThan(fat('wild'))
  })

  it('lays the same sheet under the same hash', () => {
    expect(createOfferSheet('2026-06-13').snapshot).toBe(createOfferSheet('2026-07-01').snapshot)
    expect(createOfferSheet('2026-06-13').snapshot).toMatch(/^[0-9a-f]{16}$/)
  })
})

describe('what a cook may get wrong in a file', () => {
  const mistakes = (patch: object) => findMistakes({ ...cod, ...patch } as SourceSpecies).map(({ path, message }) => `${path} ${message}`)

  it.each([
    ['a range out of order', { flesh: { ...cod.flesh, fat: [2, 1, 3] } }, '/flesh/fat is not low, typical, high: 2, 1, 3'],
    [
      'forked bones said to be drawn',
      { pinBones: 'forked' },
      '/bones/pinned forked pin bones cannot be drawn, yet this differs from bones.fillet',
    ],
    [
      'a fat fish of which nobody says how it keeps',
      { flesh: { ...cod.flesh, fat: [8, 12, 16] } },
      '/storage 12 g of fat, and not said how it keeps: as lean fish only where that is written',
    ],
    ['more dry matter than flesh holds', { protein: [60, 70, 80] }, '/protein with the fat makes 71 g of dry matter in 100 g'],
    ['venom without a warning', { venom: true }, '/spines a venomous fish needs its warning in words'],
    ['one offer twice', { offers: [...cod.offers.slice(0, 1), ...cod.offers.slice(0, 1)] }, '/offers/1 a second offer of wild body'],
    [
      'a river fish bred for raw',
      { offers: [{ origin: 'farmed', water: 'fresh', parasites: 'controlled-feed' }] },
      '/offers/0/parasites fish of fresh or unknown water is never bred for raw',
    ],
  ])('is told of %s, at its place', (_what, patch, message) => {
    expect(mistakes(patch)).toEqual([message])
  })

  it('is told of a name used twice', () => {
    expect(checkSpecies([cod, cod])).toEqual(['Gadus morhua: the name Gadus morhua is used twice'])
  })

  it('is told of an unknown field and a trait off its scale', () => {
    expect(parseSourceSpecies({ ...cod, taste: 3 })).toMatchObject({ ok: false, error: [{ path: '/taste' }] })
    expect(parseSourceSpecies({ ...cod, flesh: { ...cod.flesh, flake: [7, 8, 11] } })).toMatchObject({
      ok: false,
      error: [{ path: '/flesh/flake/2' }],
    })
  })

  it('softens frozen flesh a little and keeps its fat', () => {
    const { offers } = expandSpecies(cod, { measured: [], shipped: cod })
    const [fresh, frozen] = offers
    expect((frozen?.traits.cohesion.typical ?? 0) - (fresh?.traits.cohesion.typical ?? 0)).toBeCloseTo(-0.5, 9)
    expect(frozen?.traits.fat).toEqual(fresh?.traits.fat)
  })
})

describe('the judgement script', () => {
  it('names no species and no case in the engine', () => {
    const names = listSpecies().flatMap(({ species }) => species)
    const files = ['methods.ts', 'constants.ts', 'formats.ts'].map((file) => readFileSync(here(`../../core/src/tables/${file}`), 'utf8'))
    for (const text of files) for (const name of names) expect(text).not.toContain(name)
  })
})
