import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import {
  parseFishFirst,
  parseLineUp,
  parseAmounts,
  parsePotPlan,
  parseSpeciesSheet,
  parseStandIns,
  parseTurningPoints,
} from '@tender-gill/contract/validators'
import { afterAll, describe, expect, it } from 'vitest'
import { run, type Terminal } from './run.ts'

const folder = mkdtempSync(join(tmpdir(), 'tender-gill-cli-'))
afterAll(() => rmSync(folder, { recursive: true }))
const bin = fileURLToPath(new URL('../../node_modules/.bin/tender-gill', import.meta.url))
const brief = { dish: 'Skewers', method: 'grill', format: 'chunk', draws: 100 }

/** Runs a command in this process with a text for standard input. */
async function command(args: readonly string[], text = '') {
  const out: string[] = []
  const err: string[] = []
  const terminal: Terminal = { args, read: () => text, write: (line) => out.push(line), say: (line) => err.push(line), today: '2026-06-13' }
  const code = await run(terminal)
  return { code, out, err }
}

describe('the built command', () => {
  it('reads a file and writes one document on standard output, nothing else', async () => {
    const file = join(folder, 'brief.json')
    writeFileSync(file, JSON.stringify(brief))
    const { status, stdout, stderr } = spawnSync(bin, ['line-up', file], { encoding: 'utf8' })
    expect({ status, stderr }).toEqual({ status: 0, stderr: '' })
    expect(parseLineUp(JSON.parse(stdout))).toMatchObject({ ok: true })
  })

  it('reads standard input, and is not cut off by a slow pipe', async () => {
    const output = execFileSync('bash', ['-c', `${bin} species | (sleep 0.3; cat)`], { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 })
    expect(JSON.parse(output).length).toBeGreaterThanOrEqual(90)
    const answer = spawnSync(bin, ['stand-ins'], { encoding: 'utf8', input: JSON.stringify({ ...brief, missing: 'Lophius piscatorius' }) })
    expect(parseStandIns(JSON.parse(answer.stdout))).toMatchObject({ ok: true })
  })

  it('ends with 2 and a pointer on standard error for input it refuses', async () => {
    const { status, stdout, stderr } = spawnSync(bin, ['line-up'], { encoding: 'utf8', input: JSON.stringify({ ...brief, covers: 0 }) })
    expect({ status, stdout, stderr }).toEqual({ status: 2, stdout: '', stderr: '/covers: must be at least 1\n' })
  })
})

describe('the studies', () => {
  it.each([
    ['turning', brief, parseTurningPoints],
    ['pot', { ...brief, method: 'stew', places: 2 }, parsePotPlan],
    ['amounts', { ...brief, fish: 'Gadus morhua', shortChance: 0.1 }, parseAmounts],
    ['fish-first', { seen: [{ species: 'Gadus morhua' }], dishes: [brief] }, parseFishFirst],
  ] as const)('%s answers in the shape of the contract', async (verb, input, parse) => {
    const { code, out, err } = await command([verb], JSON.stringify(input))
    expect({ code, err }).toEqual({ code: 0, err: [] })
    expect(parse(JSON.parse(out[0] ?? '{}'))).toMatchObject({ ok: true })
  })

  it('are refused at their place, and one bad line does not end a run', async () => {
    const bad = JSON.stringify({ ...brief, winner: 'Nemo nemo' })
    expect(await command(['turning'], bad)).toMatchObject({ code: 2, out: [], err: ['/winner: no fish named "Nemo nemo" in the book'] })
    const { code, out } = await command(['pot', '--lines'], `${JSON.stringify({ ...brief, places: 9 })}\n${JSON.stringify(brief)}`)
    expect(code).toBe(0)
    expect(out.map((line) => Object.keys(JSON.parse(line))[0])).toEqual(['error', 'pots'])
  })
})

describe('run', () => {
  it('answers lines in order, skips blank ones, and goes on after a bad one', async () => {
    const lines = [
      JSON.stringify(brief),
      '',
      '{"dish":',
      JSON.stringify({ ...brief, pool: ['Nemo nemo'] }),
      '   ',
      JSON.stringify({ ...brief, seed: 2 }),
    ]
    const { code, out, err } = await command(['line-up', '--lines'], lines.join('\n'))
    const answers = out.map((line) => JSON.parse(line))
    expect({ code, err }).toEqual({ code: 0, err: [] })
    expect(answers.map((answer) => answer.seed ?? answer.error.problems[0].path)).toEqual([1, '', '/pool/0', 2])
  })

  it('says unknown verbs and options on standard error and ends with 2', async () => {
    for (const args of [['rank'], ['line-up', '--fast'], [], ['line-up', 'a', 'b']]) {
      const { code, out, err } = await command(args)
      expect({ code, out }).toEqual({ code: 2, out: [] })
      expect(err.join()).toContain('tender-gill <verb>')
    }
  })

  it('gives one species by synonym, says what was asked, and refuses one that is not in the book', async () => {
    const { out } = await command(['species', 'Theragra', 'chalcogramma'])
    const { askedAs, ...sheet } = JSON.parse(out[0] ?? '{}')
    expect(askedAs).toBe('Theragra chalcogramma')
    expect(parseSpeciesSheet(sheet)).toMatchObject({ ok: true })
    expect(await command(['species', 'Nemo nemo'])).toMatchObject({ code: 2, err: [': no fish named "Nemo nemo" in the book'] })
  })

  it('writes today into a brief that names no day', async () => {
    expect(JSON.parse((await command(['line-up'], JSON.stringify(brief))).out[0] ?? '{}').brief.date).toBe('2026-06-13')
  })
})
