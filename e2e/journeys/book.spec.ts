import { follow } from '../follow.ts'
import { expect, readLeader, test } from '../stack.ts'
import { choose } from '../choose.ts'

test('five market names, one misspelt and one shared, land right', async ({ page }) => {
  await page.goto('/')
  const search = page.getByRole('combobox', { name: 'Find a fish by any market name' })
  const first = page.getByRole('listbox', { name: 'Fish found' }).getByRole('option').first()
  for (const [typed, found] of [
    ['lavraki', 'European sea bass'],
    ['cabillaud', 'Atlantic cod'],
    ['macquerel', 'Atlantic mackerel'],
    ['dorade ROYALE', 'Gilthead sea bream'],
  ] as const) {
    await search.fill(typed)
    await expect(first, typed).toContainText(found)
  }
  await search.fill('butterfish')
  await expect(first).toContainText(/species are sold as “butterfish”/)
  await expect(page.getByRole('option').filter({ hasText: 'Escolar' })).toContainText('Wax ester: makes people ill')
  await search.press('Enter')
  const shared = page.getByRole('region', { name: 'Sold as butterfish' })
  await expect(shared).toContainText('Ask for the scientific name')
  await expect(shared).toContainText('They differ in')
  await shared.getByRole('link', { name: 'Sablefish (black cod)' }).click()
  await expect(page.getByRole('heading', { name: 'Sablefish (black cod)', level: 1 })).toBeVisible()
})

test('the book is looked through by the kind of flesh, and the link keeps it', async ({ page }) => {
  await page.goto('/book')
  const count = page.getByRole('heading', { name: /fish$/, level: 1 })
  await expect(count).toHaveText('220 fish')
  const looking = page.getByRole('region', { name: 'Looking for' })
  await looking.getByRole('group', { name: 'Firmness' }).getByRole('button', { name: /^firm/ }).click()
  await looking.getByRole('group', { name: 'Fat' }).getByRole('button', { name: /^lean/ }).click()
  await choose(looking.getByRole('combobox', { name: /^Good for/ }), 'Grilled over coals')
  await expect(looking.getByRole('combobox', { name: /^Good for/ })).toHaveText('Grilled over coals')
  await expect(
    page
      .getByRole('list', { name: 'Fish found' })
      .getByText(/^\d+ grilled over coals$/)
      .first(),
  ).toBeVisible()
  const lean = looking.getByRole('group', { name: 'Fat' }).getByRole('button', { name: /^lean/ })
  await expect(lean).toHaveAttribute('aria-pressed', 'true')
  expect([...new URL(page.url()).searchParams.keys()].sort()).toEqual(['fat', 'firmness', 'method'])
  const left = (await lean.innerText()).replace(/\D/g, '')
  await expect(count).toHaveText(`${left} of 220 fish`)
  const told = await count.innerText()
  await page.goto(page.url())
  await expect(count).toHaveText(told)
  const lines = page.getByRole('list', { name: 'Fish found' }).getByRole('listitem')
  const names = [await lines.nth(0).getByRole('heading').innerText(), await lines.nth(1).getByRole('heading').innerText()]
  for (const name of names) await page.getByRole('checkbox', { name: `Compare ${name}` }).check()
  await page.getByRole('link', { name: 'Compare marked (2)' }).click()
  for (const name of names) await expect(page.getByRole('columnheader').filter({ hasText: name })).toBeVisible()
  await choose(page.getByRole('combobox', { name: /^For the dish/ }), 'Paprika skewers over coals')
  await expect(page.getByText('of 100 in the dish').first()).toBeVisible()
})

