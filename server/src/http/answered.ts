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
