import { expect } from '@playwright/test'
import { clean } from './axe'
import { look } from './look'
import { test } from './server'
import { unsightly } from './sight'
import { views } from './views'

test.describe('every view', () => {
  test.use({ shared: true })
  for (const [path, order] of views)
    test(`${path} with ${order} can be read and reached at six sizes`, async ({ page, server: _ }) => {
      const errors: string[] = []
      page.on('console', (m) => m.type() === 'error' && errors.push(m.text()))
      page.on('pageerror', (e) => errors.push(e.message))
      await page.goto('/ask')
      await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-')
      expect(await look(page, path, order)).toEqual([])
      await clean(page)
      expect(errors).toEqual([])
    })
})

test.describe('shortly before ten', () => {
  test.use({ now: '2026-06-02T09:47:00Z', timezoneId: 'UTC' })
  test('the clock of the press day covers no hour', async ({ page, server: _ }) => {
    await page.goto('/ask')
    await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-')
    expect(await look(page, '/press', 'demo-202')).toEqual([])
  })
})

test.describe('a run by touch', () => {
  test.use({ hasTouch: true })
  const tablets = [
    [820, 1180],
    [1024, 768],
    [1180, 820],
    [1280, 800],
  ] as const

  test('is read and reached at four sizes: heat, seconds, pressure and peel whole, verdicts as tall as a hot hand needs', async ({
    page,
    server: _,
  }) => {
    await page.goto('/press')
    await page.request.post('/api/runs/demo-202/start')
    await page.goto('/run/demo-202')
    for (const [width, height] of tablets) {
      await page.setViewportSize({ width, height })
      await expect(page.getByRole('button', { name: /^Good/ })).toBeVisible()
      expect((await unsightly(page)).map((f) => `${width} × ${height}: ${f}`)).toEqual([])
      for (const words of ['310 °F', '15 s', 'medium', 'cold peel']) {
        const part = page.locator('.recipe b', { hasText: words })
        await expect(part).toBeInViewport({ ratio: 1 })
        const seen = await part.evaluate((e) => {
          const box = e.getBoundingClientRect()
          const top = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2)
          return top === e && e.getClientRects().length === 1
        })
        expect(seen, `${words} at ${width} × ${height}`).toBe(true)
      }
      for (const verdict of [/^Good/, /^Spoiled/])
        expect((await page.getByRole('button', { name: verdict }).boundingBox())!.height).toBeGreaterThanOrEqual(112)
    }
  })

  test('is done by fingers alone: closed, lifted, judged, taken back, the other end, not spoiled after all, left', async ({
    page,
    server: _,
  }) => {
    await page.setViewportSize({ width: 820, height: 1180 })
    await page.goto('/press')
    await page.request.post('/api/runs/demo-202/start')
    await page.goto('/run/demo-202')
    const piece = page.getByTestId('piece').or(page.locator('[data-test=piece]'))
    const good = page.locator('[data-test=good]')
    await expect(good).toHaveText('9 good')
    await expect(piece).toHaveText('11')
    await page.getByRole('button', { name: /^Close/ }).tap()
    await page.getByRole('button', { name: /^Lift/ }).tap()
    await page.getByRole('button', { name: /^Good/ }).tap()
    await expect(good).toHaveText('10 good')
    // the first tap has begun the film that keeps the screen awake, with its sound
    const film = page.locator('video')
    const at = () =>
      film.evaluate((v: HTMLVideoElement) => (v.paused || v.muted || v.volume === 0 ? -1 : v.currentTime))
    const before = await at()
    expect(before).toBeGreaterThanOrEqual(0)
    await expect.poll(at).toBeGreaterThan(before)
    await page.getByRole('button', { name: /^Take back 11/ }).tap()
    await expect(good).toHaveText('9 good')
    // the reasons are closed again without a verdict, and do not judge by themselves
    await page.getByRole('button', { name: /^Spoiled/ }).tap()
    await page.waitForTimeout(6000)
    await page.getByRole('button', { name: /not spoiled/ }).tap()
    await expect(page.locator('[data-test=spoiled]')).toHaveText('1 spoiled')
    await page.getByRole('button', { name: /^Other end/ }).tap()
    await expect(piece).toHaveText('24')
    // leaving a closed press asks, with buttons
    await page.getByRole('button', { name: /^Close/ }).tap()
    await page.getByRole('button', { name: /Leave/ }).tap()
    await page.getByRole('button', { name: /stay/ }).tap()
    await expect(page).toHaveURL(/run/)
    await page.getByRole('button', { name: /Leave/ }).tap()
    await page.getByRole('alertdialog').getByRole('button', { name: /leave/ }).tap()
    await expect(page).toHaveURL(/press/)
  })
})
