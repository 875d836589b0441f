import { clean } from './axe.ts'
import { front, order, tees } from './orders.ts'
import { faulty, mended } from './pictures.ts'
import { expect, test } from './server.ts'

const file = (name: string, buffer: Buffer) => ({ name, mimeType: 'image/png', buffer })

test('an artwork with three faults is caught, explained on the picture, and cured by a better one', async ({
  page,
  request,
  server,
}) => {
  const o = order(request, server.url, 'arted')
  await o.ask([{ ...tees, sizes: [{ size: 'M', pieces: 12 }], placements: [{ ...front, widthIn: 9 }] }])
  await page.addInitScript(() => localStorage.setItem('hepno-in-hand', 'arted'))
  await page.goto(`${server.url}/ask`)
  const art = page.getByRole('region', { name: 'Artwork, front' })
  await art.locator('input[type=file]').setInputFiles(file('sun over the bar.png', faulty()))
  await expect(art.getByText('sun over the bar')).toBeVisible()
  const faults = art.getByRole('listitem')
  await expect(faults.filter({ hasText: 'pixels an inch at 9 in wide' })).toBeVisible()
  await expect(faults.filter({ hasText: 'of the paint is half clear: film leaves a white rim on black' })).toBeVisible()
  await expect(faults.filter({ hasText: /a line of 0\.\d+ pt: .*lose it/ })).toBeVisible()
  // two of them have a place on the picture, each with its number
  await expect(art.locator('.mark')).not.toHaveCount(0)
  await expect(page.getByRole('row', { name: /Front.*gradient|Front.*1/ })).toBeVisible()
  await clean(page)

  await art.locator('input[type=file]').setInputFiles(file('sun.png', mended()))
  await expect(art.getByText('nothing in it would spoil the print')).toBeVisible()
  await expect(art.getByText('2 colours')).toBeVisible()
  // tried on the other colour, and seen large
  await art.getByRole('button', { name: 'sand', exact: true }).click()
  await expect(art.getByRole('button', { name: 'sand', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await art.getByRole('button', { name: 'what is clear' }).click()
  await art.getByRole('button', { name: 'larger' }).click()
  await clean(page)
  await art.getByRole('button', { name: 'smaller' }).click()
  await art.getByLabel('What gives the right?').selectOption("a stock graphic's licence")
  await expect(art.getByText(/nobody wrote down that the licence covers goods that are sold/)).toBeVisible()
  await art.getByLabel('covers goods that are sold').check()
  await expect(art.getByText(/nobody wrote down/)).toHaveCount(0)
  await art.getByRole('button', { name: 'measured on a print?' }).click()
  await art.getByLabel('Colour used, ml').fill('1.2')
  await art.getByLabel('White used, ml').fill('1.6')
  await art.getByRole('button', { name: 'Set the printer by it' }).click()
  await expect(page.getByText('What Skua uses is set by it.')).toBeVisible()
  await art.getByLabel('Whose is it?').fill('the choir')
  await art.getByLabel('Who said so').fill('Isaura')
  await art.getByLabel('What proves it').fill('her letter')
  await page.keyboard.press('Tab')
  await expect(page.getByText('Written down.')).toBeVisible()
  await clean(page)
  await page.reload()
  await expect(art.getByLabel('Whose is it?')).toHaveValue('the choir')

  // what is no picture is refused in a sentence, and what was there stays
  await art.locator('input[type=file]').setInputFiles(file('letter.png', Buffer.from('%PDF-1.7')))
  await expect(page.getByText('The file is a PDF, whatever it is called.')).toBeVisible()
  await expect(art.getByText('nothing in it would spoil the print')).toBeVisible()
  await page.keyboard.press('Escape')
  await art.getByRole('button', { name: 'Without a picture' }).click()
  await expect(art.getByText('drop, paste or choose a PNG, JPEG or SVG')).toBeVisible()

  // a link becomes a square code, read back from its own picture
  await art.getByLabel('or a link, as a square code').fill('https://choir.example/tour')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Safe from .* wide on film/)).toBeVisible()
  await expect(art.getByText('The code in it reads')).toContainText('https://choir.example/tour')
  await clean(page)
})
