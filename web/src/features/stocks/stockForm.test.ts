import type { Stock } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describePlace } from '../../parts/describePlace.ts'
import { partsOf, setPart, setPlace, setYear } from './stockForm.ts'

describe('evidence on a stock', () => {
  const stock: Stock = { species: 'Gadus morhua', origin: 'wild', biomassRatio: { value: 0.8, year: 2020 } }

  it('asks the parts that belong to how the fish lives', () => {
    expect(partsOf(stock).map(({ part }) => part)).toEqual(['biomassRatio', 'pressureRatio', 'gearScore', 'managementScore'])
    expect(partsOf({ ...stock, origin: 'farmed' }).map(({ part }) => part)).toEqual(['feed', 'escapes', 'disease', 'discharge'])
  })

  it('keeps the year of a part whose value changes, names this year for a new one, and forgets an emptied one', () => {
    expect(setPart(stock, 'biomassRatio', 1, 2026).biomassRatio).toEqual({ value: 1, year: 2020 })
    expect(setPart(stock, 'gearScore', 70, 2026).gearScore).toEqual({ value: 70, year: 2026 })
    expect(setPart(stock, 'biomassRatio', undefined, 2026)).toEqual({ species: 'Gadus morhua', origin: 'wild' })
    expect(setYear(stock, 'biomassRatio', 2024).biomassRatio).toEqual({ value: 0.8, year: 2024 })
    expect(setYear(stock, 'gearScore', 2024)).toBe(stock)
  })
})

describe('the place of a stock', () => {
  it('is set as typed and taken away when emptied', () => {
    const stock: Stock = { species: 'Gadus morhua', origin: 'wild' }
    const caught = setPlace(setPlace(stock, 'water', 'Sound'), 'gear', 'longline')
    expect(describePlace(caught)).toBe('Sound, by longline')
    expect(setPlace(setPlace(caught, 'gear', ' '), 'water', '')).toEqual(stock)
  })
})
