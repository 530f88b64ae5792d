import { INK } from '../../theme.ts'
import { BLOOD, LINE, THIN, pick, type DrawSign } from './strokes.tsx'

/** The eye from the side: how full it stands under its lid, and how clear it is. */
export const eyes: DrawSign = (level) => {
  const lid = pick(level, [10, 24, 34, 50])
  const clear = pick(level, [INK.ice, '#E3E9EA', '#CCD6D8', '#BFCACB'])
  return (
    <>
      <circle cx={60} cy={44} r={19} {...LINE} fill={clear} />
      <circle cx={60} cy={44} r={9} fill={pick(level, [INK.squid, '#4A5A62', '#8A999F', '#AEBABD'])} />
      {level === 0 && <circle cx={56} cy={40} r={2.6} fill={INK.ice} />}
      {level === 3 && <path d="M47 36 q13 8 26 0 M46 44 q14 8 28 0" {...THIN} stroke={INK.slate} />}
      <path d={`M18 46 Q60 ${lid - 14} 102 46`} {...LINE} />
    </>
  )
}

/** The pupil from the front: black and sharp, then grey, then milky without an edge. */
export const pupil: DrawSign = (level) => (
  <>
    <circle cx={60} cy={40} r={30} {...LINE} fill={INK.ice} />
    <circle
      cx={60}
      cy={40}
      r={15}
      fill={pick(level, [INK.squid, '#44545C', '#93A1A6', '#D2DADB'])}
      stroke={level < 2 ? INK.squid : INK.slate}
      strokeWidth={level === 0 ? 2.5 : 1.5}
      strokeDasharray={pick(level, ['', '', '3 3', '1 5'])}
    />
    {level === 0 && <circle cx={54} cy={34} r={4} fill={INK.ice} />}
  </>
)

const ARCHES = [0, 1, 2, 3] as const
/** The gills under the lifted cover: fine red combs that darken and stick together. */
export const gillColour: DrawSign = (level) => (
  <>
    <path d="M28 8 Q8 40 28 72" {...LINE} />
    {ARCHES.map((arch) => {
      const x = 40 + arch * 17
      return (
        <g key={arch} stroke={BLOOD[level]} strokeLinecap="round" fill="none">
          <path d={`M${x} 14 Q${x - 14} 40 ${x} 66`} strokeWidth={pick(level, [4, 4.5, 6, 8])} />
          {level < 3 &&
            Array.from({ length: pick(level, [7, 6, 4, 0]) }, (_, i, n = pick(level, [7, 6, 4, 0])) => {
              const t = (i + 0.5) / n
              const y = 14 + 52 * t
              const bow = x - 7 * (1 - (2 * t - 1) ** 2)
              return <path key={i} d={`M${bow} ${y} l10 0`} strokeWidth={pick(level, [1.8, 2, 3, 0])} />
            })}
        </g>
      )
    })}
    {level === 3 && <path d="M48 24 q8 5 16 0 M66 50 q8 5 18 0" stroke={INK.slate} strokeWidth={2.5} fill="none" />}
  </>
)

/** What the nose meets: the sea, nothing, a damp cloth, something sharp. */
export const smell: DrawSign = (level) => (
  <>
    <path d="M30 12 Q22 34 12 50 Q14 60 30 58 Q36 60 38 52" {...LINE} />
    {pick(level, [
      <path key="sea" d="M48 30 q9 -9 18 0 t18 0 t18 0 M48 46 q9 -9 18 0 t18 0 t18 0" {...LINE} stroke={INK.tide} />,
      <path key="none" d="M54 40 h6 M70 40 h6 M86 40 h6" {...LINE} stroke={INK.slate} />,
      <g key="stale" {...LINE} stroke={INK.slate}>
        <path d="M50 26 h46 v30 q-6 5 -12 0 t-11 0 t-12 0 t-11 0 z" />
        <path d="M58 34 h30 M58 42 h30" strokeWidth={1.5} />
      </g>,
      <path key="sharp" d="M48 40 l9 -16 l8 26 l9 -34 l9 42 l8 -28 l9 12" {...LINE} strokeWidth={3.5} stroke={INK.dulse} />,
    ])}
  </>
)

/** A finger pressed in and lifted: what is left of the dent. */
export const spring: DrawSign = (level) => {
  const dent = pick(level, [0, 7, 15, 20])
  const flesh = level === 3 ? `M6 46 h14 q9 ${dent} 18 0 h14 q9 ${dent} 18 0 h44 V72 H6 Z` : `M6 46 h34 q20 ${2 * dent} 40 0 h34 V72 H6 Z`
  return (
    <>
      <path d={flesh} {...LINE} fill="#EFE6DF" />
      {level < 3 && <path d="M52 6 q0 -4 8 -4 t8 4 v20 q0 8 -8 8 t-8 -8 z" {...LINE} fill={INK.ice} />}
      {level === 0 && <path d="M90 42 v-18 m-6 7 l6 -7 l6 7" {...LINE} stroke={INK.kelp} />}
      {level === 1 && <path d="M90 42 v-10 m-5 5 l5 -5 l5 5" {...LINE} stroke={INK.kelp} />}
      {level === 3 && <path d="M21 24 l10 10 m0 -10 l-10 10 M53 24 l10 10 m0 -10 l-10 10" {...THIN} stroke={INK.dulse} />}
    </>
  )
}

