import { listAddresses } from './addresses.ts'
import { openCertificate, type Certificate } from './certificate.ts'
import type { LanDoor } from './phoneHandlers.ts'

/** The local network as phones come in by it: the certificate, and under which names. This machine itself is among them, for whoever tries it here. */
export async function openLan(
  port: number,
  folder: string,
  now: Date,
): Promise<{ readonly certificate: Certificate; readonly hosts: readonly string[]; readonly door: LanDoor }> {
  const hosts = listAddresses()
  const certificate = await openCertificate(folder, [...hosts, '127.0.0.1'], now)
  const named = hosts.length > 0 ? hosts : ['127.0.0.1']
  return { certificate, hosts, door: { addresses: named.map((host) => `https://${host}:${port}`), fingerprint: certificate.fingerprint } }
}
