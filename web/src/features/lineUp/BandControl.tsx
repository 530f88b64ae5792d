import Slider from '@mui/material/Slider'
import { styled } from '@mui/material/styles'
import type { BandKey, NormalisedAsk } from '@tender-gill/contract'
import { ASK_LABEL, describeValue, toAxis } from '@tender-gill/core'
import { useEffect, useRef, useState } from 'react'
import { getAxisDomain, valueAt } from '../../drawings/axisDomain.ts'
import { INK } from '../../theme.ts'

export interface BandEdges {
  readonly from: number | null
  readonly to: number | null
}
interface Props {
  readonly trait: BandKey
  readonly ask: NormalisedAsk
  /** While an end is held; null when it is put back. */
  readonly onLive: (edges: BandEdges | null) => void
  readonly onRest: (edges: BandEdges) => void
}

const Typed = styled('input')({
  width: 46,
  font: 'inherit',
  fontSize: 13,
  textAlign: 'center',
  padding: '2px 4px',
  border: `1px solid ${INK.hairline}`,
  borderRadius: 4,
  background: INK.ice,
  color: INK.squid,
  '@media (max-width: 900px)': { minHeight: 44, width: 64, fontSize: 16 },
})

function useAxisEnds(trait: BandKey, { from, to }: BandEdges): [number, number] {
  const domain = getAxisDomain(trait)
  return [
    from === null ? domain.from : Math.max(domain.from, toAxis(trait, from)),
    to === null ? domain.to : Math.min(domain.to, toAxis(trait, to)),
  ]
}

/** A number one can type for one end of a band; empty leaves that end open. */
function TypedEnd({
  trait,
  end,
  value,
  onSet,
}: {
  readonly trait: BandKey
  readonly end: 'from' | 'to'
  readonly value: number | null
  readonly onSet: (value: number | null) => void
}) {
  const shown = value === null ? '' : String(Math.round(value * 100) / 100)
  const [text, setText] = useState(shown)
  const [before, setBefore] = useState(shown)
  if (before !== shown) {
    setBefore(shown)
    setText(shown)
  }
  // Leaving the field after Enter must not set the same number again while the answer to the first is still on its way.
  const settled = useRef<string | null>(null)
  const settle = () => {
    if (settled.current === text) return
    settled.current = text
    const number = text.trim() === '' ? null : Number(text.replace(',', '.'))
    if (number !== null && !Number.isFinite(number)) setText(shown)
    else if (number !== value) onSet(number)
  }
  return (
    <Typed
      inputMode="decimal"
      aria-label={`${ASK_LABEL[trait]} ${end}`}
      placeholder="open"
      value={text}
      onChange={(event) => {
        settled.current = null
        setText(event.target.value)
      }}
      onBlur={settle}
      onKeyDown={(event) => event.key === 'Enter' && settle()}
    />
  )
}

/** A wanted band: two ends to drag or type. Arrows, Home and End move an end; Escape puts a held band back. */
export function BandControl({ trait, ask, onLive, onRest }: Props) {
  const domain = getAxisDomain(trait)
  const resting = useAxisEnds(trait, ask)
  const [held, setHeld] = useState<[number, number] | null>(null)
  const cancelled = useRef(false)
  const toEdges = ([a, b]: readonly [number, number]): BandEdges => ({
    from: a <= domain.from + 1e-9 ? null : valueAt(trait, a),
    to: b >= domain.to - 1e-9 ? null : valueAt(trait, b),
  })
  const isHeld = held !== null
  useEffect(() => {
    if (!isHeld) return undefined
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return
      cancelled.current = true
      setHeld(null)
      onLive(null)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [isHeld, onLive])
  const change = (value: number | number[]) => {
    if (cancelled.current || !Array.isArray(value)) return
    const ends: [number, number] = [value[0] ?? domain.from, value[1] ?? domain.to]
    setHeld(ends)
    onLive(toEdges(ends))
  }
  const rest = (value: number | number[]) => {
    setHeld(null)
    if (cancelled.current) cancelled.current = false
    else if (Array.isArray(value)) onRest(toEdges([value[0] ?? domain.from, value[1] ?? domain.to]))
  }
  return (
    <div style={{ display: 'flex', alignItems: 'center', gap: 12 }}>
      <TypedEnd trait={trait} end="from" value={ask.from} onSet={(from) => onRest({ from, to: ask.to })} />
      <Slider
        value={held ?? resting}
        min={domain.from}
        max={domain.to}
        step={domain.step}
        disableSwap
        getAriaLabel={(index) => `${ASK_LABEL[trait]} ${index === 0 ? 'from' : 'to'}`}
        getAriaValueText={(g, index) =>
          (index === 0 && g <= domain.from) || (index === 1 && g >= domain.to) ? 'open' : describeValue(trait, valueAt(trait, g))
        }
        onChange={(_event, value) => change(value)}
        onChangeCommitted={(_event, value) => rest(value)}
      />
      <TypedEnd trait={trait} end="to" value={ask.to} onSet={(to) => onRest({ from: ask.from, to })} />
    </div>
  )
}
