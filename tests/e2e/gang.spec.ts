import { clean } from './axe.ts'
import { front, order, tees } from './orders.ts'
import { harbour } from './pictures.ts'
import { expect, test } from './server.ts'

test('a layout is searched, moved by hand and by keys, filled, settled and given away', async ({
  page,
  request,
  server,
}) => {
  test.setTimeout(180_000)
  const sent = await request.put(`${server.url}/api/artwork/harbour/file?name=harbour&widthIn=10`, {
    data: harbour(),
    headers: { 'Content-Type': 'image/png' },
  })
  expect(sent.ok()).toBe(true)
  const o = order(request, server.url, 'ganged')
  const print = { ...front, widthIn: 10, heightIn: 7, thinnestLinePt: 5, designId: 'harbour' }
  const sleeve = { ...front, id: 'sleeve', place: 'left-sleeve', widthIn: 3, heightIn: 3, thinnestLinePt: 5 }
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 20 }], placements: [print, sleeve] }])
  await o.post('choose', { lineId: '1', methodId: 'dtf-bought' })
  // as first laid: the print in the corner is a front
  await o.forget('1')
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'ganged'))
  await page.goto(`${server.url}/layout`)
  const gang = page.getByRole('region', { name: 'Layout on film' })
  await expect(gang.getByRole('heading', { level: 1 })).toContainText('× front and')
  const close = gang.getByRole('img')
  await expect(close).toHaveAccessibleName(/prints laid\. Chosen: Front/)
  await expect(gang.locator('image').first()).toBeVisible()
  await clean(page)

  // an overlap is refused with how much, and the print goes back
  const where = (await close.boundingBox())!
  const before = await close.getAttribute('aria-label')
  await page.mouse.move(where.x + 40, where.y + 40)
  await page.mouse.down()
  await page.mouse.move(where.x + 70, where.y + 130, { steps: 6 })
  await expect(gang.getByRole('status').filter({ hasText: 'in hand' })).toContainText('in too near')
  await page.mouse.up()
  await expect(page.getByRole('alert').filter({ hasText: 'in too near' }).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(close).toHaveAttribute('aria-label', /25 in across|0\.25 in along/)
  expect(before).toBeTruthy()

  // with keys: picked up, taken past the end of the roll, put down: it costs more, and Z takes it back
  const cost = gang.getByRole('heading', { level: 1 }).getByRole('button')
  const paid = await cost.textContent()
  await page.keyboard.press('m')
  await expect(gang.getByText('in hand:')).toBeVisible()
  const end = Number(/(\d+) ft/.exec((await gang.getByRole('heading', { level: 1 }).textContent()) ?? '')![1]) * 12
  for (let i = 0; i < (end + 6) * 4; i++) await page.keyboard.press('ArrowRight')
  await expect(gang.getByText('goes there')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Moved. Z takes it back.')).toBeVisible()
  await expect(gang.getByText('Settled: estimate and quote use it.')).toBeVisible()
  await expect(cost).not.toHaveText(paid!)
  await page.keyboard.press('z')
  await expect(cost).toHaveText(paid!)

  // a search draws its course and ends; what is better is only proposed
  await page.keyboard.press('s')
  await expect(gang.getByText(/layouts tried/)).toBeVisible()
  await expect(gang.getByRole('button', { name: /search on/ })).toBeVisible({ timeout: 60_000 })
  if (await gang.getByRole('button', { name: /Keep it/ }).isVisible()) await page.keyboard.press('Escape')

  // a stop in the middle of a long one
  await gang.getByRole('button', { name: 'for 20 s' }).click()
  if (await gang.getByRole('progressbar').isVisible()) {
    await page.keyboard.press('s')
    await expect(gang.getByRole('button', { name: /search on/ })).toBeVisible({ timeout: 10_000 })
  }
  if (await gang.getByRole('button', { name: /Keep it/ }).isVisible()) await page.keyboard.press('Escape')

  // the next foot for stock: a ghost first, Enter takes it
  await page.keyboard.press('+')
  await expect(gang.getByRole('button', { name: /Keep it/ })).toBeVisible()
  await clean(page)
  await page.keyboard.press('Enter')
  await expect(gang.getByText(/extra go to stock; the order pays/)).toBeVisible()
  await page.keyboard.press('k')
  await expect(page.getByText('Pinned: a search leaves it there. Z takes it back.')).toBeVisible()
  await expect(close).toHaveAccessibleName(/pinned/)

  // given away, and brought back as it is
  const table = await request.get(`${server.url}/api/orders/ganged/lines/1/layout/layout.csv`)
  expect(await table.text()).toContain('design,name,x_in')
  await gang
    .getByLabel('A layout of your own, SVG or table')
    .setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from('nothing') })
  await expect(page.getByText(/The column x_in.* is missing/)).toBeVisible()
  await gang
    .getByLabel('A layout of your own, SVG or table')
    .setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: await table.body() })
  await expect(gang.getByText('no dearer')).toBeVisible()
  await gang.getByRole('button', { name: /Leave it/ }).click()

  // other film by its number, and the usual layout again
  await page.keyboard.press('2')
  await expect(gang.getByRole('heading', { level: 1 })).toContainText('sheets 11 × 15 in')
  await clean(page)
  await page.keyboard.press('1')
  await expect(gang.getByRole('heading', { level: 1 })).toContainText('22 in')
  await gang.getByRole('button', { name: 'The usual one again' }).click()
  await expect(gang.getByRole('button', { name: 'Settle this layout' })).toBeVisible()
})

