import type { RawFile } from './importSpecies.ts'

/** The line on which each element of the outermost list begins. */
function findLines(text: string): readonly number[] {
  const lines: number[] = []
  let line = 1
  let depth = 0
  let quoted = false
  for (let i = 0; i < text.length; i += 1) {
    const sign = text[i]
    if (sign === '\n') line += 1
    if (quoted) {
      if (sign === '\\') i += 1
      else if (sign === '"') quoted = false
    } else if (sign === '"') quoted = true
    else if (sign === '{' || sign === '[') {
      if (depth === 1) lines.push(line)
      depth += 1
    } else if (sign === '}' || sign === ']') depth -= 1
  }
  return lines
}

/** Species of a JSON file: a list of them, or one alone. */
export function readJsonRows(text: string): RawFile {
  const toPlace = (pointer: string) => pointer
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (error) {
    const message = `is not JSON: ${error instanceof Error ? error.message : String(error)}`
    return { rows: [{ line: 1, value: null, problem: { path: '', message } }], toPlace }
  }
  if (!Array.isArray(value)) return { rows: [{ line: 1, value }], toPlace }
  const lines = findLines(text)
  return { rows: value.map((row: unknown, i) => ({ line: lines[i] ?? 1, value: row })), toPlace }
}
