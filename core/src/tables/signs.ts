import type { Box, Circumstance, Kind, LookView, PlaceKind, Sign, SignLevel } from '@tender-gill/contract'

/** What a sign is worth, and what makes it lie. */
export interface SignEntry {
  /** Days on ice until its last level, as a share of what the class of storage keeps. */
  readonly spanOfKeeping: number
  /** How far it is believed, 0..1. */
  readonly trust: number
  /** From this level on the fish is left, whatever the rest says. */
  readonly vetoFrom?: number
  /** What is left of the trust at most where a circumstance holds: nothing, or a half. */
  readonly falseAlarms: { readonly [C in Circumstance]?: 0 | 0.5 }
}

/**
 * The signs of age, after the demerit schemes that inspectors use (raw fish by eye, nose and finger; compiled, no measurement of ours). Smell
 * and gills tell most; ice, a sour rinse and a fish's own nature make some of them lie. The signs of one fish go together, so none is believed
 * as if it stood alone: all of a whole fish weigh as much as four or five that knew nothing of each other.
 */
export const SIGN_TABLE: Record<Sign, SignEntry> = {
  'gill-smell': { spanOfKeeping: 1.1, trust: 0.7, vetoFrom: 3, falseAlarms: { 'gills-out': 0 } },
  'gill-colour': { spanOfKeeping: 0.9, trust: 0.6, falseAlarms: { 'gills-out': 0, 'sour-rinse': 0.5 } },
  eyes: { spanOfKeeping: 0.9, trust: 0.5, falseAlarms: { 'sour-rinse': 0, 'on-ice': 0, 'large-eyed': 0.5 } },
  pupil: { spanOfKeeping: 1, trust: 0.4, falseAlarms: { 'sour-rinse': 0, 'on-ice': 0.5 } },
  spring: { spanOfKeeping: 1, trust: 0.5, vetoFrom: 3, falseAlarms: { thawed: 0.5, 'soft-flesh': 0.5 } },
  belly: { spanOfKeeping: 1, trust: 0.5, vetoFrom: 3, falseAlarms: { 'soft-flesh': 0.5 } },
  slime: { spanOfKeeping: 1.1, trust: 0.4, falseAlarms: { 'sour-rinse': 0, slimy: 0.5 } },
  skin: { spanOfKeeping: 1, trust: 0.3, falseAlarms: { 'on-ice': 0.5, thawed: 0.5 } },
  'spine-blood': { spanOfKeeping: 1.1, trust: 0.4, falseAlarms: { 'sour-rinse': 0.5 } },
  stiffness: { spanOfKeeping: 0.4, trust: 0.3, falseAlarms: { 'on-ice': 0.5, thawed: 0 } },
  smell: { spanOfKeeping: 1.1, trust: 0.7, vetoFrom: 3, falseAlarms: {} },
  surface: { spanOfKeeping: 0.9, trust: 0.5, vetoFrom: 3, falseAlarms: { 'sour-rinse': 0.5 } },
  'flesh-colour': { spanOfKeeping: 1, trust: 0.4, falseAlarms: { 'kept-colour': 0, 'on-ice': 0.5 } },
  'blood-line': { spanOfKeeping: 0.9, trust: 0.5, falseAlarms: { 'kept-colour': 0, 'sour-rinse': 0.5 } },
  gaping: { spanOfKeeping: 0.9, trust: 0.3, falseAlarms: { thawed: 0.5, 'soft-flesh': 0.5 } },
  drip: { spanOfKeeping: 0.9, trust: 0.3, falseAlarms: { thawed: 0 } },
  'ice-burn': { spanOfKeeping: 1.5, trust: 0.1, falseAlarms: { 'on-ice': 0, thawed: 0.5 } },
  shells: { spanOfKeeping: 0.9, trust: 0.7, vetoFrom: 3, falseAlarms: { 'on-ice': 0.5 } },
  mantle: { spanOfKeeping: 0.9, trust: 0.5, falseAlarms: { 'on-ice': 0.5 } },
  'shell-water': { spanOfKeeping: 0.9, trust: 0.4, falseAlarms: { 'on-ice': 0.5 } },
  'head-joint': { spanOfKeeping: 0.9, trust: 0.6, falseAlarms: { thawed: 0.5 } },
  blackening: { spanOfKeeping: 0.8, trust: 0.5, falseAlarms: { 'kept-colour': 0 } },
  'squid-skin': { spanOfKeeping: 0.8, trust: 0.5, falseAlarms: { 'on-ice': 0.5, thawed: 0.5 } },
  'squid-flesh': { spanOfKeeping: 1, trust: 0.5, falseAlarms: { 'kept-colour': 0 } },
}

