import { Type, type Static } from '@sinclair/typebox'
import { Brief } from './brief.ts'
import { SentenceText } from './facts.ts'
import { Caution } from './lineUp.ts'
import { closed, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { COOK_MEDIA, DONENESSES, WINDOW_KINDS } from './vocabulary.ts'

const Celsius = Type.Number({ minimum: -40, maximum: 400 })
const Minutes = Type.Number({ minimum: 0 })

/** One stage of cooking as somebody asks for it. What has no minutes shares what the piece needs besides. */
export const CookStage = closed({
  medium: oneOf(COOK_MEDIA),
  celsius: Type.Optional(Celsius),
  minutes: Type.Optional(Type.Number({ minimum: 0, maximum: 1440 })),
  share: Type.Optional(
    Type.Number({ minimum: 0, maximum: 1, description: 'Of the minutes that are not fixed; as much each where none is said.' }),
  ),
  turned: Type.Optional(Type.Boolean({ description: 'Turned over before it.' })),
})
export type CookStage = Static<typeof CookStage>

/** A brief, the fish that is cooked for it, and how. */
export const CookRequest = closed(
  {
    ...Brief.properties,
    fish: Text(120),
    offer: Type.Optional(Text(120)),
    weightG: Type.Optional(
      Type.Number({ minimum: 5, maximum: 20_000, description: 'Of one whole fish, or of one piece as it goes in; as the dish has it.' }),
    ),
    startC: Type.Optional(Type.Number({ minimum: -40, maximum: 40, description: 'In the middle when it goes in; default 5.' })),
    stages: Type.Optional(Type.Array(CookStage, { minItems: 1, maxItems: 8, description: 'As the method goes where none are said.' })),
    serveAt: Type.Optional(Type.String({ pattern: '^([01]\\d|2[0-3]):[0-5]\\d$', description: 'Hour of service, HH:MM.' })),
  },
  { $id: 'CookRequest' },
)
export type CookRequest = Static<typeof CookRequest>

/** A stage as it comes to be. */
export const CookedStage = closed({
  medium: oneOf(COOK_MEDIA),
  celsius: Celsius,
  fromMinutes: Minutes,
  toMinutes: Minutes,
  /** What lies on the heat; all of it where the heat is all round. */
  face: oneOf(['skin', 'flesh', 'all']),
  turned: Type.Boolean(),
  /** What it holds in the kitchen while it lasts. */
  place: nullable(Text(20)),
  rest: Type.Boolean(),
})
export type CookedStage = Static<typeof CookedStage>

export const CookMoment = closed({
  minute: Minutes,
  coreC: Type.Number(),
  surfaceC: Type.Number(),
  /** Through the piece, from the face below to that above as it lies at that moment; of a round body from its middle outwards. */
  throughC: Type.Array(Type.Number()),
})
export type CookMoment = Static<typeof CookMoment>

/** What is done to a fish before it is cooked, and the time in which that does good. */
export const PrepareWindow = closed({
  kind: oneOf(WINDOW_KINDS),
  fromMinutes: Minutes,
  toMinutes: Minutes,
  /** The same with what is not known of how fast it goes in. */
  from: Range,
  to: Range,
  /** Whether it is usual with this way of cooking. */
  usual: Type.Boolean(),
  /** g of salt for 100 g of fish, or for a litre of water; null without salt. */
  salt: nullable(closed({ g: Type.Number(), to: oneOf(['100g', 'litre']) })),
  /** g of salt that 100 g of fish has taken up in the middle of the window. */
  takenG: nullable(Type.Number()),
  how: SentenceText(300),
  tooShort: SentenceText(200),
  tooLong: SentenceText(200),
})
export type PrepareWindow = Static<typeof PrepareWindow>

/** How a fish is cooked for a dish: what happens in it, when to take it out, what to look for. */
export const Cook = closed(
  {
    species: ScientificName,
    offerId: Text(120),
    depthMm: Type.Number({ description: 'At the thickest, as far as it counts.' }),
    startC: Type.Number(),
    targetC: Type.Number(),
    doneness: oneOf(DONENESSES),
    reachedBy: oneOf(['pull', 'rest']),
    composition: closed({ water: Type.Number(), protein: Type.Number(), fat: Type.Number(), ash: Type.Number() }),
    /** At 40 °C: W/(m K), kg/m3, J/(kg K), m2/s. */
    properties: closed({
      conductivity: Type.Number(),
      density: Type.Number(),
      heatCapacity: Type.Number(),
      diffusivity: Type.Number(),
    }),
    pull: closed({
      minutes: Range,
      coreC: Type.Number({ description: 'In the coldest plane.' }),
      probeC: Range,
    }),
    peakC: Type.Union([Range], { description: 'Where it comes to by the clock alone: taken out a fifth early, in time, a fifth late.' }),
    total: Type.Union([Range], { description: 'Minutes until the middle is at its hottest.' }),
    stages: Type.Array(CookedStage),
    curve: Type.Array(CookMoment),
    f70Minutes: Type.Number({ description: 'Minutes at 70 °C that the heat was worth where it was worth least, z 7.5 K.' }),
    logCut: Type.Number({ description: 'Powers of ten of Listeria that this is commonly held to kill.' }),
    signs: Type.Array(closed({ kind: Text(30), minutes: nullable(Range), sentence: SentenceText(200) })),
    /** Each school of doing it; minutes null where it cannot be had so. */
    schools: Type.Array(
      closed({
        doneness: oneOf(DONENESSES),
        targetC: Type.Number(),
        minutes: nullable(Range),
        coreC: nullable(Type.Number()),
        closed: Type.Boolean(),
      }),
    ),
    /** Of a fillet: its thin end when its thick end is done. */
    thinEnd: nullable(
      closed({ depthMm: Type.Number(), peakC: Type.Number(), minutes: nullable(Type.Number({ description: 'By itself.' })) }),
    ),
    /** What the minutes hang on: each a little less and a little more. */
    sensitivity: Type.Array(
      closed({ what: oneOf(['thickness', 'start', 'target', 'heat']), less: nullable(Minutes), more: nullable(Minutes) }),
    ),
    windows: Type.Array(PrepareWindow),
    schedule: nullable(Type.Array(closed({ at: Text(5), minutesBefore: Type.Number(), sentence: SentenceText(200) }))),
    cautions: Type.Array(Caution),
    sentence: SentenceText(400),
    engineVersion: Text(20),
  },
  { $id: 'Cook' },
)
export type Cook = Static<typeof Cook>
