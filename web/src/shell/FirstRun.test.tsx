import { cleanup, fireEvent, render, screen } from '../testing/page.tsx'
import { MemoryRouter } from 'react-router'
import { describe, expect, it } from 'vitest'
import { FirstRun } from './FirstRun.tsx'

const at = (path: string) => {
  cleanup()
  render(
    <MemoryRouter initialEntries={[path]}>
      <FirstRun />
    </MemoryRouter>,
  )
  return screen.queryByRole('complementary', { name: 'First steps' })?.textContent ?? null
}

describe('the first steps', () => {
  it('are told where they are done, four of them, and nowhere else', () => {
    const told = ['/', '/dishes/new', '/dishes/x/line-up', '/dishes/x/stand-ins'].map(at)
    expect(told.map((words) => words?.slice(0, 7))).toEqual(['1 of 4.', '2 of 4.', '3 of 4.', '4 of 4.'])
    expect(at('/dishes/x/brief')).toContain('2 of 4.')
    for (const path of ['/book', '/market', '/dishes/x/amounts', '/help']) expect(at(path)).toBeNull()
  })

  it('are over once they are waved away, on every page and after a reload', () => {
    at('/')
    fireEvent.click(screen.getByRole('button', { name: 'Skip' }))
    for (const path of ['/', '/dishes/new', '/dishes/x/stand-ins']) expect(at(path)).toBeNull()
  })
})
