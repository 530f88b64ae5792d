import { createOfferSheet } from '@tender-gill/catalogue/book'
import { STYLES, stylesOf, type Brief, type Method } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { findRawRefusal, hasVulnerable, isServedRaw } from '../safety/index.ts'
import { AXES } from '../tables/constants.ts'
import { METHOD_TABLE } from '../tables/methods.ts'
import { STYLE_TABLE, listStyles } from '../tables/styles.ts'
import { briefArbitrary, offersArbitrary } from '../testing/arbitraries.ts'
import { TODAY, buildBrief, buildOffer, buildSheet, must } from '../testing/builders.ts'
import { cases } from '../testing/cases.ts'
import { kindOf } from '../traits/index.ts'
import { rankLineUp } from './index.ts'

const book = createOfferSheet(TODAY)
const byId = new Map(book.offers.map((offer) => [offer.id, offer]))
const findSpecies = createFindSpecies(book.offers)
const rank = (brief: Brief, sheet = book) => must(rankLineUp(brief, sheet, { today: TODAY, shares: false, leftOut: false }))
const normalise = (patch: Partial<Brief>) => must(normaliseBrief(buildBrief(patch), { findSpecies, today: TODAY }))
const refusals = (patch: Partial<Brief>) => {
  const answer = normaliseBrief(buildBrief(patch), { findSpecies, today: TODAY })
  return answer.ok ? [] : answer.error.map(({ path }) => path)
}
const places = (brief: Partial<Brief>, sheet = book) => rank(buildBrief(brief), sheet).ranked.map(({ species }) => species)

describe('the styles of a way of cooking', () => {
  it('are those of the contract, in its order, each with a table of its own but the usual one', () => {
    for (const method of Object.keys(METHOD_TABLE) as Method[]) expect(listStyles(method)).toEqual(stylesOf(method))
    for (const [method, styles] of Object.entries(STYLES)) expect(Object.keys(STYLE_TABLE[method as Method] ?? {})).toEqual(styles.slice(1))
  })

  it('change what is asked, the usual one nothing, and another method’s is refused at its place', () => {
    for (const method of Object.keys(STYLES) as Method[]) {
      const format = method === 'mince' ? 'mince' : method === 'raw' ? 'slice' : 'fillet-skinless'
      const plain = normalise({ method, format }).asks
      const [usual, ...others] = listStyles(method)
      expect(normalise({ method, format, ...(usual ? { style: usual } : {}) }).asks).toEqual(plain)
      for (const style of others) expect(normalise({ method, format, style }).asks, style).not.toEqual(plain)
    }
    expect(refusals({ method: 'grill', format: 'portion', style: 'sour' })).toEqual(['/style'])
    expect(refusals({ method: 'cure', format: 'slice', style: 'oil' })).toEqual(['/style'])
  })
})

describe('how a dish is served', () => {
  it('raw closes what may not be eaten raw, over every style, doneness and kind, and nothing a brief says opens it', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        const { ranked, brief: read } = rank(brief)
        for (const { offerId } of ranked) {
          const offer = byId.get(offerId)
          if (!offer) throw new Error(offerId)
          expect(findRawRefusal(offer, read)).toBeUndefined()
          expect(isServedRaw(read) && hasVulnerable(read)).toBe(false)
          expect(offer.waxEster || offer.listing?.status === 'prohibited').toBe(false)
          expect(read.diners.allergies).not.toContain(offer.allergen)
          if (read.diners.children || read.diners.pregnant) expect(offer.mercury).not.toBe('very-high')
        }
      }),
      { seed: 921, numRuns: cases(120) },
    )
  })

  it('soaked or smoked and then cooked is not raw: no raw bite is asked, and fresh-water fish may do it', () => {
    const carp = buildOffer('Piscis rivi', { water: 'fresh', parasites: 'host' })
    for (const brief of [
      { method: 'cure', format: 'fillet-skin-on', style: 'dry-salt' },
      { method: 'smoke', format: 'fillet-skin-on', smokeHeat: 'cold', style: 'lean' },
    ] as const) {
      expect(normalise({ ...brief, servedAs: 'cooked' }).asks.rawBite).toBeUndefined()
      expect(places({ ...brief, servedAs: 'cooked' }, buildSheet(carp))).toEqual(['Piscis rivi'])
      expect(places(brief, buildSheet(carp))).toEqual([])
    }
    expect(refusals({ method: 'grill', format: 'portion', servedAs: 'cooked' })).toEqual(['/servedAs'])
    expect(refusals({ method: 'smoke', format: 'portion', servedAs: 'cooked' })).toEqual(['/servedAs'])
  })

  it('rare asks bite and colour of the raw flesh, is under the raw rule and refused for the vulnerable', () => {
    const { asks } = normalise({ method: 'pan-sear', format: 'steak', doneness: 'rare' })
    expect(asks.tolerance?.pull).toBe(0)
    expect(asks.rawBite).toMatchObject({ from: 6, must: { from: 3 } })
    const host = buildOffer('Piscis unus', { parasites: 'host' })
    expect(places({ method: 'pan-sear', format: 'portion', doneness: 'rare' }, buildSheet(host))).toEqual([])
    const [red, pale] = [buildOffer('Piscis ruber', { rawColour: 'red' }), buildOffer('Piscis albus')]
    expect(places({ method: 'pan-sear', format: 'portion', doneness: 'rare' }, buildSheet(pale, red))[0]).toBe('Piscis ruber')
    expect(refusals({ doneness: 'rare', covers: 2, diners: { elderly: 1 } })).toEqual(['/doneness'])
    const { ranked } = rank(buildBrief({ method: 'pan-sear', format: 'portion', doneness: 'rare' }), buildSheet(red))
    expect(ranked[0]?.cautions.map(({ sentence }) => sentence.code)).toContain('caution.raw.rare')
  })

  it('ripened or dried and eaten as it is says that its safety hangs on the salt', () => {
    for (const style of ['ripened', 'air-dried'] as const) {
      const { ranked } = rank(buildBrief({ method: 'cure', format: 'fillet-skin-on', style }), buildSheet(buildOffer('Piscis unus')))
      expect(ranked[0]?.cautions.map(({ sentence }) => sentence.code)).toContain('caution.salt-time')
    }
  })
})

