import { expect, type Page } from '@playwright/test'
import { clean } from './axe'
import { test } from './server'

const slip = (page: Page) => page.getByLabel('Order in hand', { exact: true })

async function inHand(page: Page, id: string, path: string): Promise<void> {
  await page.addInitScript((order) => localStorage.setItem('hepno-in-hand', order), id)
  await page.goto(path)
  await expect(slip(page)).toContainText('T-')
}

test('an order is lost, is found as lost, teaches its price and is brought back by its slip', async ({
  page,
  server: _,
}) => {
  await inHand(page, 'demo-204', '/quote')
  await slip(page).getByRole('button', { name: 'Send $' }).click()
  await page.getByRole('button', { name: 'Send it', exact: true }).click()
  await expect(slip(page)).toContainText('Their yes to the proof')
  await slip(page).getByRole('button', { name: 'It comes to nothing' }).click()
  const dialog = page.getByRole('dialog', { name: 'T-204 comes to nothing' })
  await dialog.getByLabel('Lost').check()
  await clean(page)
  // without a reason it is refused and stays as typed
  await dialog.getByLabel('To whom').fill('Fulmar Print')
  await dialog.getByRole('button', { name: 'Note it as lost' }).click()
  await expect(dialog.getByText('No reason is said.')).toBeVisible()
  await dialog.getByLabel('Why').fill('too dear')
  await dialog.getByLabel('At which price').fill('3x0')
  await dialog.getByRole('button', { name: 'Note it as lost' }).click()
  await expect(dialog.getByText('Their price: "3x0" is not a number.')).toBeVisible()
  await dialog.getByLabel('At which price').fill('$300')
  await dialog.getByRole('button', { name: 'Note it as lost' }).click()
  await expect(dialog).toBeHidden()
  await expect(slip(page)).toContainText('to Fulmar Print: too dear')
  await page.keyboard.press('/')
  await page.getByLabel('Number or customer').fill('204')
  await expect(page.getByRole('button', { name: /T-204.*lost/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByText('T-204 came to nothing: lost, too dear.')).toBeVisible()
  await expect(page.getByLabel('Won and lost')).toContainText('11.50')
  await clean(page)
  await slip(page).getByRole('button', { name: 'Bring T-204 back' }).click()
  await expect(page).toHaveURL(/gather/)
  await expect(slip(page)).toContainText('Their yes to the proof')
})

test('an order is cancelled with what was spent before the eyes; an empty ask is thrown away by keyboard', async ({
  page,
  server: _,
}) => {
  await inHand(page, 'demo-203', '/gather')
  await page.getByRole('checkbox').first().click()
  await slip(page).getByRole('button', { name: 'It comes to nothing' }).click()
  const dialog = page.getByRole('dialog', { name: 'T-203 comes to nothing' })
  await expect(dialog).toContainText('more was spent than is paid')
  await dialog.getByLabel('Why').fill('the regatta is called off')
  await dialog.getByRole('button', { name: 'Cancel it' }).click()
  await expect(dialog).toBeHidden()
  await expect(slip(page)).toContainText('the regatta is called off')
  await page.keyboard.press('z')
  await expect(slip(page).getByRole('button', { name: /Tick off/ })).toBeVisible()
  await expect(slip(page)).toContainText('Taken back')

  await page.keyboard.press('n')
  await expect(page.getByLabel('who is asking?')).toBeVisible()
  await page.keyboard.press('Escape')
  await slip(page).getByRole('button', { name: 'It comes to nothing' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Throw it away' })).toBeVisible()
  // the dialog takes the focus as it opens: after that it is the owner's
  await expect(page.getByRole('dialog').locator(':focus')).toHaveCount(1)
  await page.getByRole('button', { name: 'Throw it away' }).press('Enter')
  await expect(slip(page)).toContainText('Thrown away')
})

test('a station shows the work of those who stand there while the order in hand is elsewhere', async ({
  page,
  server: _,
}) => {
  await inHand(page, 'demo-206', '/ask')
  await page.goto('/layout')
  await expect(page.getByText('T-211 to read; in hand stays T-206.')).toBeVisible()
  await expect(page.getByRole('heading', { name: /bag face: Smooth vinyl/ })).toBeVisible()
  await expect(slip(page)).toContainText('T-206')
  await clean(page)
  await page.getByRole('button', { name: /T-211/ }).click()
  await expect(slip(page)).toContainText('T-211')
  // what the order in hand has passed is its own again
  await page.getByRole('button', { name: /^Ask:/ }).click()
  await expect(page.getByRole('heading', { name: 'Ask T-211' })).toBeAttached()
})

test('an order is declined on screen, leaves the line, and is brought back', async ({ page, server: _ }) => {
  await inHand(page, 'demo-205', '/compare')
  await slip(page).getByRole('button', { name: 'It comes to nothing' }).click()
  const dialog = page.getByRole('dialog', { name: 'T-205 comes to nothing' })
  await dialog.getByLabel('Declined').check()
  await dialog.getByLabel('Why').fill('no press free before their day')
  await dialog.getByRole('button', { name: 'Decline it' }).click()
  await expect(dialog).toBeHidden()
  await expect(slip(page)).toContainText('no press free before their day')
  await slip(page).getByRole('button', { name: 'Bring T-205 back' }).click()
  await expect(page).toHaveURL(/compare/)
  await expect(slip(page)).toContainText('A method, chosen')
})
