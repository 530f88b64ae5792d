import { describe, expect, it } from 'vitest'
import { buildOpenApi } from '../openApi.ts'
import { pathsOf, schemas } from '../index.ts'
import { addressOf, ENTITIES, operations, PERMISSIONS, type Operation, type OperationName } from './index.ts'

const ALL = Object.entries(operations) as readonly (readonly [OperationName, Operation])[]
const QUESTIONS = ALL.filter(([, { kind }]) => kind === 'question')
const COMMANDS = ALL.filter(([, { kind }]) => kind === 'command')
const namesIn = (path: string): readonly string[] => [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name ?? '')

describe('everything that can be asked', () => {
  it('stands at one address each, whatever its pieces are called', () => {
    const addresses = ALL.flatMap(([, operation]) =>
      pathsOf(operation).map((path) => `${operation.method} ${path.replaceAll(/\{\w+\}/g, '{}')}`),
    )
    const twice = addresses.filter((address, i) => addresses.indexOf(address) !== i)
    expect(twice).toEqual([])
  })

  it('says in a line what it does, without a full stop, no two alike', () => {
    const summaries = ALL.map(([, { summary }]) => summary)
    for (const summary of summaries) expect(summary).toMatch(/^[A-Z].*[^.]$/s)
    expect(new Set(summaries).size).toBe(summaries.length)
  })

  it('names shapes that there are, and what a kitchen keeps', () => {
    for (const [name, { output, input, reads, touches, permission }] of ALL) {
      expect(Object.keys(schemas), name).toContain(output)
      if (input !== undefined) expect(Object.keys(schemas), name).toContain(input)
      for (const entity of [...reads, ...touches]) expect(ENTITIES, name).toContain(entity)
      expect(PERMISSIONS, name).toContain(permission)
    }
  })

  it('is under the kitchen, or open below /api where it belongs to none or is a computation', () => {
    for (const [name, operation] of ALL) {
      const paths = pathsOf(operation)
      expect(paths.length, name).toBe(operation.scope === 'verb' ? 2 : 1)
      expect(
        paths.some((path) => path.startsWith('/api/kitchens/{kitchen}')),
        name,
      ).toBe(operation.scope !== 'everyone')
    }
  })
})

describe('questions', () => {
  it('touch nothing and want no revision, whatever their method', () => {
    for (const [name, { touches, ifMatch, creates }] of QUESTIONS) {
      expect(touches, name).toEqual([])
      expect(ifMatch ?? false, name).toBe(false)
      expect(creates ?? false, name).toBe(false)
    }
  })

  it('are asked by GET unless they bring something to be worked out', () => {
    // A decision is run again over everything it rests on: nothing that a proxy may keep.
    const posted = QUESTIONS.filter(([, { method, input }]) => method === 'POST' && input === undefined).map(([name]) => name)
    expect(posted).toEqual(['rerunDecision'])
    for (const [name, { method, input }] of QUESTIONS) if (input !== undefined) expect([name, method]).toEqual([name, 'POST'])
  })
})

describe('commands', () => {
  it('are never a GET, and each says what it touches', () => {
    for (const [name, { method, touches }] of COMMANDS) {
      expect(method, name).not.toBe('GET')
      expect(touches.length, name).toBeGreaterThan(0)
    }
  })

  it('that change or remove a record want the revision that was read', () => {
    const blind = COMMANDS.filter(([, { method, ifMatch }]) => (method === 'PUT' || method === 'DELETE') && !ifMatch).map(([name]) => name)
    // A phone that is shut out is shut out, whatever it was called meanwhile.
    expect(blind).toEqual(['revokePhone'])
  })

  it('that touch something are heard by a question that reads it', () => {
    const read = new Set(QUESTIONS.flatMap(([, { reads }]) => reads))
    for (const [name, { touches }] of COMMANDS)
      for (const entity of touches) expect([name, entity, read.has(entity)]).toEqual([name, entity, true])
  })
})

describe('an address', () => {
  it('holds every piece of its path, written so that a slash or a space in a name stays within it', () => {
    for (const [name, operation] of ALL) {
      const pieces = Object.fromEntries(namesIn(operation.path).map((piece) => [piece, 'a b/ç?']))
      const address = addressOf(operation, { kitchen: 'k/1', ...pieces })
      expect(address, name).not.toMatch(/[{}\s]/)
      if (namesIn(operation.path).length > 0) expect(decodeURIComponent(address), name).toContain('a b/ç?')
      expect(address.startsWith('/api'), name).toBe(true)
    }
  })
})

describe('the published document', () => {
  it('holds every operation once, under its name', () => {
    const { paths } = buildOpenApi('1')
    const published = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods as object).map((method) => `${method.toUpperCase()} ${path}`),
    )
    const declared = ALL.flatMap(([, operation]) => pathsOf(operation).map((path) => `${operation.method} ${path}`))
    expect(published.sort()).toEqual(declared.sort())
  })
})
