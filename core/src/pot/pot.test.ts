import { createOfferSheet } from '@tender-gill/catalogue/book'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import { applyMarket, keepOffered } from '../market/index.ts'
import { cases } from '../testing/cases.ts'
import { TODAY, buildBrief, mustTell as must } from '../testing/builders.ts'
import { readBones } from '../traits/readTrait.ts'
import { assignPot, valuePot, type PotProblem } from './assignPot.ts'
import { listRoles, planPot } from './index.ts'

const book = createOfferSheet(TODAY)
const plan = (k: number, patch: object = {}) =>
  must(planPot(buildBrief({ method: 'stew', format: 'chunk', ...patch }), book, { today: TODAY, k }))

/** Fish with fits and distances at random; distances are those of points on a line, so that they are a metric. */
const problemArbitrary = (fish: number, roles: number): fc.Arbitrary<PotProblem> =>
  fc
    .tuple(
      fc.array(fc.array(fc.oneof(fc.integer({ min: 40, max: 100 }), fc.constant(0)), { minLength: roles, maxLength: roles }), {
        minLength: fish,
        maxLength: fish,
      }),
      fc.array(fc.integer({ min: 0, max: 20 }), { minLength: fish, maxLength: fish }),
    )
    .map(([fits, places]) => ({
      logFit: fits.map((row) => row.map((fit) => (fit === 0 ? -Infinity : Math.log(fit / 100)))),
      distance: places.map((a) => places.map((b) => Math.min(1, Math.abs(a - b) / 10))),
    }))

function bruteForce(problem: PotProblem, roles: number, allowed: (chosen: readonly number[]) => boolean = () => true): number {
  let best = -Infinity
  const walk = (chosen: readonly number[]): void => {
    if (chosen.length === roles) {
      if (allowed(chosen)) best = Math.max(best, valuePot(chosen, problem))
      return
    }
    for (let fish = 0; fish < problem.logFit.length; fish += 1) if (!chosen.includes(fish)) walk([...chosen, fish])
  }
  walk([])
  return best
}

