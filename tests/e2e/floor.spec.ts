import { clean } from './axe.ts'
import { begin, order, tees } from './orders.ts'
import { expect, test } from './server.ts'

test('the simulated press is warmed up and says when it holds', async ({ page, server }) => {
  await page.goto(`${server.url}/floor`)
  const board = page.locator('.board').filter({ has: page.getByRole('button', { name: /^Gannet/ }) })
  await board.getByText('Simulated press').click()
  await expect(board.getByText('off, cold')).toBeVisible()
  const device = board.getByRole('form', { name: 'Simulated Gannet' })
  await device.getByLabel(/^Its minutes/).selectOption('a second each')
  await device.getByLabel(/^Set to/).fill('1200')
  await device.getByRole('button', { name: 'Switch it on' }).click()
  await expect(page.getByText('A set-point of 1200 °F is outside 150 to 500.').first()).toBeVisible()
  await device.getByLabel(/^Set to/).fill('310')
  await device.getByRole('button', { name: 'Switch it on' }).click()
  // fifteen of its minutes are fifteen seconds here
  await expect(board.getByText('on its way to 310 °F')).toBeVisible()
  await expect(board.getByText('holds 310 °F')).toBeVisible({ timeout: 40_000 })
  await clean(page)
  await device.getByRole('button', { name: 'Switch it off' }).click()
  await expect(board.getByText('off, still hot')).toBeVisible()
})

test('paper is pulled at four corners and the dial is noted; an askew platen is not', async ({ page, server }) => {
  await page.goto(`${server.url}/floor`)
  const board = page.locator('.board').filter({ has: page.getByRole('button', { name: /^Petrel/ }) })
  await board.getByText('not yet tested: pressures are words only').click()
  await board.getByRole('button', { name: 'Pull paper' }).click()
  const form = board.getByRole('form', { name: 'Paper pull on Petrel' })
  await form.getByLabel('The dial says').fill('5.5')
  await form.getByLabel(/^On /).selectOption('sleeve')
  for (const corner of ['far right', 'near left', 'near right'])
    await form.getByLabel(corner).selectOption('does not come')
  await form.getByLabel('far left').selectOption('comes with a drag')
  await form.getByRole('button', { name: 'Note the dial' }).click()
  await expect(page.getByText('far left drags while far right holds: the platen stands askew.').first()).toBeVisible()
  await form.getByLabel('far left').selectOption('does not come')
  await form.getByRole('button', { name: 'Note the dial' }).click()
  await expect(board.getByText('Dial: firm on thin, sleeve: 5.5')).toBeVisible()
  await clean(page)
})

test('two ways over the floor are drawn, stepped and played, and what helps is said', async ({
  page,
  request,
  server,
}) => {
  const id = await begin(request, server.url, 'floored', [{ ...tees, sizes: [{ size: 'M', pieces: 20 }] }])
  await page.addInitScript((taken) => localStorage.setItem('hepno-in-hand', taken), id)
  await page.goto(`${server.url}/floor`)
  const floor = page.getByRole('region', { name: 'On the press floor' })
  const seconds = async (way: number) => Number((await floor.locator('.figures b').nth(way).innerText()).split(' ')[0])
  await expect(floor.locator('.figures b').nth(1)).toBeVisible()
  // one at a time waits for every piece to cool
  expect(await seconds(0)).toBeGreaterThan((await seconds(1)) + 30)
  await expect(floor.getByText('hands thread, piece 1; press held, piece 1; 0 cooling').first()).toBeVisible()
  // a cold press heats first
  await floor.getByLabel('from a cold press').check()
  await expect(floor.getByText(/from cold, \d+ min to heat/)).toBeVisible()
  await floor.getByLabel('from a cold press').uncheck()
  await expect(floor.getByText(/from cold/)).toBeHidden()
  for (let i = 0; i < 3; i++) await floor.getByRole('button', { name: 'Step', exact: true }).click()
  await expect(floor.getByText(/press closed, piece 1/).first()).toBeVisible()
  const moment = floor.getByRole('slider', { name: 'Moment of the simulation' })
  await moment.focus()
  await page.keyboard.press('End')
  await expect(floor.getByText(/hands .*, piece \d+/).first()).toBeVisible()
  await floor.getByRole('button', { name: 'Play' }).click()
  // played from the end it begins anew and runs
  await expect.poll(async () => Number(await moment.inputValue())).toBeLessThan(300)
  await expect.poll(async () => Number(await moment.inputValue())).toBeGreaterThan(4)
  await floor.getByRole('button', { name: 'Stop' }).click()
  await expect(floor.getByText('a second lower platen')).toBeVisible()
  await clean(page)

  // who works one at a time pays for it: the arrangement and a step time are the shop's own
  const alone = async () =>
    (
      (await (await request.get(`${server.url}/api/orders/${id}/press-floor`)).json()) as {
        arrangements: { makespanSeconds: number }[]
      }
    ).arrangements[0]!.makespanSeconds
  const before = await alone()
  await page.goto(`${server.url}/numbers`)
  await page.getByText('Step times, seconds').click()
  const times = page.getByRole('form', { name: 'Step times' })
  await times.getByLabel('Lint-roll (5 s, assumed)').fill('9')
  await times.getByRole('button', { name: 'Save' }).click()
  await expect(times.getByLabel('Lint-roll (yours; 5 s assumed)')).toHaveValue('9')
  // four seconds more for each of twenty pieces
  expect(await alone()).toBe(before + 80)
  const habits = page.getByRole('form', { name: 'At the press' })
  await habits.getByLabel('Pieces are pressed').selectOption('one at a time')
  await habits.getByRole('button', { name: 'Save' }).click()
  await expect(habits.getByRole('button', { name: 'Saved' })).toBeVisible()
  await clean(page)
})

