import { Type, type Static } from '@sinclair/typebox'
import { closed, nullable, Text } from './schemaParts.ts'

/** A phone that was paired with a kitchen. */
export const Phone = closed({
  id: Text(40),
  name: Text(80),
  pairedAt: Type.String(),
  lastSeenAt: nullable(Type.String()),
})
export type Phone = Static<typeof Phone>

/** Whether phones on the local network may come in, where, and which do. */
export const Phones = closed(
  {
    open: Type.Boolean({ description: 'Started with --lan; else nothing listens beyond this machine.' }),
    addresses: Type.Array(Text(200)),
    /** Of the certificate, as a phone shows it. */
    fingerprint: nullable(Text(200)),
    phones: Type.Array(Phone),
  },
  { $id: 'Phones' },
)
export type Phones = Static<typeof Phones>

/** A code with which one phone comes in, once, for some minutes. */
export const PairingCode = closed(
  {
    code: Text(20),
    expiresAt: Type.String(),
    /** Where the phone goes with it; the picture holds the same. */
    address: Text(300),
    qrSvg: Type.String({ maxLength: 50_000 }),
  },
  { $id: 'PairingCode' },
)
export type PairingCode = Static<typeof PairingCode>