describe('who may answer', () => {
  it('is fish, unless other kinds are let in, and then no other', () => {
    fc.assert(
      fc.property(briefArbitrary, offersArbitrary(3, 12), (brief, offers) => {
        const sheet = buildSheet(...offers)
        const kinds = new Map(offers.map((offer) => [offer.species, kindOf(offer)]))
        const wanted: readonly string[] = brief.kinds ?? ['fish']
        for (const { species } of rank(brief, sheet).ranked) expect(wanted).toContain(kinds.get(species))
      }),
      { seed: 922, numRuns: cases(120) },
    )
  })

  it('has fins and scales where a diner wants it, and what is not known has none', () => {
    const sheet = buildSheet(
      buildOffer('Piscis squamatus', { scales: 'fine' }),
      buildOffer('Piscis nudus', { scales: 'none' }),
      buildOffer('Piscis ignotus'),
    )
    expect(places({ diners: { finsAndScales: true } }, sheet)).toEqual(['Piscis squamatus'])
    expect(places({}, sheet)).toHaveLength(3)
  })

  it('comes from the water that is asked for', () => {
    const sheet = buildSheet(
      buildOffer('Piscis maris', { water: 'sea' }),
      buildOffer('Piscis rivi', { water: 'fresh' }),
      buildOffer('Piscis ignotus', { water: 'unknown' }),
    )
    expect(places({ habitat: 'sea' }, sheet)).toEqual(['Piscis maris'])
    expect(places({ habitat: 'fresh' }, sheet)).toEqual(['Piscis rivi'])
  })

  it('is a part only where it is asked for or named, and in a cut that it gives', () => {
    const sheet = buildSheet(...(['body', 'belly', 'tail', 'collar'] as const).map((part) => buildOffer(`Piscis ${part}`, { part })))
    expect(places({ method: 'pan-sear', format: 'portion' }, sheet)).toEqual(['Piscis body'])
    expect(places({ method: 'pan-sear', format: 'portion', part: 'tail' }, sheet)).toEqual(['Piscis tail'])
    expect([...places({ method: 'grill', format: 'portion' }, sheet)].sort()).toEqual(['Piscis belly', 'Piscis body', 'Piscis collar'])
    expect(places({ method: 'grill', format: 'steak' }, sheet)).toEqual(['Piscis body'])
    expect(places({ method: 'smoke', format: 'fillet-skin-on' }, sheet)).toEqual(['Piscis body'])
    expect(places({ method: 'grill', format: 'steak', part: 'collar' }, sheet)).toEqual([])
  })
})

describe('a steak', () => {
  const sized = (low: number, high: number) => ({ low, typical: (low + high) / 2, high, basis: 'compiled' as const })

  it('of an eel is a round, several to a portion; of a thin flat fish there is none thicker than the fish allows', () => {
    const eel = buildOffer('Piscis longus', { body: 'eel', weightG: sized(300, 1200) })
    const sole = buildOffer('Piscis tenuis', { body: 'flat', weightG: sized(300, 2500), depthMm: sized(8, 18) })
    const turbot = buildOffer('Piscis latus', { body: 'flat', weightG: sized(1500, 8000), depthMm: sized(20, 45) })
    expect([...places({ method: 'braise', format: 'steak', thicknessMm: 45 }, buildSheet(eel, sole, turbot))].sort()).toEqual([
      'Piscis latus',
      'Piscis longus',
    ])
  })

  it('is no part but the even middle; a frame is asked for by its cut alone', () => {
    const frame = buildOffer('Piscis osseus', { part: 'frame' })
    expect(places({ method: 'broth', format: 'frame' }, buildSheet(frame))).toEqual(['Piscis osseus'])
    expect(places({ method: 'braise', format: 'steak' }, buildSheet(frame))).toEqual([])
  })
})