describe('a pot of several', () => {
  it.each([
    [25, 3, 25],
    [25, 2, 25],
    [12, 4, 20],
  ])(
    'is the best there is: the same as trying all, %i fish in %i places',
    (fish, roles, numRuns) => {
      fc.assert(
        fc.property(problemArbitrary(fish, roles), (problem) => {
          const best = bruteForce(problem, roles)
          const [first] = assignPot(problem)
          expect(first?.value ?? -Infinity).toBeCloseTo(best, 10)
        }),
        { seed: 41, numRuns },
      )
    },
    120_000,
  )

  it.each([
    [9, 3, 1],
    [9, 3, 2],
    [8, 4, 3],
    [6, 2, 2],
  ])('with fish put in by hand is the best there is with them: %i fish in %i places, %i held', (fish, roles, n) => {
    fc.assert(
      fc.property(
        problemArbitrary(fish, roles),
        fc.shuffledSubarray([...Array(fish).keys()], { minLength: n, maxLength: n }),
        (problem, holds) => {
          const best = bruteForce(problem, roles, (chosen) => holds.every((one) => chosen.includes(one)))
          const [first] = assignPot(problem, { holds })
          expect(first?.value ?? -Infinity).toBeCloseTo(best, 10)
          if (first && best > -Infinity) expect(first.fish).toEqual(expect.arrayContaining(holds))
        },
      ),
      { seed: 43, numRuns: cases(25) },
    )
  })

  it('has runners-up that are no better and no set twice', () => {
    fc.assert(
      fc.property(problemArbitrary(10, 3), (problem) => {
        const choices = assignPot(problem, { most: 5 })
        const values = choices.map(({ value }) => value)
        expect(values).toEqual([...values].sort((a, b) => b - a))
        expect(new Set(choices.map(({ fish }) => fish.join())).size).toBe(choices.length)
        for (const { fish } of choices) expect(new Set(fish).size).toBe(fish.length)
      }),
      { seed: 42, numRuns: cases(60) },
    )
  })

  it.each([2, 3, 4, 5])('fills %i places with different fish, each good in its own, longest in the pot first', (k) => {
    const { pots } = plan(k)
    expect(pots.length).toBeGreaterThan(0)
    for (const { places } of pots) {
      expect(new Set(places.map(({ species }) => species)).size).toBe(k)
      expect(places.every(({ fit }) => fit >= 40)).toBe(true)
      const minutes = places.map((place) => place.minutes)
      expect(minutes).toEqual([...minutes].sort((a, b) => b - a))
      expect([...places].map(({ role }) => role).sort()).toEqual(
        listRoles('stew', k)
          .map(({ name }) => name)
          .sort(),
      )
    }
  })

  it.each([2, 3, 4])('tells no %i fish twice as two pots, whichever places they fill', (k) => {
    const sets = [
      plan(k),
      plan(k, { pool: ['Gadus morhua', 'Lophius piscatorius', 'Pollachius virens', 'Conger conger', 'Scomber scombrus'] }),
    ]
    for (const { pots } of sets) {
      const names = pots.map(({ places }) =>
        places
          .map(({ species }) => species)
          .sort()
          .join(),
      )
      expect(new Set(names).size).toBe(names.length)
    }
  })

  it('lets no crustacean or mollusc into the pot of one who is allergic, and no protected fish into any', () => {
    const { pots } = plan(4, { diners: { allergies: ['crustacean', 'mollusc'] } })
    const allergens = new Map(book.offers.map(({ id, allergen }) => [id, allergen]))
    const listed = new Map(book.offers.map(({ id, listing }) => [id, listing?.status]))
    for (const { offerId } of pots.flatMap(({ places }) => places)) {
      expect(allergens.get(offerId)).toBe('fish')
      expect(listed.get(offerId)).not.toBe('prohibited')
    }
  })

  it('is changed by hand: what is put in is in every pot, what is taken out in none, and no gate opens for either', () => {
    const speciesOf = ({ pots }: ReturnType<typeof plan>) => pots.map(({ places }) => places.map(({ species }) => species))
    const by = (hand: object, patch: object = {}) =>
      must(planPot(buildBrief({ method: 'stew', format: 'chunk', ...patch }), book, { today: TODAY, k: 3, ...hand }))
    const [best = []] = speciesOf(plan(3))
    const [first = ''] = best
    for (const set of speciesOf(by({ without: [first] }))) expect(set).not.toContain(first)
    expect(by({ without: [first] }).pots[0]?.score ?? 0).toBeLessThanOrEqual(plan(3).pots[0]?.score ?? 0)
    // What the pot has chosen already is held without any change.
    expect(speciesOf(by({ holds: [first] }))[0]).toEqual(best)
    // An oily fish that no place wants goes in all the same, and the score tells what it costs.
    const sets = speciesOf(by({ holds: ['Scomber scombrus', 'Clupea harengus'] }))
    expect(sets.length).toBeGreaterThan(0)
    for (const set of sets) expect(set).toEqual(expect.arrayContaining(['Scomber scombrus', 'Clupea harengus']))
    expect(by({ holds: ['Scomber scombrus'] }).pots[0]?.score ?? 0).toBeLessThan(plan(3).pots[0]?.score ?? 0)
    const offered = keepOffered({ ...book, offers: book.offers.map((offer) => ({ ...offer, prices: [] })) })
    expect(
      must(planPot(buildBrief({ method: 'stew', format: 'chunk' }), offered, { today: TODAY, k: 2, holds: best.slice(0, 2) })).pots,
    ).toHaveLength(1)
    const allergic = { diners: { allergies: ['mollusc'] } } as const
    expect(by({ holds: ['Mytilus edulis'] }, allergic)).toMatchObject({
      pots: [],
      emptyBecause: expect.stringMatching(/^Blue mussel cannot go in\. It is a mollusc, and a diner is allergic\./),
    })
  })

  it('says why there is none', () => {
    expect(plan(3, { pool: ['Gadus morhua', 'Lophius piscatorius'] })).toMatchObject({
      pots: [],
      considered: 2,
      emptyBecause: expect.stringContaining('Only 2 fish'),
    })
    expect(plan(2, { pool: ['Lophius piscatorius', 'Lophius americanus'] }).emptyBecause).toContain('flaking')
  })

  it('hangs on no order of the book', () => {
    const turned = { ...book, offers: [...book.offers].reverse() }
    const brief = buildBrief({ method: 'stew', format: 'chunk' })
    const species = (sheet: typeof book) =>
      must(planPot(brief, sheet, { today: TODAY, k: 3 }))
        .pots[0]?.places.map((place) => place.species)
        .sort()
    expect(species(turned)).toEqual(species(book))
  })

  it('refuses a pot of one or of six', () => {
    expect(() => listRoles('stew', 1)).toThrow(RangeError)
    expect(() => listRoles('stew', 6)).toThrow(RangeError)
  })
})

