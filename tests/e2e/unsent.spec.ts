import { expect, type Page } from '@playwright/test'
import { test } from './server'

/** What the program keeps of something, as the API says it. */
const kept = async (page: Page, path: string): Promise<Record<string, unknown>> =>
  (await (await page.request.get(path)).json()) as Record<string, unknown>

/** Every call takes so long on its way there. */
const slowly = (page: Page, ms: number) =>
  page.route('**/api/**', async (route) => {
    if (route.request().url().includes('/api/changes')) return await route.continue()
    await new Promise((later) => setTimeout(later, ms))
    await route.continue()
  })

/** The cable is pulled; or put back. */
const cut = (page: Page, is: boolean) => page.context().setOffline(is)

const unsent = (page: Page) => page.getByRole('status').filter({ hasText: 'kept on this device, not sent yet' })

async function newAsk(page: Page): Promise<string> {
  await page.goto('/ask')
  await page.getByRole('button', { name: /new ask/ }).click()
  await expect(page).toHaveURL(/begin=/)
  return new URL(page.url()).searchParams.get('begin')!
}

async function choose(page: Page, part: RegExp, label: string, option: string | { index: number }): Promise<void> {
  await page.getByRole('button', { name: part }).first().click()
  await page.getByLabel(label, { exact: true }).selectOption(option)
  await page.getByLabel(label, { exact: true }).press('Enter')
}

