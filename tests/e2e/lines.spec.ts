import { clean } from './axe.ts'
import { begin, order, tees } from './orders.ts'
import { expect, test } from './server.ts'

test('a second garment is asked, compared, quoted and sent beside the first', async ({ page, request, server }) => {
  const o = order(request, server.url, 'two-garments')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 12 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'two-garments'))
  await page.goto(`${server.url}/ask`)
  await page.getByRole('button', { name: 'another garment?' }).click()
  // the new line's parts open one after the other
  await page.getByLabel('which garment?', { exact: true }).selectOption({ label: 'Fell 280, hoodie' })
  await page.keyboard.press('Enter')
  await page.getByLabel('which colour?', { exact: true }).selectOption('Slate')
  await page.keyboard.press('Enter')
  await page.getByLabel('how many of each size?', { exact: true }).fill('M 4, L 2')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('18 in all')).toBeVisible()
  // what is unsaid of the first line opens next: it is the line in hand from here
  await expect(page.getByLabel('the most they would pay?', { exact: true })).toBeFocused()
  await page.getByRole('button', { name: /collected or sent\?/ }).click()
  await page
    .getByLabel('collected or sent?', { exact: true })
    .selectOption({ label: 'sent in the country, postage on top' })
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /collected or sent\?: sent in the country/ })).toBeVisible()
  await clean(page)

  await page.keyboard.press('Control+Enter')
  await expect(page).toHaveURL(/compare/)
  const lines = page.getByRole('navigation', { name: 'Lines of the order' })
  await expect(lines.getByRole('button')).toHaveCount(2)
  await expect(page.getByLabel(/^Film, bought in: costs/)).toBeVisible()
  await expect(lines.locator('[aria-current]')).toContainText(/1 12 black tees/)
  await page.keyboard.press(']')
  await expect(lines.locator('[aria-current]')).toContainText('6 slate hoodies')
  await page.keyboard.press('[')
  await expect(lines.locator('[aria-current]')).toContainText(/1 12 black tees/)
  await clean(page)
  await page.keyboard.press('Control+Enter')
  await expect(lines.locator('[aria-current]')).toContainText('6 slate hoodies')
  await page.waitForTimeout(300)
  await page.keyboard.press('Control+Enter')
  await expect(page).toHaveURL(/layout/)
  await page.keyboard.press(']')
  await clean(page)
  await page.keyboard.press('Control+Enter')
  await expect(page).toHaveURL(/quote/)
  await expect(page.getByRole('heading', { name: '18 pieces in 2 lines' })).toBeVisible()
  await expect(page.getByRole('row', { name: /Postage, in the country/ })).toBeVisible()
  await clean(page)
  await page.keyboard.press('Control+Enter')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/gather/)

  // withdrawn and sent again: the second version says what changed
  const first = (await o.read()).version
  await o.post('withdraw')
  const asked = (await (await request.get(`${server.url}/api/orders/two-garments`)).json()) as {
    ask: { shipping: unknown }
  }
  expect(first).toBeGreaterThan(0)
  expect(asked.ask.shipping).toEqual({ zone: 'country', inThePrice: false })
  await o.post('price', { each: 16.4, lineId: '1' })
  await page.goto(`${server.url}/quote`)
  await expect(page.getByText(/Version 1, \$/)).toBeVisible()
  await expect(page.getByText(/each \$.* → \$16\.40/)).toBeVisible()
})

test('a part goes out with its own balance, the message waits for the count, papers open', async ({
  page,
  request,
  server,
}) => {
  const id = await begin(request, server.url, 'in-two-parts', [{ ...tees, sizes: [{ size: 'M', pieces: 3 }] }])
  for (const pieceNo of [1, 2])
    await request.put(`${server.url}/api/runs/${id}/events/part-event-${pieceNo}`, {
      data: {
        pieceNo,
        attempt: 1,
        pass: 1,
        size: 'M',
        verdict: 'good',
        reason: null,
        takesBack: null,
        secondsOnPiece: 60,
      },
    })
  await page.addInitScript((x) => localStorage.setItem('hepno-in-hand', x), id)
  await page.goto(`${server.url}/send`)
  await expect(page.getByRole('heading', { name: '0 of 3 counted' })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: '1 of 3 counted' })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.getByRole('heading', { name: '2 of 3 counted' })).toBeVisible()
  await expect(page.getByText(/the message waits: 1 piece still to count/)).toBeVisible()
  await clean(page)
  await page.keyboard.press('d')
  await expect(page.getByRole('dialog', { name: 'Deliver this part' })).toBeVisible()
  await clean(page)
  await page.keyboard.press('Enter')
  await expect(page.getByText(/part 1: 2 pieces to/)).toBeVisible()
  await expect(page.getByRole('heading', { name: '0 of 1 counted' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Care card' })).toHaveAttribute('href', /care-card\.pdf$/)
})

test('one learned setting is taken and taken back; a person is added', async ({ page, request, server }) => {
  await page.goto(`${server.url}/learn`)
  const learned = page.getByRole('region', { name: 'What the shop has learned' })
  await expect(learned).toContainText('in 100 attempts are spoiled; 1.5 is set.')
  await expect(learned).toContainText('sent: its price stands')
  await clean(page)
  await learned.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByText('Taken. Prices use it from now on')).toBeVisible()
  await expect(learned).not.toContainText('1.5 is set')
  await page.keyboard.press('z')
  await expect(learned).toContainText('1.5 is set')

  await page.goto(`${server.url}/numbers`)
  await page.getByRole('button', { name: 'Add a person' }).click()
  const form = page.getByRole('form', { name: 'Add a person' })
  await form.getByLabel('Name').fill('Oskar')
  await form.getByLabel('Wage, an hour').fill('16')
  await form.getByLabel('Monday').fill('eight')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form.getByRole('alert')).toContainText('Monday: "eight" is not like "8–18" or "away".')
  await form.getByLabel('Monday').fill('8–12')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('button', { name: /Oskar/ })).toBeVisible()
  await clean(page)
  const rates = (await (await request.get(`${server.url}/api/numbers/rates`)).json()) as {
    labour: { parts: { label: string }[] }
  }
  expect(rates.labour.parts.map((p) => p.label)).toContain('Oskar')
})
