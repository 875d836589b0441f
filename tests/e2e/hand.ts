import type { Page } from '@playwright/test'

/** A hand on the keyboard that counts what it does: a key chord, a field filled, or a paste is an action each. */
export class Hand {
  readonly log: string[] = []

  constructor(private readonly page: Page) {}

  async press(chord: string, why = ''): Promise<void> {
    this.log.push(`press ${chord}${why && `: ${why}`}`)
    await this.page.keyboard.press(chord)
  }

  /** Types into what has the focus, replacing what was there; a list chooses by its first letters. */
  async fill(label: string, text: string): Promise<void> {
    const field = this.page.locator(':focus')
    await this.focused(label)
    this.log.push(`fill ${label}: ${text}`)
    if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await this.page.keyboard.type(text)
    else await field.fill(text)
  }

  /** The clipboard's text goes into what has the focus. */
  async paste(label: string, text: string): Promise<void> {
    await this.focused(label)
    this.log.push(`paste ${label}: ${text.split('\n').length} rows`)
    await this.page.keyboard.insertText(text)
  }

  /** Waits until a part has the focus; a person sees it. */
  async focused(label: string): Promise<void> {
    await this.page.waitForFunction((name) => {
      const e = document.activeElement
      const said = e?.getAttribute('aria-label') ?? e?.closest('label')?.textContent ?? ''
      return ['INPUT', 'SELECT', 'TEXTAREA'].includes(e?.tagName ?? '') && said.includes(name)
    }, label)
  }
}