test('the link is cut while somebody types on Numbers: it is drawn as unsent, outlives the page, and goes out by itself', async ({
  page,
}) => {
  await page.goto('/numbers')
  const money = page.getByRole('form', { name: 'An hour and an order' })
  await money.getByLabel('Minutes an order').fill('19')
  await cut(page, true)
  await money.getByRole('button', { name: 'Save' }).click()
  await expect(unsent(page)).toContainText('One change is kept on this device')
  // typed again while nothing answers: the last typed is what is kept
  await money.getByLabel('Minutes an order').fill('20')
  await money.getByRole('button', { name: 'Save' }).click()
  await expect(unsent(page)).toContainText('2 changes are kept')
  await expect(money.getByLabel('Minutes an order')).toHaveValue('20')
  await cut(page, false)
  await expect(unsent(page)).toBeHidden()
  await expect.poll(async () => (await kept(page, '/api/numbers')).value).toMatchObject({ rates: { orderMinutes: 20 } })

  // and the page is closed before the link is back
  await money.getByLabel('Minutes an order').fill('21')
  await page.route('**/api/numbers', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await money.getByRole('button', { name: 'Save' }).click()
  await expect(unsent(page)).toBeVisible()
  await page.reload()
  await expect(unsent(page)).toBeVisible()
  await page.unroute('**/api/numbers')
  await expect(unsent(page)).toBeHidden()
  expect((await kept(page, '/api/numbers')).value).toMatchObject({ rates: { orderMinutes: 21 } })
})

test('the link is cut while somebody types on the Shelf and asks: nothing is lost', async ({ page }) => {
  const id = await newAsk(page)
  await page.getByLabel('who is asking?').fill('')
  await page.keyboard.press('Escape')
  await choose(page, /which garment\?/, 'which garment?', { index: 1 })
  await expect(page.getByRole('button', { name: /which colour\?/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await cut(page, true)
  await page.getByRole('textbox', { name: 'Anything else' }).fill('blue bags')
  await page.getByRole('textbox', { name: 'Anything else' }).blur()
  await expect(unsent(page)).toBeVisible()
  await cut(page, false)
  await expect(unsent(page)).toBeHidden()
  expect((await kept(page, `/api/orders/${id}`)).ask).toMatchObject({ details: { note: 'blue bags' } })

  await page.goto('/shelf')
  await page.getByRole('button', { name: 'Add a style' }).click()
  const form = page.getByRole('form', { name: 'Add a style' })
  await form.getByLabel('Name', { exact: true }).fill('Cutlink')
  // left half filled, the board is as it was
  await page.goto('/floor')
  await page.goto('/shelf')
  await page.getByRole('button', { name: 'Add a style' }).click()
  await expect(form.getByLabel('Name', { exact: true })).toHaveValue('Cutlink')
  await page.getByRole('button', { name: /Brae 180/ }).click()
  const brae = page.getByRole('form', { name: 'Brae 180' })
  await brae.getByLabel('Weight, g/m²').fill('181')
  await cut(page, true)
  await brae.getByRole('button', { name: 'Save' }).click()
  await expect(unsent(page)).toBeVisible()
  await cut(page, false)
  await expect(unsent(page)).toBeHidden()
  const styles = (await kept(page, '/api/styles')) as unknown as { value: { id: string; weightGsm: number } }[]
  expect(styles.find((x) => x.value.id === 'brae')!.value.weightGsm).toBe(181)
})

test('over a slow link fast edits follow each other, never collide, and no click acts twice', async ({ page }) => {
  const id = await newAsk(page)
  await page.keyboard.press('Escape')
  await choose(page, /which garment\?/, 'which garment?', { index: 1 })
  await expect(page.getByRole('button', { name: /which colour\?/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await slowly(page, 800)
  const due = page.getByRole('button', { name: /by when\?/ })
  await due.click()
  await page.getByLabel('by when?', { exact: true }).fill('2026-08-20')
  await page.keyboard.press('Enter')
  await page.getByRole('textbox', { name: 'Anything else' }).fill('in a hurry')
  await page.getByRole('textbox', { name: 'Anything else' }).blur()
  await choose(page, /retail or wholesale\?/, 'retail or wholesale?', 'wholesale')
  await page.getByRole('textbox', { name: 'Anything else' }).fill('in a great hurry')
  await page.getByRole('textbox', { name: 'Anything else' }).blur()
  // what is on its way is drawn as such
  await expect(page.getByRole('button', { name: /wholesale, not kept yet/ })).toBeVisible()
  await expect
    .poll(async () => (await kept(page, `/api/orders/${id}`)).ask, { timeout: 15_000 })
    .toMatchObject({ details: { note: 'in a great hurry' }, channel: 'wholesale', dueDate: '2026-08-20' })
  await expect(page.getByRole('dialog')).toBeHidden()
  await expect(page.getByRole('alert')).toHaveCount(0)

  const before = ((await kept(page, '/api/orders')) as unknown as unknown[]).length
  const begin = page.getByRole('button', { name: /new ask/ })
  await begin.dispatchEvent('click')
  await begin.dispatchEvent('click')
  await page.keyboard.press('n')
  const orders = async () => ((await kept(page, '/api/orders')) as unknown as unknown[]).length
  await expect.poll(orders).toBe(before + 1)
  await page.waitForTimeout(2500)
  expect(await orders()).toBe(before + 1)
})

test('how many is said before the garment, and is kept until there is one', async ({ page }) => {
  const id = await newAsk(page)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /how many\?/ }).click()
  await page.getByLabel('how many?', { exact: true }).fill('M 20, L 16')
  await page.keyboard.press('Enter')
  await page.reload()
  await expect(page.getByRole('button', { name: /how many\?: M 20, L 16/ })).toBeVisible()
  await choose(page, /which garment\?/, 'which garment?', { index: 1 })
  await expect(page.getByRole('button', { name: /how many of each size\?: 36/ })).toBeVisible()
  expect(JSON.stringify((await kept(page, `/api/orders/${id}`)).ask)).toContain('"pieces":20')
})

test.describe('in an empty shop', () => {
  test.use({ empty: true })
  test('an ask says that there is no garment and offers one; two Enters make one press', async ({ page }) => {
    await page.goto('/ask')
    await page.getByRole('button', { name: /new ask/ }).click()
    await expect(page.getByRole('link', { name: /no garment on the Shelf yet/ })).toBeVisible()
    await page.goto('/first-day')
    await slowly(page, 400)
    await page.getByLabel('Your press').focus()
    await page.keyboard.press('Enter')
    await page.keyboard.press('Enter')
    await expect.poll(async () => ((await kept(page, '/api/presses')) as unknown as unknown[]).length).toBe(1)
    await page.waitForTimeout(1500)
    expect(((await kept(page, '/api/presses')) as unknown as unknown[]).length).toBe(1)
  })
})
