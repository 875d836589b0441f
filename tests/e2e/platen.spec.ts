import { clean } from './axe.ts'
import { begin, tees } from './orders.ts'
import { expect, test } from './server.ts'

test('a platen is measured at nine points and the run is told what to set', async ({ page, request, server }) => {
  const id = await begin(request, server.url, 'measured', [{ ...tees, sizes: [{ size: 'M', pieces: 2 }] }])
  const setPoint = async () =>
    (
      (await (await request.get(`${server.url}/api/runs/${id}`)).json()) as {
        lines: { press: string; passes: { setPoint: string }[] }[]
      }
    ).lines[0]!
  const before = await setPoint()
  await page.goto(`${server.url}/floor`)
  const board = page.locator('.board').filter({ has: page.getByRole('button', { name: new RegExp(before.press) }) })
  await board.locator('summary').filter({ hasText: 'Platen' }).click()
  await board.getByRole('button', { name: 'Measure the platen' }).click()
  const form = board.getByRole('form', { name: 'Nine readings' })
  await expect(form.getByRole('button', { name: 'Keep the map' })).toBeDisabled()
  await form.getByRole('button', { name: 'Read all nine (simulated thermometer)' }).click()
  await expect(form.getByLabel('near right')).not.toHaveValue('')
  await clean(page)
  // the middle of one press at 320: nine equal readings make the arithmetic plain
  await form.getByLabel('Set to').fill('320')
  for (const name of [
    'far left',
    'far middle',
    'far right',
    'middle left',
    'middle right',
    'near left',
    'near middle',
    'near right',
  ])
    await form.getByLabel(name).fill('305')
  await form.getByLabel('middle', { exact: true }).fill('305')
  await form.getByRole('button', { name: 'Keep the map' }).click()
  await expect(page.getByText('Measured. Every run sheet shows the new set-point.')).toBeVisible()
  await expect(board.getByRole('row', { name: '310 °F 325 °F 310 °F' })).toBeVisible()
  expect((await setPoint()).passes[0]!.setPoint).toBe('325 °F')
  expect(before.passes[0]!.setPoint).not.toBe('325 °F')
  await clean(page)

  // a dial noted once stands whole on the run screen beside the word it is for
  await board.getByRole('button', { name: new RegExp(before.press) }).click()
  await board.getByLabel(/^What the dial says/).fill('medium, thin: 4.5')
  await board.getByRole('button', { name: 'Save' }).click()
  await expect(board.getByRole('button', { name: 'Saved' })).toBeVisible()
  await page.goto(`${server.url}/run/${id}`)
  const settings = page.locator('.recipe > div')
  await expect(settings.nth(2)).toHaveText('medium dial 4.5')
  for (const setting of await settings.all())
    expect(
      await setting.evaluate((e) => e.scrollWidth <= e.clientWidth && e.getBoundingClientRect().right <= innerWidth),
    ).toBe(true)
})