test('waiting orders are bought as one, and what is left over is offered when the design comes again', async ({
  page,
  request,
  server,
}) => {
  const sent = await request.put(`${server.url}/api/artwork/tide/file?name=tide&widthIn=9`, {
    data: harbour(),
    headers: { 'Content-Type': 'image/png' },
  })
  expect(sent.ok()).toBe(true)
  const waiting = async (id: string, pieces: number) => {
    const o = order(request, server.url, id)
    const print = { ...front, id: `p-${id}`, widthIn: 9, thinnestLinePt: 5, designId: 'tide' }
    await o.ask([{ ...tees, sizes: [{ size: 'M', pieces }], placements: [print] }])
    await o.post('choose', { lineId: '1', methodId: 'dtf-bought' })
    return o
  }
  const yes = async (o: Awaited<ReturnType<typeof waiting>>) => {
    await o.post('lay-out')
    await o.post('send')
    await o.post('approve', { by: 'Una' })
    await o.post('deposit', { amount: 0, overrideReason: 'known' })
  }
  const first = await waiting('tide-1', 12)
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', sessionStorage.getItem('hand') ?? 'tide-1'))
  await page.goto(`${server.url}/layout`)
  const gang = page.getByRole('region', { name: 'Layout on film' })
  await gang.getByRole('button', { name: /hem tern/ }).click()
  await gang.getByRole('button', { name: /Keep it/ }).click()
  await expect(gang.getByText(/extra go to stock/)).toBeVisible()
  await page.keyboard.press('+')
  await gang.getByRole('button', { name: /Keep it/ }).click()
  await expect(page.getByText('The next step is filled. Z takes it back.')).toBeVisible()
  await expect(gang.getByRole('heading', { level: 1 })).toContainText('× hem tern')
  await yes(first)
  await yes(await waiting('tide-2', 8))
  await page.reload()
  await gang.getByRole('button', { name: 'Buy them as one' }).first().click()
  await expect(gang.getByText(/Bought as one with T-2\d\d/)).toBeVisible()
  await clean(page)
  await gang.getByRole('button', { name: 'Buy apart again' }).click()
  await expect(gang.getByText(/Bought as one with/)).toHaveCount(0)
  await first.arrived()
  await page.reload()
  await expect(gang.getByText('its layout stands as it is')).toBeVisible()

  // in the drawer, on the Shelf, and offered to the next order with this design
  await page.goto(`${server.url}/shelf`)
  await expect(page.getByText(/^tide .*left over: \d+ here/)).toBeVisible()
  await clean(page)
  await waiting('tide-3', 10)
  await page.evaluate(() => sessionStorage.setItem('hand', 'tide-3'))
  await page.goto(`${server.url}/layout`)
  await gang.getByRole('button', { name: /^Use \d+, print fewer$/ }).click()
  await expect(gang.getByText(/\d+ are used for this order/)).toBeVisible()
  await clean(page)
  await gang.getByRole('button', { name: 'Use none' }).click()
  await expect(gang.getByText(/are used for this order/)).toHaveCount(0)
})

