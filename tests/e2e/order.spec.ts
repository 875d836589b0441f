import type { Page } from '@playwright/test'
import { clean } from './axe.ts'
import { daysOn, expect, test } from './server.ts'

/** Types into the part that is open, and commits. */
async function say(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true })
  await expect(field).toBeFocused()
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}

const slip = (page: Page) => page.getByLabel('Order in hand', { exact: true })
const act = (page: Page) => page.keyboard.press('Control+Enter')

test('one order goes all nine steps by keyboard alone', async ({ page, server }) => {
  test.setTimeout(120_000)
  await page.goto('/')
  await expect(page.getByText('Hepno', { exact: false }).first()).toBeVisible()
  await expect(slip(page)).toContainText('T-2')

  // 1 Ask
  await page.keyboard.press('n')
  await say(page, 'who is asking?', 'Old Net Loft')
  await say(page, 'which garment?', 'Brae')
  await say(page, 'which colour?', 'Black')
  await say(page, 'how many of each size?', 'S 1, M 2')
  await expect(page.getByLabel('Where', { exact: true })).toBeFocused()
  await page.keyboard.press('Tab')
  await page.keyboard.type('9')
  await page.keyboard.press('Tab')
  await page.keyboard.type('8')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('by when?', { exact: true })).toBeFocused()
  const due = daysOn(12)
  await page.keyboard.type(
    `${String(due.getMonth() + 1).padStart(2, '0')}${String(due.getDate()).padStart(2, '0')}${due.getFullYear()}`,
  )
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('at what hour?', { exact: true })).toBeFocused()
  await page.keyboard.type('0400PM')
  await page.keyboard.press('Enter')
  await say(page, 'the most they would pay?', '90')
  await expect(slip(page)).toContainText('A method, chosen')
  await clean(page)

  // 2 Compare: another quantity on the spot, a figure opened to its parts
  await page.keyboard.press('g')
  await page.keyboard.press('2')
  await expect(page.getByLabel(/^Film, bought in: costs/)).toBeVisible()
  await page.keyboard.press('w')
  await expect(page.getByText('would work: a blank of at least two thirds polyester')).toBeVisible()
  const price = await page.getByLabel(/^Film, bought in: costs/).getAttribute('aria-label')
  await page.getByRole('slider', { name: 'Pieces' }).focus()
  await page.keyboard.press('PageUp')
  await expect(page.getByRole('slider', { name: 'Pieces' })).toHaveAttribute('aria-valuenow', '6')
  await expect(page.getByLabel(/^Film, bought in: costs/)).not.toHaveAttribute('aria-label', price!)
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('slider', { name: 'Pieces' })).toHaveAttribute('aria-valuenow', '3')
  await page.keyboard.press('e')
  await expect(page.getByRole('dialog')).toContainText('Shelf: Brae 180')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  await clean(page)
  const ways = await page
    .getByLabel(/: costs /)
    .evaluateAll((bands) => bands.map((b) => b.getAttribute('aria-label') ?? ''))
  await page.keyboard.press(String(ways.findIndex((w) => w.startsWith('Film, bought in')) + 1))
  await act(page)

  // 3 Lay out
  await expect(page).toHaveURL(/layout/)
  await expect(page.getByRole('region', { name: 'Layout on film' })).toContainText('Ferrow cold-peel film, 22 in')
  await clean(page)
  await act(page)

  // 4 Quote
  await expect(page).toHaveURL(/quote/)
  await expect(page.getByText('3 black tees, printed front')).toBeVisible()
  await clean(page)
  await act(page)
  await expect(page.getByRole('button', { name: 'Send it' })).toBeFocused()
  await page.keyboard.press('Enter')

  // 5 Gather
  await expect(page).toHaveURL(/gather/)
  await act(page)
  await page.keyboard.press('Enter')
  await expect(slip(page)).toContainText('Note $')
  await act(page)
  await page.keyboard.press('Enter')
  await expect(slip(page)).toContainText('Tick off the next of 3')
  await expect(page.getByText('3 black tees: S 1, M 2')).toHaveCount(3)
  await clean(page)
  await act(page)
  await expect(slip(page)).toContainText('Tick off the next of 2')
  await act(page)
  await expect(slip(page)).toContainText('Tick off the next of 1')
  await act(page)
  await expect(slip(page)).toContainText('3 of 3 pieces to press')

  // 6 Press, the day
  await page.keyboard.press('g')
  await page.keyboard.press('6')
  await expect(page.getByText('earliest honest promise')).toBeVisible()
  await clean(page)

  // 7 Press, the run: lay, close, lift, peel; one spoiled
  await act(page)
  await expect(page).toHaveURL(/run/)
  await expect(page.getByText('piece 1').first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Lift 1')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Peel 1')).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.getByTestId('good').or(page.locator('[data-test=good]'))).toHaveText('1 good')
  await page.keyboard.press('x')
  await page.keyboard.press('1')
  await expect(page.locator('[data-test=spoiled]')).toHaveText('1 spoiled')
  await page.keyboard.press(' ')
  await expect(page.locator('[data-test=good]')).toHaveText('2 good')
  await clean(page)
  await page.keyboard.press(' ')
  await expect(page.getByText('All 3 are good.').first()).toBeAttached()
  await page.keyboard.press('Escape')

  // 8 Send
  await expect(page).toHaveURL(/send/)
  await page.keyboard.press(' ')
  await expect(page.getByText('1 of 3 counted into the box.')).toBeVisible()
  await page.keyboard.press('2')
  await page.keyboard.press('Enter')
  await expect(page.getByText('All 3 are in the box.')).toBeVisible()
  await clean(page)
  await expect(slip(page)).toContainText('Hand it over')
  await expect(slip(page).getByRole('button', { name: /Hand it over/ })).toBeEnabled()
  await act(page)
  await expect(page.getByLabel('Who takes it?')).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(slip(page)).toContainText('On to Learn')
  await expect(page.getByRole('dialog')).toBeHidden()

  // 9 Learn
  await page.keyboard.press('g')
  await page.keyboard.press('8')
  await expect(page.getByRole('heading', { name: /made \$.* an hour\. The quote said/ })).toBeVisible()
  await expect(page.getByText('crooked')).toBeVisible()
  await clean(page)
  await act(page)
  await expect(slip(page)).toContainText('is closed')
  expect(server.url).toContain('127.0.0.1')
})

