import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { clean } from './axe.ts'
import { expect, Server, test } from './server.ts'

test('the whole shop is taken as one file and brought into an empty one, and both are equal', async ({
  page,
  server,
}) => {
  await page.goto('/numbers')
  const taken = page.waitForEvent('download')
  await page.getByRole('link', { name: 'The whole shop as one open file' }).click()
  const file = join(mkdtempSync(join(tmpdir(), 'hepno-shop-')), 'shop.zip')
  await (await taken).saveAs(file)

  const empty = await Server.start()
  await page.goto(empty.url)
  await expect(page.getByRole('heading', { name: 'The first day' })).toBeVisible()
  await clean(page)
  const bad = `${file}.bad.zip`
  writeFileSync(bad, readFileSync(file).subarray(0, 5000))
  await page.getByLabel('Or bring a shop along').setInputFiles(bad)
  await expect(page.getByText('This is no archive of a shop, or it is damaged.').first()).toBeVisible()
  await page.getByLabel('Or bring a shop along').setInputFiles(file)
  await expect(page).toHaveURL(/\/ask/)
  await expect(page.getByLabel('Work line')).toContainText('1')
  const line = async (url: string) => ((await (await fetch(`${url}/api/line`)).json()) as { stations: object }).stations
  expect(await line(empty.url)).toEqual(await line(server.url))
  await empty.dispose()
})
