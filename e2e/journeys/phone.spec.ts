import { follow } from '../follow.ts'
import { expect, test } from '../stack.ts'

test('a phone pairs by a code, ticks on the buy sheet what the desk sees at once, and is shut out again', async ({
  page,
  browser,
  stack,
}) => {
  await page.goto('/house')
  const phones = page.getByRole('region', { name: 'Phones' })
  await phones.getByRole('button', { name: 'Pair a phone' }).click()
  const shown = await phones.getByRole('status', { name: 'Pairing code' }).innerText()
  const code = /^[A-Z2-9]{4} [A-Z2-9]{4}$/m.exec(shown)?.[0] ?? ''
  expect(code).not.toBe('')

  const context = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 844 } })
  const phone = await context.newPage()
  await phone.goto(stack.phones)
  await expect(phone.getByRole('heading', { name: 'Pair this phone' })).toBeVisible()
  await phone.getByLabel(/^The code/).fill('AAAA AAAA')
  await phone.getByRole('button', { name: 'Pair it' }).click()
  await expect(phone.getByRole('alert')).toContainText('That code lets nobody in')
  await phone.getByLabel(/^The code/).fill(code)
  await phone.getByLabel('What this phone is called').fill('Apron phone')
  await phone.getByRole('button', { name: 'Pair it' }).click()
  await expect(phone.getByRole('status', { name: 'What to order next' })).toHaveText(/^Order next: /)
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)

  // The desk hears of it, and the code, which lets nobody else in, is gone.
  await expect(phones.getByText('Apron phone is paired.')).toBeVisible()
  await expect(phones.getByRole('status', { name: 'Pairing code' })).toHaveCount(0)
  await follow(page, '/buy')
  await expect(page.getByRole('button', { name: 'Ordered' }).first()).toBeVisible()
  const line = phone.getByRole('listitem').filter({ has: phone.getByRole('button', { name: 'Ordered' }) })
  await line.first().getByRole('button', { name: 'Ordered' }).click()
  await expect(page.getByRole('status').filter({ hasText: /^Ordered$/ })).toBeVisible()
  await phone.getByRole('button', { name: 'Not ordered' }).click()
  await expect(page.getByRole('status').filter({ hasText: /^Ordered$/ })).toHaveCount(0)

  await follow(page, '/house')
  await phones.getByRole('listitem').filter({ hasText: 'Apron phone' }).getByRole('button', { name: 'Shut it out' }).click()
  await expect(phones.getByText('Apron phone')).toHaveCount(0)
  await phone.reload()
  await expect(phone.getByRole('heading', { name: 'Pair this phone' })).toBeVisible()
  await context.close()
})
