import { expect } from '@playwright/test'
import { order, tees } from './orders'
import { test } from './server'

test('where a comma parts the cents, figures are shown and read with it, and what could be two numbers is asked', async ({
  page,
  server,
}) => {
  const numbers = (await (await page.request.get(`${server.url}/api/numbers`)).json()) as {
    value: { identity: { format: object } }
    version: number
  }
  numbers.value.identity.format = { ...numbers.value.identity.format, decimalMark: ',', groupMark: '.' }
  const match = { headers: { 'If-Match': `"${numbers.version}"` } }
  expect((await page.request.put(`${server.url}/api/numbers`, { data: numbers.value, ...match })).ok()).toBe(true)

  await page.goto('/numbers')
  const money = page.getByRole('form').filter({ has: page.getByLabel('Least charge an order') })
  const least = money.getByLabel('Least charge an order')
  await least.fill('1.234,50')
  await money.getByRole('button', { name: 'Save' }).click()
  await expect(money.getByRole('button', { name: 'Saved' })).toBeVisible()
  await expect(least).toHaveValue('1234,5')
  await least.fill('1.234')
  await money.getByRole('button', { name: 'Save' }).click()
  await expect(money).toContainText('"1.234" could mean 1234 or 1,234. Type the one you mean.')

  const paid = order(page.request, server.url, 'comma')
  await paid.ask([{ ...tees, sizes: [{ size: 'M', pieces: 24 }] }])
  await paid.post('choose', { methodId: 'dtf-bought' })
  await paid.post('lay-out')
  await paid.post('send')
  await paid.post('approve', { by: 'Isaura' })
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'comma'))
  await page.goto('/gather')
  await page.getByRole('button', { name: /^Note the deposit/ }).click()
  const amount = page.getByRole('dialog').getByLabel(/^Paid, of/)
  await amount.fill('many')
  await page.getByRole('button', { name: 'Note it' }).click()
  expect(await amount.evaluate((e: HTMLInputElement) => e.validationMessage)).toBe('"many" is not a number.')
  const { deposit } = await paid.read()
  await amount.fill(deposit.toFixed(2).replace('.', ','))
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  const kept = (await paid.read()) as unknown as { facts: { gathering: { deposit: { amount: number } } } }
  expect(kept.facts.gathering.deposit.amount).toBe(deposit)
  expect(deposit % 1).toBeGreaterThan(0)

  // a blank between thousands is a choice like another
  await page.goto('/numbers')
  const identity = page.getByRole('form').filter({ has: page.getByLabel('Thousands mark') })
  await identity.getByLabel('Thousands mark').selectOption({ label: 'space' })
  await identity.getByRole('button', { name: 'Save' }).click()
  await expect(identity.getByRole('button', { name: 'Saved' })).toBeVisible()
  const now = (await (await page.request.get(`${server.url}/api/numbers`)).json()) as typeof numbers
  expect(now.value.identity.format).toMatchObject({ decimalMark: ',', groupMark: ' ' })
})
