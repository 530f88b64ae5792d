import { follow } from '../follow.ts'
import { expect, test } from '../stack.ts'

const API = '/api/kitchens/lantern-house'

test.use({ ownBrowser: true })

test('a lot is iced, moved to another dish and used; a fridge that was warm is told; the tasks go into a calendar', async ({
  page,
  request,
}) => {
  // The clock of this stack stands still in June: the page's own is set beside it.
  await page.clock.install({ time: new Date('2026-06-13T12:00:00Z') })
  await page.goto('/k/lantern-house/cold')
  const first = page.getByRole('status', { name: 'What to use first' })
  await expect(first).toHaveText(/\.$/)
  const haddock = page.getByRole('article', { name: 'Haddock' })
  await expect(haddock.getByRole('status')).toContainText('days on ice left')
  await expect(haddock.getByRole('img', { name: /^Bought .*; lasts until / })).toBeVisible()
  const until = async () => /until (\S+ \S+)/.exec((await haddock.getByRole('img').getAttribute('aria-label')) ?? '')?.[1]
  const before = await until()

  // Ice slows the clock; the undo gives it back.
  await haddock.getByRole('button', { name: 'Put in ice' }).click()
  await expect(haddock).toContainText('Drain and renew its ice at')
  expect(await until()).not.toBe(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(haddock).not.toContainText('Drain and renew its ice at')

  // Another dish: the engine says whether it suits, and what closes it.
  await haddock.getByRole('button', { name: 'For another dish' }).click()
  const dishes = page.getByRole('list', { name: 'Dishes for Haddock' })
  await expect(dishes.getByRole('listitem').first()).toContainText(/Fit \d+ of 100; feeds \d+ of \d+/)
  const name = await dishes.getByRole('listitem').first().locator('b').innerText()
  await dishes.getByRole('listitem').first().getByRole('button', { name: 'For this' }).click()
  await expect(haddock).toContainText(`For ${name}`)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(haddock).not.toContainText(`For ${name}`)

  // A fridge that was warm for hours, as its thermometer tells over HTTP: the page hears of it by itself.
  const places = (await (await request.get(`${API}/cold-places`)).json()) as { id: string; place: { name: string } }[]
  const walkIn = places.find(({ place }) => place.name === 'The walk-in')
  const readings = [7, 6, 5, 4, 3].map((hoursAgo, i) => ({
    at: new Date(Date.parse('2026-06-13T12:00:00Z') - hoursAgo * 3_600_000).toISOString(),
    celsius: 6 + i,
  }))
  expect((await request.post(`${API}/cold-places/${walkIn?.id ?? ''}/readings`, { data: { readings } })).ok()).toBe(true)
  await expect(page.getByRole('alert').filter({ hasText: 'The walk-in' })).toContainText('too warm: up to 10 °C')
  await expect(page.getByRole('article', { name: 'Atlantic mackerel' })).toContainText('is too warm for it')
  await follow(page, '/k/lantern-house/')
  await expect(page.getByRole('region', { name: 'In the house' })).toContainText('The walk-in')

  await follow(page, '/k/lantern-house/cold')
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Into the calendar' }).click()])
  expect(download.suggestedFilename()).toBe('fish-2026-06-13.ics')

  const mackerel = page.getByRole('article', { name: 'Atlantic mackerel' })
  await mackerel.getByRole('button', { name: 'Used', exact: true }).click()
  await expect(mackerel).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(mackerel).toBeVisible()
  // How it was carried is kept with the lot.
  await mackerel.getByRole('button', { name: 'How it was carried' }).click()
  await mackerel.getByLabel('Minutes').fill('25')
  await mackerel.getByRole('button', { name: 'It was carried so' }).click()
  await expect(mackerel).toContainText(/Carried for 25 minutes at 20 °C in a thin bag: .* of ice\./)
  // Ice for the way home answers at once.
  const ice = page.getByRole('status', { name: 'How much ice' })
  const little = await ice.innerText()
  await page.getByLabel('Minutes').fill('480')
  await expect(ice).not.toHaveText(little)
})
