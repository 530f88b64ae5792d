import { mkdirSync, mkdtempSync, renameSync, rmSync, writeFileSync, cpSync, existsSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

const { createPauses, keepServer } = (await import('./supervise.mjs' as string)) as {
  createPauses: (now: () => number) => { started: () => void; next: () => number }
  keepServer: (
    start: () => Promise<{ ended: Promise<number>; stop: () => Promise<void> }>,
    say: (words: string) => void,
  ) => () => Promise<void>
}
const { findHome, readSecret } = (await import('./cluster.mjs' as string)) as {
  findHome: (folder: string) => string
  readSecret: (folder: string, name: string) => string
}
const { dumpBeforeMigration } = (await import('./migrations.mjs' as string)) as {
  dumpBeforeMigration: (cluster: object, folder: string) => string | undefined
}
const { findPostgres, installPostgres } = (await import('./install.mjs' as string)) as {
  findPostgres: (version?: string) => string | undefined
  installPostgres: (version?: string) => Promise<string>
}
const folder = () => mkdtempSync(join(tmpdir(), 'tender-gill-lib-'))

describe('what ends by itself', () => {
  it('is started again with pauses that grow, and begin anew after a sound run', () => {
    let at = 0
    const pauses = createPauses(() => at)
    expect(Array.from({ length: 7 }, () => pauses.next())).toEqual([1000, 2000, 4000, 8000, 16_000, 30_000, 30_000])
    pauses.started()
    at += 60_000
    expect(pauses.next()).toBe(1000)
  })

  it('is not started again once it is stopped for good', async () => {
    let starts = 0
    let end: (code: number) => void = () => undefined
    const said: string[] = []
    const stop = keepServer(
      async () => {
        starts += 1
        const ended = new Promise<number>((resolve) => (end = resolve))
        return { ended, stop: async () => end(0) }
      },
      (words) => said.push(words),
    )
    await expect.poll(() => starts).toBe(1)
    end(137)
    await expect.poll(() => starts, { timeout: 5000 }).toBe(2)
    expect(said).toEqual(['The server ended (137).', 'It is started again in 1 s.'])
    await stop()
    await new Promise((resolve) => setTimeout(resolve, 50))
    expect(starts).toBe(2)
  })
})

describe('the database of a data folder', () => {
  const lay = (data: string, marker?: object) => {
    mkdirSync(join(data, 'cluster', 'data'), { recursive: true })
    writeFileSync(join(data, 'cluster', 'data', 'PG_VERSION'), '15')
    writeFileSync(join(data, 'database-password'), 'secret')
    if (marker) writeFileSync(join(data, 'cluster.json'), JSON.stringify(marker))
  }

  it('lies in it, and goes along when it is moved or copied', () => {
    const data = folder()
    lay(data, { id: 'a', folder: data, inside: true })
    expect(findHome(data)).toBe(join(data, 'cluster'))
    const moved = `${data}-moved`
    renameSync(data, moved)
    expect(findHome(moved)).toBe(join(moved, 'cluster'))
    rmSync(moved, { recursive: true })
  })

  it('that lies elsewhere goes along when the folder is moved; a copy of the folder is refused', () => {
    const data = folder()
    const home = folder()
    mkdirSync(join(home, 'data'))
    writeFileSync(join(home, 'data', 'PG_VERSION'), '15')
    writeFileSync(join(data, 'cluster.json'), JSON.stringify({ id: 'b', folder: data, inside: false, home }))
    expect(findHome(data)).toBe(home)
    const copy = `${data}-copy`
    cpSync(data, copy, { recursive: true })
    expect(() => findHome(copy)).toThrow(/is a copy of/)
    rmSync(data, { recursive: true })
    expect(findHome(copy)).toBe(home)
    rmSync(home, { recursive: true })
    expect(() => findHome(copy)).toThrow(/is not where it was/)
    rmSync(copy, { recursive: true })
  })

  it('is never made anew in silence where its secrets are and it is not', () => {
    const data = folder()
    writeFileSync(join(data, 'database-password'), 'secret')
    expect(() => findHome(data)).toThrow(/belongs to a database that is not there/)
    rmSync(data, { recursive: true })
  })

  it('has a secret of its own, also where a full disk left an empty one', () => {
    const data = folder()
    writeFileSync(join(data, 'database-password'), '')
    const secret = readSecret(data, 'database-password')
    expect(secret).toMatch(/^[0-9a-f]{48}$/)
    expect(readSecret(data, 'database-password')).toBe(secret)
    rmSync(data, { recursive: true })
  })

  it('is opened by the programs of its own version, or it is said which are missing', async () => {
    expect(findPostgres('9')).toBeUndefined()
    await expect(installPostgres('9')).rejects.toThrow(/made by PostgreSQL 9.*\n.*postgresql-9/)
  })
})

describe('before a migration', () => {
  const known = JSON.parse(readFileSync('server/drizzle/meta/_journal.json', 'utf8')).entries.length as number
  const cluster = (done: number) => ({
    ask: (query: string) => (query.includes('to_regclass') ? 't' : String(done)),
    dump: (file: string) => writeFileSync(file, 'dump'),
  })

  it('the data as it was is kept; where there is nothing to do, nothing is', () => {
    const data = folder()
    expect(dumpBeforeMigration(cluster(known), data)).toBeUndefined()
    expect(dumpBeforeMigration(cluster(0), data)).toBeUndefined()
    const file = dumpBeforeMigration(cluster(known - 1), data)
    expect(existsSync(file ?? '')).toBe(true)
    rmSync(data, { recursive: true })
  })

  it('data of a newer version is not opened', () => {
    const data = folder()
    expect(() => dumpBeforeMigration(cluster(known + 1), data)).toThrow(/newer version/)
    rmSync(data, { recursive: true })
  })
})
