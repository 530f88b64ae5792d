import { fireEvent, render, screen } from '../testing/page.tsx'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { NumberField } from './NumberField.tsx'

function open(value: number | null, optional = false) {
  const kept: (number | null)[] = []
  const Kept = () => {
    const [now, setNow] = useState(value)
    const keep = (next: number | null) => {
      kept.push(next)
      setNow(next)
    }
    return <NumberField label="Metres" value={now} scale={{ least: 1, most: 50 }} optional={optional} onChange={keep} />
  }
  render(<Kept />)
  const field = screen.getByLabelText<HTMLInputElement>('Metres')
  return { kept, field, type: (text: string) => fireEvent.change(field, { target: { value: text } }) }
}

describe('a number that is typed', () => {
  it('is kept with a comma or a point, and stands as it was typed', () => {
    const { kept, field, type } = open(3)
    type('2,5')
    expect([kept, field.value]).toEqual([[2.5], '2,5'])
  })

  it('off its scale, or half typed, is not kept, not lost, and says what is wanted', () => {
    const { kept, field, type } = open(3)
    for (const text of ['99', '-', 'x', '']) {
      type(text)
      expect([text, field.value]).toEqual([text, text])
      expect(screen.getByText(/a number/)).toBeDefined()
    }
    expect(kept).toEqual([])
  })

  it('may be none where that is allowed', () => {
    const { kept, type } = open(3, true)
    type('')
    expect(kept).toEqual([null])
    expect(screen.queryByText(/a number/)).toBeNull()
  })
})