for (const [path, heading] of [
  ['/shelf', 'The shelf'],
  ['/floor', 'The floor'],
  ['/numbers', 'Numbers'],
] as const) {
  test(`${path} is open to everybody`, async ({ page, server: _ }) => {
    await page.goto(path)
    await expect(page.getByRole('heading', { name: heading, exact: false }).first()).toBeAttached()
    await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-')
    await clean(page)
  })
}

test('a changed number is kept, refused in a sentence, and Z takes it back', async ({ page, server: _ }) => {
  await page.goto('/numbers')
  const minutes = page.getByLabel('Minutes an order')
  await minutes.fill('30+6')
  await minutes.press('Enter')
  await expect(page.getByText('Every price uses it')).toBeVisible()
  await expect(minutes).toHaveValue('36')
  await minutes.fill('-4')
  await minutes.press('Enter')
  await expect(page.getByText('Minutes an order: -4 is outside 0 to 1,440.')).toBeVisible()
  await expect(minutes).toHaveValue('-4')
  await minutes.press('Escape')
  await expect(page.getByText('Minutes an order: -4 is outside 0 to 1,440.')).toBeHidden()
  await page.getByRole('link', { name: /Floor/ }).focus()
  await page.keyboard.press('z')
  await expect(page.getByText('Taken back: numbers changed.')).toBeVisible()
  await page.goto('/numbers')
  await expect(page.getByLabel('Minutes an order')).toHaveValue('25')
})

test('sizes are refused in a sentence and stay as typed; a pasted table is read', async ({ page, server: _ }) => {
  await page.goto('/ask')
  await page.evaluate(() => localStorage.setItem('hepno-in-hand', 'demo-206'))
  await page.goto('/ask')
  const part = page.getByRole('button', { name: /how many of each size/ })
  await part.click()
  const field = page.getByLabel('how many of each size?', { exact: true })
  await field.fill('S 4, 9XL 2')
  await field.press('Enter')
  await expect(page.getByText('"9XL" is not a size of this style.')).toBeVisible()
  await part.click()
  await expect(field).toHaveValue('S 4, 9XL 2')
  await field.fill('S\tM\tL 4\t10\t8')
  await field.press('Enter')
  await expect(part).toHaveText('22')
})

test.describe('a new shop', () => {
  test.use({ empty: true })
  test('opens with the first day and then the first ask', async ({ page, server: _ }) => {
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'The first day' })).toBeVisible()
    await page.getByLabel('Shop', { exact: true }).fill('Harbour Prints')
    await page.getByLabel('Shop', { exact: true }).press('Enter')
    await expect(page.getByLabel('who is asking?', { exact: true })).toBeFocused()
    await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-201')
  })
})
