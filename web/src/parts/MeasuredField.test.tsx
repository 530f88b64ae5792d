import { fireEvent, render, screen } from '../testing/page.tsx'
import { useState } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'

// What a person reads in is read once: nobody after these reads as they did.
afterEach(() => void vi.resetModules())

/** The field as somebody who reads so has it. */
async function open(reads: string, measure: 'celsius' | 'g', value: number | null) {
  localStorage.setItem('tender-gill-reader', reads)
  vi.resetModules()
  const { MeasuredField } = await import('./MeasuredField.tsx')
  const kept: (number | null)[] = []
  const scale = measure === 'g' ? { least: 1, most: 100_000 } : { least: -40, most: 40 }
  render(<MeasuredField label="It" measure={measure} value={value} scale={scale} onChange={(now) => kept.push(now)} />)
  const field = screen.getByRole<HTMLInputElement>('textbox')
  return { kept, field, label: screen.getByLabelText(/^It/) === field ? (field.labels?.[0]?.textContent ?? '') : '' }
}

describe('a warmth or a weight', () => {
  it.each([
    ['en,metric', 'g', 1500, 'kg', '1.5', '2,25', 2250],
    ['en,us', 'g', 907.184_74, 'lb', '2', '3', 1360.777],
    ['en,metric', 'celsius', 4.44, '°C', '4.4', '-2', -2],
    ['en,us', 'celsius', 4, '°F', '39', '32', 0],
  ] as const)(
    'read as %s in %s stands in the reader’s measure and is kept in its own',
    async (reads, measure, value, unit, shown, typed, is) => {
      const { kept, field, label } = await open(reads, measure, value)
      expect(label).toContain(unit)
      expect(field.value).toBe(shown)
      fireEvent.change(field, { target: { value: typed } })
      expect(kept).toHaveLength(1)
      expect(kept[0]).toBeCloseTo(is, 2)
    },
  )

  it('stands as it was typed, though it is kept in another measure', async () => {
    localStorage.setItem('tender-gill-reader', 'en,us')
    vi.resetModules()
    const { MeasuredField } = await import('./MeasuredField.tsx')
    const Kept = () => {
      const [celsius, setCelsius] = useState<number | null>(4)
      return <MeasuredField label="It" measure="celsius" value={celsius} scale={{ least: -40, most: 40 }} onChange={setCelsius} />
    }
    render(<Kept />)
    const field = screen.getByRole<HTMLInputElement>('textbox')
    for (const text of ['38', '38.5', '38.55', '-0.1']) {
      fireEvent.change(field, { target: { value: text } })
      expect(field.value).toBe(text)
    }
  })

  it('has its scale in the reader’s measure, too', async () => {
    const { kept, field } = await open('en,us', 'celsius', 0)
    fireEvent.change(field, { target: { value: '120' } })
    expect(kept).toEqual([])
    fireEvent.change(field, { target: { value: '104' } })
    expect(kept[0]).toBeCloseTo(40, 6)
  })
})