describe('what the pot costs', () => {
  const findSpecies = createFindSpecies(book.offers)
  const everyWhole = (priceOf: (species: string) => number | null) => ({
    ...book,
    offers: [
      ...applyMarket(
        book.offers,
        {
          prices: [...new Set(book.offers.map(({ species }) => species))].flatMap((species) => {
            const price = priceOf(species)
            return price === null ? [] : [{ species, form: 'fillet-skinless' as const, price, currency: 'EUR', unit: 'kg' as const }]
          }),
        },
        { date: TODAY, waters: null, findSpecies },
      ),
    ],
  })
  const brief = buildBrief({ method: 'stew', format: 'chunk', budget: { perPortion: 3, currency: 'EUR' } })
  const potsOf = (sheet: typeof book, patch: object = {}) => must(planPot({ ...brief, ...patch }, sheet, { today: TODAY, k: 3 })).pots

  it('is the sum of the shares, and not told where a price is not known', () => {
    for (const { places, portionCost } of potsOf(everyWhole(() => 12))) {
      const sum = places.reduce((total, place) => total + (place.portionCost?.typical ?? NaN), 0)
      expect(portionCost?.typical).toBeCloseTo(sum, 1)
    }
    for (const { places, portionCost } of potsOf(book)) {
      expect(portionCost).toBeNull()
      expect(places.every((place) => place.portionCost === null)).toBe(true)
    }
  })

  it('counts in every place: a fish that becomes dear does worse in its place, and none that is not priced does as well as before', () => {
    const [best] = potsOf(everyWhole(() => 8))
    const dear = best?.places[0]
    expect(dear).toBeDefined()
    const again = potsOf(everyWhole((species) => (species === dear?.species ? 80 : 8)))
    const fits = again.flatMap(({ places }) => places).filter(({ species }) => species === dear?.species)
    for (const { fit } of fits) expect(fit).toBeLessThan(dear?.fit ?? 0)
    expect(again[0]?.places.map(({ species }) => species)).not.toContain(dear?.species)
    const unknown = potsOf(
      everyWhole((species) => (species === dear?.species ? null : 8)),
      { pool: best?.places.map(({ species }) => species) },
    )
    expect(unknown[0]?.places.find(({ species }) => species === dear?.species)?.fit).toBeLessThan(dear?.fit ?? 0)
  })

  it('is of what can be bought, where only that is asked', () => {
    const sold = new Set(['Gadus morhua', 'Lophius piscatorius', 'Conger conger', 'Scomber scombrus', 'Pollachius virens'])
    const sheet = keepOffered(everyWhole((species) => (sold.has(species) ? 12 : null)))
    const pots = potsOf(sheet as typeof book)
    expect(pots.length).toBeGreaterThan(0)
    for (const { species } of pots.flatMap(({ places }) => places)) expect(sold.has(species)).toBe(true)
  })
})

describe('who eats from the pot, and what is told as one', () => {
  const offers = new Map(book.offers.map((offer) => [offer.id, offer]))
  const bonesOf = (offerId: string, format: 'chunk') => {
    const offer = offers.get(offerId)
    return offer ? readBones(offer, format).typical : 10
  }

  it('sets no bony fish before those who are shy of bones, in any place', () => {
    for (const k of [2, 3, 4])
      for (const { places } of plan(k, { diners: { boneShy: true }, covers: 4 }).pots)
        for (const { offerId, fit } of places) if (fit > 80) expect(bonesOf(offerId, 'chunk')).toBeLessThanOrEqual(3.5)
  })

  it('names near kin beside a fish and never as a pot of its own, and no fish beside itself', () => {
    const seen = new Set<string>()
    for (const { places } of plan(3).pots) {
      const names = places.map(({ common }) => common)
      for (const { or, common } of places) {
        expect(or).not.toContain(common)
        for (const twin of or) expect(names).not.toContain(twin)
      }
      const genera = places
        .map(({ species, role }) => `${role} ${species.split(' ')[0] ?? ''}`)
        .sort()
        .join()
      seen.add(genera)
    }
    expect(seen.size).toBeGreaterThan(1)
  })
})
