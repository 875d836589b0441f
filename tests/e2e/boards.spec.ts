import { expect, test } from './server.ts'

test('the focus stays where it was when a board is saved, and goes to a board that was added', async ({
  page,
  server: _,
}) => {
  await page.goto('/shelf')
  await page
    .getByRole('button', { name: /Brae 180/ })
    .first()
    .click()
  const board = page.getByRole('form', { name: /Brae 180/ })
  const supplier = board.getByLabel('Supplier', { exact: true })
  await supplier.fill('Corran Mill and Sons')
  await supplier.press('Enter')
  await expect(board.getByRole('button', { name: 'Saved' })).toBeVisible()
  await expect(supplier).toBeFocused()
  await supplier.fill('Corran Mill')
  await board.getByRole('button', { name: 'Save' }).focus()
  await page.keyboard.press('Enter')
  await expect(board.getByRole('button', { name: 'Saved' })).toBeFocused()

  await page.goto('/floor')
  await page.getByRole('button', { name: 'Add a press' }).click()
  const added = page.getByRole('form', { name: 'Add a press' })
  await added.getByLabel('Name', { exact: true }).fill('Whimbrel')
  await added.getByRole('button', { name: 'Save' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /Whimbrel/, expanded: false })).toBeFocused()
})

test('nine points typed for a platen are still there when the page is opened anew', async ({ page, server: _ }) => {
  await page.goto('/floor')
  const platen = page.locator('details.platen').first()
  // the first of them once all presses have answered: until then another may stand first
  await expect(platen).toBeVisible()
  await expect(page.locator('p.platen')).toHaveCount(0)
  await platen.locator('summary').click()
  await platen.getByRole('button', { name: 'Measure the platen' }).click()
  const points = platen.locator('.point input')
  await points.nth(1).fill('301.5')
  await page.reload()
  await expect(platen.locator('.point input').nth(1)).toHaveValue('301.5')
  await platen.getByRole('button', { name: 'Not now' }).click()
  await page.reload()
  await expect(platen.locator('.point input')).toHaveCount(0)
})