test('a failed spot test folds its method, a later good one opens it again', async ({ page, request, server }) => {
  await order(request, server.url, 'tested').ask([{ ...tees, sizes: [{ size: 'M', pieces: 12 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'tested'))
  await page.goto(`${server.url}/floor`)
  const note = async (sticks: string, daysAgo: number) => {
    await page.getByRole('button', { name: 'Note a spot test' }).click()
    const form = page.getByRole('form', { name: 'Note a spot test' })
    await form.getByLabel('Product').selectOption('Ferrow Cold-peel film')
    await form.getByLabel('On the blank').selectOption({ label: 'Brae 180' })
    const today = await form.getByLabel('On', { exact: true }).inputValue()
    const day = new Date(Date.parse(today) - daysAgo * 86_400_000).toISOString().slice(0, 10)
    await form.getByLabel('On', { exact: true }).fill(day)
    await form.getByLabel('Pulled and stretched').selectOption(sticks)
    await form.getByLabel('Its dye, after a day').selectOption('stayed where it was')
    await form.getByLabel(/^Washes/).fill('yesterday, 5, holds')
    await form.getByRole('button', { name: 'Save' }).click()
    await expect(form.getByText('is not like "2026-06-14, 5, holds"')).toBeVisible()
    await form.getByLabel(/^Washes/).fill('')
    await form.getByRole('button', { name: 'Save' }).click()
    await expect(form).toBeHidden()
  }
  await note('it lifts', 1)
  await expect(page.getByText('it does not stick').first()).toBeVisible()
  await clean(page)
  await page.goto(`${server.url}/compare`)
  await page.getByRole('button', { name: /ways cannot/ }).click()
  await expect(page.getByText(/Cold-peel film failed your test on Brae 180/).first()).toBeVisible()
  await page.goto(`${server.url}/floor`)
  await note('it sticks', 0)
  await page.goto(`${server.url}/compare`)
  await expect(page.getByLabel(/^Film, bought in: costs/)).toBeVisible()
  await expect(page.getByText(/failed your test/)).toBeHidden()
})

test('a test takes a garment from the shelf and carries a photograph', async ({ page, server }) => {
  await page.goto(`${server.url}/floor`)
  const garment = page.locator('.board').filter({ has: page.getByRole('button', { name: /^Sports tees, samples/ }) })
  await expect(garment.getByText(/^\s*3\s+left/)).toBeVisible()
  await page.getByRole('button', { name: 'Note a spot test' }).click()
  const form = page.getByRole('form', { name: 'Note a spot test' })
  await form.getByLabel('Product').selectOption('Tidewell Low-heat vinyl')
  await form.getByLabel('On the blank').selectOption({ label: 'Sprint 140' })
  await form.getByLabel('Pressed on').selectOption('Sports tees, samples')
  await form.getByLabel('The cloth got, °F').fill('278')
  await form.getByLabel('Its dye, after a day').selectOption('stayed where it was')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(garment.getByText(/^\s*2\s+left/)).toBeVisible()
  await expect(page.getByText(/2 tests on .*Sprint 140/)).toBeVisible()
  const test = page
    .locator('.board')
    .filter({ has: page.getByRole('button', { name: /^Tidewell Low-heat vinyl on Sprint/ }) })
  const picture = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
    'base64',
  )
  await test.getByLabel('Add a photograph').setInputFiles({ name: 't.png', mimeType: 'image/png', buffer: picture })
  await expect(test.getByAltText('The test as pressed')).toBeVisible()
  await clean(page)
  await test.getByRole('button', { name: 'Take the photograph off, as pressed' }).click()
  await expect(test.getByAltText('The test as pressed')).toBeHidden()
})

test('a machine is tended: the usual list, one done, what it costs an hour, and a task of the shop’s own', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/floor`)
  const board = page.locator('.board').filter({ has: page.getByRole('button', { name: /^Skua/ }) })
  await board.getByText('Upkeep: nothing listed').click()
  await board.getByRole('button', { name: 'Begin with the usual' }).click()
  await expect(board.getByText(/^\s*Upkeep: 4 due/)).toBeVisible()
  await board.getByLabel('What was found').fill('two nozzles of magenta')
  await board.getByRole('button', { name: 'Done: Nozzle check' }).click()
  await expect(board.getByText(/^\s*Upkeep: 3 due/)).toBeVisible()
  await expect(board.getByText(/Nozzle check\. two nozzles of magenta/)).toBeVisible()
  await clean(page)
  await board.getByRole('button', { name: /an hour of Skua/ }).click()
  await expect(page.getByText('Tending a year').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await board.getByRole('button', { name: 'Change what is done' }).click()
  const form = board.getByRole('form', { name: 'Upkeep of Skua' })
  const list = await form.locator('textarea').inputValue()
  await form.locator('textarea').fill(`${list}\nExtraction filter, sometimes, 5`)
  await form.getByRole('button', { name: 'Keep these' }).click()
  await expect(form.getByText(/"Extraction filter, sometimes, 5" is not like/)).toBeVisible()
  await form.locator('textarea').fill(`${list}\nExtraction filter, as needed, 5, 14, 2`)
  await form.getByRole('button', { name: 'Keep these' }).click()
  await expect(board.getByText('Extraction filter')).toBeVisible()
})
