import type { Page } from '@playwright/test'
import { unsightly } from './sight.ts'
import { sizes } from './views.ts'

/** Looks at a view with an order in hand, at every size. */
export async function look(page: Page, path: string, order: string): Promise<string[]> {
  await page.addInitScript((id) => localStorage.setItem('hepno-in-hand', id), order)
  const findings: string[] = []
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height })
    await page.goto(path)
    await page.waitForTimeout(1000)
    findings.push(...(await unsightly(page)).map((f) => `${width} × ${height}: ${f}`))
  }
  return findings
}
