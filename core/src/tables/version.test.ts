import { createHash } from 'node:crypto'
import { FORMATS } from '@tender-gill/contract'
import { expect, it } from 'vitest'
import { ASK_ORDER } from './askOrder.ts'
import * as constants from './constants.ts'
import * as formats from './formats.ts'
import * as cookMedia from './cookMedia.ts'
import * as cookPlans from './cookPlans.ts'
import * as handTasks from './handTasks.ts'
import * as learning from './learning.ts'
import * as kitchenRun from './kitchenRun.ts'
import { METHODS_IN_ORDER, gridCell } from './cuts.ts'
import * as methods from './methods.ts'
import * as signs from './signs.ts'
import { STYLE_TABLE } from './styles.ts'
import * as wholeFish from './wholeFish.ts'
import * as windows from './windows.ts'

/** What the tables came to when the version was last raised. */
const SEALED = { version: '2.5.2', tables: 'c89353bc58841511' }

/** A table in writing: keys by name, sets as lists, functions of a temperature by what they give at 63 °C. */
const write = (_key: string, value: unknown): unknown => {
  if (value instanceof Set) return [...value]
  if (value !== null && typeof value === 'object' && !Array.isArray(value))
    return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
  return typeof value === 'function' ? (value as (at: number, how: object) => unknown)(63, {}) : value
}

it('the engine’s version rises whenever a number of its tables changes: raise ENGINE_VERSION, then seal it here', () => {
  const { ENGINE_VERSION, colourLikeness: _function, ...numbers } = constants
  const grid = METHODS_IN_ORDER.map((method) => FORMATS.map((format) => gridCell(method, format)))
  const tables = JSON.stringify(
    [
      ASK_ORDER,
      numbers,
      formats,
      cookMedia,
      cookPlans,
      methods,
      STYLE_TABLE,
      grid,
      handTasks,
      kitchenRun,
      learning,
      signs,
      wholeFish,
      windows,
    ],
    write,
  )
  expect({ version: ENGINE_VERSION, tables: createHash('sha256').update(tables).digest('hex').slice(0, 16) }).toEqual(SEALED)
})
