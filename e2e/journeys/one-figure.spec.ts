import type { Page } from '@playwright/test'
import { follow } from '../follow.ts'
import { expect, readLeader, test } from '../stack.ts'

const DISH = 'beer-battered-supper'
const NAME = 'Beer-battered supper'

const textOf = async (page: Page, role: 'listitem' | 'region' | 'article', name: string | RegExp): Promise<string> =>
  (await page.getByRole(role).filter({ hasText: name }).first().textContent()) ?? ''
const money = (text: string): string | undefined => /€\d+\.\d\d/.exec(text)?.[0]

test('one fish, one dish, one day: the same fit and the same cost on every page that tells them', async ({ page }) => {
  await page.goto(`/dishes/${DISH}/line-up`)
  await readLeader(page)
  const line = page.getByRole('list', { name: 'Fish that can do it' })
  const row = (await line.getByRole('listitem').first().textContent()) ?? ''
  const button = line.getByRole('listitem').first().getByRole('button').first()
  const common = (await button.textContent())?.replace(/[\s▴▾]+$/u, '') ?? ''
  const species = /[A-Z][a-z]+ [a-z]+(?=(wild|farmed))/.exec(row)?.[0] ?? ''
  expect([common.length > 2, species.length > 5]).toEqual([true, true])
  const fit = Number(/(\d+\.\d|100)first in/.exec(row)?.[1] ?? /(\d+\.\d|100)(?=first)/.exec(row)?.[1])
  const cost = money(row)
  expect(fit).toBeGreaterThan(50)
  expect(cost).toBeDefined()

  await follow(page, '/')
  const own = page.getByRole('list', { name: 'Dishes' }).getByRole('listitem').filter({ hasText: NAME })
  await expect(own).toContainText(`leads, fit ${fit.toFixed(0)},`)

  await follow(page, `/fish/${encodeURIComponent(species)}`)
  const seen = page.getByRole('list', { name: 'Your dishes for it' }).getByRole('listitem').filter({ hasText: NAME })
  await expect(seen).toContainText('number 1 of')
  await expect(seen).toContainText(new RegExp(`${fit.toFixed(0)}$`))
  await expect(seen).toContainText(`${cost ?? ''} a portion`)

  await follow(page, `/book/compare?fish=${encodeURIComponent(species)}&fish=Gadus%20morhua&dish=${DISH}`)
  await expect(page.getByText(`${fit.toFixed(1)} = 100 −`).first()).toBeVisible()
  expect(await textOf(page, 'region', 'a portion')).toContain(cost ?? 'no cost')

  await follow(page, `/dishes/${DISH}/stand-ins`)
  await expect(page.getByRole('region', { name: 'The ladder' })).toContainText(new RegExp(`fit ${fit.toFixed(0)}|${fit.toFixed(1)}`))

  await follow(page, `/dishes/${DISH}/amounts`)
  await expect(page.getByRole('region', { name: 'What to buy' })).toContainText(`${cost ?? ''} a portion`)

  // One fish may lie there in several ways, each with a fit of its own.
  const kind = /(wild|farmed)[^;]*(?=;)/.exec(row)?.[0] ?? ''
  await follow(page, '/market')
  await page.getByRole('button', { name: /^Show the other \d+$/ }).click()
  const there = page
    .getByRole('list', { name: 'Fish of the day, the best buy first' })
    .getByRole('listitem')
    .filter({ hasText: `${common} ${kind}, ` })
  await expect(there.getByRole('link', { name: new RegExp(`^${NAME}, fit`) })).toHaveText(`${NAME}, fit ${fit.toFixed(0)}`)
})
