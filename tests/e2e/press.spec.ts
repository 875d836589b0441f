import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { clean } from './axe.ts'
import { expect, test } from './server.ts'

/** Who may call what, as the server's own test holds it. */
const doors = readFileSync(join(import.meta.dirname, '../cases/doors.csv'), 'utf8')
  .trim()
  .split('\n')
  .slice(1)
  .map((line) => {
    const [method, route, least] = line.split(',') as [string, string, string]
    const pattern = route.replace(/\{\*\*\w+\}/, '.+').replace(/\{[^}]+\}/g, '[^/]+')
    return {
      method,
      pattern: new RegExp(`^${pattern.replace(/\/$/, '')}$`),
      open: ['stranger', 'press'].includes(least),
    }
  })

/** Makes the page that of a device let in for the press; answers with the calls it would be refused. */
async function letInForThePress(page: Page): Promise<string[]> {
  const refused: string[] = []
  await page.route('**/api/**', async (route) => {
    const call = route.request()
    const path = new URL(call.url()).pathname
    const door = doors.find((d) => d.method === call.method() && d.pattern.test(path))
    if (!door?.open) {
      refused.push(`${call.method()} ${path}`)
      await route.fulfill({ status: 403, json: { title: 'At the counter.', problems: [] } })
    } else if (path === '/api/line') {
      const answer = await route.fetch()
      await route.fulfill({ response: answer, json: { ...(await answer.json()), caller: 'press', notices: [] } })
    } else await route.fallback()
  })
  return refused
}

test('a device of the press is offered what it may do, and asks for nothing else', async ({ page }) => {
  const refused = await letInForThePress(page)
  await page.goto('/')
  await expect(page).toHaveURL(/\/press$/)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  const line = page.getByLabel('Work line')
  for (const word of ['Ask', 'Compare', 'Lay out', 'Quote', 'Learn'])
    await expect(line.getByRole('button', { name: new RegExp(`^${word}:`) })).toBeDisabled()
  await expect(page.getByRole('link', { name: 'Floor' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Numbers' })).toHaveCount(0)
  await expect(page.getByText('new ask')).toHaveCount(0)
  for (const [place, head] of [
    ['/gather', 'Gather'],
    ['/send', 'Send'],
  ] as const) {
    await line.getByRole('button', { name: new RegExp(`^${head}:`) }).click()
    await expect(page).toHaveURL(new RegExp(`${place}$`))
  }
  await page.getByRole('link', { name: 'Floor' }).click()
  await expect(page.getByRole('heading', { name: 'Recipes' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Add a press' })).toHaveCount(0)
  await page.waitForLoadState('networkidle')
  await clean(page)
  await page.goto('/run/demo-202')
  await expect(page.getByText('T-202').first()).toBeVisible()
  // neither by a key nor by an address
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  await page.goto('/numbers')
  await expect(page).toHaveURL(/\/press$/)
  expect(refused).toEqual([])
})

test('the owner says what a device is let in for, and is told of those let in before', async ({ page }) => {
  await page.route('**/api/devices', async (route) => {
    const answer = await route.fetch()
    const address = { url: 'http://tablet.example:5080', qr: { size: 3, path: 'M0 0h1v1h-1Z', svg: '' } }
    const old = {
      id: 'old',
      name: 'Tablet at press 1',
      pairedAt: 'Mon 1 Jun 10:00',
      shutOut: false,
      role: 'press',
      roleTold: false,
    }
    await route.fulfill({ json: { ...(await answer.json()), lan: true, addresses: [address], devices: [old] } })
  })
  await page.route('**/api/line', async (route) => {
    const answer = await route.fetch()
    const told = {
      code: 'device-roles',
      sentence: 'Tablet at press 1 may now do what is done at the press alone.',
      remedy: 'Say so.',
    }
    await route.fulfill({ json: { ...(await answer.json()), notices: [told] } })
  })
  const said: unknown[] = []
  await page.route('**/api/devices/old/role', async (route) => {
    said.push(route.request().postDataJSON())
    await route.fulfill({ json: { id: 'old', version: 2 } })
  })
  await page.goto('/numbers')
  await expect(page.getByText('Tablet at press 1 may now do what is done at the press alone.')).toBeVisible()
  await page.getByRole('button', { name: 'Let a device in for the press' }).click()
  await expect(page.getByText(/^\d{3} \d{3}$/)).toBeVisible()
  await expect(page.getByText('for one device of the press')).toBeVisible()
  await page.getByRole('button', { name: 'Let it do everything of the counter' }).click()
  await page.getByRole('button', { name: 'Leave it at the press' }).click()
  await expect.poll(() => said).toEqual([{ role: 'counter' }, { role: 'press' }])
  await clean(page)
})
