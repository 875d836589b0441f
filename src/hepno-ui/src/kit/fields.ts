import { readNumber, unread, writeNumber } from '../words/numbers'

/** A field of a thing: how it is written and how it is read back. */
export interface Field<T> {
  label: string
  get: (value: T) => string
  /** Writes it into the copy, or says what is wrong. */
  set: (copy: T, text: string) => string | void
  options?: { value: string; label: string }[]
  lines?: number
  /** The most characters it takes. */
  longest?: number
  wide?: boolean
  /** Twice as wide as others: what it says is long. */
  broad?: boolean
  number?: boolean
  type?: string
  /** What to do where it is wrong, or what is usual. */
  help?: string
}

type Key<T, V> = { [K in keyof T]-?: T[K] extends V ? K : never }[keyof T] & string

export const text = <T>(label: string, key: Key<T, string>, more: Partial<Field<T>> = {}): Field<T> => ({
  label,
  get: (v) => String(v[key]),
  set: (v, t) => void ((v as Record<string, unknown>)[key] = t),
  ...more,
})

/** A figure in a line of several, which commas part: 24+12 is accepted, a group mark is not. */
export function readCell(typed: string): number | null {
  const parts = typed
    .replace(/\s/g, '')
    .replace(/,(?=\d{1,2}$)/, '.')
    .split('+')
  const numbers = parts.map((p) => (p === '' ? NaN : Number(p)))
  return numbers.every(Number.isFinite) ? Number(numbers.reduce((a, b) => a + b, 0).toFixed(9)) : null
}

export const num = <T>(label: string, key: Key<T, number>, scale = 1): Field<T> => ({
  label,
  number: true,
  get: (v) => writeNumber(Number(v[key]) * scale),
  set: (v, t) => {
    const n = readNumber(t)
    if (n === null) return unread(t)
    ;(v as Record<string, unknown>)[key] = Number((n / scale).toFixed(9))
  },
})

export const choice = <T>(label: string, key: Key<T, string>, options: Record<string, string>): Field<T> =>
  text(label, key, { options: Object.entries(options).map(([value, word]) => ({ value, label: word })) })

/** What is typed a line each; empty lines say nothing. */
export const rows = (t: string) =>
  t
    .split('\n')
    .map((r) => r.trim())
    .filter(Boolean)