/** The belly from the side: tight, slack, burst with the bones through. */
export const belly: DrawSign = (level) => (
  <>
    <path d="M8 30 Q60 4 104 28 l12 -10 v24 l-12 -8" {...LINE} />
    <path
      d={pick(level, [
        'M8 30 Q56 62 104 34',
        'M8 30 Q56 72 104 34',
        'M8 30 Q34 58 52 66 T104 34',
        'M8 30 Q26 52 40 54 l5 10 l6 -12 l6 14 l6 -14 l7 11 L104 34',
      ])}
      {...LINE}
    />
    {level === 3 && <path d="M46 34 l-2 22 M56 32 v24 M66 34 l2 20" {...THIN} stroke={INK.slate} />}
    {level === 2 && <path d="M44 58 q8 6 16 2" {...THIN} />}
    <circle cx={22} cy={27} r={2.5} fill={INK.squid} />
  </>
)

/** A fingertip drawn off the skin: a thin clear film, then strings, then clots. */
export const slime: DrawSign = (level) => (
  <>
    <path d="M6 64 Q60 50 114 64" {...LINE} />
    {pick(level, [
      <path key="0" d="M20 56 Q60 44 100 56" {...THIN} stroke={INK.tide} />,
      <path key="1" d="M20 54 Q60 38 100 54 Q60 48 20 54 Z" {...THIN} fill="#DDE6E8" stroke={INK.tide} />,
      <path key="2" d="M16 56 Q60 22 104 56 Q60 46 16 56 Z" {...LINE} fill="#C9D3D2" stroke={INK.slate} />,
      <g key="3" {...LINE} fill="#C8B878" stroke={INK.brass}>
        <ellipse cx={34} cy={50} rx={14} ry={8} />
        <ellipse cx={66} cy={44} rx={17} ry={10} />
        <ellipse cx={94} cy={52} rx={10} ry={6} />
      </g>,
    ])}
    {level > 0 && level < 3 && <path d={`M60 ${pick(level, [0, 42, 34, 0])} V14`} {...THIN} stroke={INK.slate} />}
    {level < 3 && <path d="M52 2 h16 v8 q0 6 -8 6 t-8 -6 z" {...LINE} fill={INK.ice} />}
  </>
)

const ROWS = [0, 1, 2] as const
/** Scales: gleaming, dull, faded, missing in patches. */
export const skin: DrawSign = (level) => (
  <>
    {ROWS.map((row) =>
      Array.from({ length: 6 }, (_, i) => {
        if (level === 3 && (i + 2 * row) % 3 === 0) return null
        const x = 14 + i * 17 + (row % 2) * 8
        const y = 22 + row * 18
        return (
          <path
            key={`${row}-${i}`}
            d={`M${x - 8} ${y} a8.5 11 0 0 0 17 0`}
            {...LINE}
            strokeWidth={pick(level, [2.5, 2, 1.5, 1.5])}
            stroke={pick(level, [INK.squid, INK.squid, INK.slate, INK.slate])}
            strokeDasharray={level === 2 ? '4 3' : ''}
            fill={pick(level, ['#DCEBF2', '#E4EAEA', INK.ice, INK.ice])}
          />
        )
      }),
    )}
    {level === 0 && <path d="M92 6 v16 M84 14 h16 M86 8 l12 12 M98 8 l-12 12" {...THIN} stroke={INK.tide} />}
  </>
)

/** A cut across the backbone: the blood along it, fresh and tight, then brown, then soaked into the flesh. */
export const spineBlood: DrawSign = (level) => (
  <>
    <ellipse cx={60} cy={40} rx={50} ry={34} {...LINE} fill="#F3E9E2" />
    {level === 3 && <ellipse cx={60} cy={48} rx={26} ry={17} fill="#C9B08F" opacity={0.75} />}
    {level === 2 && <ellipse cx={60} cy={48} rx={15} ry={9} fill="#D8BFA6" />}
    <circle cx={60} cy={34} r={7} {...LINE} fill={INK.ice} />
    <path d="M60 27 V12 M54 38 L40 44 M66 38 L80 44" {...THIN} />
    <path d="M52 47 q8 7 16 0" fill="none" stroke={BLOOD[level]} strokeWidth={pick(level, [6, 7, 8, 9])} strokeLinecap="round" />
  </>
)

/** Held by the head: straight, bent, hanging. */
export const stiffness: DrawSign = (level) => (
  <>
    <path
      d={pick(level, [
        'M16 36 Q60 20 96 34 l16 -8 v20 l-16 -6 Q60 54 16 36 Z',
        'M16 26 Q58 16 92 40 l18 -2 l-8 18 l-16 -8 Q52 40 16 26 Z',
        'M16 18 Q60 10 84 44 l16 8 l-16 10 l-8 -10 Q52 32 16 18 Z',
        'M16 14 Q52 4 66 44 l12 14 l-20 8 l-4 -14 Q46 26 16 14 Z',
      ])}
      {...LINE}
      fill="#DCEBF2"
    />
    <path d={`M4 ${pick(level, [38, 28, 20, 16])} q8 -12 18 -4`} {...LINE} />
  </>
)