describe('what it may cost without a figure', () => {
  const sheet = buildSheet(
    ...(['premium', 'everyday', 'under-used'] as const).map((market) => buildOffer(`Piscis ${market.slice(0, 3)}`, { market })),
  )

  it('puts the cheaper kinds first, and a must closes the dear', () => {
    expect(places({ spend: 'least' }, sheet)).toEqual(['Piscis und', 'Piscis eve', 'Piscis pre'])
    expect(places({ spend: 'everyday' }, sheet).at(-1)).toBe('Piscis pre')
    expect(places({ spend: 'least', spendMust: true }, sheet)).toEqual(['Piscis und', 'Piscis eve'])
    expect(normalise({}).asks.marketClass).toBeUndefined()
  })

  it('leans gently to everyday fish where nobody sees it, is shown as the method’s, and can be lifted', () => {
    const chowder = { method: 'chowder', format: 'chunk' } as const
    expect(normalise(chowder).asks.marketClass).toMatchObject({ to: 1, pull: 1, because: ['method'] })
    expect(places(chowder, sheet).at(-1)).toBe('Piscis pre')
    expect(normalise({ ...chowder, asks: { marketClass: { pull: 0 } } }).asks.marketClass?.pull).toBe(0)
  })
})

describe('a wish of the brief', () => {
  it('never lowers what is asked already, unless it says that it lets go', () => {
    fc.assert(
      fc.property(briefArbitrary, ({ asks: _asks, ...brief }) => {
        const before = normalise(brief).asks
        for (const key of ['cohesion', 'firmness', 'fat', 'tolerance', 'bones'] as const) {
          const ask = before[key]
          if (!ask || ask.pull === 0) continue
          const weaker = { from: Math.max(0, (ask.from ?? 0) - 1), to: Math.min(AXES[key].max, (ask.to ?? AXES[key].max) + 1), pull: 1 }
          expect(normalise({ ...brief, asks: { [key]: weaker } }).asks[key]).toMatchObject({
            from: ask.from,
            to: ask.to,
            pull: ask.pull,
            must: ask.must,
          })
          const loose = normalise({ ...brief, asks: { [key]: { ...weaker, loosens: true } } }).asks[key]
          expect(loose).toMatchObject({ ...weaker, must: ask.must })
          const stricter = { from: Math.min(9.5, (ask.from ?? 0) + 1), pull: 1 }
          if (stricter.from <= (ask.to ?? AXES[key].max))
            expect(normalise({ ...brief, asks: { [key]: stricter } }).asks[key]).toMatchObject(stricter)
        }
      }),
      { seed: 923, numRuns: cases(150) },
    )
  })
})

describe('a wish that is a must', () => {
  it('bounds where it is tighter than the method, however wide beside the band', () => {
    const { asks } = normalise({ method: 'grill', format: 'portion', asks: { cohesion: { from: 5, to: 10, must: true } } })
    expect(asks.cohesion).toMatchObject({ from: METHOD_TABLE.grill.asks.cohesion?.from, must: { from: 5 } })
    const wide = normalise({ method: 'grill', format: 'portion', asks: { cohesion: { from: 1, to: 10, must: true } } }).asks.cohesion
    expect(wide?.must?.from).toBe(METHOD_TABLE.grill.asks.cohesion?.must?.from)
  })
})

describe('seasoning', () => {
  it('bold or gentle only opens a side: who is inside the balanced band of flavour is inside theirs, on that side', () => {
    fc.assert(
      fc.property(briefArbitrary, (brief) => {
        const [plain, bold, gentle] = (['balanced', 'bold', 'gentle'] as const).map(
          (seasoning) => normalise({ ...brief, asks: {}, seasoning }).asks.flavour,
        )
        const strict = brief.diners?.dislikesStrongFish === true
        expect(bold?.from ?? null).toBe(plain?.from ?? null)
        if (!strict) expect(bold?.to ?? Infinity).toBeGreaterThanOrEqual(Math.min(8, plain?.to ?? Infinity))
        expect(bold?.must ?? null).toEqual(plain?.must ?? null)
        expect(gentle?.from ?? null).toBeNull()
        expect(gentle?.to ?? Infinity).toBeLessThanOrEqual(plain?.to ?? Infinity)
      }),
      { seed: 924, numRuns: cases(150) },
    )
  })
})

