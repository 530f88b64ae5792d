/** What the browser keeps at a place, as an object; an empty one where nothing is kept, or where what is kept can no longer be read. */
export function readStored(storage: Pick<Storage, 'getItem'>, place: string): object {
  try {
    const kept: unknown = JSON.parse(storage.getItem(place) ?? '{}')
    return typeof kept === 'object' && kept !== null ? kept : {}
  } catch {
    return {}
  }
}
