/** A cell that a spreadsheet would run, or that looks like one that was kept from it. */
const RUNS = /^'*[=+\-@\t\r]/
const ESCAPED = /^'+[=+\-@\t\r]/

/** A cell as a spreadsheet shows it and does not run it: with a mark before it that it takes for "this is text". */
export const escapeFormula = (cell: string): string => (RUNS.test(cell) ? `'${cell}` : cell)
/** The cell as it was before it was escaped; one that never was stays as it is. */
export const unescapeFormula = (cell: string): string => (ESCAPED.test(cell) ? cell.slice(1) : cell)
