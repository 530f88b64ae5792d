const ACCENTED: Readonly<Record<string, string>> = {
  ...{ a: 'å', e: 'ë', i: 'ï', o: 'ø', u: 'ü', c: 'ç', n: 'ñ', s: 'š', z: 'ž', y: 'ÿ' },
  ...{ A: 'Å', E: 'Ë', I: 'Ï', O: 'Ø', U: 'Ü', C: 'Ç', N: 'Ñ', S: 'Š', Z: 'Ž', Y: 'Ÿ' },
}

/** Text with its letters made strange, still to be read; parameters in braces stay as they are. */
export const makeStrange = (text: string): string =>
  text.replace(/\{\w+\}|[a-zA-Z]/g, (part) => (part.startsWith('{') ? part : (ACCENTED[part] ?? part)))

/** The same for every text of an object, however deep. */
export function makeAllStrange<T>(value: T): T {
  if (typeof value === 'string') return makeStrange(value) as T
  if (Array.isArray(value)) return value.map(makeAllStrange) as T
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, makeAllStrange<unknown>(one)])) as T
  return value
}
