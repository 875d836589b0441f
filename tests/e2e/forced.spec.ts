import { expect, type Page } from '@playwright/test'
import { clean } from './axe.ts'
import { test } from './server.ts'

test.use({ forcedColors: 'active', colorScheme: 'dark' })

const ground = (page: Page) => page.evaluate(() => getComputedStyle(document.body).backgroundColor)
const paint = (page: Page, selector: string, before = false) =>
  page
    .locator(selector)
    .first()
    .evaluate((e, b) => {
      const s = getComputedStyle(e, b ? '::before' : null)
      return b ? s.backgroundImage : s.backgroundColor
    }, before)

test('where the system forces its colours, what is chosen, the station, the action and the tank still show', async ({
  page,
  server: _,
}) => {
  await page.goto('/ask')
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'demo-205'))
  await page.goto('/compare')
  await expect(page.getByLabel(/^Film, bought in: costs/)).toBeVisible()
  const page0 = await ground(page)
  expect(await paint(page, '.line .on')).not.toBe(page0)
  expect(await paint(page, '.slip .act')).not.toBe(page0)
  // the marks at the corners of the chosen band are drawn in a colour of the system's own
  const marks = await paint(page, '.crop', true)
  expect(marks).toContain('linear-gradient')
  expect(marks).not.toContain(page0)
  await clean(page)

  await page.request.post('/api/runs/demo-202/start')
  await page.goto('/run/demo-202')
  await page.getByRole('button', { name: /^Close/ }).click()
  const tank = await paint(page, '.layer.hot')
  expect(tank).not.toBe(await paint(page, '.field'))
  expect(await page.locator('.layer.hot .verb').evaluate((e) => getComputedStyle(e).color)).not.toBe(tank)
})
