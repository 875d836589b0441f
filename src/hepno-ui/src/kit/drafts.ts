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
