import { cleanup, fireEvent, render, screen } from '../../testing/page.tsx'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

/** The choice as a page opened anew finds it: what the browser keeps is read once. */
async function open(kept?: string) {
  vi.resetModules()
  localStorage.clear()
  if (kept !== undefined) localStorage.setItem('tender-gill-reader', kept)
  const { HowYouRead } = await import('./HowYouRead.tsx')
  const words = await import('../../reader/index.ts')
  render(<HowYouRead currency="EUR" />)
  const pressed = (name: RegExp) => screen.getByRole('button', { name }).getAttribute('aria-pressed')
  return { words, pressed, kept: () => localStorage.getItem('tender-gill-reader') }
}
const reload = vi.fn()
beforeEach(() => {
  reload.mockClear()
  vi.stubGlobal('location', { ...window.location, reload })
})
// It is read once: nobody after these reads as they did.
afterEach(() => void vi.resetModules())

describe('how a person reads figures', () => {
  it('is metric and with signs of money until somebody chooses otherwise, and each choice shows what it means', async () => {
    const { pressed, words } = await open()
    expect([pressed(/^Metric/), pressed(/^US/), pressed(/sign/), pressed(/code/)]).toEqual(['true', 'false', 'true', 'false'])
    expect(screen.getByRole('button', { name: /^US/ }).textContent).toContain('2.76 lb, 0.98 in, 145 °F')
    expect([words.formatMassToBuy(1250), words.formatTemperature(63), words.formatMoney(3.45, 'EUR')]).toEqual([
      '1.25 kg',
      '63 °C',
      '€3.45',
    ])
  })

  it('is kept by the browser, the page opened anew, and every figure written so', async () => {
    const { kept } = await open()
    fireEvent.click(screen.getByRole('button', { name: /^US/ }))
    expect(kept()).toBe('en,us,symbol')
    expect(reload).toHaveBeenCalledTimes(1)
    cleanup()
    const { words, pressed } = await open('en,us,symbol')
    expect(pressed(/^US/)).toBe('true')
    expect([words.formatMassToBuy(1250), words.formatTemperature(63), words.formatLength(25.4)]).toEqual(['2.76 lb', '145 °F', '1 in'])
    expect(words.formatMassPrice(22.0462, 'EUR')).toBe('€10.00 a pound')
    expect(words.formatMassPriceRange(18, 22, 'EUR')).toBe('€8.16 to 9.98')
    fireEvent.click(screen.getByRole('button', { name: /code/ }))
    expect(localStorage.getItem('tender-gill-reader')).toBe('en,us,code')
  })

  it('changes nothing where what is chosen is chosen again, and makes nothing of what makes no sense', async () => {
    const { kept, pressed } = await open('klingon,furlongs')
    expect(pressed(/^Metric/)).toBe('true')
    fireEvent.click(screen.getByRole('button', { name: /^Metric/ }))
    expect(kept()).toBe('klingon,furlongs')
    expect(reload).not.toHaveBeenCalled()
  })
})
