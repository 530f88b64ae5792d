import { createHash, X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { DAY_MS } from '@tender-gill/core'
import { generate } from 'selfsigned'

/** Phones refuse certificates that hold for longer. */
const LIFE_DAYS = 820
const RENEW_BEFORE_DAYS = 30

export interface Certificate {
  readonly key: string
  readonly cert: string
  /** SHA-256, as a phone shows it. */
  readonly fingerprint: string
}

const fingerprintOf = (cert: string): string =>
  (createHash('sha256').update(new X509Certificate(cert).raw).digest('hex').match(/../g) ?? []).join(':').toUpperCase()

/** Whether a certificate still holds for a while, for every one of these addresses. */
function covers(cert: string, addresses: readonly string[], now: Date): boolean {
  const read = new X509Certificate(cert)
  const lasts = new Date(read.validTo).getTime() - now.getTime() > RENEW_BEFORE_DAYS * DAY_MS
  return lasts && addresses.every((address) => read.checkIP(address) !== undefined)
}

/** The certificate of this machine, made at the first start and kept; made anew where it is nearly past or an address is not in it. */
export async function openCertificate(folder: string, addresses: readonly string[], now: Date): Promise<Certificate> {
  const [keyFile, certFile] = [join(folder, 'key.pem'), join(folder, 'certificate.pem')]
  if (existsSync(keyFile) && existsSync(certFile)) {
    const [key, cert] = [readFileSync(keyFile, 'utf8'), readFileSync(certFile, 'utf8')]
    if (covers(cert, addresses, now)) return { key, cert, fingerprint: fingerprintOf(cert) }
  }
  const made = await generate([{ name: 'commonName', value: 'Tender Gill' }], {
    keySize: 2048,
    algorithm: 'sha256',
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: new Date(now.getTime() + LIFE_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, keyEncipherment: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: [{ type: 2, value: 'localhost' }, ...addresses.map((ip) => ({ type: 7 as const, ip }))] },
    ],
  })
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  // Whoever can read the key can pass for this machine.
  writeFileSync(keyFile, made.private, { mode: 0o600 })
  writeFileSync(certFile, made.cert)
  return { key: made.private, cert: made.cert, fingerprint: fingerprintOf(made.cert) }
}
