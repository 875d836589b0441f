import type { Page } from '@playwright/test'
import { clean } from './axe.ts'
import { expect, test } from './server.ts'

/** What the shop keeps, as its owner types it. */

const fill = async (page: Page, form: string, fields: Record<string, string>) => {
  const editor = page.getByRole('form', { name: form, exact: true })
  for (const [label, value] of Object.entries(fields)) await editor.getByLabel(label, { exact: true }).fill(value)
  return editor
}

const sheets = 'Sheets, a line each: name; width x height in; colours; from: price, from: price'

test('a price list typed on the Shelf becomes a way to do the order', async ({ page }) => {
  await page.goto('/shelf')
  await page.getByRole('button', { name: 'Add a transfer price list' }).click()
  const editor = await fill(page, 'Add a transfer price list', {
    Supplier: 'Samphire',
    'Set-up, each colour': '4+5',
    [sheets]: '11 × 13; 11 x 13; two; 12: 1.10',
  })
  const transfer = editor.getByLabel('Transfer', { exact: true })
  await transfer.fill('Quick transfer')
  await editor.getByRole('button', { name: 'Save' }).click()
  // a line that cannot be read names itself, and nothing typed is lost
  await expect(editor.getByRole('alert')).toContainText('"11 × 13; 11 x 13; two; 12: 1.10" is not like')
  await expect(transfer).toHaveValue('Quick transfer')
  await editor.getByLabel(sheets).fill('11 × 13; 11 x 13; 1; 12: 1.10, 36: 0.80\n11 × 13; 11 x 13; 2; 12: 1.50')
  await editor.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('button', { name: /Quick transfer Samphire/ })).toContainText('a colour $9.00')
  await clean(page)

  // it needs the maker's sheet before it can be pressed
  await page.goto('/floor')
  await page.getByRole('button', { name: 'Add a recipe' }).click()
  const recipe = page.getByRole('form', { name: 'Add a recipe' })
  await recipe.getByLabel('Product').selectOption({ label: 'Samphire Quick transfer' })
  await recipe.getByLabel('Temperature, °F').fill('40')
  await recipe.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('40 °F is outside 200 to 450').first()).toBeVisible()
  await recipe.getByLabel('Temperature, °F').fill('360')
  await recipe.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('button', { name: /Samphire Quick transfer on cotton/ })).toBeVisible()
  await clean(page)
  const kept = (await (await page.request.get('/api/screens')).json()) as {
    value: { product: string; sheets: unknown[] }
  }[]
  expect(kept.find((k) => k.value.product === 'Quick transfer')?.value.sheets).toHaveLength(1)
})

test('a printer is added on the Floor and every figure of it comes back', async ({ page }) => {
  await page.goto('/floor')
  await page.getByRole('button', { name: 'Add a dye printer' }).click()
  const editor = await fill(page, 'Add a dye printer', {
    'A sheet': '0.31',
    'Ink, a ml': '0.19',
    'Heats, % of the time': '45',
  })
  await editor.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The dye printer has no name.').first()).toBeVisible()
  await editor.getByLabel('Name', { exact: true }).fill('Whimbrel')
  await editor.getByRole('button', { name: 'Save' }).click()
  await page.getByRole('button', { name: /^Whimbrel/ }).click()
  const again = page.getByRole('form', { name: 'Whimbrel' })
  await expect(again.getByLabel('A sheet', { exact: true })).toHaveValue('0.31')
  await expect(again.getByLabel('Heats, % of the time')).toHaveValue('45')
  // Esc puts back what was kept
  await again.getByLabel('A sheet', { exact: true }).fill('9')
  await page.keyboard.press('Escape')
  await expect(again.getByLabel('A sheet', { exact: true })).toHaveValue('0.31')
  await clean(page)
})