test.describe('with a mistake on the way', () => {
  test.use({ expectErrors: true })

  test('a trait changed in the house’s hand moves the line-up, survives a reload half typed, and is put back', async ({ page }) => {
    await page.goto('/dishes/leek-and-potato-pie/line-up')
    const leader = await readLeader(page)
    await page.getByRole('combobox', { name: 'Find a fish by any market name' }).fill(leader)
    await page.getByRole('option').filter({ hasText: leader }).first().click()
    await page.getByRole('button', { name: 'Change in the house’s hand' }).click()
    await page.getByLabel('Flake low').fill('3')
    await page.getByLabel('Flake usual').fill('1')
    await page.reload()
    await page.getByRole('button', { name: 'Change in the house’s hand' }).click()
    await expect(page.getByLabel('Flake usual')).toHaveValue('1')
    await page.getByRole('button', { name: 'Keep in the house’s hand' }).click()
    await expect(page.getByText(/is not low, typical, high/)).toBeVisible()
    await page.getByLabel('Flake low').fill('0.5')
    await page.getByLabel('Flake high').fill('1.5')
    await page.getByRole('button', { name: 'Keep in the house’s hand' }).click()
    const flesh = page.getByRole('region', { name: 'Traits of the flesh' })
    await expect(flesh.getByRole('listitem').filter({ hasText: 'Flake' })).toContainText('the house’s')
    await follow(page, '/dishes/leek-and-potato-pie/line-up')
    expect(await readLeader(page)).not.toBe(leader)
    await page.goBack()
    await flesh.getByRole('button', { name: 'Put Flake back as the book has it' }).click()
    await expect(flesh.getByRole('listitem').filter({ hasText: 'Flake' })).toContainText('compiled')
    await follow(page, '/dishes/leek-and-potato-pie/line-up')
    expect(await readLeader(page)).toBe(leader)
  })
})

test('a file with a bad row is reported by line, kept by its good rows, and taken back', async ({ page }) => {
  await page.goto('/book/files')
  await page.getByLabel('File of species').setInputFiles({
    name: 'mine.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('scientific,names.en,flesh.firmness\nZeus faber,john dory | hearth fish,6 7 8\nSolea solea,sole,six 7 8\n'),
  })
  await expect(page.getByRole('status').filter({ hasText: 'mine.csv' })).toHaveText('mine.csv. 2 rows: 1 good, 1 bad.')
  const bad = page.getByRole('region', { name: 'Rows that cannot be kept' })
  await expect(bad.getByRole('row').nth(1)).toContainText('3')
  await expect(bad.getByRole('row').nth(1)).toContainText('flesh.firmness must be number')
  await page.getByRole('button', { name: 'Keep the 1 good rows' }).click()
  await expect(page.getByText('1 species kept in the house’s hand.')).toBeVisible()
  const search = page.getByRole('combobox', { name: 'Find a fish by any market name' })
  await search.fill('hearth fish')
  await expect(page.getByRole('listbox', { name: 'Fish found' }).getByRole('option').first()).toContainText('John Dory')
  await search.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('The import was taken back')).toBeVisible()
  await search.fill('hearth fish')
  await expect(page.getByRole('option').filter({ hasText: 'sold as hearth fish' })).toHaveCount(0)
})

test('a species of the house’s own begins from its nearest kin', async ({ page }) => {
  await page.goto('/book/new')
  await page.getByLabel('Scientific name').fill('molva')
  await page.getByLabel('What you call it').fill('Harbour ling')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByText('two words, as Gadus morhua')).toBeVisible()
  await page.getByLabel('Scientific name').fill('Molva portuensis')
  await page.getByLabel('Most like').fill('common ling')
  await page.getByRole('option', { name: /Common ling/ }).click()
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('heading', { name: 'Harbour ling', level: 1 })).toBeVisible()
  await expect(page.getByText('The house’s own species.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(page.getByText('Harbour ling was taken away.')).toBeVisible()
  await expect(page.getByRole('heading', { name: '220 fish' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('heading', { name: '221 fish' })).toBeVisible()
  await follow(page, `/book/${encodeURIComponent('Molva portuensis')}`)
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(page.getByRole('heading', { name: '220 fish' })).toBeVisible()
})
