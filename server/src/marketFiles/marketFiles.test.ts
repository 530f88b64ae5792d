import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())
const post = (path: string, body?: object) => call(path, { method: 'POST', body })
const plain = (records: readonly { id: string; revision: number; updatedAt: string }[]) =>
  records.map(({ id: _id, revision: _revision, updatedAt: _at, ...rest }) => rest)
const byText = (a: unknown, b: unknown) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1)

describe.each(['seasons', 'stocks'])('%s as a file', (what) => {
  it('go out and come back the same, and a file is taken back in one step', async () => {
    const before = (await call(`/api/${what}`)).body
    const text = (await call(`/api/${what}-file`)).body as string
    const looked = await post(`/api/${what}-file`, { text, keep: 'nothing' })
    expect(looked.body).toEqual({ rows: before.length, good: before.length, bad: [], brought: [], replaced: [] })
    const report = (await post(`/api/${what}-file`, { text, keep: 'all' })).body
    expect(report).toMatchObject({ good: before.length, bad: [] })
    expect(report.replaced).toHaveLength(before.length)
    const after = (await call(`/api/${what}`)).body
    expect(plain(after).sort(byText)).toEqual(plain(before).sort(byText))
    expect((await post(`/api/${what}-file/undo`, report)).status).toBe(400)
    const { brought, replaced } = report
    expect((await post(`/api/${what}-file/undo`, { brought, replaced })).body).toEqual({ changed: 2 * before.length })
    const ids = (records: readonly { id: string }[]) => records.map(({ id }) => id).sort()
    expect(ids((await call(`/api/${what}`)).body)).toEqual(ids(before))
  })

  it('name a bad row by line and column, and keep the good ones only when asked', async () => {
    const text = (await call(`/api/${what}-file`)).body as string
    const [head = '', first = '', second = ''] = text.split(/\r?\n/)
    const column = what === 'seasons' ? 'landed mar' : 'gearScore'
    const at = head.split(',').indexOf(column)
    const cells = second.split(',')
    cells[at] = 'plenty'
    const unknown = ['Nemo nemo', ...first.split(',').slice(1)].join(',')
    const file = [head, first, cells.join(','), unknown].join('\n')
    const all = (await post(`/api/${what}-file`, { text: file, keep: 'all' })).body
    expect(all).toMatchObject({ rows: 3, good: 1, brought: [] })
    expect(all.bad).toEqual([
      { line: 3, column, message: '"plenty" is no number' },
      { line: 4, column: 'species', message: 'no fish named "Nemo nemo" in the book' },
    ])
    const good = (await post(`/api/${what}-file`, { text: file, keep: 'good' })).body
    expect(good.brought).toHaveLength(1)
    await post(`/api/${what}-file/undo`, { brought: good.brought, replaced: good.replaced })
    expect((await post(`/api/${what}-file`, { text: '', keep: 'all' })).body.bad[0].line).toBe(1)
    expect((await post(`/api/${what}-file`, { text: 'fish,colour\na,b', keep: 'all' })).body.bad[0].message).toBe(
      'unknown headings: fish, colour; the heading species is missing',
    )
  })
})
