import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect } from './server.ts'

/** What keeps somebody from using the screen, a line each. */
export async function serious(page: Page): Promise<string[]> {
  // a dialog that is still fading in has no contrast yet
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map((a) => a.finished)))
  const found = await new AxeBuilder({ page }).options({ rules: { 'target-size': { enabled: true } } }).analyze()
  return found.violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
}

/** Nothing keeps anybody from using the screen. */
export async function clean(page: Page): Promise<void> {
  expect(await serious(page)).toEqual([])
}
