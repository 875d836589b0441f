import type { APIRequestContext, Page } from '@playwright/test'
import { begin, tees } from './orders.ts'
import { expect, test } from './server.ts'

/** A small seeded generator: the moments of the kills can be repeated. */
function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

/** An order of 44 pieces, all gathered and begun. */
const begun = (request: APIRequestContext, url: string) =>
  begin(request, url, 'run-of-forty-four', [
    {
      ...tees,
      sizes: [
        { size: 'S', pieces: 20 },
        { size: 'M', pieces: 24 },
      ],
    },
  ])

const verdictsLeft = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((done) => {
        const open = indexedDB.open('hepno-run', 1)
        open.onsuccess = () => {
          const count = open.result.transaction('events').objectStore('events').count()
          count.onsuccess = () => done(count.result)
        }
      }),
  )

/** Presses a key if a piece is offered to judge at that very moment, and says which: what is offered changes whenever the other device or
 * the link says so. */
const judged = (page: Page, key: string) =>
  page.evaluate((pressed) => {
    if (document.querySelector<HTMLButtonElement>('footer .good')?.disabled !== false) return null
    const piece = document.querySelector('[data-test=piece]')!.textContent
    window.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, cancelable: true }))
    return piece
  }, key)

test('40 verdicts on two devices survive ten kills, none lost, none twice', async ({ browser, request, server }) => {
  test.setTimeout(180_000)
  const id = await begun(request, server.url)
  const random = seeded(20_260_612)
  const open = async (url: string) => {
    const page = await (await browser.newContext()).newPage()
    await page.goto(`${url}/run/${id}`)
    await expect(page.getByText(/^piece \d+/).first()).toBeVisible()
    return page
  }
  const left = await open(server.url)
  // the second device is the tablet: plain http on a name, no secure context
  const right = await open(server.url.replace('127.0.0.1', 'tablet.test'))
  expect(await right.evaluate(() => isSecureContext)).toBe(false)
  await right.keyboard.press('o')

  const kills = new Set<number>()
  while (kills.size < 10) kills.add(Math.floor(random() * 40))
  let restarting: Promise<void> = Promise.resolve()
  for (let tap = 0; tap < 40; tap++) {
    const page = tap % 2 === 0 ? left : right
    const key = tap % 7 === 3 ? 'x' : ' '
    let piece: string | null = null
    const press = async () => {
      await expect.poll(async () => (piece = await judged(page, key))).not.toBeNull()
    }
    if (kills.has(tap)) {
      await restarting
      // between the tap and its answer on half of them, before the tap on the others
      const before = random() < 0.5
      if (before) await server.kill()
      const pressed = press()
      if (!before) await new Promise((later) => setTimeout(later, random() * 20))
      await pressed
      restarting = server.restart()
    } else await press()
    if (tap % 7 === 3) await page.keyboard.press('2')
    if (tap === 20) {
      // one held down: key repeat must not judge the next piece
      for (let repeat = 0; repeat < 5; repeat++)
        await page.evaluate(() => window.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', repeat: true })))
    }
    await expect(page.locator('[data-test=piece]')).not.toHaveText(piece!)
    if (tap === 25) {
      await restarting
      await right.reload()
      await expect(right.getByText('of 44').first()).toBeVisible()
    }
  }
  await restarting
  for (const page of [left, right]) await expect.poll(() => verdictsLeft(page), { timeout: 20_000 }).toBe(0)
  const run = (await (await request.get(`${server.url}/api/runs/${id}`)).json()) as {
    state: { counted: number; good: number; spoiled: number; notCounted: unknown[] }
  }
  const spoiled = Array.from({ length: 40 }, (_, tap) => tap).filter((tap) => tap % 7 === 3).length
  expect(run.state).toMatchObject({ counted: 40, good: 40 - spoiled, spoiled, notCounted: [] })
})

for (const tablets of [
  [
    [820, 1180],
    [1024, 768],
  ],
  [
    [1180, 820],
    [1280, 800],
  ],
] as const)
  test(`two devices by touch, ${tablets.map((t) => t.join(' × ')).join(' and ')}, are never offered the same piece, and neither stands idle while there is one`, async ({
    browser,
    request,
    server,
  }) => {
    const id = await begin(request, server.url, 'run-of-seven', [{ ...tees, sizes: [{ size: 'M', pieces: 7 }] }])
    const urls = [server.url, server.url.replace('127.0.0.1', 'tablet.test')]
    const [left, right] = await Promise.all(
      tablets.map(async ([width, height], i) => {
        const page = await (await browser.newContext({ hasTouch: true, viewport: { width, height } })).newPage()
        await page.goto(`${urls[i]}/run/${id}`)
        await expect(page.getByText(/^piece \d+/).first()).toBeVisible()
        return page
      }),
    )
    const offered = async (page: Page) => (await page.locator('.lay').first().innerText()).match(/piece (\d+)/)?.[1]
    const good = (page: Page) => page.getByRole('button', { name: /^Good/ }).tap()
    const judged: string[] = []
    for (const page of [left!, right!, right!, left!, right!]) {
      const [one, other] = [await offered(left!), await offered(right!)]
      expect(one).toBeDefined()
      expect(other).toBeDefined()
      expect(one).not.toBe(other)
      const mine = (await offered(page))!
      judged.push(mine)
      await good(page)
      await expect.poll(() => offered(page)).not.toBe(mine)
      await page.waitForTimeout(450)
    }
    expect(new Set(judged).size).toBe(5)
    // of the two that are left one device has both; the other says so, until they are let go of
    const idle = (await offered(left!)) === undefined ? left! : right!
    const busy = idle === left ? right! : left!
    await good(idle)
    await expect(idle.getByText(/What is left is in other hands/).first()).toBeVisible()
    await busy.getByRole('button', { name: /Leave/ }).tap()
    await expect(busy).toHaveURL(/press/)
    await expect(idle.getByText(/^piece \d+/).first()).toBeVisible({ timeout: 20_000 })
  })

test('a verdict that is not taken yet stays on the device, says why, and counts once it is', async ({
  page,
  request,
  server,
}) => {
  const id = await begun(request, server.url)
  await page.goto(`${server.url}/run/${id}`)
  await expect(page.getByText('piece 1').first()).toBeVisible()
  let answers = [429, 409]
  await page.route('**/api/runs/*/events/*', async (route) => {
    const status = answers[0]
    if (status === undefined) return route.fallback()
    const problems = [
      { code: 'not-begun', sentence: 'Pressing has not begun.', where: '', remedy: 'Begin the run first.' },
    ]
    await route.fulfill({ status, json: { title: 'Not yet', problems } })
  })
  await page.keyboard.press(' ')
  await expect(page.getByText('Kept here and tried again: Pressing has not begun.')).toBeVisible()
  expect(await verdictsLeft(page)).toBe(1)
  // the page is left and opened again, and it is still there
  await page.reload()
  await expect(page.getByText('Kept here and tried again: Pressing has not begun.')).toBeVisible()
  answers = []
  await expect.poll(() => verdictsLeft(page)).toBe(0)
  const run = (await (await request.get(`${server.url}/api/runs/${id}`)).json()) as { state: { good: number } }
  expect(run.state.good).toBe(1)
})

test('a second verdict for the same piece is kept, not counted, and shown', async ({ page, request, server }) => {
  const id = await begun(request, server.url)
  const event = (eventId: string, verdict: string) =>
    request.put(`${server.url}/api/runs/${id}/events/${eventId}`, {
      data: { pieceNo: 1, attempt: 1, pass: 1, size: 'S', verdict, reason: null, takesBack: null, secondsOnPiece: 60 },
      headers: { 'Hepno-Device': 'another' },
    })
  expect((await event('event-one', 'good')).ok()).toBe(true)
  expect((await event('event-two', 'spoiled')).ok()).toBe(true)
  expect((await event('event-one', 'good')).ok()).toBe(true)
  await page.goto(`/run/${id}`)
  await expect(page.getByText('Judged twice, kept, not counted: 1 (spoiled)')).toBeVisible()
  await expect(page.locator('[data-test=good]')).toHaveText('1 good')
  // taking back on the screen is an event too
  await page.keyboard.press(' ')
  await expect(page.locator('[data-test=good]')).toHaveText('2 good')
  await page.keyboard.press('z')
  await expect(page.locator('[data-test=good]')).toHaveText('1 good')
})

test('the piece that is being spoiled stays the one when another device judges it meanwhile', async ({
  page,
  request,
  server,
}) => {
  const id = await begun(request, server.url)
  await page.goto(`/run/${id}`)
  const piece = page.locator('[data-test=piece]')
  await expect(piece).toHaveText('1')
  await page.keyboard.press('x')
  await expect(page.getByRole('group', { name: 'Why is piece 1 spoiled?' })).toBeVisible()
  await request.put(`${server.url}/api/runs/${id}/events/the-other`, {
    data: {
      pieceNo: 1,
      attempt: 1,
      pass: 1,
      size: 'S',
      verdict: 'good',
      reason: null,
      takesBack: null,
      secondsOnPiece: 60,
    },
  })
  await expect(piece).toHaveText('2')
  await page.keyboard.press('2')
  await expect(page.getByText('Judged twice, kept, not counted: 1 (spoiled)')).toBeVisible()
  await expect(piece).toHaveText('2')
  await expect(page.locator('[data-test=good]')).toHaveText('1 good')
})

test('an answer that was under way while a verdict went past it does not bring the piece back', async ({
  page,
  request,
  server,
}) => {
  const id = await begun(request, server.url)
  await page.goto(`/run/${id}`)
  const piece = page.locator('[data-test=piece]')
  const first = await piece.innerText()
  // the next reading of the run is answered, but its answer is held up on the way
  let release = () => {}
  const heldUp = new Promise<void>((done) => (release = done))
  let asked = 0
  await page.route(`**/api/runs/${id}`, async (route) => {
    const answer = await route.fetch()
    if (asked++ === 0) await heldUp
    await route.fulfill({ response: answer })
  })
  // another device's change makes the page read the run
  await request.put(`${server.url}/api/runs/${id}/events/other-device-1`, {
    data: {
      pieceNo: 44,
      attempt: 1,
      pass: 1,
      size: 'M',
      verdict: 'good',
      reason: null,
      takesBack: null,
      secondsOnPiece: 60,
    },
  })
  await expect.poll(() => asked).toBe(1)
  await page.keyboard.press(' ')
  await expect(piece).not.toHaveText(first)
  const second = await piece.innerText()
  await expect.poll(() => verdictsLeft(page)).toBe(0)
  await expect.poll(() => asked).toBeGreaterThan(1)
  release()
  await page.waitForTimeout(300)
  await expect(piece).toHaveText(second)
  await expect(page.locator('[data-test=good]')).toHaveText('2 good')
})