test('vinyl lies in a lane for each colour of the artwork, and says why it is cut as it is', async ({
  page,
  request,
  server,
}) => {
  const sent = await request.put(`${server.url}/api/artwork/hull/file?name=hull&widthIn=9`, {
    data: '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="400"><rect width="900" height="400" fill="#1f3a4d"/><rect x="300" y="100" width="300" height="150" fill="#d24a2c"/></svg>',
    headers: { 'Content-Type': 'image/svg+xml' },
  })
  expect(sent.ok()).toBe(true)
  const o = order(request, server.url, 'cut')
  await o.ask([
    { ...tees, sizes: [{ size: 'M', pieces: 24 }], placements: [{ ...front, widthIn: 8, designId: 'hull' }] },
  ])
  await o.post('choose', { lineId: '1', methodId: 'htv' })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'cut'))
  await page.goto(`${server.url}/layout`)
  await expect(
    page.getByText(/Each colour is cut close: \$[\d.]+ less of film for \$[\d.]+ more of aligning\./),
  ).toBeVisible()
  await expect(page.getByRole('heading', { name: /first colour/ })).toContainText('boxes 8.5 in × 4.06 in')
  await expect(page.getByRole('heading', { name: /second colour/ })).toContainText('boxes 3.17 in × 1.83 in')
  await clean(page)

  // what the roll leaves is kept on the Shelf, and offered to the next order before the roll
  const pieces = page.getByRole('region', { name: 'Pieces of vinyl' })
  await pieces.getByRole('button', { name: 'Keep it on the Shelf' }).first().click()
  await pieces.getByLabel('Its colour').fill('rust')
  await page.keyboard.press('Enter')
  await expect(page.getByText('It lies on the Shelf, under Pieces of vinyl.')).toBeVisible()
  await page.goto(`${server.url}/shelf`)
  await expect(page.getByText(/^rust Smooth vinyl/)).toBeVisible()
  await clean(page)
  await request.put(`${server.url}/api/remnants/navy`, {
    data: {
      vinylId: 'tidewell',
      colour: 'navy',
      widthIn: 19,
      lengthIn: 30,
      since: '2026-06-01',
      from: '',
      isGone: false,
    },
  })
  await page.goto(`${server.url}/layout`)
  await pieces
    .getByRole('button', { name: /Use it, \$[\d.]+ less/ })
    .first()
    .click()
  await expect(pieces.getByText(/cut from navy, 19 × 30 in, since .* first/)).toBeVisible()
  await clean(page)
  await pieces.getByRole('button', { name: 'Put it back' }).click()
  await expect(pieces.getByText(/cut from navy/)).toHaveCount(0)
})