describe('mercury', () => {
  it('is asked of nobody but children and the pregnant, closes the highest class to them, and doubles with the portions', () => {
    expect(normalise({}).asks.mercury).toBeUndefined()
    const read = normalise({ covers: 2, diners: { children: 1 } })
    expect(read.asks.mercury).toMatchObject({ to: 0.7, pull: 3, because: ['diner'] })
    expect(read.diners.portionsAWeek).toBe(1)
    const sheet = buildSheet(
      ...(['low', 'medium', 'very-high'] as const).map((mercury) => buildOffer(`Piscis ${mercury.slice(0, 3)}`, { mercury })),
    )
    expect(places({ covers: 2, diners: { children: 1 } }, sheet)).toEqual(['Piscis low', 'Piscis med'])
    expect(places({ covers: 2, diners: { pregnant: 1 }, asks: { mercury: { must: false, pull: 0 } } }, sheet)).not.toContain('Piscis ver')
    const fitOf = (portionsAWeek: number) =>
      rank(buildBrief({ covers: 2, diners: { pregnant: 1, portionsAWeek } }), sheet).ranked.find(({ species }) => species === 'Piscis med')
        ?.fit ?? 0
    expect(fitOf(3)).toBeLessThan(fitOf(1))
  })
})

describe('warmth', () => {
  const former = buildSheet(buildOffer('Piscis unus', { histamine: true }), buildOffer('Piscis duo'))
  it.each([
    [3, 22],
    [5, 12],
    [9, 5],
  ])('of %d hours at %d °C closes what forms histamine, and no other for that', (hours, tempC) => {
    expect(places({ keep: { hours, tempC } }, former)).toEqual(['Piscis duo'])
  })

  it('within the published limits closes nothing', () => {
    for (const keep of [
      { hours: 2, tempC: 22 },
      { hours: 4, tempC: 12 },
      { hours: 8, tempC: 5 },
    ])
      expect(places({ keep }, former)).toHaveLength(2)
  })
})

describe('size', () => {
  const weightG = (low: number, high: number) => ({ weightG: { low, typical: (low + high) / 2, high, basis: 'compiled' as const } })
  const sheet = buildSheet(
    buildOffer('Piscis parvus', weightG(100, 200)),
    buildOffer('Piscis medius', weightG(200, 2000)),
    buildOffer('Piscis magnus', weightG(900, 3000)),
    buildOffer('Piscis minimus', weightG(20, 60)),
  )
  const whole = { method: 'roast-whole', format: 'whole' } as const

  it('leaves out only where the brief names one: what is too big, or more than three times too small', () => {
    expect(places(whole, sheet)).toHaveLength(4)
    expect([...places({ ...whole, wholeWeightG: { from: 300, to: 500 } }, sheet)].sort()).toEqual(['Piscis medius', 'Piscis parvus'])
  })

  it('is scored at the nearest size that is sold, not at the middle', () => {
    const { ranked } = rank(buildBrief({ ...whole, wholeWeightG: { from: 300, to: 500 } }), sheet)
    expect(ranked.find(({ species }) => species === 'Piscis medius')?.standings.find(({ trait }) => trait === 'weight')).toMatchObject({
      desirability: 1,
    })
  })

  it('is asked by no broth, cure, smoke or mince of its own accord', () => {
    for (const method of ['broth', 'cure', 'smoke'] as const) expect(normalise({ method, format: 'whole' }).asks.weight).toBeUndefined()
  })
})

describe('skin and bone', () => {
  it('hold what the flesh alone would not: band and must of cohesion are lower for a whole fish and a fillet on its skin', () => {
    const read = (format: 'whole' | 'fillet-skin-on' | 'portion') => normalise({ method: 'grill', format }).asks.cohesion
    const plain = read('portion')
    for (const format of ['whole', 'fillet-skin-on'] as const) {
      expect(read(format)?.from ?? 0).toBeLessThan(plain?.from ?? 0)
      expect(read(format)?.must?.from ?? 0).toBeLessThan(plain?.must?.from ?? 0)
    }
  })
})

describe('of fish that do equally well', () => {
  it('the better known stands first, and where nobody sees the fish no dear one does', () => {
    const known = buildOffer('Piscis notus', { familiarity: 9, market: 'premium' })
    const strange = buildOffer('Piscis obscurus', { familiarity: 1, market: 'everyday' })
    const lifted = { asks: { marketClass: { pull: 0 } } }
    expect(places({}, buildSheet(strange, known))[0]).toBe('Piscis notus')
    expect(places({ method: 'chowder', format: 'chunk', ...lifted }, buildSheet(strange, known))[0]).toBe('Piscis obscurus')
  })
})
