import { readFile, writeFile } from 'node:fs/promises'
import { clean } from './axe.ts'
import { Hand } from './hand.ts'
import { daysOn, expect, test } from './server.ts'

const most = 60
const log = new URL('order-by-keyboard.txt', import.meta.url)
const team = [
  ['S', 'HASK', '1'],
  ['M', 'FELL', '2'],
  ['M', 'OAKES', '3'],
  ['M', 'ASH', '4'],
  ['M', 'BRANDT', '5'],
  ['L', 'WINDLESTRAW', '6'],
  ['L', 'ROE', '7'],
  ['L', 'TAM', '8'],
  ['XL', 'PELL', '9'],
  ['XL', 'LARK', '10'],
  ['2XL', 'ODA', '11'],
  ['2XL', 'MERRIDEW', '12'],
]

test('an order of three lines, four placements and twelve personalised pieces by keyboard alone, in under sixty actions', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/ask`)
  await expect(page.getByText('new ask')).toBeVisible()
  const hand = new Hand(page)
  await hand.press('n', 'new ask')
  await hand.fill('who is asking?', 'Gorse Lane School')
  await hand.press('Enter')
  const garment = async (style: string, colour: string) => {
    await hand.fill('which garment?', style)
    await hand.press('Enter')
    await hand.fill('which colour?', colour)
    await hand.press('Enter')
  }
  // the team: sizes are counted from the list
  await garment('Brae', 'black')
  await hand.focused('how many of each size?')
  await hand.press('Escape', 'the sizes come with the list')
  await hand.press('p', 'another print')
  await hand.fill('Where', 'Back')
  await hand.press('Tab')
  await hand.fill('On the pieces', 'each its own name and number')
  await hand.press('Enter', 'its customary size')
  await hand.paste('A piece a row', team.map((row) => row.join('\t')).join('\n'))
  await hand.press('Control+Enter', 'keep the list')
  await hand.fill('by when?', daysOn(30).toISOString().slice(0, 10))
  await hand.press('Enter')
  await hand.fill('at what hour?', '16:00')
  await hand.press('Enter')
  await hand.fill('the most they would pay?', '32')
  await hand.press('Enter')
  await expect(page.getByRole('button', { name: 'the most they would pay?: $32.00' })).toBeFocused()
  await hand.press('p', 'another print')
  await hand.fill('Where', 'Left chest')
  await hand.press('Enter', 'its customary size')
  await expect(page.getByRole('button', { name: 'Left chest 3.5 × 3.5 in, one colour' })).toBeVisible()
  // two lines more, a print each
  for (const [style, colour, sizes, mark] of [
    ['Fell', 'slate', 'M 2, L 3', '48'],
    ['Haul', 'natural', '20', '9'],
  ] as const) {
    await hand.press('l', 'another garment')
    await garment(style, colour)
    await hand.fill('how many of each size?', sizes)
    await hand.press('Enter')
    await hand.focused('Where')
    await hand.press('Enter', 'its customary place and size')
    await hand.fill('the most they would pay?', mark)
    await hand.press('Enter')
    await expect(page.getByRole('button', { name: `the most they would pay?: $${mark}.00` })).toBeFocused()
  }
  await expect(page.getByText('as said, line 3 of 3; 37 in all')).toBeVisible()
  await expect(page.getByRole('button', { name: '12 on the list' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'On to Compare' })).toBeEnabled()

  const id = await page.evaluate(() => localStorage.getItem('hepno-in-hand'))
  const { ask } = await (await page.request.get(`${server.url}/api/orders/${id}`)).json()
  expect(ask.lines.map((l: { pieces: number }) => l.pieces)).toEqual([12, 5, 20])
  expect(ask.lines.flatMap((l: { placements: unknown[] }) => l.placements)).toHaveLength(4)
  expect(
    ask.lines[0].names.map((n: { size: string; name: string; number: string }) => [n.size, n.name, n.number]),
  ).toEqual(team)
  expect(hand.log.length).toBeLessThan(most)
  const said = [`${hand.log.length} actions`, ...hand.log.map((a) => a.replace(/\d{4}-\d\d-\d\d/, 'the day')), ''].join(
    '\n',
  )
  if (process.env.HEPNO_WRITE_LOG) await writeFile(log, said)
  expect(said).toBe(await readFile(log, 'utf8'))
  await clean(page)
})

test('a list of names is refused row by row, stays as typed, and its slips are pointed out once mended', async ({
  page,
  server,
}) => {
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'demo-215'))
  await page.goto(`${server.url}/ask`)
  await page.getByRole('button', { name: '5 on the list' }).click()
  const list = page.getByLabel('A piece a row: size, name, number')
  await expect(list).toHaveValue(/^S\tHASK\t1\n/)
  await list.fill('S, HASK, 1\nQ, FELL, 2\nM, OAKES\nM, , ')
  await page.getByRole('button', { name: 'Keep the list' }).click()
  await expect(page.getByText('Row 2: no size in "Q, FELL, 2".')).toBeVisible()
  await expect(page.getByText('Row 4: M has neither name nor number.')).toBeVisible()
  await expect(list).toHaveValue(/Q, FELL/)
  await clean(page)
  await list.fill('S, HASK, 1\nM, FELL, 2\nM, OAKES, 2\nL, ASH, 4\n2XL, PELL, 5')
  await list.press('Control+Enter')
  await expect(page.getByText('Number 2 stands twice: FELL, OAKES.')).toBeVisible()
  // the garment is drawn on each size
  await page.getByRole('button', { name: '2XL', exact: true }).click()
  await expect(page.getByRole('button', { name: '2XL', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('[')
  await expect(page.getByRole('button', { name: 'L', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await clean(page)
  // a piece without its number blocks, and says which
  await page.getByRole('button', { name: '5 on the list' }).click()
  await page
    .getByLabel('A piece a row: size, name, number')
    .fill('S, HASK, 1\nM, FELL, 2\nM, OAKES\nL, ASH, 4\n2XL, PELL, 5')
  await page.getByRole('button', { name: 'Keep the list' }).click()
  await expect(page.getByText('Back: row 3 (M) has no number.', { exact: true })).toBeVisible()
})
