import { execFileSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { expect, readLeader, test } from '../stack.ts'

const BRIEF = {
  dish: 'One brief, three faces',
  method: 'stew',
  format: 'chunk',
  covers: 6,
  date: '2026-06-13',
  diners: { children: 1, allergies: ['crustacean'] },
  budget: { perPortion: 5, currency: 'EUR' },
  market: {
    prices: [
      { species: 'Lophius piscatorius', form: 'fillet-skinless', price: 31, currency: 'EUR', unit: 'kg' },
      { species: 'Conger conger', form: 'gutted', price: 9.2, currency: 'EUR', unit: 'kg' },
      { species: 'Brosme brosme', form: 'fillet-skinless', price: 13, currency: 'EUR', unit: 'kg' },
    ],
  },
}

interface Row {
  readonly common: string
  readonly fit: number
  readonly firstShare: number
}
const SHOWN = 8
const tell = ({ common, fit, firstShare }: Row): string => {
  const share =
    firstShare > 0 && firstShare < 0.005
      ? 'under 1'
      : firstShare > 0.995 && firstShare < 1
        ? 'over 99'
        : String(Math.round(firstShare * 100))
  return `${common}: ${fit.toFixed(fit === 100 ? 0 : 1)}, first in ${share} of 100`
}

test('the worker behind the page, the server and the command line give one brief the same answer', async ({ page }) => {
  const bin = fileURLToPath(new URL('../../node_modules/.bin/tender-gill', import.meta.url))
  const fromCommand = JSON.parse(execFileSync(bin, ['line-up'], { input: JSON.stringify(BRIEF), encoding: 'utf8' })) as { ranked: Row[] }
  const overHttp = (await (await page.request.post('/api/kitchens/lantern-house/line-up', { data: BRIEF })).json()) as { ranked: Row[] }
  expect(overHttp).toEqual(fromCommand)

  const kept = (await (await page.request.post('/api/kitchens/lantern-house/servings', { data: { brief: BRIEF } })).json()) as {
    id: string
  }
  await page.goto(`/dishes/${kept.id}/line-up`)
  await readLeader(page)
  const rows = page.getByRole('list', { name: 'Fish that can do it' }).getByRole('listitem')
  await expect(rows).toHaveCount(SHOWN)
  const shown = await rows.evaluateAll((items) =>
    items.map((item) => {
      const name = (item.querySelector('h3')?.textContent ?? '').replace(/[\s▾▴]+$/u, '')
      const text = item.textContent ?? ''
      return `${name}: ${item.querySelector('[data-fit]')?.textContent ?? ''}, ${/first in (?:under |over )?\d+ of 100/.exec(text)?.[0] ?? ''}`
    }),
  )
  expect(shown).toEqual(fromCommand.ranked.slice(0, SHOWN).map(tell))
})