test('who takes parcels has a board by its description, and its zones stand in the ask', async ({ page }) => {
  await page.goto('/shelf')
  await expect(page.getByText('No rates of your own: postage is by a simulated table')).toBeVisible()
  await page.getByRole('button', { name: 'Add a parcel service' }).click()
  const editor = page.getByRole('form', { name: 'Add a parcel service' })
  const zones = editor.getByLabel(/^Zones, nearest first/)
  await expect(zones).toHaveValue(/^Near; 1; 250 4.2, 1000 6,/)
  await editor.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The parcel service has no name.').first()).toBeVisible()
  await editor.getByLabel('Who takes parcels').fill('Ridgeline')
  await zones.fill('Skerry Quay; 1; 1000')
  await editor.getByRole('button', { name: 'Save' }).click()
  await expect(editor.getByRole('alert')).toContainText('is not like "Near; 1; 250 4.20, 1000 6.00"')
  await zones.fill('Skerry Quay; 1; 1000 3,90\nThe islands; 4; 1000 11.50, 5000 19')
  await editor.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('button', { name: /Ridgeline/ })).toContainText('Skerry Quay · The islands')
  await clean(page)
  const rates = (await (await page.request.get('/api/carrier')).json()) as { carrier: string; zones: { id: string }[] }
  expect([rates.carrier, ...rates.zones.map((z) => z.id)]).toEqual(['Ridgeline', 'skerry-quay', 'the-islands'])
  await page.goto('/ask')
  await page.getByRole('button', { name: /collected or sent\?/ }).click()
  await page
    .getByLabel('collected or sent?', { exact: true })
    .selectOption({ label: 'sent Skerry Quay, postage on top' })
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /collected or sent\?: sent Skerry Quay/ })).toBeVisible()
})

test('a press is put out of use: the day at the presses says why, and it comes back when that is called off', async ({
  page,
}) => {
  await page.goto('/floor')
  await page.getByRole('button', { name: 'Put a machine out of use' }).click()
  const editor = page.getByRole('form', { name: 'Put a machine out of use' })
  await editor.getByRole('button', { name: 'Save' }).click()
  await expect(editor.getByRole('alert')).toContainText('Machine: Choose which machine is out of use.')
  await editor.getByLabel('Machine').selectOption({ label: 'Gannet' })
  const today = await editor.getByLabel('From').inputValue()
  await editor.getByLabel('Last day').fill('2020-01-01')
  await editor.getByLabel('What is the matter').fill('Heating element, part ordered')
  await editor.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The last day is the first or a later one').first()).toBeVisible()
  await editor.getByLabel('Last day').fill(today)
  await editor.getByRole('button', { name: 'Save' }).click()
  const board = page.getByRole('button', { name: /^Gannet.*Heating element/ })
  await expect(board).toBeVisible()
  await clean(page)
  await page.goto('/press')
  await expect(
    page.locator('svg text').filter({ hasText: /out of use through .*: Heating element, part ordered/ }),
  ).toBeVisible()
  await page.goto('/floor')
  await board.click()
  await page
    .getByRole('form', { name: 'Gannet' })
    .getByLabel('On these days')
    .selectOption({ label: 'it is in use after all' })
  await page.getByRole('form', { name: 'Gannet' }).getByRole('button', { name: 'Save' }).click()
  await expect(board).toContainText('it is in use after all')
  await page.goto('/press')
  await expect(page.getByText(/Gannet/).first()).toBeVisible()
  await expect(page.getByText(/out of use through/)).toHaveCount(0)
})

test('a style in use stays, an unused one comes off the Shelf and back', async ({ page, request, server }) => {
  const styles = (await (await request.get(`${server.url}/api/styles`)).json()) as { value: { id: string } }[]
  const { id: _, ...body } = styles.find((s) => s.value.id === 'sprint')!.value
  const kept = await request.put(`${server.url}/api/styles/unasked`, { data: { ...body, name: 'Unasked 140' } })
  expect(kept.ok()).toBe(true)
  await page.goto('/shelf')
  await page.getByRole('button', { name: /Brae 180/ }).click()
  await page.getByRole('button', { name: 'Take off the Shelf' }).click()
  await expect(page.getByText(/Brae 180 is in use by T-201/).first()).toBeVisible()
  await page.getByRole('button', { name: /Brae 180/ }).click()
  await page.getByRole('button', { name: /Unasked 140/ }).click()
  await page.getByRole('button', { name: 'Take off the Shelf' }).click()
  await expect(page.getByRole('button', { name: /Unasked 140/ })).toHaveCount(0)
  await page.keyboard.press('z')
  await expect(page.getByRole('button', { name: /Unasked 140/ })).toBeVisible()
})

