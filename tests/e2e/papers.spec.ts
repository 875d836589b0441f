import { expect, type Page } from '@playwright/test'
import { extractText, getDocumentProxy } from 'unpdf'
import { begin, tees } from './orders.ts'
import { test } from './server.ts'

const textOf = async (pdf: Uint8Array): Promise<string> =>
  (await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: true })).text.replace(/\s+/g, ' ')

async function take(page: Page, order: string, path: string): Promise<void> {
  // before the page's own script: one that is still loading would put its own order there
  await page.addInitScript((id) => localStorage.setItem('hepno-in-hand', id), order)
  await page.goto(path)
}

test('the browser prints of the quote screen the customer’s page alone', async ({ page }) => {
  await take(page, 'demo-204', '/quote')
  const sheet = page.getByRole('article')
  await expect(sheet).toContainText('Quote T-204')
  const notes = page.getByLabel('Margin notes, yours alone')
  await expect(notes).toContainText('an hour at this price')
  const printed = await textOf(await page.pdf({ printBackground: true }))
  const own = (await sheet.innerText()).replace(/\s+/g, ' ')
  for (const line of ['Quote T-204', 'Total', await page.locator('.paper .what').innerText()])
    expect(printed).toContain(line)
  expect(printed.length).toBeLessThanOrEqual(own.length * 1.1)
  for (const note of (await notes.innerText()).split('\n').filter((n) => n.length > 12))
    expect(printed).not.toContain(note.trim())
  for (const frame of ['Ctrl', 'Compare', 'Order in hand', 'Open the page to print', 'an hour', 'Learn'])
    expect(printed).not.toContain(frame)
})

/** Every paper with the view, the order and the button that gives it. */
const papers: [button: RegExp, path: string, order: string, says: string][] = [
  [/Open the page to print/, '/quote', 'demo-204', 'Quote T-204'],
  [/Order confirmation/, '/quote', 'demo-203', 'T-203'],
  [/Day sheet/, '/press', 'demo-202', 'T-202'],
  [/Run sheet/, '/run/demo-202', 'demo-202', 'Run sheet'],
  [/Packing slip/, '/send', 'demo-208', 'T-208'],
  [/Care card/, '/send', 'demo-208', 'Wash'],
  [/Label/, '/send', 'sent', 'The old chapel'],
  [/placement on paper/, '/ask', 'demo-205', 'Print at 100%'],
]
for (const [width, height] of [
  [1280, 800],
  [820, 1180],
] as const)
  test(`every paper has its button at ${width} × ${height}`, async ({ page, request, server }) => {
    await page.setViewportSize({ width, height })
    const id = await begin(request, server.url, 'sent', [{ ...tees, sizes: [{ size: 'M', pieces: 1 }] }], {
      shipping: { zone: 'near', inThePrice: false },
    })
    const good = { pieceNo: 1, attempt: 1, pass: 1, size: 'M', verdict: 'good', reason: null, takesBack: null }
    await request.put(`${server.url}/api/runs/${id}/events/sent-event`, { data: { ...good, secondsOnPiece: 60 } })
    await take(page, 'sent', '/send')
    await expect(page.getByText('the label waits: their address')).toBeVisible()
    await request.put(`${server.url}/api/customers/choir`, {
      data: { name: 'Northmoor Choir', contact: 'Isaura', address: 'The old chapel\nSkerry Quay' },
      headers: { 'If-Match': '"1"' },
    })
    for (const [button, path, order, says] of papers) {
      await take(page, order, path)
      const link = page.getByRole('link', { name: button })
      await link.scrollIntoViewIfNeeded()
      await expect(link).toBeInViewport()
      const answer = await request.get(`${server.url}${(await link.getAttribute('href'))!}`)
      expect(answer.headers()['content-type']).toBe('application/pdf')
      expect(await textOf(await answer.body())).toContain(says)
    }
  })
