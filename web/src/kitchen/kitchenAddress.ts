const LAST = 'tender-gill-kitchen'
const IN_ADDRESS = /^\/k\/([^/]+)(\/.*)?$/

/** The part of the address that names the kitchen: every page stands below it, so that two tabs may stand in two kitchens. */
export const kitchenPath = (id: string): string => `/k/${encodeURIComponent(id)}`

/** The kitchen an address names; undefined where it names none. */
export function readKitchen(path: string): string | undefined {
  const named = IN_ADDRESS.exec(path)?.[1]
  return named === undefined ? undefined : decodeURIComponent(named)
}

/** The part of an address that names the page, below the kitchen's. */
export const pathInKitchen = (path: string): string => (IN_ADDRESS.test(path) ? (IN_ADDRESS.exec(path)?.[2] ?? '/') : path)

export const readLastKitchen = (storage: Pick<Storage, 'getItem'>): string | null => storage.getItem(LAST)
export const forgetKitchen = (storage: Pick<Storage, 'removeItem'>): void => storage.removeItem(LAST)
export const rememberKitchen = (storage: Pick<Storage, 'setItem'>, id: string): void => storage.setItem(LAST, id)