test('two devices change the numbers: what does not collide is kept with one key, what collides is chosen', async ({
  browser,
  page,
  server,
}) => {
  const other = await (await browser.newContext()).newPage()
  for (const p of [page, other]) {
    await p.goto(`${server.url}/numbers`)
    await expect(p.getByLabel('Minutes an order')).toBeVisible()
  }
  const form = (p: Page, name: string) => p.getByRole('form', { name })
  const money = (p: Page) => form(p, 'An hour and an order')
  const packing = form(other, 'Packing')
  const minutes = (p: Page) => money(p).getByLabel('Minutes an order')
  // both have begun to type before either saves, so neither sees the other's change
  await minutes(page).fill('21')
  await packing.getByLabel('Bag, label, card').fill('0.33')
  await packing.getByRole('button', { name: 'Save' }).click()
  await expect(packing.getByRole('button', { name: 'Saved' })).toBeVisible()
  await money(page).getByRole('button', { name: 'Save' }).click()
  const dialog = page.getByRole('dialog', { name: 'Changed on another device too' })
  await expect(dialog).toContainText('packing.perPiece')
  await clean(page)
  await dialog.getByRole('button', { name: 'Keep both changes' }).click()
  await expect(dialog).toBeHidden()
  const kept = (await (await page.request.get('/api/numbers')).json()) as {
    value: object
  }
  expect(kept.value).toMatchObject({ rates: { orderMinutes: 21 }, packing: { perPiece: 0.33 } })

  await minutes(page).fill('23')
  await minutes(other).fill('24')
  await money(other).getByRole('button', { name: 'Save' }).click()
  await expect(money(other).getByRole('button', { name: 'Saved' })).toBeVisible()
  await money(page).getByRole('button', { name: 'Save' }).click()
  await expect(dialog).toContainText('Both changed: orderMinutes')
  await dialog.getByRole('button', { name: 'Mine stands' }).click()
  await expect(dialog).toBeHidden()
  expect(
    ((await (await page.request.get('/api/numbers')).json()) as { value: { rates: { orderMinutes: number } } }).value
      .rates.orderMinutes,
  ).toBe(23)
})

test('an order is found by number and by part of a name, by keyboard alone', async ({ page }) => {
  await page.goto('/ask')
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-2')
  await page.keyboard.press('/')
  const find = page.getByRole('dialog', { name: 'Find an order' })
  await expect(find.getByLabel('Number or customer')).toBeFocused()
  await page.keyboard.type('lowe')
  await expect(find.getByRole('listitem')).toHaveCount(1)
  await expect(find.getByRole('listitem')).toContainText('Northmoor Choir')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/quote$/)
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-204')
  await expect(find).toBeHidden()
  await page.keyboard.press('/')
  await page.keyboard.type('nobody at all')
  await expect(find.getByRole('listitem')).toHaveCount(0)
  await page.keyboard.press('Escape')
  await expect(find).toBeHidden()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'All keys' })).toBeVisible()
  await clean(page)
})

test("the customer's own order number is typed on the ask, and finds it", async ({ page, server }) => {
  await page.goto(`${server.url}/ask`)
  await page.getByLabel('Their order number').fill('BV/2026-00417')
  await page.getByLabel('Their order number').press('Tab')
  await expect(page.getByLabel('Anything else')).toBeFocused()
  await expect
    .poll(async () => (await (await page.request.get(`${server.url}/api/orders?find=bv/2026`)).json()) as unknown[])
    .toHaveLength(1)
  await page.reload()
  await expect(page.getByLabel('Their order number')).toHaveValue('BV/2026-00417')
  await page.keyboard.press('/')
  await page.keyboard.type('v/2026-004')
  const found = page.getByRole('dialog', { name: 'Find an order' }).getByRole('listitem')
  await expect(found).toHaveCount(1)
  await expect(found).toContainText('BV/2026-00417')
  await clean(page)
})

test.describe('a new shop', () => {
  test.use({ empty: true })
  test('the first day asks what nobody can price without', async ({ page }) => {
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'The first day' })).toBeVisible()
    await clean(page)
    const form = page.getByRole('form', { name: 'The first day' })
    await form.getByLabel('Shop', { exact: true }).fill('Kelp & Twine')
    await form.getByLabel('Wage, an hour').fill('twelve')
    await form.getByRole('button', { name: 'Save' }).click()
    await expect(form.getByRole('alert')).toHaveText('Wage, an hour: "twelve" is not a number.')
    await form.getByLabel('Wage, an hour').fill('17.50')
    await form.getByRole('button', { name: 'Save' }).click()
    await expect(page).toHaveURL(/\/ask/)
    const numbers = (await (await page.request.get('/api/numbers')).json()) as { value: object }
    expect(numbers.value).toMatchObject({ identity: { name: 'Kelp & Twine' }, rates: { wage: 17.5 } })
    expect((await (await page.request.get('/api/presses')).json()) as unknown[]).toHaveLength(1)
  })
})
