import { operations, pathsOf } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { isKept } from './kept.ts'

describe('what a phone keeps for when there is no reception', () => {
  it.each([
    '',
    '/buy-sheet',
    '/servings',
    '/servings/supper',
    '/sheets',
    '/purchases',
    '/looks',
    '/lots',
    '/cold-places',
    '/cold-readings',
  ])('is %s of its kitchen', (rest) => expect(isKept(`/api/kitchens/lantern-house${rest}`)).toBe(true))

  it.each(['/changes', '/sheets/2026-06-13/abc', '/phones', '/species', '/decisions', '/price-lists', '/cold-calendar'])(
    'is not %s',
    (rest) => expect(isKept(`/api/kitchens/lantern-house${rest}`)).toBe(false),
  )

  it('is nothing that is asked of nobody, but which kitchens there are', () => {
    expect(isKept('/api/kitchens')).toBe(true)
    for (const path of ['/api/health', '/api/openapi.json', '/', '/assets/x.js', '/api/line-up']) expect(isKept(path)).toBe(false)
  })

  it('are questions that the server answers', () => {
    const asked = new Set(
      Object.values(operations)
        .filter(({ kind, method }) => kind === 'question' && method === 'GET')
        .flatMap((one) => pathsOf(one)),
    )
    for (const rest of [
      '',
      '/buy-sheet',
      '/servings',
      '/dishes',
      '/sheets',
      '/purchases',
      '/looks',
      '/lots',
      '/cold-places',
      '/cold-readings',
      '/merchants',
      '/leanings',
      '/absences',
    ])
      expect([...asked], rest).toContain(`/api/kitchens/{kitchen}${rest}`)
  })
})
