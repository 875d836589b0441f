import { clean } from './axe.ts'
import { front, order, tees } from './orders.ts'
import { daysOn, expect, test } from './server.ts'

const asked = { ...tees, placements: [{ ...front, thinnestLinePt: 6 }], sizes: [{ size: 'M', pieces: 24 }] }

test('another way stands on the quote with one click, and is taken off with another', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'offer-too')
  await o.ask([asked])
  await o.post('choose', { methodId: 'dtf-bought' })
  await o.post('lay-out')
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'offer-too'))
  await page.goto(`${server.url}/quote`)
  const vinyl = page.getByRole('button', { name: 'Layered vinyl: offer it to them too' })
  await vinyl.click()
  await expect(page.getByRole('heading', { name: 'Or made another way' })).toBeVisible()
  await expect(page.getByRole('row', { name: /a thin film print in full colour, as quoted/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /cut vinyl, a film for each colour/ })).toBeVisible()
  await clean(page)
  await page.getByRole('button', { name: 'Layered vinyl: offered to them too' }).click()
  await expect(page.getByRole('heading', { name: 'Or made another way' })).toHaveCount(0)
})

test('a price break is taken from the comparison, and its pieces are given where the shop gives them', async ({
  page,
  request,
  server,
}) => {
  type Kept = { value: Record<string, unknown>; version: number }[]
  const printer = ((await (await request.get(`${server.url}/api/outside-printers`)).json()) as Kept)[0]!
  const { id, ...list } = printer.value as { id: string; prices: { breaks: object[] }[]; blanks: object | null }
  list.blanks = null
  for (const price of list.prices)
    price.breaks = [
      { from: 1, price: 10 },
      { from: 30, price: 2 },
    ]
  // an odd price is meant here
  const match = { headers: { 'If-Match': `"${printer.version}"`, 'Hepno-Sure': 'true' } }
  expect((await request.put(`${server.url}/api/outside-printers/${id}`, { data: list, ...match })).ok()).toBe(true)
  await page.goto(`${server.url}/numbers`)
  const prices = page.getByRole('form', { name: 'Prices' })
  await prices.getByLabel('When more pieces cost less in all').selectOption('make the more and give them')
  await prices.getByRole('button', { name: 'Save' }).click()
  await expect(prices.getByRole('button', { name: 'Saved' })).toBeVisible()

  await order(request, server.url, 'break').ask([{ ...asked, sizes: [{ size: 'M', pieces: 26 }] }])
  await page.evaluate(() => localStorage.setItem('hepno-in-hand', 'break'))
  await page.goto(`${server.url}/compare`)
  await page
    .getByRole('button', { name: /Screens, sent out/ })
    .first()
    .click()
  await page.getByRole('button', { name: /^Make it \d+$/ }).click()
  await expect(page.getByText(/pieces now, \d of them given/)).toBeVisible()
  await page.goto(`${server.url}/ask`)
  await expect(page.getByText(/\(\d of them given\)/)).toBeVisible()
})

test('a sleeve goes onto its own platen: the day shows it and the press is set up for it', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'sleeved')
  const sleeve = { ...front, id: 's', place: 'left-sleeve', widthIn: 3, heightIn: 3 }
  await o.ask([{ ...asked, placements: [front, sleeve] }])
  await o.post('choose', { methodId: 'dtf-bought' })
  await o.gather()
  const line = { lineId: '1', pressId: 'gannet' }
  // a day nothing else is planned for: beside a near neighbour the label is shortened
  const far = daysOn(20).toISOString().slice(0, 10)
  await o.post('move', { ...line, from: `${far}T00:00:00` })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'sleeved'))
  await page.goto(`${server.url}/press`)
  const platens = page.locator('svg.day text').filter({ hasText: /then sleeve platen|sleeve platen, then/ })
  for (let day = 0; day < 28 && (await platens.count()) === 0; day++) {
    await page.keyboard.press(']')
    await page.waitForTimeout(250)
  }
  await expect(platens).toBeVisible()
  await expect(page.getByText('hands set it up')).toBeVisible()
  await clean(page)
})

test('days are written in the language of the shop', async ({ page, server }) => {
  await page.goto(`${server.url}/numbers`)
  const shop = page.getByRole('form', { name: 'The shop and how it writes' })
  await shop.getByLabel('Days and months in').selectOption('français')
  await shop.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/^(dim|lun|mar|mer|jeu|ven|sam) \d+ /).first()).toBeVisible()
  await shop.getByLabel('Days and months in').selectOption('English')
  await shop.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/^(Sun|Mon|Tue|Wed|Thu|Fri|Sat) \d+ /).first()).toBeVisible()
})

test('what a material has cost stands under it with its days', async ({ page, server }) => {
  await page.goto(`${server.url}/shelf`)
  await page.getByRole('button', { name: /Smooth vinyl/ }).click()
  await expect(page.getByText(/Its price has stood since/)).toBeVisible()
  await page.getByLabel(/foot/i).first().fill('3.40')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/a foot:.*3\.10.*since.*then.*3\.40/)).toBeVisible()
  await clean(page)
})
