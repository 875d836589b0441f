import { front, order } from './orders.ts'
import { faulty, harbour } from './pictures.ts'
import { expect, test } from './server.ts'

/** The pictures of docs/screenshots: the day of one order, then the shop-wide places, at one held moment, so that they change only when a screen does. */
test.use({ now: '2026-06-02T11:20:00Z', timezoneId: 'UTC' })

const id = 'day-of-one-order'
const sizes = [
  { size: 'S', pieces: 4 },
  { size: 'M', pieces: 10 },
  { size: 'L', pieces: 8 },
  { size: '2XL', pieces: 2 },
]

test('pictures @shots', async ({ page, request, server }) => {
  test.setTimeout(180_000)
  const o = order(request, server.url, id)
  let hand = id
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', sessionStorage.getItem('hand') ?? ''))
  const shot = async (name: string, path: string) => {
    await page.evaluate((order) => sessionStorage.setItem('hand', order), hand)
    await page.goto(`${server.url}${path}`)
    await expect(
      page
        .locator('b, h1, .no')
        .filter({ hasText: /^T-2\d\d/ })
        .first(),
    ).toBeVisible()
    if (path === '/ask') await expect(page.getByLabel('Their order number')).toBeVisible()
    // the ribbons come a moment after the comparison
    if (path === '/compare') await expect(page.getByText(/Upper ribbon/)).toBeVisible({ timeout: 20_000 })
    await page.waitForTimeout(900)
    await page.screenshot({ path: `../../docs/screenshots/${name}.png` })
  }
  const picture = async (artwork: string, name: string, data: Buffer) =>
    expect(
      (
        await request.put(`${server.url}/api/artwork/${artwork}/file?name=${name}&widthIn=10`, {
          data,
          headers: { 'Content-Type': 'image/png' },
        })
      ).ok(),
    ).toBe(true)
  await picture('harbour', 'harbour', harbour())
  await picture('sun', 'sun-from-the-web', faulty())
  await page.goto(`${server.url}/numbers`)
  await o.ask(
    [
      {
        id: '1',
        styleId: 'hollin',
        colourwayId: 'navy',
        sizes,
        placements: [
          { ...front, widthIn: 10, heightIn: 7, colours: 3, thinnestLinePt: 5, designId: 'harbour' },
          { ...front, id: 'sleeve', place: 'left-sleeve', widthIn: 3, heightIn: 3, colours: 1, thinnestLinePt: 5 },
        ],
        mark: 22,
      },
    ],
    { customerId: 'ferry', dueDate: '2026-06-12', details: { note: 'For the crew of the evening boat.' } },
  )
  await shot('1-ask', '/ask')
  hand = 'with-faults'
  const placements = [{ ...front, designId: 'sun' }]
  await order(request, server.url, hand).ask([
    { id: '1', styleId: 'hollin', colourwayId: 'navy', sizes, placements, mark: null },
  ])
  await shot('artwork', '/ask')
  await page.getByRole('region', { name: 'Artwork, front' }).scrollIntoViewIfNeeded()
  await page.screenshot({ path: '../../docs/screenshots/artwork.png' })
  hand = id
  await shot('2-compare', '/compare')
  await o.post('choose', { methodId: 'dtf-bought', lineId: '1' })
  await shot('3-layout', '/layout')
  await o.post('lay-out')
  await shot('4-quote', '/quote')
  await o.post('send')
  await o.post('approve', { by: 'Calla Roe' })
  await o.post('deposit', { amount: (await o.read()).deposit, overrideReason: null })
  await shot('5-gather', '/gather')
  await o.arrived()
  await shot('6-press-day', '/press')
  await request.post(`${server.url}/api/runs/${id}/start`)
  const pieces = sizes.flatMap((s) => Array.from({ length: s.pieces }, () => s.size))
  const say = async (pieceNo: number, attempt: number, pass: number, verdict: string) =>
    request.put(`${server.url}/api/runs/${id}/events/guide-${pieceNo}-${attempt}-${pass}`, {
      data: {
        pieceNo,
        attempt,
        pass,
        size: pieces[pieceNo - 1],
        verdict,
        reason: verdict === 'spoiled' ? 'crooked' : null,
        takesBack: null,
        secondsOnPiece: 80,
      },
    })
  const print = async (from: number, to: number, pass: number) => {
    for (let piece = from; piece <= to; piece++) await say(piece, 1, pass, 'good')
  }
  await print(1, 24, 1)
  await print(1, 8, 2)
  await say(9, 1, 2, 'spoiled')
  await shot('7-press-run', `/run/${id}`)
  await print(10, 24, 2)
  await say(9, 2, 1, 'good')
  await say(9, 2, 2, 'good')
  const count = (all: { size: string; pieces: number }[]) =>
    o.post('count', { sizes: all.map((s) => ({ lineId: '1', ...s })) })
  await count(sizes.slice(0, 2))
  await shot('8-send', '/send')
  await count(sizes)
  await o.post('hand-over', { to: 'the skipper' })
  await shot('9-learn', '/learn')

  hand = 'demo-207'
  await shot('lines', '/quote')
  await shot('shelf', '/shelf')
  await shot('floor', '/floor')
  const floor = page.getByRole('region', { name: 'On the press floor' })
  await expect(floor.getByText('What would help most')).toBeVisible()
  for (let i = 0; i < 12; i++) await floor.getByRole('button', { name: 'Step', exact: true }).click()
  await floor.getByRole('listitem').last().scrollIntoViewIfNeeded()
  await page.screenshot({ path: '../../docs/screenshots/minutes.png' })
  await shot('numbers', '/numbers')
  await page.getByRole('button', { name: "Look at a supplier's feed (simulated)" }).click()
  const look = page.getByRole('region', { name: /the feed of Sandling Wholesale/ })
  await expect(look.getByText('8 new')).toBeVisible()
  await look.getByRole('button', { name: 'Bring it in' }).scrollIntoViewIfNeeded()
  await page.screenshot({ path: '../../docs/screenshots/table.png' })
  hand = 'demo-215'
  await shot('named', '/ask')
})
