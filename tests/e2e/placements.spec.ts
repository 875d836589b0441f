import { clean } from './axe.ts'
import { begin, front, tees } from './orders.ts'
import { expect, test } from './server.ts'

test('four prints a piece: the first of each is looked at, a hold outlives the page, a verdict is taken back', async ({
  page,
  request,
  server,
}) => {
  test.setTimeout(90_000)
  const small = { ...front, widthIn: 3, heightIn: 3 }
  const id = await begin(request, server.url, 'four-prints', [
    {
      ...tees,
      sizes: [{ size: 'M', pieces: 3 }],
      placements: [
        front,
        { ...front, id: 'b', place: 'back' },
        { ...small, id: 'l', place: 'left-sleeve' },
        { ...small, id: 'r', place: 'right-sleeve' },
      ],
    },
  ])
  const state = async () =>
    (
      (await (await request.get(`${server.url}/api/runs/${id}`)).json()) as {
        state: { good: number; events: number; pieces: { pieceNo: number; passes: number }[] }
      }
    ).state
  await page.goto(`${server.url}/run/${id}`)
  const field = page.getByRole('region', { name: /piece/ }).first()
  const passes = page.getByRole('list', { name: /Prints of a piece/ })
  await expect(passes.getByRole('listitem')).toHaveCount(4)
  await expect(field).toContainText('the first')

  // one piece out, and nothing more until it is judged
  await page.keyboard.press('Enter')
  await expect(field).toContainText('Press')
  await page.keyboard.press('Enter')
  await expect(field).toContainText('Look at it by daylight')
  await page.keyboard.press('Enter')
  await expect(field).toContainText('Look at it by daylight')

  await page.keyboard.press('h')
  await expect(field).toContainText('Held')
  await page.keyboard.press(' ')
  await page.reload()
  await expect(field).toContainText('Held')
  expect((await state()).events).toBe(0)
  await page.keyboard.press('h')
  await expect(field).toContainText('Look at it by daylight')
  await clean(page)

  // the second press, then good
  await page.keyboard.press('a')
  await expect(field).toContainText('Again')
  await page.keyboard.press('Enter')
  await page.keyboard.press(' ')
  await expect.poll(async () => (await state()).pieces[0]!.passes).toBe(1)
  await expect(field).not.toContainText('the first')

  // taken back, also after the page was opened anew
  await page.reload()
  await expect(page.locator('[data-test=piece]')).toHaveText('2')
  await page.keyboard.press('z')
  await expect.poll(async () => (await state()).pieces[0]!.passes).toBe(0)
  await expect(page.locator('[data-test=piece]')).toHaveText('1')

  for (let tap = 0; tap < 12; tap++) {
    const piece = await page.locator('[data-test=piece]').innerText()
    const nth = (await passes.locator('[aria-current=step]').innerText()).trim()
    await page.waitForTimeout(420)
    await page.keyboard.press(' ')
    if (tap < 11)
      await expect
        .poll(async () => [
          await page.locator('[data-test=piece]').innerText(),
          (await passes.locator('[aria-current=step]').innerText()).trim(),
        ])
        .not.toEqual([piece, nth])
  }
  await expect.poll(async () => (await state()).good).toBe(3)
  await expect(field).toContainText('All 3 are good')

  const sheet = await request.get(`${server.url}/api/runs/${id}/sheet.pdf`)
  expect(sheet.headers()['content-type']).toBe('application/pdf')
})
