import { X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { createServer as createPlain, type Server } from 'node:http'
import { createServer, request, type RequestOptions } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DAY_MS } from '@tender-gill/core'
import { eq } from 'drizzle-orm'
import { pino } from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openChangeFeed } from '../changes/index.ts'
import { changes } from '../database/schema/index.ts'
import { createApp } from '../http/createApp.ts'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'
import { openCertificate, type Certificate } from './certificate.ts'

let base: TestServer
let certificate: Certificate
let secure: Server
let desk: Server
let clock = NOW
const folder = mkdtempSync(join(tmpdir(), 'tender-gill-lan-'))
const ending: (() => unknown)[] = []
const portOf = (server: Server): number => (server.address() as AddressInfo).port

beforeAll(async () => {
  base = await startTestServer()
  certificate = await openCertificate(folder, ['127.0.0.1'], NOW)
  const changes = openChangeFeed({ url: base.url, onBroken: () => undefined })
  const deps = { ...{ db: base.db, compute: base.compute, changes, log: pino({ level: 'silent' }) }, now: () => clock }
  const lan = { addresses: ['https://127.0.0.1:8443'], fingerprint: certificate.fingerprint }
  secure = createServer(certificate, createApp({ ...deps, lan, gated: true })) as unknown as Server
  desk = createPlain(createApp({ ...deps, lan }))
  for (const one of [secure, desk]) await new Promise<void>((resolve) => one.listen(0, '127.0.0.1', resolve))
  ending.push(
    () => secure.closeAllConnections(),
    () => desk.closeAllConnections(),
    () => secure.close(),
    () => desk.close(),
    () => changes.close(),
  )
})
afterAll(async () => {
  for (const end of ending) await end()
  await base.close()
  rmSync(folder, { recursive: true })
})

interface Answer {
  readonly status: number
  readonly headers: Readonly<Record<string, string | string[] | undefined>>
  readonly text: string
}
/** Calls as a phone does: over TLS, which holds only if the certificate is for the address that is called. */
const phone = (path: string, { body, ...options }: RequestOptions & { readonly body?: string } = {}): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const call = request({ host: '127.0.0.1', port: portOf(secure), path, ca: certificate.cert, ...options }, (answer) => {
      let text = ''
      answer.on('data', (part: Buffer) => (text += part.toString()))
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, text }))
    })
    call.on('error', reject)
    call.end(body)
  })
const onDesk = async (path: string, method = 'GET') => {
  const answer = await fetch(`http://127.0.0.1:${portOf(desk)}/api/kitchens/lantern-house${path}`, { method })
  return {
    status: answer.status,
    body: (await answer.json()) as { code: string; address: string; qrSvg: string; phones: { id: string }[] },
  }
}
const form = { method: 'POST', headers: { 'Content-Type': 'application/x-www-form-urlencoded' } }
const pair = (code: string) => phone('/pair', { ...form, body: new URLSearchParams({ code, name: 'Apron phone' }).toString() })
const countTold = () => base.db.$count(changes, eq(changes.entity, 'phone'))
const pairOne = async (): Promise<string> => {
  const { headers } = await pair((await onDesk('/phones/codes', 'POST')).body.code)
  return String(headers['set-cookie']).split(';')[0] ?? ''
}

