import {
  ALLERGENS,
  BAND_KEYS,
  FORMATS,
  METHODS,
  type BandKey,
  type Brief,
  type FleshKey,
  type OffFlavour,
  type ResolvedOffer,
} from '@tender-gill/contract'
import fc from 'fast-check'
import { AXES } from '../tables/constants.ts'
import { gridCell } from '../tables/cuts.ts'
import { listStyles } from '../tables/styles.ts'
import { buildOffer } from './builders.ts'

const FLESH: readonly FleshKey[] = ['firmness', 'flake', 'cohesion', 'flavour', 'tolerance', 'collagen', 'skin', 'binding', 'rawBite']
const scale = fc.integer({ min: 0, max: 100 }).map((n) => n / 10)

const fleshArbitrary = fc
  .tuple(fc.tuple(...FLESH.map(() => scale)), fc.integer({ min: 1, max: 300 }))
  .map(
    ([values, fat]) =>
      ({ ...Object.fromEntries(FLESH.map((key, i) => [key, values[i]])), fat: fat / 10 }) as Partial<Record<FleshKey, number>>,
  )

/** Invented fish of every kind, each with a name of its own. */
export const offersArbitrary = (minLength: number, maxLength: number): fc.Arbitrary<readonly ResolvedOffer[]> =>
  fc
    .array(
      fc.record({
        flesh: fleshArbitrary,
        origin: fc.constantFrom('wild' as const, 'farmed' as const),
        state: fc.constantFrom('fresh' as const, 'frozen' as const),
        parasites: fc.constantFrom('host' as const, 'controlled-feed' as const, 'low' as const, 'unknown' as const),
        water: fc.constantFrom('sea' as const, 'fresh' as const, 'unknown' as const),
        allergen: fc.constantFrom(...ALLERGENS),
        waxEster: fc.boolean(),
        bivalve: fc.boolean(),
        market: fc.constantFrom('premium' as const, 'everyday' as const, 'under-used' as const),
        scales: fc.constantFrom('none' as const, 'fine' as const, 'large' as const),
        offFlavours: fc.constantFrom<OffFlavour[]>([], ['earthy']),
        mercury: fc.constantFrom('low' as const, 'high' as const, 'very-high' as const),
      }),
      { minLength, maxLength },
    )
    .map((kinds) =>
      kinds.map((kind, i) => buildOffer(`Piscis ${'abcdefghijklmnopqrstuvwxyz'[i % 26]}${'abcdefghij'[Math.floor(i / 26)]}`, kind)),
    )

const pairsArbitrary = fc.constantFrom(
  ...METHODS.flatMap((method) =>
    FORMATS.filter((format) => gridCell(method, format) !== 'impossible').map((format) => ({ method, format })),
  ),
)

/** A band that is the right way up, on the trait's own scale. */
export const bandArbitrary = (key: BandKey) =>
  fc
    .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
    .map(
      ([a, b]) =>
        [Math.min(a, b), Math.max(a, b)].map((share) => AXES[key].min + share * Math.min(AXES[key].max - AXES[key].min, 1000)) as [
          number,
          number,
        ],
    )

const TEXTURE = BAND_KEYS.filter((key) => !['portionCost', 'landings', 'condition', 'stock', 'thickness', 'weight'].includes(key))
const askArbitrary = (key: BandKey) =>
  fc
    .record({ band: bandArbitrary(key), pull: fc.integer({ min: 0, max: 5 }), must: fc.option(fc.boolean(), { nil: undefined }) })
    .map(({ band: [from, to], pull, must }) => ({
      from,
      to,
      pull,
      ...(must === undefined ? {} : { must }),
    }))
const asksArbitrary = fc
  .array(fc.constantFrom(...TEXTURE), { maxLength: 4 })
  .chain((keys) => fc.record(Object.fromEntries([...new Set(keys)].map((key) => [key, askArbitrary(key)]))))

const dinersArbitrary = fc.record({
  children: fc.constantFrom(0, 0, 2),
  pregnant: fc.constantFrom(0, 0, 1),
  elderly: fc.constantFrom(0, 0, 1),
  finsAndScales: fc.constantFrom(false, false, true),
  portionsAWeek: fc.constantFrom(1, 3),
  boneShy: fc.boolean(),
  dislikesStrongFish: fc.boolean(),
  allergies: fc.uniqueArray(fc.constantFrom(...ALLERGENS), { maxLength: 2 }),
})

/** What a brief may say of money, water, parts and kinds; mostly nothing. */
const saidArbitrary = fc.record(
  {
    spend: fc.constantFrom('any' as const, 'everyday' as const, 'least' as const),
    spendMust: fc.boolean(),
    habitat: fc.constantFrom('any' as const, 'sea' as const, 'fresh' as const),
    part: fc.constantFrom('any' as const, 'body' as const, 'tail' as const, 'belly' as const),
    kinds: fc.uniqueArray(fc.constantFrom('fish' as const, 'crustacean' as const, 'cephalopod' as const, 'bivalve' as const), {
      minLength: 1,
    }),
  },
  { requiredKeys: [] },
)

/** Briefs that make sense: every method, cut, diner and leaning, with asks of their own. */
export const briefArbitrary: fc.Arbitrary<Brief> = fc
  .record({
    pair: pairsArbitrary,
    diners: dinersArbitrary,
    asks: asksArbitrary,
    rawTreatment: fc.constantFrom('none' as const, 'frozen' as const),
    smokeHeat: fc.constantFrom('hot' as const, 'cold' as const),
    skin: fc.constantFrom('any' as const, 'crisp' as const, 'off' as const),
    seasoning: fc.constantFrom('gentle' as const, 'balanced' as const, 'bold' as const),
    longCooking: fc.boolean(),
    wholeServes: fc.constantFrom(null, 1, 2),
    seed: fc.integer({ min: 0, max: 1000 }),
    style: fc.nat(),
    cooked: fc.boolean(),
    rare: fc.constantFrom(false, false, true),
    said: fc.oneof({ weight: 4, arbitrary: fc.constant({}) }, { weight: 1, arbitrary: saidArbitrary }),
  })
  .map(({ pair, style, cooked, rare, said, ...rest }) => {
    const styles = listStyles(pair.method)
    const { children, pregnant, elderly } = rest.diners
    const mayBeCooked = pair.method === 'cure' || (pair.method === 'smoke' && rest.smokeHeat === 'cold')
    return {
      ...{ dish: 'Any', ...pair, ...rest, ...said, covers: 6, draws: 100 },
      ...(styles.length > 0 ? { style: styles[style % styles.length] } : {}),
      ...(mayBeCooked && cooked ? { servedAs: 'cooked' } : {}),
      ...(rare && children + pregnant + elderly === 0 ? { doneness: 'rare' } : {}),
    } as Brief
  })
