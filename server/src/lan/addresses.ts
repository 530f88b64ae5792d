import { networkInterfaces } from 'node:os'

/** Under which addresses this machine is known on its networks, itself not among them. */
export const listAddresses = (): readonly string[] =>
  Object.values(networkInterfaces()).flatMap((own) =>
    (own ?? []).filter(({ internal, family }) => !internal && family === 'IPv4').map(({ address }) => address),
  )
