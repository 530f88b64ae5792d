import { INK } from '../../theme.ts'
import { BLOOD, FLESH, LINE, THIN, WATER, pick, type DrawSign } from './strokes.tsx'

const OUTLINE = 'M8 46 Q12 18 46 14 Q82 10 104 30 L114 26 L112 48 Q86 66 50 66 Q14 66 8 46 Z'
const FLAKES = [24, 38, 52, 66, 80, 93] as const
/** A fillet as it lies: head end left, its flakes as arcs. */
const Fillet = ({ fill = FLESH[0], flakes = '#B9C6C9' }: { readonly fill?: string; readonly flakes?: string }) => (
  <>
    <path d={OUTLINE} {...LINE} fill={fill} />
    {FLAKES.map((x, i) => (
      <path key={x} d={`M${x} ${20 + Math.abs(i - 2)} q9 12 0 21 q9 10 0 ${17 - Math.abs(i - 2)}`} {...THIN} stroke={flakes} />
    ))}
  </>
)

/** The cut face: moist and shining, then dull, dry at the edges, sticky. */
export const surface: DrawSign = (level) => (
  <>
    <Fillet />
    {level === 0 && <path d="M22 30 q20 -12 44 -9 M30 42 q24 -12 56 -6" {...LINE} strokeWidth={4} stroke={WATER} />}
    {level === 0 && <path d="M96 4 v14 M89 11 h14 M91 6 l10 10 M101 6 l-10 10" {...THIN} stroke={INK.tide} />}
    {level === 1 && <path d="M24 56 q30 6 60 -2" {...THIN} stroke={INK.slate} strokeDasharray="2 6" />}
    {level === 2 && <path d={OUTLINE} {...LINE} strokeWidth={6} strokeDasharray="2 5" stroke={INK.brass} />}
    {level === 3 && <path d="M38 26 q2 -18 8 -22 M54 22 q0 -14 4 -20 M72 22 q4 -12 0 -20 M40 44 q20 8 44 0" {...LINE} stroke={INK.brass} />}
  </>
)

/** The flesh: almost clear, milky, grey, yellow at the edges. */
export const fleshColour: DrawSign = (level) => (
  <>
    <Fillet
      fill={pick(level, ['#F8FBFB', '#E6E8E0', '#C3C8C4', '#EDE6CB'])}
      flakes={pick(level, ['#6E8B93', '#C9CEC8', '#A9B0AD', '#C9BC8E'])}
    />
    {level === 2 && <path d="M34 30 l10 24 M50 28 l10 26 M66 28 l10 26 M82 30 l8 22" {...THIN} stroke={INK.slate} />}
    {level === 3 && <path d={OUTLINE} fill="none" stroke="#A9842E" strokeWidth={7} />}
  </>
)

/** The dark line along the middle: red and narrow, then brown and spreading. */
export const bloodLine: DrawSign = (level) => (
  <>
    <Fillet />
    {level === 3 && <path d="M18 46 Q60 32 104 42" stroke="#C9B08F" strokeWidth={20} fill="none" strokeLinecap="round" />}
    <path d="M16 46 Q60 34 106 42" fill="none" stroke={BLOOD[level]} strokeWidth={pick(level, [4, 5, 7, 9])} strokeLinecap="round" />
  </>
)

const GAPS = [
  [],
  ['M44 26 q4 14 0 30', 'M70 24 q4 14 0 32'],
  ['M36 26 q12 14 0 32 q-4 -16 0 -32', 'M58 22 q14 16 0 38 q-4 -18 0 -38', 'M82 24 q12 14 0 34 q-4 -16 0 -34'],
  [
    'M28 28 q16 14 0 30 q-6 -14 0 -30',
    'M46 22 q20 18 0 40 q-6 -20 0 -40',
    'M68 20 q20 18 0 42 q-6 -20 0 -42',
    'M90 26 q16 14 -2 32 q-4 -16 2 -32',
  ],
] as const
/** The layers of the flesh: closed, split, open, falling apart. */
export const gaping: DrawSign = (level) => (
  <>
    <Fillet />
    {GAPS[level].map((gap) => (
      <path key={gap} d={gap} {...(level === 1 ? THIN : LINE)} fill={level > 1 ? INK.squid : 'none'} fillOpacity={0.8} />
    ))}
  </>
)

/** The tray under it: dry, drops, wet, a pool. */
export const drip: DrawSign = (level) => (
  <>
    <path d="M8 44 l8 26 h88 l8 -26" {...LINE} />
    {level > 1 && (
      <path
        d={pick(level, ['', '', 'M15 64 h90 l-1 6 h-88 z', 'M11 54 h98 l-5 16 h-88 z'])}
        fill={WATER}
        stroke={INK.tide}
        strokeWidth={1.5}
      />
    )}
    <path d="M24 34 Q60 8 98 34 Q60 52 24 34 Z" {...LINE} fill={FLESH[0]} />
    {level === 1 && <path d="M50 52 q-4 7 0 9 q4 -2 0 -9 M72 54 q-4 7 0 9 q4 -2 0 -9" {...THIN} fill={WATER} stroke={INK.tide} />}
  </>
)

/** Burnt by ice or frost: a white edge, dry patches, leather. */
export const iceBurn: DrawSign = (level) => (
  <>
    <Fillet fill="#E3D3C4" />
    {level === 1 && <path d="M88 24 Q106 34 111 40 Q104 52 92 57" fill="none" stroke={INK.ice} strokeWidth={9} />}
    {level > 1 && (
      <g fill={level === 2 ? INK.ice : '#D8C98E'} stroke={INK.slate} strokeWidth={1.5} strokeDasharray={level === 2 ? '3 3' : ''}>
        <ellipse cx={38} cy={42} rx={13} ry={9} />
        <ellipse cx={74} cy={34} rx={15} ry={8} />
        <ellipse cx={92} cy={48} rx={9} ry={6} />
      </g>
    )}
    {level === 3 && <path d="M30 42 h16 M62 34 h24 M86 48 h12" {...THIN} stroke={INK.brass} />}
  </>
)
