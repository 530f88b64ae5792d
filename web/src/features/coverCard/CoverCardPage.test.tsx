import { fireEvent, screen, within } from '../../testing/page.tsx'
import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { countDays } from '@tender-gill/core'
import { KITCHEN } from '../../testing/dishes.ts'
import { openPage } from '../../testing/openPage.tsx'
import { weekOf } from './week.ts'

describe('a week', () => {
  it('is Monday to Sunday round any day, and the next begins where it ends', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('2000-01-01'), max: new Date('2100-01-01'), noInvalidDate: true }), (date) => {
        const day = date.toISOString().slice(0, 10)
        const { from, to } = weekOf(day)
        expect(new Date(from).getUTCDay()).toBe(1)
        expect(new Date(to).getUTCDay()).toBe(0)
        expect(from <= day && day <= to).toBe(true)
        expect(countDays(to, weekOf(day, 1).from)).toBe(1)
        expect(weekOf(weekOf(day, -1).from, 1)).toEqual({ from, to })
      }),
    )
  })
})

describe('the cover card', () => {
  it('holds every dish with its fish and ladder and what the covers hang on, and prints', async () => {
    const print = vi.fn()
    vi.stubGlobal('print', print)
    await openPage('/cover-card', KITCHEN)
    const card = await screen.findByRole('region', { name: 'Cover card' })
    expect(within(card).getByRole('heading', { level: 1 }).textContent).toBe('Lantern House, 8 to 14 June')
    expect(
      within(card)
        .getAllByRole('rowheader')
        .map(({ textContent }) => textContent),
    ).toEqual(['Harbour stewno day yet; 4 covers', 'Friday fryno day yet; 2 covers', 'Staff lunchno day yet; 10 covers'])
    expect(within(within(card).getByRole('list', { name: 'If it is not there: Harbour stew' })).getAllByRole('listitem').length).toBe(2)
    expect(within(card).getByText('What the 16 covers hang on')).toBeDefined()
    expect(within(within(card).getByRole('list', { name: 'What the covers hang on' })).getByText('boats on the sea')).toBeDefined()
    fireEvent.click(within(card).getByRole('button', { name: 'Print' }))
    expect(print).toHaveBeenCalledOnce()
  })

  it('walks to the week after and says when nothing is served in it', async () => {
    await openPage('/cover-card', {
      dishes: [{ id: 'once', brief: { dish: 'Once', method: 'stew', format: 'chunk', date: '2026-06-12' } }],
    })
    fireEvent.click(await screen.findByRole('link', { name: 'Week after' }))
    expect(await screen.findByText(/^Nothing is served in this week/)).toBeDefined()
    expect(window.location.search).toBe('?week=2026-06-15')
  })
})