describe('the door to the local network', () => {
  it('lets nobody in who was not paired: pages lead to pairing, the API says so', async () => {
    expect(await phone('/')).toMatchObject({ status: 303, headers: { location: '/pair' } })
    for (const path of ['/api/kitchens', '/api/kitchens/lantern-house/servings', '/API/kitchens', '/api', '/api/health'])
      expect((await phone(path)).status, path).toBe(401)
    expect((await phone('/pair')).text).toContain('Pair this phone')
  })

  it('pairs one phone by a code, once, typed in any manner', async () => {
    const { body } = await onDesk('/phones/codes', 'POST')
    expect(body.address).toBe(`https://127.0.0.1:8443/pair?code=${body.code}`)
    expect(body.qrSvg).toContain('<svg')
    const typed = `${body.code.slice(0, 4).toLowerCase()} ${body.code.slice(4)}`
    const told = await countTold()
    const first = await pair(typed)
    expect(first).toMatchObject({ status: 303, headers: { location: '/k/lantern-house/buy' } })
    expect(String(first.headers['set-cookie'])).toMatch(/HttpOnly; Secure; SameSite=Strict/)
    expect((await pair(body.code)).status).toBe(400)
    // Whoever looks at the phones of the kitchen hears of it.
    expect(await countTold()).toBe(told + 1)
    expect((await onDesk('/phones')).body.phones).toMatchObject([{ name: 'Apron phone' }])
  })

  it('takes no code that is past', async () => {
    const { body } = await onDesk('/phones/codes', 'POST')
    clock = new Date(NOW.getTime() + 11 * 60_000)
    expect((await pair(body.code)).status).toBe(400)
    clock = NOW
  })

  it('shows a phone its own kitchen alone, and nothing of who else comes in', async () => {
    const headers = { Cookie: await pairOne() }
    expect(JSON.parse((await phone('/api/kitchens', { headers })).text)).toMatchObject([{ id: 'lantern-house' }])
    expect((await phone('/api/kitchens/lantern-house/buy-sheet', { headers })).status).toBe(200)
    const others = (await (await fetch(`${base.address}/api/kitchens`)).json()) as { id: string }[]
    const other = others.find(({ id }) => id !== 'lantern-house')?.id ?? ''
    const refused = [
      ...[
        `/api/kitchens/${other}/servings`,
        `/API/kitchens/${other}/servings`,
        `/api/Kitchens/${other}/servings`,
        `/api//kitchens/${other}/servings`,
      ],
      ...[
        '/api/kitchens/lantern-house/phones',
        '/API/KITCHENS/lantern-house/PHONES',
        '/api/kitchens/lantern-house/phones/',
        '/api/offers',
        '/Api/offers',
      ],
      ...[`/api/kitchens/lantern-house/../${other}/servings`, `/api/kitchens/lantern-house%2F..%2F${other}/servings`],
    ]
    for (const path of refused) expect((await phone(path, { headers })).status, path).toBe(404)
    expect(JSON.parse((await phone('/API/kitchens/', { headers })).text)).toMatchObject([{ id: 'lantern-house' }])
    expect(JSON.parse((await phone('/API/kitchens/', { headers })).text)).toHaveLength(1)
    expect((await phone('/api/kitchens/lantern-house/phones/codes', { headers, method: 'POST' })).status).toBe(404)
  })

  it('shuts a phone out that was revoked', async () => {
    const headers = { Cookie: await pairOne() }
    const { phones } = (await onDesk('/phones')).body
    expect(phones.length).toBeGreaterThan(0)
    for (const { id } of phones) expect((await onDesk(`/phones/${id}`, 'DELETE')).status).toBe(200)
    expect((await phone('/api/kitchens/lantern-house/servings', { headers })).status).toBe(401)
    expect((await onDesk(`/phones/${phones[0]?.id ?? ''}`, 'DELETE')).status).toBe(404)
  })

  it('leaves off whoever tries too many codes', async () => {
    const ends = await Promise.all(Array.from({ length: 14 }, () => pair('AAAAAAAA')))
    expect(ends.some(({ status }) => status === 429)).toBe(true)
  })

  it('is shut where nothing was said at the start', async () => {
    expect((await base.call('/api/phones')).body).toMatchObject({ open: false, addresses: [], fingerprint: null })
    expect((await base.call('/api/phones/codes', { method: 'POST' })).status).toBe(409)
  })
})

describe('the certificate', () => {
  it('is kept, readable by its owner alone, and made anew for an address that is not in it, or when it is nearly past', async () => {
    const same = await openCertificate(folder, ['127.0.0.1'], NOW)
    expect(same.fingerprint).toBe(certificate.fingerprint)
    expect(new X509Certificate(readFileSync(join(folder, 'certificate.pem'))).fingerprint256).toBe(same.fingerprint)
    expect(statSync(join(folder, 'key.pem')).mode & 0o077).toBe(0)
    const moved = await openCertificate(folder, ['127.0.0.1', '192.0.2.77'], NOW)
    expect(moved.fingerprint).not.toBe(same.fingerprint)
    const late = await openCertificate(folder, ['192.0.2.77'], new Date(NOW.getTime() + 800 * DAY_MS))
    expect(late.fingerprint).not.toBe(moved.fingerprint)
  })
})
