import type { Stock } from '@tender-gill/contract'

/** Where a stock lives and how it is caught. */
export const describePlace = ({ origin, water, gear }: Stock): string =>
  origin === 'farmed' ? 'farmed' : [water ?? 'any water', ...(gear ? [`by ${gear}`] : [])].join(', ')
