import { clean } from './axe.ts'
import { front, order, tees } from './orders.ts'
import { expect, test } from './server.ts'

test('with every way Compare stays calm: recommended in a sentence, opened by key, chosen with a reason', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'ways')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 36 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'ways'))
  await page.goto(`${server.url}/compare`)
  const advice = page.locator('.advice')
  await expect(advice).toContainText('of your hands')
  await expect(page.getByText('recommended', { exact: true })).toBeVisible()
  // the two best in full, the rest in a line each; what cannot is counted
  await expect(page.locator('section.band')).toHaveCount(2)
  const slim = page.locator('button.slim')
  expect(await slim.count()).toBeGreaterThan(2)
  await expect(page.getByRole('button', { name: /ways cannot/ })).toBeVisible()
  await expect(page.getByText(/Upper ribbon: cheapest/)).toBeVisible({ timeout: 20_000 })
  await expect(page.getByText(/Least numbers: .*screens from 24/)).toBeVisible()
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

test('what if: figures tried by key, every way in a line, nothing kept', async ({ page, request, server }) => {
  const o = order(request, server.url, 'whatif')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 36 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'whatif'))
  await page.goto(`${server.url}/compare`)
  await expect(page.getByText(/× materials would be/)).toBeVisible()
  const first = page.locator('section.band').first()
  const cost = await first.getAttribute('aria-label')
  await page.keyboard.press('f')
  const tried = page.getByRole('group', { name: 'What if the figures change' })
  await expect(tried.getByRole('slider').first()).toBeFocused()
  await expect(tried.getByRole('img', { name: /^Wage: \$/ })).toBeVisible()
  const film = tried.getByRole('slider', { name: 'Film, transfers, vinyl, paper' })
  await film.focus()
  for (let i = 0; i < 20; i++) await film.press('ArrowRight')
  await expect(tried.getByText('+100%')).toBeVisible()
  await expect(page.locator('button.slim', { hasText: /was \d/ }).first()).toBeVisible()
  await clean(page)
  // other prices than the shop's own are not chosen at
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await page.keyboard.press('Enter')
  await expect(page.getByText('You are looking at other prices than yours.')).toBeVisible()
  await page.keyboard.press('0')
  await expect(tried.getByText('+100%')).toBeHidden()
  await page.keyboard.press('f')
  await expect(page.locator('section.band').first()).toHaveAttribute('aria-label', cost!)
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

test("make or buy is weighed with the shop's own figures, a way to begin with is priced, a launch said", async ({
  page,
  request,
  server,
}) => {
  await page.goto(`${server.url}/numbers`)
  const answer = page.locator('.answer')
  await expect(answer).toContainText(/prints a month|Never/)
  const minutes = page.getByLabel('Minutes of hands more, a print')
  await minutes.fill('60')
  await minutes.press('Enter')
  await expect(answer).toContainText('Never: a print made here costs')
  await minutes.fill('soon')
  await minutes.press('Enter')
  await expect(page.getByText('"soon" is not a number.')).toBeVisible()
  await minutes.fill('0.5')
  await minutes.press('Enter')
  await answer.getByRole('button', { name: /to pay back/ }).click()
  await expect(page.getByText('Spoiled while it is learned').first()).toBeVisible()
  await page.keyboard.press('Escape')
  const table = page.getByRole('table').filter({ hasText: 'Still to buy here' })
  await expect(table.getByRole('row', { name: /^Film, made here/ })).toContainText('A film printer: Skua')
  await clean(page)

  const o = order(request, server.url, 'launched')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 36 }] }])
  await page.evaluate(() => localStorage.setItem('hepno-in-hand', 'launched'))
  await page.goto(`${server.url}/compare`)
  await page.getByRole('button', { name: 'as a launch, nobody has bought yet' }).click()
  await expect(page.getByText(/is tied up before the first sale/)).toBeVisible()
  await clean(page)
})

test('quotes that stand are re-costed from the Shelf, with what moved', async ({ page, request, server }) => {
  const o = order(request, server.url, 'stands')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 36 }] }])
  await o.post('choose', { lineId: '1', methodId: 'dtf-bought' })
  await o.post('lay-out')
  await o.post('send')
  await page.goto(`${server.url}/shelf`)
  const recost = page.getByRole('region', { name: 'Quotes at the prices of today' })
  await recost.getByRole('button', { name: 'Re-cost the quotes that stand' }).click()
  await expect(recost.getByText(/fell under the floor of/)).toBeVisible()
  await clean(page)
})

