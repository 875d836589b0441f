import { clean } from './axe.ts'
import { expect, test } from './server.ts'

const csv = (name: string, text: string | Buffer) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

test('a wrong table is refused row by row, its columns are said, and the right one is taken', async ({
  page,
  request,
  server,
}) => {
  await page.goto(`${server.url}/numbers`)
  const look = page.getByRole('region', { name: /^Styles with their prices:/ })
  const bring = page.getByLabel('Bring styles with their prices')
  const head = 'Model;Vendor;Type;Composition;GSM;Max heat F;What we pay;Shipping;Lead time;Colors;Size range'
  const row = (name: string, cloth: string, price: string) =>
    `${name};Dunlin Cloth;tee;${cloth};150;330;${price};9,50;2;Navy #2b3b5e dark;S; M`.replace('S; M', '"S; M"')
  await bring.setInputFiles(
    csv('spring.csv', [head, row('Reed 150', '100 cotton', '3,20'), row('Rush 160', '90 cotton', 'soon')].join('\n')),
  )
  // their names for things are known, but one is not
  await expect(look.getByLabel('supplier')).toHaveValue('Vendor')
  await expect(look.getByLabel('colours')).toHaveValue('Colors')
  await expect(look.getByText('No column of the file is taken for price.')).toBeVisible()
  await expect(look.getByRole('button', { name: 'Bring it in' })).toBeDisabled()
  await clean(page)
  await look.getByLabel('price', { exact: true }).selectOption('What we pay')
  await expect(look.getByText('Row 3, price: "soon" cannot be read.')).toBeVisible()
  await expect(look.getByRole('button', { name: 'Bring it in' })).toBeDisabled()
  const styles = async () => ((await (await request.get(`${server.url}/api/styles`)).json()) as unknown[]).length
  const before = await styles()

  await bring.setInputFiles(
    csv(
      'spring again.csv',
      [head, row('Reed 150', '100 cotton', '3,20'), row('Rush 160', '90 cotton; 10 elastane', '3,60')]
        .map((r) => r.replace('90 cotton; 10 elastane', '"90 cotton; 10 elastane"'))
        .join('\n'),
    ),
  )
  await look.getByLabel('price', { exact: true }).selectOption('What we pay')
  await expect(look.getByText('2 new, 0 changed, 0 as they were.')).toBeVisible()
  expect(await styles()).toBe(before)
  await look.getByRole('button', { name: 'Bring it in' }).click()
  await expect(page.getByText('Styles with their prices: 2 new, 0 changed, 0 as they were.')).toBeVisible()
  expect(await styles()).toBe(before + 2)

  // brought again at another price: what changes is said before
  await bring.setInputFiles(csv('autumn.csv', [head, row('Reed 150', '100 cotton', '3,45')].join('\n')))
  await look.getByLabel('price', { exact: true }).selectOption('What we pay')
  await expect(look.getByRole('row', { name: /Reed 150, Dunlin Cloth a piece \$3\.20 \$3\.45/ })).toBeVisible()
  await look.getByRole('button', { name: 'Leave it' }).click()
  await expect(look).toHaveCount(0)
})

test('the simulated feed of a supplier is looked at and brought to the shelf', async ({ page, server }) => {
  await page.goto(`${server.url}/numbers`)
  await page.getByRole('button', { name: "Look at a supplier's feed (simulated)" }).click()
  const look = page.getByRole('region', { name: /the feed of Sandling Wholesale \(simulated\)/ })
  await expect(look.getByText('8 new, 0 changed, 0 as they were.')).toBeVisible()
  await clean(page)
  await look.getByRole('button', { name: 'Bring it in' }).click()
  await expect(page.getByText('Styles with their prices: 8 new')).toBeVisible()
  await page.goto(`${server.url}/shelf`)
  await expect(page.getByText('Buoy bodysuit')).toBeVisible()
})

test('an odd price is asked about in place, and kept when the owner says that it is so', async ({ page, server }) => {
  await page.goto(`${server.url}/shelf`)
  await page.getByText('Smooth vinyl').click()
  const form = page.getByRole('form', { name: /Smooth vinyl/ })
  await form.getByLabel('Price a foot').fill('41')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('is that the price of a whole roll?')).toBeVisible()
  await expect(form.getByLabel('Price a foot')).toHaveValue('41')
  await clean(page)
  await page.getByRole('button', { name: 'It is so: keep it' }).click()
  await expect(page.getByText('Saved. It holds from now on; sent quotes keep their price.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'It is so: keep it' })).toHaveCount(0)
})
