import type { Method, WindowKind } from '@tender-gill/contract'

/** What goes in from the faces: salt up to a share of what surrounds it, or a front that turns the flesh. */
export type Uptake =
  | {
      readonly kind: 'salt'
      /** At the face while there is some, g of salt in 100 g of flesh: what is strewn melts to strong brine there. */
      readonly faceG: number
      /** There is no more of it than this, g to 100 g of flesh; null where there is more than could go in. */
      readonly strewnG: number | null
      /** Wanted in the flesh on the whole, g in 100 g, and where it is too much; null where it cannot be. */
      readonly fromG: number
      readonly toG: number | null
      /** Skin lets brine through from its side; strewn salt stays on it. */
      readonly throughSkin: boolean
    }
  | {
      readonly kind: 'front'
      /** How deep it has to be to do anything, and where it is too deep, mm; never beyond the middle. */
      readonly fromMm: number
      readonly toMm: number
    }

export interface WindowEntry {
  readonly uptake: Uptake
  /** How fast it goes in compared with salt in lean flesh. */
  readonly speed: number
  /** Longest it is left, min, whatever the salt says. */
  readonly mostMinutes: number
  readonly salt: { readonly g: number; readonly to: '100g' | 'litre' } | null
  /** Ways of cooking with which it is usual. */
  readonly methods: ReadonlySet<Method>
}

/**
 * Diffusion of salt in raw flesh, m2/s: orders of magnitude from published measurements, slower in fat and through connective tissue. The
 * range is that of the figure itself, not of fish.
 */
export const SALT_DIFFUSIVITY = { low: 3e-10, typical: 6e-10, high: 1.1e-9 } as const
/** Fat lets less through: the share lost for each g in 100 g. */
export const FAT_SLOWS = 0.025

/** Dry heat, where water has to go first. */
const DRY: readonly Method[] = ['pan-sear', 'shallow-fry', 'grill', 'broil', 'roast', 'roast-whole']
const MOIST: readonly Method[] = ['steam', 'steam-whole', 'wrap-steam', 'poach', 'sous-vide']

/** Compiled: what kitchens do, with the salt that makes sense of it. */
export const WINDOW_TABLE: Record<WindowKind, WindowEntry> = {
  // Cold, lightly salted water takes what smells off the surface.
  soak: {
    uptake: { kind: 'front', fromMm: 1.2, toMm: 2.6 },
    speed: 1.4,
    mostMinutes: 40,
    salt: { g: 10, to: 'litre' },
    methods: new Set<Method>([...MOIST, 'deep-fry', 'stew', 'curry']),
  },
  // By weight: once it is in, there is no more of it, and it can be left until the edge dries.
  'dry-salt': {
    uptake: { kind: 'salt', faceG: 15, strewnG: 1.2, fromG: 0.5, toG: null, throughSkin: false },
    speed: 1,
    mostMinutes: 16 * 60,
    salt: { g: 1.2, to: '100g' },
    methods: new Set<Method>([...DRY, ...MOIST]),
  },
  // Five in a hundred; the flesh would end near four. A little on the whole is enough: the outside is what the tongue meets.
  brine: {
    uptake: { kind: 'salt', faceG: 3.7, strewnG: null, fromG: 0.25, toG: 0.6, throughSkin: true },
    speed: 1,
    mostMinutes: 240,
    salt: { g: 50, to: 'litre' },
    methods: new Set<Method>([...DRY, 'smoke', 'deep-fry', 'sous-vide']),
  },
  // Sugar holds the water and slows the salt.
  'sweet-salt': {
    uptake: { kind: 'salt', faceG: 7, strewnG: null, fromG: 0.6, toG: 1.6, throughSkin: true },
    speed: 0.5,
    mostMinutes: 72 * 60,
    salt: null,
    methods: new Set<Method>(['grill', 'broil', 'roast', 'pan-sear']),
  },
  // Acid turns the flesh as far as its front has come.
  sour: {
    uptake: { kind: 'front', fromMm: 1.5, toMm: 4.5 },
    speed: 1.2,
    mostMinutes: 240,
    salt: null,
    methods: new Set<Method>(['raw', 'grill', 'deep-fry', 'shallow-fry']),
  },
  milk: {
    uptake: { kind: 'front', fromMm: 1.5, toMm: 4 },
    speed: 0.8,
    mostMinutes: 180,
    salt: null,
    methods: new Set<Method>(['deep-fry', 'shallow-fry', 'pan-sear', 'poach', 'chowder']),
  },
  // Six g to a hundred with as much sugar; nearly all of it goes in.
  cure: {
    uptake: { kind: 'salt', faceG: 17, strewnG: 6, fromG: 2, toG: 4, throughSkin: false },
    speed: 0.8,
    mostMinutes: 72 * 60,
    salt: { g: 6, to: '100g' },
    methods: new Set<Method>(['raw', 'cure', 'smoke']),
  },
}
