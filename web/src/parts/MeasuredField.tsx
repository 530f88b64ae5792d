import { useState } from 'react'
import { GRAMS_PER_MASS_UNIT, MASS_UNIT, reader } from '../reader/index.ts'
import { NumberField } from './NumberField.tsx'

interface Measure {
  readonly unit: string
  /** From how it is kept to how it is read, and back. */
  readonly to: (kept: number) => number
  readonly from: (read: number) => number
  readonly digits: number
}
const WARMTH: Measure =
  reader.units === 'us'
    ? { unit: '°F', to: (celsius) => (celsius * 9) / 5 + 32, from: (fahrenheit) => ((fahrenheit - 32) * 5) / 9, digits: 0 }
    : { unit: '°C', to: (celsius) => celsius, from: (celsius) => celsius, digits: 1 }
const MASS: Measure = { unit: MASS_UNIT, to: (g) => g / GRAMS_PER_MASS_UNIT, from: (read) => read * GRAMS_PER_MASS_UNIT, digits: 3 }
const MEASURES = { celsius: WARMTH, g: MASS } as const

interface Props {
  readonly label: string
  /** What it is kept in, whatever it is read in. */
  readonly measure: keyof typeof MEASURES
  readonly value: number | null
  readonly scale: { readonly least: number; readonly most: number }
  readonly optional?: boolean
  readonly width?: number
  readonly onChange: (value: number | null) => void
}

/** A warmth or a weight, typed as this reader measures and kept as everything is kept. */
export function MeasuredField({ label, measure, value, scale: { least, most }, onChange, ...rest }: Props) {
  const { unit, to, from, digits } = MEASURES[measure]
  const round = (read: number) => Math.round(read * 10 ** digits) / 10 ** digits
  // What was typed stands to its last digit for as long as it is what is kept.
  const [typed, setTyped] = useState<{ readonly read: number; readonly kept: number } | null>(null)
  const shown = typed !== null && typed.kept === value ? typed.read : value === null ? null : round(to(value))
  return (
    <NumberField
      {...rest}
      label={`${label}, ${unit}`}
      value={shown}
      scale={{ least: round(to(least)), most: round(to(most)) }}
      onChange={(read) => {
        const kept = read === null ? null : from(read)
        setTyped(read === null || kept === null ? null : { read, kept })
        onChange(kept)
      }}
    />
  )
}
