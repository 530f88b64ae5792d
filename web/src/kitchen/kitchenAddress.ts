const LAST = 'tender-gill-kitchen'
const IN_ADDRESS = /^\/k\/([^/]+)(\/.*)?$/

/** The part of the address that names the kitchen: every page stands below it, so that two tabs may stand in two kitchens. */
export const kitchenPath = (id: string): string => `/k/${encodeURIComponent(id)}`

/** The kitchen an address names; undefined where it names none. */
export function readKitchen(path: string): string | undefined {
  const named = IN_ADDRESS.exec(path)?.[1]
  return named === undefined ? undefined : decodeURIComponent(named)
}

/** The kitchen to walk into where the address names none: the one of last time if it is still kept, else the first. */
export function chooseKitchen(kept: readonly { readonly id: string }[], last: string | null): string | undefined {
  return (kept.find(({ id }) => id === last) ?? kept[0])?.id
}

export const readLastKitchen = (storage: Pick<Storage, 'getItem'>): string | null => storage.getItem(LAST)
export const rememberKitchen = (storage: Pick<Storage, 'setItem'>, id: string): void => storage.setItem(LAST, id)
