import { watch } from 'vue'

/** What is half typed, kept while the page is left or opened anew, until it is saved or thrown away. */
const prefix = 'hepno-draft-'

export function keepDraft(of: string, draft: unknown): void {
  sessionStorage.setItem(prefix + of, JSON.stringify(draft))
}

export function draftOf<T>(of: string): T | null {
  const kept = sessionStorage.getItem(prefix + of)
  return kept === null ? null : (JSON.parse(kept) as T)
}

export function dropDraft(of: string): void {
  sessionStorage.removeItem(prefix + of)
}

/**
 * Keeps a form as it is typed while it is open: the page may be left or opened anew, and it is open as it was. Closed, it is forgotten.
 * @returns Whether it was left open: then what it is folded in is open from the first.
 */
export function keepOpen(of: string, form: { open: boolean }): boolean {
  Object.assign(form, draftOf<object>(of) ?? {})
  watch(form, () => (form.open ? keepDraft(of, form) : dropDraft(of)))
  return form.open
}
