import Slider from '@mui/material/Slider'
import { styled } from '@mui/material/styles'
import type { BandKey, NormalisedAsk } from '@tender-gill/contract'
import { AXES, toAxis } from '@tender-gill/core'
import { ASK_LABEL, describeValue } from '../../reader/index.ts'
import { useEffect, useRef, useState } from 'react'
import { getAxisDomain, valueAt } from '../../drawings/axisDomain.ts'
import { INK } from '../../theme.ts'
import { readTyped } from '../../typed/index.ts'

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

const Wrong = styled('span')({ color: INK.dulse, fontSize: 13, fontWeight: 700 })

interface TypedEndProps {
  readonly trait: BandKey
  readonly end: 'from' | 'to'
  readonly value: number | null
  /** The other end of the band: the two may meet and not cross. */
  readonly other: number | null
  readonly onSet: (value: number | null) => void
  /** Told what is wrong with what was typed; null once nothing is. */
  readonly onWrong: (message: string | null) => void
}

/** What is wrong with a typed end; null where nothing is. */
export function checkEnd(
  trait: BandKey,
  { end, text, other }: { readonly end: 'from' | 'to'; readonly text: string; readonly other: number | null },
): string | null {
  const { min, max } = AXES[trait]
  const typed = readTyped(text, { least: min, most: max })
  if (typed.kind === 'none') return null
  if (typed.kind === 'wrong') return typed.message
  if (other === null) return null
  if (end === 'from' && typed.value > other) return `not above the other end, ${roundEnd(other)}`
  return end === 'to' && typed.value < other ? `not below the other end, ${roundEnd(other)}` : null
}
const roundEnd = (value: number): number => Math.round(value * 100) / 100

/** A number one can type for one end of a band; empty leaves that end open. One that cannot be stays as typed, is said, and changes nothing. */
function TypedEnd({ trait, end, value, other, onSet, onWrong }: TypedEndProps) {
  const shown = value === null ? '' : String(roundEnd(value))
  const [text, setText] = useState(shown)
  const [before, setBefore] = useState(shown)
  if (before !== shown) {
    setBefore(shown)
    setText(shown)
  }
  const [wrong, setWrong] = useState(false)
  // Leaving the field after Enter must not set the same number again while the answer to the first is still on its way.
  const settled = useRef<string | null>(null)
  const settle = () => {
    if (settled.current === text || text === shown) return
    settled.current = text
    const message = checkEnd(trait, { end, text, other })
    setWrong(message !== null)
    onWrong(message)
    if (message !== null) return
    const typed = readTyped(text)
    const number = typed.kind === 'number' ? typed.value : null
    if (number !== value) onSet(number)
  }
  const putBack = () => {
    settled.current = null
    setText(shown)
    setWrong(false)
    onWrong(null)
  }
  return (
    <Typed
      inputMode="decimal"
      aria-label={`${ASK_LABEL[trait]} ${end}`}
      aria-invalid={wrong}
      placeholder="open"
      value={text}
      onChange={(event) => {
        settled.current = null
        setText(event.target.value)
      }}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') settle()
        if (event.key === 'Escape') putBack()
      }}
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
  const [wrong, setWrong] = useState<string | null>(null)
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
    <>
      <div style={{ display: 'flex', alignItems: 'center', gap: 12 }}>
        <TypedEnd
          trait={trait}
          end="from"
          value={ask.from}
          other={ask.to}
          onSet={(from) => onRest({ from, to: ask.to })}
          onWrong={setWrong}
        />
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
        <TypedEnd
          trait={trait}
          end="to"
          value={ask.to}
          other={ask.from}
          onSet={(to) => onRest({ from: ask.from, to })}
          onWrong={setWrong}
        />
      </div>
      <div role="alert">
        {wrong && (
          <Wrong>
            {ASK_LABEL[trait]}: {wrong}. Escape puts it back.
          </Wrong>
        )}
      </div>
    </>
  )
}
