import { clean } from './axe.ts'
import { order, tees } from './orders.ts'
import { daysOn, expect, test } from './server.ts'

/** The working day after tomorrow: by then everything of the demo but what is running is still to come. */
test('a day is planned, a batch moved by keys and by hand, taken back, and the day printed', async ({
  page,
  request,
  server,
}) => {
  const read = async (query: string) =>
    (await (await request.get(`${server.url}/api/press-day?${query}`)).json()) as {
      day: string
      open: string | null
      lanes: { name: string; batches: { orderId: string; code: string; start: string; running: boolean }[] }[]
    }
  // the first day on which a batch that is not running stands
  let day = daysOn(0)
  let plan = await read('')
  let lane = -1
  for (let i = 0; i < 8; i++) {
    plan = await read(`day=${day.toISOString().slice(0, 10)}`)
    lane = plan.lanes.findIndex((l) => l.name !== 'Puffin' && l.batches.some((b) => !b.running))
    if (plan.open && lane >= 0) break
    day = new Date(day.getTime() + 86_400_000)
  }
  const batch = plan.lanes[lane]!.batches.find((b) => !b.running)!
  await page.addInitScript((id) => localStorage.setItem('hepno-in-hand', id), batch.orderId)
  await page.goto(`${server.url}/press`)
  const title = page.getByRole('heading', { level: 1 })
  const wanted = String(Number(plan.day.slice(8)))
  await expect(title).toContainText(/\d/)
  for (let i = 0; i < 8 && !(await title.innerText()).includes(` ${wanted} `); i++) {
    const before = await title.innerText()
    await page.keyboard.press(']')
    await expect(title).not.toHaveText(before)
  }
  await expect(title).toContainText(wanted)

  const startNow = async () => {
    const now = await read(`day=${plan.day}`)
    return now.lanes.flatMap((l) => l.batches.map((b) => ({ ...b, press: l.name }))).find((b) => b.code === batch.code)
  }
  // the order in hand is read by itself: only then is there something to take up
  await expect(page.getByRole('complementary').getByText(batch.code.split('/')[0]!)).toBeVisible()
  await page.keyboard.press('m')
  await page.keyboard.press(lane === 0 ? 'ArrowDown' : 'ArrowUp')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Moved. Z takes it back.')).toBeVisible()
  await expect(page.getByText(/, moved/).first()).toBeAttached()
  expect((await startNow())!.press).toBe(plan.lanes[lane === 0 ? 1 : 0]!.name)
  await clean(page)
  await page.keyboard.press('z')
  await expect.poll(async () => (await startNow())!.press).toBe(plan.lanes[lane]!.name)

  await expect(page.getByText(/, moved/)).toHaveCount(0)

  // by hand: an hour and more to the right
  const rect = page.locator('g.batch', { hasText: batch.code }).first().locator('rect').first()
  // the day is drawn anew after what was taken back: the box is read once it stands
  await expect.poll(() => rect.boundingBox()).not.toBeNull()
  const box = (await rect.boundingBox())!
  await page.mouse.move(box.x + 10, box.y + 10)
  await page.mouse.down()
  await page.waitForTimeout(400)
  await page.mouse.move(box.x + 150, box.y + 12, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByRole('status').filter({ hasText: 'What changed' })).toContainText(`${batch.code} ready`)
  expect(((await startNow())?.start ?? 'another day') > batch.start).toBe(true)
  await page.keyboard.press('u')
  await expect(page.getByText('Left to the plan.')).toBeVisible()
  await expect.poll(async () => (await startNow())?.start).toBe(batch.start)

  const printed = await request.get(`${server.url}/api/press-day.pdf?day=${plan.day}`)
  expect(printed.headers()['content-type']).toBe('application/pdf')
  const opened = page.waitForEvent('popup')
  await page.keyboard.press('p')
  expect((await opened).url()).toContain(`press-day.pdf?day=${plan.day}`)
})

test('a yes that pushes others behind what they were promised names them where it is taken', async ({
  page,
  request,
  server,
}) => {
  const quoted = async (id: string, pieces: number, days: number) => {
    const o = order(request, server.url, id)
    const dueDate = daysOn(days).toISOString().slice(0, 10)
    await o.ask([{ ...tees, sizes: [{ size: 'M', pieces }] }], { dueDate })
    await o.post('choose', { methodId: 'dtf-bought' })
    await o.post('lay-out')
    await o.post('send')
    return o
  }
  await (await quoted('few', 4, 40)).post('approve', { by: 'Isaura' })
  await quoted('many', 1000, 12)
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'many'))
  await page.goto('/gather')
  await page.getByRole('button', { name: 'Take their yes', exact: true }).click()
  await page.getByRole('button', { name: 'Note the yes, now' }).click()
  const pushed = page.getByRole('status').filter({ hasText: 'This yes pushes others behind' })
  await expect(pushed).toContainText(/T-\d+ ready .* instead of .* late\./)
  await clean(page)
})
