import { expect, type Page } from '@playwright/test'
import { serious } from './axe'
import { test } from './server'
import { unsightly } from './sight'
import { sizes, views } from './views'

/** Calls that change nothing kept may be made as often as somebody likes. */
const changes = (method: string, path: string) =>
  method !== 'GET' && !/^\/api\/compute\/|\/(try|search|look|progress|in-hand)$/.test(path)

/** Answers every change with a refusal after a while, so that pressing all buttons changes nothing; returns what was asked for since. */
async function held(page: Page): Promise<() => string[]> {
  let asked: string[] = []
  await page.route('**/api/**', async (route) => {
    const request = route.request()
    const path = new URL(request.url()).pathname
    if (!changes(request.method(), path)) return route.fallback()
    asked.push(`${request.method()} ${path} ${request.postData() ?? ''}`)
    await new Promise((later) => setTimeout(later, 400))
    const problems = [{ code: 'held', sentence: 'Held by the test.', where: '', remedy: 'Nothing is changed.' }]
    await route.fulfill({ status: 422, json: { title: 'Held', problems } }).catch(() => undefined)
  })
  return () => {
    const since = asked
    asked = []
    return since
  }
}

/** The buttons that can be pressed now, by a name that finds each again; of many of one kind the first two and the last. */
async function buttons(page: Page, withFrame: boolean): Promise<string[]> {
  return await page.evaluate((framed) => {
    const all = [
      ...document.querySelectorAll<HTMLElement>('button:not(:disabled, [aria-disabled=true]), summary, [role=button]'),
    ]
    const kinds = new Map<string, string[]>()
    const times = new Map<string, number>()
    for (const e of all) {
      if (!e.checkVisibility() || e.closest('[data-again], .p-hidden-accessible')) continue
      // what stands round every view is tried once
      if (!framed && !e.closest('main')) continue
      const words = (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 60)
      const nth = times.get(words) ?? 0
      times.set(words, nth + 1)
      const kind = `${e.className} in ${e.parentElement?.className} of ${e.closest('section, article, nav, aside, fieldset, li')?.tagName}`
      kinds.set(kind, [...(kinds.get(kind) ?? []), `${words}|${nth}`])
    }
    return [...kinds.values()].flatMap((k) => (k.length > 3 ? [...k.slice(0, 2), k.at(-1)!] : k))
  }, withFrame)
}

const find = (page: Page, name: string) =>
  page.evaluateHandle((key) => {
    const [words, nth] = [key.slice(0, key.lastIndexOf('|')), Number(key.slice(key.lastIndexOf('|') + 1))]
    const all = [
      ...document.querySelectorAll<HTMLElement>('button:not(:disabled, [aria-disabled=true]), summary, [role=button]'),
    ]
    const called = (e: Element) =>
      (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 60)
    return all.filter((e) => e.checkVisibility() && !e.closest('[data-again]') && called(e) === words)[nth] ?? null
  }, name)

/** What is open: dialogs and folded parts. */
const opened = (page: Page) =>
  page.evaluate(
    () =>
      `${[...document.querySelectorAll('[role=dialog], [role=alertdialog]')].map((e) => e.getAttribute('aria-label') ?? e.textContent?.slice(0, 30)).join()} ` +
      `${document.querySelectorAll('[aria-expanded=true]').length} ${document.querySelectorAll('details[open]').length} ${document.querySelectorAll('form, input, textarea, select').length}`,
  )

/** Which dialog it is, by the part that fills it: the parts of a figure are opened by very many buttons. */
const filled = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('[role=dialog] .p-dialog-content > *')].map((e) => e.className).join(),
  )

// the program takes no change here: one serves every view
test.use({ shared: true })

/** What opens is looked at as it is used most, and where there is least room; in a long run at every size. */
const lookedAt = process.env.HEPNO_LONG ? sizes : sizes.filter(([width]) => width === 1280 || width <= 820)

for (const [path, order] of views)
  test(`${path} with ${order}: no button acts twice, and each part and dialog it opens can be read at each size`, async ({
    page,
    server: _,
  }) => {
    test.setTimeout(300_000)
    const since = await held(page)
    page.on('popup', (other) => void other.close())
    const findings: string[] = []
    const looked = new Set<string>()
    await page.goto('/ask')
    await page.addInitScript((id) => localStorage.setItem('hepno-in-hand', id), order)
    const fresh = async () => {
      await page.goto(path)
      await expect(page.getByLabel('Order in hand', { exact: true })).toContainText('T-')
      await page.waitForTimeout(500)
    }
    await fresh()
    const shut = await opened(page)
    for (const name of await buttons(page, path === '/ask')) {
      const button = (await find(page, name)).asElement()
      if (!button) continue
      since()
      try {
        await button.dblclick({ timeout: 10_000 })
      } catch (error) {
        findings.push(`"${name}" cannot be pressed: ${String(error).split('\n')[0]}`)
        continue
      }
      await page.waitForTimeout(80)
      let asked = since()
      if (asked.length > 0) {
        await page.waitForTimeout(350)
        asked = [...asked, ...since()]
      }
      for (const call of new Set(asked))
        if (asked.filter((a) => a === call).length > 1) findings.push(`"${name}" asks twice: ${call.slice(0, 120)}`)
      // what opens and folds again by a second click is opened by one
      if ((await opened(page)) === shut && new URL(page.url()).pathname === path) {
        await button.click({ timeout: 10_000 }).catch(() => undefined)
        await page.waitForTimeout(150)
      }
      const part = (await filled(page)) || name
      if ((await opened(page)) !== shut && new URL(page.url()).pathname === path && !looked.has(part)) {
        looked.add(part)
        for (const [width, height] of lookedAt) {
          await page.setViewportSize({ width, height })
          await page.waitForTimeout(120)
          findings.push(...(await unsightly(page)).map((f) => `"${name}" open, ${width} × ${height}: ${f}`))
        }
        await page.setViewportSize({ width: 1280, height: 800 })
        findings.push(...(await serious(page)).map((f) => `"${name}" open: ${f}`))
      }
      if ((await opened(page)) !== shut || new URL(page.url()).pathname !== path) await fresh()
    }
    expect([...new Set(findings)]).toEqual([])
  })
