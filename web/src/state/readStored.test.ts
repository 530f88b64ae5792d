import { expect, it } from 'vitest'
import { readStored } from './readStored.ts'

const reading = (kept: string | null) => readStored({ getItem: () => kept }, 'anywhere')

it('what the browser keeps is read as it was, and as nothing where it cannot be', () => {
  expect(reading('{"flake":["1","2","3"]}')).toEqual({ flake: ['1', '2', '3'] })
  for (const kept of [null, '', '{"flake":', 'null', '7', '"text"']) expect([kept, reading(kept)]).toEqual([kept, {}])
})
