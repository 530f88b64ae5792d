import { Type, type Static } from '@sinclair/typebox'
import { closed, oneOf } from './schemaParts.ts'

const SHAPES = ['slab', 'cylinder', 'sphere'] as const
const Warmth = Type.Number({ minimum: -60, maximum: 500 })

/** One body of constant properties in one medium. */
export const ConductRequest = closed(
  {
    shape: oneOf(SHAPES),
    halfThicknessMm: Type.Number({ exclusiveMinimum: 0, maximum: 1000, description: 'From the middle to the surface.' }),
    alpha: Type.Number({ exclusiveMinimum: 0, maximum: 1e-3, description: 'Diffusivity, m2/s.' }),
    k: Type.Number({ exclusiveMinimum: 0, maximum: 1000, description: 'Conductivity, W/(m K).' }),
    h: Type.Number({ exclusiveMinimum: 0, maximum: 1e6, description: 'Heat transfer at the surface, W/(m2 K).' }),
    T0: Warmth,
    Tinf: Warmth,
    tSeconds: Type.Number({ minimum: 0, maximum: 1e7 }),
  },
  { $id: 'ConductRequest' },
)
export type ConductRequest = Static<typeof ConductRequest>

/** Temperatures after that time, °C. */
export const Conducted = closed({ centreC: Type.Number(), surfaceC: Type.Number(), meanC: Type.Number() }, { $id: 'Conducted' })
export type Conducted = Static<typeof Conducted>