test('film of the own printer is laid out by keyboard as bought film is, with nothing to order', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'own-ganged')
  const sleeve = { ...front, id: 'sleeve', place: 'left-sleeve', widthIn: 3, heightIn: 3, thinnestLinePt: 5 }
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 12 }], placements: [front, sleeve] }])
  await o.post('choose', { lineId: '1', methodId: 'dtf-made' })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'own-ganged'))
  await page.goto(`${server.url}/layout`)
  const gang = page.getByRole('region', { name: 'Layout on film' })
  await expect(gang.getByRole('heading', { level: 1 })).toContainText(/× front and .* left sleeve on Skua film/)
  await expect(gang.getByText('Print it')).toBeVisible()
  await expect(gang.getByRole('button', { name: 'order text' })).toHaveCount(0)
  await clean(page)
  // taken past the end, the roll is longer by just that: it is paid for to the last print
  const cost = gang.getByRole('heading', { level: 1 }).getByRole('button')
  const paid = await cost.textContent()
  await page.keyboard.press('m')
  const end =
    Number(/(\d+(?:\.\d+)?) ft/.exec((await gang.getByRole('heading', { level: 1 }).textContent()) ?? '')![1]) * 12
  for (let i = 0; i < (end + 2) * 4; i++) await page.keyboard.press('ArrowRight')
  await expect(gang.getByText('goes there')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Moved. Z takes it back.')).toBeVisible()
  await expect(cost).not.toHaveText(paid!)
  await page.keyboard.press('z')
  await expect(cost).toHaveText(paid!)
  await page.keyboard.press('Control+Enter')
  await expect(page).toHaveURL(/quote/)
})

test('by outline the sleeves go into the arches, and what is saved stands beside the cutting', async ({
  page,
  request,
  server,
}) => {
  test.setTimeout(120_000)
  const arch =
    '<svg xmlns="http://www.w3.org/2000/svg" width="10in" height="8in" viewBox="0 0 100 80"><path d="M0 80V50A50 50 0 0 1 100 50V80H80V50A30 30 0 0 0 20 50V80Z" fill="#c2452d"/></svg>'
  const sent = await request.put(`${server.url}/api/artwork/arch/file?name=arch&widthIn=10`, {
    data: Buffer.from(arch),
    headers: { 'Content-Type': 'image/svg+xml' },
  })
  expect(sent.ok()).toBe(true)
  const o = order(request, server.url, 'arched')
  const print = { ...front, widthIn: 10, heightIn: 8, thinnestLinePt: 5, designId: 'arch' }
  const sleeve = { ...front, id: 'sleeve', place: 'left-sleeve', widthIn: 3, heightIn: 3, thinnestLinePt: 5 }
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 24 }], placements: [print, sleeve] }])
  await o.post('choose', { lineId: '1', methodId: 'dtf-bought' })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'arched'))
  await page.goto(`${server.url}/layout`)
  const gang = page.getByRole('region', { name: 'Layout on film' })
  await expect(gang.getByText('some prints leave corners empty')).toBeVisible()
  await page.keyboard.press('o')
  await expect(gang.getByText(/Laid by outline/)).toBeVisible()
  await page.keyboard.press('s')
  const proposal = gang.getByRole('status').filter({ hasText: 'cutting round takes' })
  await expect(proposal).toContainText(/less; cutting round takes .+ of work: in all .+ (less|more)/, {
    timeout: 60_000,
  })
  await clean(page)
  await page.keyboard.press('Enter')
  await expect(gang.getByText('Settled: estimate and quote use it.')).toBeVisible()
  await gang
    .getByText(/Cutting round takes/)
    .getByRole('button')
    .first()
    .click()
  await expect(page.getByText('More than straight').first()).toBeVisible()
  await page.keyboard.press('Escape')
  // as boxes it is another layout, not the settled one; by outline again it is
  await page.keyboard.press('o')
  await expect(gang.getByText('some prints leave corners empty')).toBeVisible()
  await expect(gang.getByRole('button', { name: 'Settle this layout' })).toBeVisible()
  await page.keyboard.press('o')
  await expect(gang.getByText('Settled: estimate and quote use it.')).toBeVisible()
  await page.keyboard.press('z')
  await expect(gang.getByText('Settled: estimate and quote use it.')).toHaveCount(0)
})
