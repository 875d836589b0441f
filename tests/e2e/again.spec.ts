import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import type { Page } from '@playwright/test'
import { clean } from './axe.ts'
import { daysOn, expect, test } from './server.ts'

/** Counts what somebody does: one key chord, one click, one field filled or one paste each. */
class Actions {
  readonly log: string[] = []
  constructor(private readonly page: Page) {}

  async key(chord: string, why: string): Promise<void> {
    await this.page.keyboard.press(chord)
    this.log.push(`key ${chord}: ${why}`)
  }

  async type(text: string, why: string): Promise<void> {
    await this.page.keyboard.type(text)
    this.log.push(`fill: ${why}`)
  }

  async click(name: string | RegExp, why: string): Promise<void> {
    await this.page.getByRole('button', { name }).click()
    this.log.push(`click: ${why}`)
  }
}

test('a repeat customer goes from enquiry to sent quote in at most forty actions', async ({ page }) => {
  await page.goto('/ask')
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-2')
  const does = new Actions(page)
  await does.key('/', 'find')
  await expect(page.getByLabel('Number or customer')).toBeFocused()
  await does.type('gorse', 'part of the name')
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(1)
  await does.key('Enter', 'take their last order in hand')
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-201')
  await expect(page.getByRole('dialog')).toBeHidden()
  await does.key('c', 'the customer')
  const card = page.getByRole('dialog', { name: 'Gorse Lane School' })
  await expect(card).toContainText('18 black tees')
  await expect(card.getByText('with 1 handed over')).toBeVisible()
  await clean(page)
  await does.click('T-201 again', 'the same again at today’s prices')
  await expect(page.getByLabel('by when?', { exact: true })).toBeFocused()
  const due = daysOn(14)
  const two = (n: number) => String(n).padStart(2, '0')
  await does.type(`${two(due.getMonth() + 1)}${two(due.getDate())}${due.getFullYear()}`, 'by when')
  await does.key('Enter', 'keep it')
  await expect(page.getByLabel('at what hour?', { exact: true })).toBeFocused()
  await does.key('Escape', 'noon will do')
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('On to Lay out')
  await does.key('Control+Enter', 'made as last time: to what is bought')
  await expect(page).toHaveURL(/layout/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('×')
  await does.key('Control+Enter', 'lay it out')
  await expect(page).toHaveURL(/quote/)
  await expect(page.getByRole('heading', { name: /18 black tees/ })).toBeVisible()
  const notes = page.getByLabel('Margin notes, yours alone')
  await expect(notes).toContainText(/Last time, in T-201 of .*: film, bought in, at \$\d+\.\d\d a piece/)
  await does.key('Control+Enter', 'send it')
  await expect(page.getByRole('button', { name: 'Send it' })).toBeFocused()
  await does.key('Enter', 'yes')
  await expect(page).toHaveURL(/gather/)
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-216')

  expect(does.log.length).toBeLessThanOrEqual(40)
  const kept = readFileSync(resolve(import.meta.dirname, '../cases/repeat-order.txt'), 'utf8')
  expect(`${does.log.length} actions\n${does.log.join('\n')}\n`).toBe(kept)
})

test('a customer is renamed, exported and, with nothing open, forgotten', async ({ page, request, server }) => {
  const post = async (path: string, version: number) =>
    expect((await request.post(`${server.url}${path}`, { headers: { 'If-Match': `"${version}"` } })).ok()).toBe(true)
  await page.goto('/learn')
  await page.keyboard.press('/')
  await page.keyboard.type('gorse')
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-201')
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.getByRole('button', { name: 'Gorse Lane School', exact: true }).click()
  const card = page.getByRole('dialog')
  await card.getByLabel('Name', { exact: true }).fill('Gorse Lane Primary School')
  await card.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('Gorse Lane Primary School')
  const file = page.waitForEvent('download')
  await card.getByRole('link', { name: 'Everything known' }).click()
  expect((await file).suggestedFilename()).toContain('.json')
  await card.getByRole('button', { name: 'Forget this person' }).click()
  await card.getByRole('button', { name: 'Forget', exact: true }).click()
  await expect(page.getByText('still has T-201 on the line').first()).toBeVisible()
  const { version } = (await (await request.get(`${server.url}/api/orders/demo-201`)).json()) as { version: number }
  await post('/api/orders/demo-201/close', version)
  await card.getByRole('button', { name: 'Forget this person' }).click()
  await card.getByRole('button', { name: 'Forget', exact: true }).click()
  await expect(card).toBeHidden()
  expect(await (await request.get(`${server.url}/api/customers`)).text()).not.toContain('Gorse')
})
