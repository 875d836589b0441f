import { clean } from './axe.ts'
import { front, order, tees } from './orders.ts'
import { expect, test } from './server.ts'

test('with twelve ways Compare stays calm: recommended in a sentence, opened by key, chosen with a reason', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'ways')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 36 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'ways'))
  await page.goto(`${server.url}/compare`)
  const advice = page.locator('.advice')
  await expect(advice).toContainText('an hour')
  await expect(page.getByText('recommended', { exact: true })).toBeVisible()
  // the two best in full, the rest in a line each; what cannot is counted
  await expect(page.locator('section.band')).toHaveCount(2)
  const slim = page.locator('button.slim')
  expect(await slim.count()).toBeGreaterThan(2)
  await expect(page.getByRole('button', { name: /ways cannot/ })).toBeVisible()
  await expect(page.getByText(/Upper ribbon: cheapest/)).toBeVisible({ timeout: 20_000 })
  await clean(page)

  const third = await slim.first().locator('b').first().innerText()
  await page.keyboard.press('3')
  await expect(page.locator('section.band.open')).toContainText(third)
  // held against what is recommended, point by point
  await page.keyboard.press('a')
  const held = page.getByRole('table', { name: /held against/ })
  await expect(held.getByRole('row', { name: /^Feels/ })).toBeVisible()
  await clean(page)
  await page.keyboard.press('a')
  await expect(held).toBeHidden()
  await page.keyboard.press('w')
  await expect(page.getByText(/would work:/).first()).toBeVisible()
  await page.getByLabel('Your reason, kept with the choice').fill('They want it soft.')
  await page.keyboard.press('Tab')
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/layout/)
  await page.goto(`${server.url}/compare`)
  await expect(page.getByText(/Chosen: .* against .*They want it soft\./)).toBeVisible()
})

test('each print its own way: a mix is said, opened, weighed and chosen', async ({ page, request, server }) => {
  const o = order(request, server.url, 'mixes')
  const sleeve = { ...front, id: 's', place: 'left-sleeve', widthIn: 3, heightIn: 2, colours: 1, thinnestLinePt: 6 }
  await o.ask([{ ...tees, placements: [front, sleeve], sizes: [{ size: 'M', pieces: 36 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'mixes'))
  await page.goto(`${server.url}/compare`)
  const row = page.getByRole('group', { name: 'Each print its own way' })
  await expect(row).toBeVisible()
  await page.keyboard.press('m')
  await expect(row.getByLabel('Front')).toBeFocused()
  await row.getByLabel('Front').selectOption({ label: 'Film, bought in' })
  await row.getByLabel('Left sleeve').selectOption({ label: 'Stitching' })
  const open = page.locator('section.band.open')
  await expect(open).toContainText('Film + stitching')
  await expect(open).toContainText(/Mixed: costs \$.* 2 places of work/)
  await expect(open).toBeInViewport()
  await clean(page)
  // one way for all is no mix
  await row.getByLabel('Left sleeve').selectOption({ label: 'Film, bought in' })
  await expect(page.locator('section.band', { hasText: 'Film + stitching' })).toHaveCount(0)
  await row.getByLabel('Left sleeve').selectOption({ label: 'Stitching' })
  await expect(open).toContainText('Film + stitching')
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/layout/)
  await page.goto(`${server.url}/compare`)
  await expect(page.getByText(/Chosen: Film \+ stitching/)).toBeVisible()
})

test('stitched work is laid out without a layout, and runs without heat', async ({ page, request, server }) => {
  const o = order(request, server.url, 'stitched')
  await o.ask([{ ...tees, placements: [{ ...front, heightIn: 6 }], sizes: [{ size: 'M', pieces: 2 }] }])
  await o.post('choose', { lineId: '1', methodId: 'embroidery' })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'stitched'))
  await page.goto(`${server.url}/layout`)
  await expect(page.getByText(/digitising/)).toBeVisible()
  await clean(page)
  await o.gather()
  await request.post(`${server.url}/api/runs/stitched/start`)
  await page.goto(`${server.url}/run/stitched`)
  await expect(page.getByText('Stitch', { exact: false }).first()).toBeVisible()
  await expect(page.getByText('not yet tested')).toBeHidden()
  for (const n of [1, 2]) {
    await expect(page.locator('[data-test=piece]')).toHaveText(String(n))
    await page.keyboard.press('Space')
    await expect(page.locator('[data-test=good]')).toHaveText(`${n} good`)
    await page.waitForTimeout(450)
  }
  await expect(page.getByText('All 2 are good.').first()).toBeVisible()
})
