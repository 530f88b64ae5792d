import type { Season } from '@tender-gill/contract'
import { readNumber } from '../priceLists/readCells.ts'
import type { Cells, ReadCells } from './readMarketFile.ts'

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'] as const
const landed = MONTHS.map((month) => `landed ${month}`)
const flesh = MONTHS.map((month) => `flesh ${month}`)

/** Columns of a file of years: landings and condition month by month, closed times as 02-01/03-31 apart by bars. */
export const SEASON_COLUMNS: readonly string[] = ['species', 'water', 'gear', ...landed, ...flesh, 'closed', 'least cm']

export const toSeasonCells = ({ species, water, gear, landings, condition, closures = [], leastCm }: Season): Cells => ({
  ...{ species, water, gear: gear ?? '' },
  ...Object.fromEntries(landed.map((column, i) => [column, String(landings[i] ?? '')])),
  ...Object.fromEntries(flesh.map((column, i) => [column, condition ? String(condition[i] ?? '') : ''])),
  closed: closures.map(({ from, to }) => `${from}/${to}`).join(' | '),
  'least cm': leastCm === undefined ? '' : String(leastCm),
})

/** A year out of its row; a month that is no number is named by its column. */
export const readSeasonCells: ReadCells<Season> = (cells, fail) => {
  const months = (columns: readonly string[]): number[] | undefined => {
    const values = columns.map((column) => readNumber(cells[column] ?? '', '.'))
    const wrong = values.indexOf(undefined)
    if (wrong >= 0) fail(columns[wrong] ?? '', `"${cells[columns[wrong] ?? ''] ?? ''}" is no number`)
    return wrong >= 0 ? undefined : values.flatMap((value) => value ?? [])
  }
  const landings = months(landed)
  const known = flesh.some((column) => (cells[column] ?? '') !== '')
  const condition = known ? months(flesh) : undefined
  const closures = (cells.closed ?? '')
    .split('|')
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => {
      const [from = '', to = ''] = part.split('/').map((day) => day.trim())
      return { from, to }
    })
  const leastCm = (cells['least cm'] ?? '') === '' ? undefined : readNumber(cells['least cm'] ?? '', '.')
  if (!landings || (known && !condition)) return undefined
  return {
    ...{ species: cells.species ?? '', water: cells.water ?? '', landings },
    ...((cells.gear ?? '') === '' ? {} : { gear: cells.gear ?? '' }),
    ...(condition ? { condition } : {}),
    ...(closures.length > 0 ? { closures } : {}),
    ...(leastCm === undefined ? {} : { leastCm }),
  }
}