test('a garment printed all over: little else can, its sheets are drawn, it goes to the press', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'whole')
  const whole = { ...front, place: 'all-over', widthIn: 29, heightIn: 29, gradient: true, colours: 6 }
  await o.ask([
    {
      id: '1',
      styleId: 'sprint',
      colourwayId: 'white',
      mark: null,
      placements: [whole],
      sizes: [{ size: 'M', pieces: 2 }],
    },
  ])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'whole'))
  await page.goto(`${server.url}/ask`)
  await expect(page.getByRole('button', { name: 'All over, full colour' })).toBeVisible()
  await clean(page)
  await page.goto(`${server.url}/compare`)
  await expect(page.locator('section.band')).toHaveCount(2)
  await page.keyboard.press('2')
  await expect(page.getByText(/creases and seams stay white/)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/layout/)
  await expect(page.getByRole('img', { name: /One side: \d sheets across/ })).toBeVisible()
  await clean(page)
  expect((await request.get(`${server.url}/api/orders/whole/placement.pdf`)).ok()).toBe(true)
  await o.gather()
  await request.post(`${server.url}/api/runs/whole/start`)
  await page.goto(`${server.url}/run/whole`)
  await expect(page.getByText('all over', { exact: false }).first()).toBeVisible()
})

test('cut and sew: recommended where it is the better, its markers drawn, run at the sewing table', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'sewn')
  const whole = { ...front, place: 'all-over', widthIn: 29, heightIn: 29, gradient: true, colours: 6 }
  const sizes = [
    { size: 'M', pieces: 20 },
    { size: 'XL', pieces: 10 },
  ]
  await o.ask([{ id: '1', styleId: 'sprint', colourwayId: 'white', mark: null, placements: [whole], sizes }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'sewn'))
  await page.goto(`${server.url}/compare`)
  await expect(page.locator('section.band').first()).toContainText('Dye, cut and sewn')
  await expect(page.getByText(/sewn from Smooth interlock, 100% polyester, not Sprint 140/)).toBeVisible()
  await clean(page)
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/layout/)
  await expect(page.getByRole('img', { name: /A marker of .* on cloth: \d+ parts in/ }).first()).toBeVisible()
  await expect(page.getByRole('img', { name: /A marker of .* on paper/ }).first()).toBeVisible()
  await clean(page)
  await o.gather()
  await page.goto(`${server.url}/gather`)
  await expect(page.getByText(/Curlew: Hot drum/)).toBeVisible()
  await clean(page)
  const items = (await o.read()).facts.gathering.items.map((i) => i.id)
  expect(items).not.toContain('blanks')
  await request.post(`${server.url}/api/runs/sewn/start`)
  await page.goto(`${server.url}/run/sewn`)
  await expect(page.getByText('Sew', { exact: true }).first()).toBeVisible()
  await clean(page)
})

test('a print is laid on another by keyboard: it is drawn in its middle, and what shows through is said', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'layers')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 12 }], placements: [front] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'layers'))
  await page.goto(`${server.url}/ask`)
  await page.getByRole('button', { name: 'another print?' }).press('Enter')
  await page.getByLabel('Lies on').selectOption({ label: 'Front 9 × 9 in, 2 colours' })
  await expect(page.getByLabel('Where', { exact: true })).toBeDisabled()
  await page.getByLabel('Width, in').fill('6')
  await page.getByLabel('Height').fill('3')
  await clean(page)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Front 6 × 3 in, one colour, on top of it' })).toBeVisible()
  await expect(page.getByText(/6 in below the collar seam/)).toBeVisible()
  await page.goto(`${server.url}/compare`)
  await expect(page.getByText(/50% painted, has edges that would show through/).first()).toBeVisible()
  await clean(page)
  // the print beneath goes: what lay on it lies on the cloth
  await page.goto(`${server.url}/ask`)
  await page.getByRole('button', { name: 'Front 9 × 9 in, 2 colours' }).press('Enter')
  await page.getByRole('button', { name: 'Remove' }).press('Enter')
  await expect(page.getByRole('button', { name: 'Front 6 × 3 in, one colour', exact: true })).toBeVisible()
})

test('applique is stitched, then finished under the press: two places of work, each with its own caution', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'applique')
  const badge = { ...front, widthIn: 8, heightIn: 5, thinnestLinePt: 20 }
  const lines = [
    {
      ...tees,
      styleId: 'holm',
      colourwayId: 'black',
      sizes: [{ size: 'M', pieces: 2 }],
      placements: [{ ...badge, colours: 1 }],
    },
  ]
  await o.ask(lines)
  await o.post('choose', { methodId: 'applique' })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'applique'))
  await page.goto(`${server.url}/layout`)
  await expect(page.getByRole('heading', { name: 'Front applique' })).toBeVisible()
  await expect(page.getByText('finishing press')).toHaveCount(0)
  await clean(page)
  await o.gather()
  await request.post(`${server.url}/api/runs/applique/start`)
  await page.goto(`${server.url}/run/applique`)
  await expect(page.getByText('Stitch', { exact: true }).first()).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: /Good\s*piece 2/ })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByText('front, finishing', { exact: false }).first()).toBeVisible()
  await expect(page.getByText('Always covered: bare thread scorches').first()).toBeVisible()
  await expect(page.getByText('320 °F', { exact: false }).first()).toBeVisible()
})
