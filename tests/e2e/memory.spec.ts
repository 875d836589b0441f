import type { Route } from '@playwright/test'
import { clean } from './axe.ts'
import { front, order, tees } from './orders.ts'
import { mended } from './pictures.ts'
import { expect, test } from './server.ts'

test('an empty ask begins from a template; a line is their own, on its own day; a file hangs on the order', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/ask`)
  await expect(page.getByText('new ask')).toBeVisible()
  await page.keyboard.press('n')
  await page.getByLabel('who is asking?', { exact: true }).fill('Northmoor Choir')
  await page.keyboard.press('Enter')
  // who asks is kept before anything else is changed
  await expect(page.getByRole('button', { name: 'who is asking?: Northmoor Choir' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'The usual club tee', exact: true }).click()
  await expect(page.getByRole('button', { name: /Hollin 150 tees/ })).toBeVisible()
  await page.getByRole('button', { name: /bought, or their own/ }).click()
  await page.getByLabel('bought, or their own?').selectOption('their own, like it')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /their own, like it/ })).toBeVisible()
  await page
    .getByLabel('Attach a file')
    .setInputFiles({ name: 'sketch.txt', mimeType: 'text/plain', buffer: Buffer.from('a tern') })
  await expect(page.getByRole('link', { name: 'sketch.txt' })).toBeVisible()
  await clean(page)
  await page.getByRole('button', { name: 'Take sketch.txt off' }).click()
  await expect(page.getByRole('link', { name: 'sketch.txt' })).toHaveCount(0)
  // kept again under another name, for the next time
  await page.getByRole('button', { name: 'keep as a template' }).click()
  await page.getByLabel('What do you call it?').fill('Tees they bring')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Kept as "Tees they bring"')).toBeVisible()
})

test('who asks is said while the Shelf is still being read: the part does not open again', async ({ page, server }) => {
  const late = async (route: Route, ms: number) => {
    await new Promise((later) => setTimeout(later, ms))
    await route.continue()
  }
  await page.route('**/api/styles', (route) => late(route, 5000))
  // the ask is begun at once; who asks is long on its way
  await page.route('**/api/orders/*', (route) =>
    late(
      route,
      route.request().method() === 'PUT' && route.request().postData()?.includes('"customerId":"') ? 6000 : 0,
    ),
  )
  await page.goto(`${server.url}/ask`)
  await expect(page.getByText('new ask')).toBeVisible()
  await page.keyboard.press('n')
  const who = page.getByLabel('who is asking?', { exact: true })
  const shelf = page.waitForResponse((answer) => answer.url().endsWith('/api/styles'))
  await who.fill('Northmoor Choir')
  await page.keyboard.press('Enter')
  await shelf
  await page.waitForTimeout(300)
  await expect(who).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'who is asking?: Northmoor Choir', exact: true })).toBeVisible()
})

test('the risk of their own garments is written down before they are pressed', async ({ page, request, server }) => {
  const o = order(request, server.url, 'brought')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 6 }], theirs: true } as never])
  await o.post('choose', { methodId: 'dtf-bought' })
  await o.gather()
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'brought'))
  await page.goto(`${server.url}/gather`)
  await expect(page.getByText(/are their own: one that is spoiled cannot be bought again/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'They take it, in writing' })).toBeDisabled()
  await clean(page)
  await page.getByLabel('Who takes that risk?').fill('Isaura, by letter')
  await page.getByRole('button', { name: 'They take it, in writing' }).click()
  await expect(page.getByText('Isaura, by letter takes the risk of their own garments.')).toBeVisible()
  expect(((await (await request.get(`${server.url}/api/orders/brought`)).json()) as { station: string }).station).toBe(
    'press',
  )
})

test('an artwork says what to do next time', async ({ page, request, server }) => {
  const o = order(request, server.url, 'again-art')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 12 }], placements: [{ ...front, widthIn: 9 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'again-art'))
  await page.goto(`${server.url}/ask`)
  const art = page.getByRole('region', { name: 'Artwork, front' })
  await art.locator('input[type=file]').setInputFiles({ name: 'sun.png', mimeType: 'image/png', buffer: mended() })
  await art.getByLabel('Next time').fill('two seconds less on black')
  await page.keyboard.press('Tab')
  await expect(page.getByText('Written down for next time.')).toBeVisible()
  await page.reload()
  await expect(art.getByLabel('Next time')).toHaveValue('two seconds less on black')
  await clean(page)
})