/** Levels of every sign, just landed first. */
export const LEVELS: readonly SignLevel[] = [0, 1, 2, 3]

/** What can be looked at, by how the fish lies there; shellfish by the animal. */
export const SIGNS_OF_VIEW: Record<Exclude<LookView, 'shellfish'>, readonly Sign[]> = {
  whole: ['gill-smell', 'gill-colour', 'eyes', 'pupil', 'spring', 'belly', 'slime', 'skin', 'spine-blood', 'stiffness'],
  fillet: ['smell', 'spring', 'surface', 'flesh-colour', 'blood-line', 'gaping', 'drip', 'ice-burn'],
}
export const SIGNS_OF_SHELLFISH: Record<Exclude<Kind, 'fish'>, readonly Sign[]> = {
  bivalve: ['smell', 'shells', 'mantle', 'shell-water'],
  crustacean: ['smell', 'head-joint', 'blackening', 'spring'],
  cephalopod: ['smell', 'squid-skin', 'squid-flesh', 'spring', 'eyes'],
}

/** Spread of a level around what its age makes of it: 2 s^2 with s = 0.6 levels. */
export const LEVEL_SPREAD = 0.72
/** Age on ice of a fish that is for sale, before anything is seen of it: median, days, and spread of its logarithm. */
export const USUAL_PRIOR = { medianIceDays: 3, lnSd: 0.7 } as const
/** Ages on ice that are told apart, days. */
export const AGE_GRID = { stepDays: 0.25, steps: 100 } as const
/** Chances that a fish keeps as long as it must, from which on it is bought, cooked today, or asked for at less. */
export const LOOK_LINES = { sure: 0.9, strict: 0.95, less: 0.6 } as const
/** What counts as today, ice-days. */
export const TODAY_ICE_DAYS = 0.5

/** Heat through the walls of what fish is carried in, W/K; estimates, not measured on these boxes. */
export const BOX_UA_W_PER_K: Record<Box, number> = { 'eps-20l': 0.7, cooler: 0.5, 'thin-bag': 1.8, 'open-tray': 4 }
/** Heat capacity of fish, J/(kg K); heat of melting of ice, J/kg; more ice than reckoned, since heat and hands are not even. */
export const ICE = { fishJPerKgK: 3600, meltJPerKg: 334_000, margin: 1.25 } as const
/** At what warmth hours left are told, °C: ice, a cold shelf, a usual fridge, a warm one, a kitchen. */
export const TOLD_WARMTHS_C = [0, 2, 4, 7, 10, 20] as const
/** What an unknown warm stretch counts at, °C. */
export const UNKNOWN_WARMTH_C = 15

/** Hours for which a bed of ice keeps fish at 0 °C in a fridge before it wants to be drained and renewed: morning and evening. */
export const ICE_HOURS = 12
/** Hours after which a reading says nothing any more of how warm a place is. */
export const READING_HOURS = 2

interface PlaceLimit {
  /** Above this it is too warm for what it is; null where any warmth is meant. */
  readonly limitC: number | null
  /** Minutes above it that an open door explains. */
  readonly minutes: number
  /** For so many hours back what was warm is told. */
  readonly toldHours: number
  /** Hours of silence after which a thermometer is no longer trusted. */
  readonly silentHours: number
}
/** When a place is too warm: 5 °C for a fridge as commonly published, -15 °C for a freezer, which is set to -18. */
export const PLACE_LIMITS: Record<PlaceKind, PlaceLimit> = {
  fridge: { limitC: 5, minutes: 30, toldHours: 24, silentHours: 2 },
  ice: { limitC: 2, minutes: 30, toldHours: 24, silentHours: 2 },
  freezer: { limitC: -15, minutes: 60, toldHours: 24, silentHours: 2 },
  shelf: { limitC: null, minutes: 0, toldHours: 0, silentHours: 2 },
}

/** When a dish is eaten where nobody says the hour, local. */
export const SERVICE_HOUR = 18
