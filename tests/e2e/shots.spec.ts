import { expect, test } from './server.ts'

/** The pictures of docs/screenshots, from the demo shop at one held moment, so that they change only when a screen does. */
test.use({ now: '2026-06-02T11:20:00Z', timezoneId: 'UTC' })

const views: [name: string, path: string, order: string][] = [
  ['1-ask', '/ask', 'demo-205'],
  ['2-compare', '/compare', 'demo-205'],
  ['3-layout', '/layout', 'demo-204'],
  ['4-quote', '/quote', 'demo-204'],
  ['5-gather', '/gather', 'demo-203'],
  ['6-press-day', '/press', 'demo-202'],
  ['7-press-run', '/run/demo-202', 'demo-202'],
  ['8-send', '/send', 'demo-201'],
  ['9-learn', '/learn', 'demo-201'],
  ['shelf', '/shelf', 'demo-205'],
  ['floor', '/floor', 'demo-205'],
  ['numbers', '/numbers', 'demo-205'],
]

test('pictures @shots', async ({ page, server: _ }) => {
  test.setTimeout(120_000)
  await page.goto('/numbers')
  await expect(page.getByLabel('Order in hand')).toContainText('T-')
  for (const [name, path, order] of views) {
    await page.evaluate((id) => localStorage.setItem('hepno-in-hand', id), order)
    await page.goto(path)
    await expect(page.getByText(order.replace('demo-', 'T-')).first()).toBeVisible()
    await page.waitForTimeout(700)
    await page.screenshot({ path: `../../docs/screenshots/${name}.png` })
  }
})
