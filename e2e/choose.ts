import type { Locator } from '@playwright/test'

/**
 * Chooses from a list that opens. It is opened by the keyboard: a slow machine makes a click a long press, and a long press chooses what
 * opens under it.
 */
export async function choose(field: Locator, option: string): Promise<void> {
  await field.focus()
  await field.press('Enter')
  await field.page().getByRole('option', { name: option, exact: true }).click()
}
