import type { CDPSession, Locator, Page } from '@playwright/test'
import { front, order, tees } from './orders.ts'
import { daysOn, expect, test } from './server.ts'

test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } })

const slip = (page: Page) => page.getByLabel('Order in hand', { exact: true })

/** Waits for a part of the sentence: it opens by itself, after a while or while it is tapped. */
async function opened(page: Page, part: string, field: Locator): Promise<void> {
  await expect(async () => {
    if (!(await field.isVisible())) await page.getByRole('button', { name: part }).tap({ timeout: 1000 })
    await expect(field).toBeVisible({ timeout: 1000 })
  }).toPass()
}

/** A part of the ask: tapped, typed on the tablet's own keys, and kept by leaving it. */
async function say(page: Page, part: string, words: string): Promise<void> {
  const field = page.getByLabel(part, { exact: true })
  await opened(page, part, field)
  if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption(words)
  else await field.fill(words)
  await field.blur().catch(() => undefined)
}

/** The slip's action, by a finger: the folded slip is opened first. */
async function act(page: Page, says: RegExp): Promise<void> {
  const fold = slip(page).getByRole('button', { name: /(open|fold)$/ })
  if ((await fold.getAttribute('aria-expanded')) === 'false') await fold.tap()
  await slip(page).getByRole('button', { name: says }).tap()
}

test('one order goes from Ask to Learn by fingers alone', async ({ page, server: _ }) => {
  test.setTimeout(120_000)
  page.setDefaultTimeout(8000)
  await page.goto('/ask')
  await expect(slip(page)).toContainText('T-2')
  await page.getByRole('button', { name: /new ask/ }).tap()
  await expect(slip(page)).toContainText('T-216')
  await say(page, 'who is asking?', 'Old Net Loft')
  await say(page, 'which garment?', 'brae')
  await say(page, 'which colour?', 'black')
  await say(page, 'how many of each size?', 'S 1, M 2')
  const width = page.getByLabel('Width', { exact: false }).first()
  await opened(page, 'printed where?', width)
  await width.fill('9')
  await page.getByLabel('Height', { exact: false }).first().fill('8')
  await page.getByRole('button', { name: 'Keep', exact: true }).tap()
  await say(page, 'by when?', daysOn(12).toISOString().slice(0, 10))
  await act(page, /On to Compare/)

  await expect(page).toHaveURL(/compare/)
  await page.getByLabel(/^Film, bought in: costs/).tap()
  await act(page, /^Take film, bought in/)
  await expect(page).toHaveURL(/layout/)
  await act(page, /^Quote on/)
  await expect(page).toHaveURL(/quote/)
  await act(page, /^Send \$/)
  await page.getByRole('button', { name: 'Send it' }).tap()
  await expect(page).toHaveURL(/gather/)
  await page.getByRole('button', { name: 'Take their yes' }).first().tap()
  await page.getByRole('dialog').getByRole('button', { name: /yes/i }).tap()
  await page.getByRole('button', { name: /^Note the deposit/ }).tap()
  await page.getByRole('dialog').getByRole('button', { name: /Note/ }).tap()
  const ticks = page.getByRole('region', { name: 'What to buy and prepare' }).getByRole('checkbox')
  await expect(ticks).toHaveCount(3)
  for (const n of [0, 1, 2]) {
    await ticks.nth(n).tap()
    await expect(ticks.nth(n)).toBeChecked()
  }
  await act(page, /^Press 3/)
  await expect(page).toHaveURL(/run/)
  for (const good of [1, 2, 3]) {
    await page.getByRole('button', { name: /^Close/ }).tap()
    await page.getByRole('button', { name: /^Lift/ }).tap()
    await page.getByRole('button', { name: /^Good/ }).tap()
    await expect(page.locator('[data-test=good]')).toHaveText(`${good} good`)
    await page.waitForTimeout(450)
  }
  await page.getByRole('button', { name: /Leave/ }).tap()
  await expect(page).toHaveURL(/send/)
  for (const size of ['S', 'M'])
    await page
      .getByRole('button', { name: new RegExp(`^${size}\\b`) })
      .first()
      .tap()
  await expect(page.getByText('All 3 are in the box.')).toBeVisible()
  await act(page, /Hand it over/)
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /[Hh]and/ })
    .tap()
  await act(page, /On to Learn/)
  await expect(page.getByRole('heading', { name: /made \$.* an hour\. The quote said/ })).toBeVisible()
  await act(page, /^Close T-/)
  await expect(slip(page)).toContainText('is closed')
})

/** A finger laid on something, moved and lifted. */
async function swipe(page: Page, from: { x: number; y: number }, by: { x: number; y: number }): Promise<void> {
  const client: CDPSession = await page.context().newCDPSession(page)
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at: { x: number; y: number } | null) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] })
  await touch('touchStart', from)
  await page.waitForTimeout(300)
  for (let step = 1; step <= 10; step++) {
    await touch('touchMove', { x: from.x + (by.x * step) / 10, y: from.y + (by.y * step) / 10 })
    await page.waitForTimeout(30)
  }
  await touch('touchEnd', null)
}

test('a batch of the press day is moved by a finger', async ({ page, request, server }) => {
  await page.setViewportSize({ width: 1180, height: 820 })
  await page.goto('/ask')
  await page.evaluate(() => localStorage.setItem('hepno-in-hand', 'demo-210'))
  await page.goto('/press')
  const batch = page.locator('svg.day g.batch', { hasText: 'T-210' }).locator('rect').first()
  await expect(batch).toBeVisible()
  const moves = async () =>
    (
      (await (await request.get(`${server.url}/api/orders/demo-210`)).json()) as {
        facts: { pressing: { moves: unknown[] } }
      }
    ).facts.pressing.moves.length
  expect(await moves()).toBe(0)
  const box = (await batch.boundingBox())!
  await swipe(page, { x: box.x + box.width / 2, y: box.y + box.height / 2 }, { x: 150, y: 0 })
  await expect.poll(moves).toBe(1)
})

test('a print of a layout is moved by a finger, and too near another it is refused', async ({
  page,
  request,
  server,
}) => {
  await page.setViewportSize({ width: 1180, height: 820 })
  const o = order(request, server.url, 'by-finger')
  const sleeve = { ...front, id: 'sleeve', place: 'left-sleeve', widthIn: 3, heightIn: 3, thinnestLinePt: 5 }
  await o.ask([
    {
      ...tees,
      sizes: [{ size: 'M', pieces: 20 }],
      placements: [{ ...front, widthIn: 10, heightIn: 7, thinnestLinePt: 5 }, sleeve],
    },
  ])
  await o.post('choose', { lineId: '1', methodId: 'dtf-bought' })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'by-finger'))
  await page.goto(`${server.url}/layout`)
  const close = page.getByRole('region', { name: 'Layout on film' }).getByRole('img')
  await expect(close).toHaveAccessibleName(/prints laid\. Chosen: Front/)
  await close.scrollIntoViewIfNeeded()
  const box = (await close.boundingBox())!
  await swipe(page, { x: box.x + 40, y: box.y + 40 }, { x: 30, y: 90 })
  await expect(page.getByRole('alert').filter({ hasText: 'in too near' }).first()).toBeVisible()
})
