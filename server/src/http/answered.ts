/** An answer that is more than its body: with a status, headers, or as text or bytes rather than JSON. */
export class Answered<T = unknown> {
  constructor(
    readonly body: T,
    readonly options: { readonly status?: number; readonly headers?: Readonly<Record<string, string>> } = {},
  ) {}
}

/** A file for people or for a spreadsheet. */
export const asFile = (name: string, type: string, text: string): Answered<string> =>
  new Answered(text, { headers: { 'Content-Type': `${type}; charset=utf-8`, 'Content-Disposition': `attachment; filename="${name}"` } })

/** JSON that was packed by brotli once for all who fetch it; unpacked for one who cannot read that. */
export const asPackedJson = (packed: Uint8Array, headers: Readonly<Record<string, string>> = {}): Answered =>
  new Answered(Buffer.from(packed), {
    headers: { 'Content-Type': 'application/json; charset=utf-8', 'Content-Encoding': 'br', Vary: 'Accept-Encoding', ...headers },
  })
