import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { clean } from './axe.ts'
import { expect, test } from './server.ts'

test('a copy is made, looked at and put back from Numbers, and every screen begins anew', async ({ page, server }) => {
  await page.goto('/numbers')
  await page.getByRole('button', { name: 'Make a copy now' }).click()
  await expect(page.getByText('A copy is made.')).toBeVisible()
  await clean(page)
  await fetch(`${server.url}/api/customers/late`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Came Later', contact: '' }),
  })
  const customers = async () => await (await fetch(`${server.url}/api/customers`)).text()
  expect(await customers()).toContain('Came Later')
  const row = page.getByRole('row', { name: /^asked-/ }).first()
  await row.getByRole('button', { name: 'Look, to put it back' }).click()
  const dialog = page.getByRole('dialog', { name: 'Put this copy back' })
  await expect(dialog).toContainText('Every part of it was checked.')
  await clean(page)
  await dialog.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('row', { name: /^before-restore-/ })).toBeVisible()
  expect(await customers()).not.toContain('Came Later')
})

test('a second folder gets copies, and every screen says when it is not there', async ({ page }) => {
  const stick = mkdtempSync(join(tmpdir(), 'hepno-stick-'))
  await page.goto('/numbers')
  await page.getByLabel('A second folder that gets copies too').fill('stick')
  await page.getByRole('button', { name: 'Copy there too' }).click()
  await expect(page.getByText('There is no folder stick on this machine.').first()).toBeVisible()
  await page.getByLabel('A second folder that gets copies too').fill(stick)
  await page.getByRole('button', { name: 'Copy there too' }).click()
  await expect(page.getByText('Copies go there too.')).toBeVisible()
  rmSync(stick, { recursive: true })
  await page.getByRole('button', { name: 'Make a copy now' }).click()
  await expect(page.getByText(`${stick} is not there.`).first()).toBeVisible()
  await page.goto('/shelf')
  await expect(page.getByText(`${stick} is not there.`)).toBeVisible()
  await clean(page)
})
