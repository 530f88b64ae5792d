import { INK } from '../../theme.ts'
import { LINE, THIN, WATER, pick, type DrawSign } from './strokes.tsx'

/** A shell from the edge: shut, shutting when tapped, slow, gaping. */
export const shells: DrawSign = (level) => {
  const open = pick(level, [0, 9, 13, 24])
  return (
    <>
      <path d={`M14 40 Q44 ${8 - open / 3} 104 ${40 - open} Q60 ${36 - open / 2} 14 40`} {...LINE} fill="#4B5A66" />
      <path d={`M14 40 Q44 ${72 + open / 3} 104 ${40 + open} Q60 ${44 + open / 2} 14 40`} {...LINE} fill="#4B5A66" />
      {(level === 1 || level === 2) && (
        <path
          d={level === 1 ? 'M112 22 v12 m-4 -4 l4 4 l4 -4 M112 58 v-12 m-4 4 l4 -4 l4 4' : 'M112 24 v8 m-3 -3 l3 3 l3 -3'}
          {...LINE}
          stroke={INK.kelp}
        />
      )}
      {level === 3 && <path d="M66 32 l16 16 m0 -16 l-16 16" {...LINE} stroke={INK.dulse} />}
    </>
  )
}

const HALF = 'M10 28 Q20 70 62 70 Q104 66 112 28 Z'
/** The animal in its half shell: drawing back, plump, shrunken. */
export const mantle: DrawSign = (level) => (
  <>
    <path d={HALF} {...LINE} fill="#DCE4E6" />
    <path
      d={pick(level, [
        'M24 36 Q60 26 98 36 Q90 60 60 62 Q32 60 24 36 Z',
        'M26 38 Q60 30 96 38 Q88 58 60 60 Q34 58 26 38 Z',
        'M30 42 Q60 36 92 42 Q84 58 60 59 Q38 58 30 42 Z',
        'M46 50 Q60 46 76 50 Q72 60 60 61 Q50 60 46 50 Z',
      ])}
      {...LINE}
      strokeDasharray={level === 3 ? '3 3' : ''}
      fill="#EBC9A0"
    />
    {level < 2 && (
      <path
        d={level === 0 ? 'M60 6 v14 M36 20 h12 m-5 -4 l5 4 l-5 4 M84 20 h-12 m5 -4 l-5 4 l5 4' : 'M60 6 v14 M40 20 h8 m-3 -3 l3 3 l-3 3'}
        {...LINE}
        stroke={INK.kelp}
      />
    )}
  </>
)

/** How much water the shell still holds. */
export const shellWater: DrawSign = (level) => (
  <>
    <path d={HALF} {...LINE} fill={INK.ice} />
    {level < 3 && (
      <path
        d={pick(level, [
          'M12 34 Q24 68 62 68 Q102 64 110 34 Z',
          'M18 46 Q32 68 62 68 Q94 66 104 46 Z',
          'M32 60 Q46 68 62 68 Q80 67 92 59 Z',
          '',
        ])}
        fill={WATER}
        stroke={INK.tide}
        strokeWidth={1.5}
      />
    )}
    {level === 3 && <path d="M34 50 l8 6 l8 -6 l8 6 l8 -6 l8 6" {...THIN} stroke={INK.slate} />}
  </>
)

const RINGS = [46, 60, 74, 88] as const
const Prawn = ({ gap = 0, dark = 0 }: { readonly gap?: number; readonly dark?: number }) => (
  <>
    <path d={`M${40 - gap} 20 Q12 22 6 40 Q12 54 ${40 - gap} 56 Z`} {...LINE} fill={dark > 0 ? '#3A3A3A' : '#E9B79C'} />
    <path d="M40 20 Q78 12 100 36 l14 -4 l-4 16 l-12 -2 Q84 58 40 56 Z" {...LINE} fill="#E9B79C" />
    {RINGS.map((x, i) => (
      <path
        key={x}
        d={`M${x} ${18 + i * 1.5} Q${x + 5} 38 ${x} ${57 - i}`}
        {...LINE}
        strokeWidth={dark > 1 ? 5 : 2}
        stroke={dark > 1 ? '#3A3A3A' : INK.squid}
      />
    ))}
    {dark > 2 && <path d="M52 24 Q78 20 94 36 Q80 46 54 46 Z" fill="#3A3A3A" opacity={0.8} />}
    <path d={`M${10 - gap / 2} 36 Q-4 18 4 6 M${12 - gap / 2} 32 Q4 14 16 4`} {...THIN} />
  </>
)
/** Head and body of a prawn: tight, loose, apart. */
export const headJoint: DrawSign = (level) => <Prawn gap={pick(level, [0, 4, 10, 20])} />
/** Black spots: at the head, between the rings, along the tail. */
export const blackening: DrawSign = (level) => <Prawn dark={level} />

const MANTLE = 'M60 4 Q92 30 86 70 H34 Q28 30 60 4 Z'
const SPECKLES = Array.from({ length: 22 }, (_, i) => [38 + ((i * 29) % 45), 24 + ((i * 17) % 42)] as const)
/** The skin of a squid: lively speckles, pale, an even pink, torn. */
export const squidSkin: DrawSign = (level) => (
  <>
    <path d={MANTLE} {...LINE} fill={pick(level, ['#F2E9E2', '#F5F1EC', '#E7BFB6', '#A98AA0'])} />
    {level < 2 &&
      SPECKLES.slice(0, level === 0 ? 22 : 10).map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={level === 0 ? 2.6 : 1.8} fill={level === 0 ? '#6B2F2A' : '#B08A80'} />
      ))}
    {level === 3 && <path d="M48 22 l6 10 l-7 8 l8 12 M70 26 l-4 12 l7 8" {...LINE} />}
  </>
)

/** Its flesh: almost clear, white, pink, yellow. */
export const squidFlesh: DrawSign = (level) => (
  <>
    <path d={MANTLE} {...LINE} fill={pick(level, ['#F8FBFB', '#EFEFEA', '#E9C9C3', '#D6C98E'])} />
    {level === 0 && <path d="M48 26 q12 -10 24 0 M44 42 q16 -10 32 0" {...THIN} stroke={INK.tide} />}
    {level === 2 && <path d="M46 34 h28 M42 48 h36" {...THIN} stroke="#B07A70" />}
    {level === 3 && <path d="M44 30 l32 10 M40 44 l40 10 M42 60 l36 4" {...THIN} stroke={INK.brass} />}
  </>
)
