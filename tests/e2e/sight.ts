import type { Page } from '@playwright/test'

/** What cannot be read or reached on a page as it stands, a line each; empty when all is well. */
export async function unsightly(page: Page, least = 24): Promise<string[]> {
  return await page.evaluate((smallest) => {
    const found: string[] = []
    const said = (e: Element) =>
      `${e.tagName.toLowerCase()} "${(e.textContent || e.getAttribute('aria-label') || '').trim().replace(/\s+/g, ' ').slice(0, 40)}"`
    const shown = (e: Element) => {
      const s = getComputedStyle(e)
      return (
        s.visibility === 'visible' &&
        s.opacity !== '0' &&
        !e.closest('.sr, [aria-hidden=true]:not(svg), [hidden], .p-hidden-accessible')
      )
    }
    /** What an element shows of what is in it; a drawing within a drawing measures itself by all that it holds. */
    const windowOf = (e: Element): DOMRect => {
      const outer = e instanceof SVGSVGElement ? e.ownerSVGElement?.getScreenCTM() : null
      if (!outer) return e.getBoundingClientRect()
      const { x, y, width, height } = e as SVGSVGElement
      const at = new DOMPoint(x.baseVal.value, y.baseVal.value).matrixTransform(outer)
      return new DOMRect(at.x, at.y, width.baseVal.value * outer.a, height.baseVal.value * outer.d)
    }
    /** The part of an element that its scrolling ancestors leave to be seen; nothing where it is scrolled away. */
    const clipped = (e: Element, box: DOMRect): DOMRect | null => {
      let [l, t, r, b] = [box.left, box.top, box.right, box.bottom]
      for (let p: Element | null = e; p; p = p.parentElement) {
        const s = getComputedStyle(p)
        if (s.overflow === 'visible' && s.overflowX === 'visible') continue
        const o = windowOf(p)
        ;[l, t, r, b] = [Math.max(l, o.left), Math.max(t, o.top), Math.min(r, o.right), Math.min(b, o.bottom)]
      }
      return r - l < 1 || b - t < 1 ? null : new DOMRect(l, t, r - l, b - t)
    }
    // sideways scrolling of the page
    const root = document.documentElement
    if (root.scrollWidth > root.clientWidth + 1)
      found.push(`the page is ${root.scrollWidth} wide in ${root.clientWidth}`)
    // a part that is squeezed to nothing though it holds words
    for (const e of document.querySelectorAll('main section, main .drawing, main article, main table')) {
      const box = e.getBoundingClientRect()
      if (shown(e) && (e.textContent ?? '').trim() && box.width > 0 && box.height < 4)
        found.push(`${said(e)} is ${box.height} px high`)
    }
    // texts: their boxes line by line
    const texts: { e: Element; box: DOMRect }[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const e = node.parentElement
      if (
        !e ||
        !node.textContent?.trim() ||
        !shown(e) ||
        e.closest('script, style, option, select, textarea, details:not([open]) > :not(summary)')
      )
        continue
      const range = document.createRange()
      range.selectNodeContents(node)
      for (const box of range.getClientRects()) {
        if (box.width < 2 || box.height < 2) continue
        const seen = clipped(e, box)
        if (!seen) continue
        texts.push({ e, box: seen })
        // cut off sideways: not by a scrolled list, but by its own frame
        if (box.width - seen.width > 2) {
          let p: Element | null = e
          while (p && getComputedStyle(p).overflowX === 'visible') p = p.parentElement
          const s = p ? getComputedStyle(p) : null
          if (s && !['auto', 'scroll'].includes(s.overflowX) && s.textOverflow !== 'ellipsis' && !p?.closest('svg'))
            found.push(`${said(e)} is cut off at the side`)
        }
        if (seen.left < -1 || seen.right > innerWidth + 1) found.push(`${said(e)} reaches beyond the window`)
      }
    }
    for (let i = 0; i < texts.length; i++)
      for (let j = i + 1; j < texts.length; j++) {
        const [a, b] = [texts[i]!, texts[j]!]
        if (a.e === b.e || a.e.contains(b.e) || b.e.contains(a.e)) continue
        // the same words at the same spot: a halo under its own text
        if (
          a.e.textContent === b.e.textContent &&
          Math.abs(a.box.left - b.box.left) < 3 &&
          Math.abs(a.box.top - b.box.top) < 3
        )
          continue
        const w = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left)
        // letters fill the middle two thirds of their box
        const ink = (box: DOMRect) => [box.top + box.height * 0.18, box.bottom - box.height * 0.18] as const
        const [top1, bottom1] = ink(a.box)
        const [top2, bottom2] = ink(b.box)
        const h = Math.min(bottom1, bottom2) - Math.max(top1, top2)
        if (w > 2 && h > 2) {
          // one of them may be covered: then it is not read at all, and that is another finding
          const top = document.elementFromPoint(
            Math.max(a.box.left, b.box.left) + w / 2,
            Math.max(a.box.top, b.box.top) + h / 2,
          )
          const layered = (e: Element) => e.closest('[role=dialog], .p-dialog')
          if (layered(a.e) === layered(b.e) && top) found.push(`${said(a.e)} and ${said(b.e)} lie over each other`)
        }
      }
    // a word of a drawing that a line of it runs through, where no halo sets it apart
    for (const svg of document.querySelectorAll('svg')) {
      const lines = [...svg.querySelectorAll<SVGGeometryElement>('path, line, polyline')].filter(
        (l) => shown(l) && getComputedStyle(l).stroke !== 'none' && !l.closest('defs'),
      )
      if (lines.length > 400) continue
      for (const { e, box } of texts) {
        if (!svg.contains(e) || getComputedStyle(e).paintOrder !== 'normal') continue
        const crossed = lines.find((l) => {
          const to = l.getScreenCTM()?.inverse()
          const around = l.getBoundingClientRect()
          if (
            !to ||
            around.right < box.left ||
            around.left > box.right ||
            around.bottom < box.top ||
            around.top > box.bottom
          )
            return false
          for (let x = box.left + 2; x < box.right - 2; x += 2)
            for (const share of [0.35, 0.5, 0.65])
              if (l.isPointInStroke(new DOMPoint(x, box.top + box.height * share).matrixTransform(to))) return true
          return false
        })
        if (crossed) found.push(`${said(e)} has a line through it`)
      }
    }
    for (const e of document.querySelectorAll('button, a[href], input, select, textarea, summary, [role=button]')) {
      const box = e.getBoundingClientRect()
      const seen = shown(e) && box.width > 0 ? clipped(e, box) : null
      if (!seen) continue
      // a link within a sentence is as tall as its line
      if (e.tagName === 'A' && getComputedStyle(e).display === 'inline') continue
      const target = e.matches('input[type=checkbox], input[type=radio]')
        ? (e.closest('label') ?? e).getBoundingClientRect()
        : box
      if (target.width < smallest - 0.5 || target.height < smallest - 0.5)
        found.push(`${said(e)} is a target of ${Math.round(target.width)} × ${Math.round(target.height)}`)
    }
    return [...new Set(found)]
  }, least)
}
