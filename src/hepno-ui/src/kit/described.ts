import { shallowRef } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { readNumber, unread, writeNumber } from '../words/numbers'
import { type Field, readCell } from './fields'

/** How the shop's things are described: their words, their forms, what a new one begins with. Nothing of a kind stands here. */
type Kind = Schemas['KindView']
type RowForm = Schemas['RowForm']
type Json = Record<string, unknown>

/** So many letters do not stand in a box of one column. */
const LONG = 18

const kinds = shallowRef<Kind[]>([])
const details = shallowRef<Field<Schemas['AskDetails']>[]>([])

/** What reads something once, and again only where that failed. */
function once(read: () => Promise<void>): () => Promise<void> {
  let asked: Promise<void> | undefined
  return () =>
    (asked ??= read().catch((trouble: unknown) => {
      asked = undefined
      throw trouble
    }))
}

/** Reads how things are described. */
export const kindsRead = once(async () => void (kinds.value = await ask(api.GET('/api/things'))))

/** Reads how what is said of an order is described. */
export const detailsRead = once(async () => {
  details.value = (await ask(api.GET('/api/order-details'))).map((f) => fieldOf(f))
})

/** What is said of an order, once it is read. */
export const orderDetails = (): Field<Schemas['AskDetails']>[] => details.value

/** The kind of a noun, once kinds are read. */
export const kindOf = (noun: string): Kind | undefined => kinds.value.find((k) => k.noun === noun)

/** True for a word that changes name one of them by. */
export const isKind = (name: string): boolean => kinds.value.some((k) => k.name === name)

/** Kinds a screen has boards of. */
export const kindsOn = (area: Kind['area']): Kind[] => kinds.value.filter((k) => k.area === area && k.words)

/** A new thing of a kind: its days begin today. */
export function begun(kind: Kind | undefined, today: string): Json {
  const thing = structuredClone(kind?.start ?? {}) as Json
  for (const f of kind?.fields ?? []) if (f.shape === 'day') put(thing, f.key, today)
  return thing
}

const machines = shallowRef<Schemas['MachineName'][]>([])

/** Reads what fields of a kind may name, where they name something the shop keeps. */
export async function namedRead(kind: Kind | undefined): Promise<void> {
  if (kind?.fields.some((f) => f.shape === 'machine')) machines.value = await ask(api.GET('/api/machines'))
}

/** The fields of a kind's form. */
export const formOf = <T>(kind: Kind | undefined): Field<T>[] => (kind?.fields ?? []).map((f) => fieldOf<T>(f))

/** Fields of a form as it stands: what follows from a list is not typed while that has rows. */
export const formFor = <T>(fields: readonly Schemas['FieldView'][], value: T): Field<T>[] =>
  fields
    .filter((f) => f.typedWithout === '' || (at(value, f.typedWithout) as unknown[]).length === 0)
    .map((f) => fieldOf<T>(f))

/** What a thing is called: by its name, by who sells what, or by what its form says first. */
export function nameOf(value: object, kind?: Kind): string {
  const { name, supplier, product, id } = value as Record<string, string | undefined>
  const first = formOf<object>(kind)[0]
  return name ?? ([supplier, product].filter(Boolean).join(' ') || (first ? said(first, value) : (id ?? '')))
}

/** What a field says in one: of what is chosen its words. */
export function said<T>(f: Field<T>, value: T): string {
  const text = f.get(value)
  return f.options?.find((o) => o.value === text)?.label ?? text
}

const at = (value: unknown, key: string): unknown => key.split('.').reduce<unknown>((v, k) => (v as Json)[k], value)

function put(value: unknown, key: string, to: unknown): void {
  const way = key.split('.')
  const last = way.pop()!
  ;(way.reduce<unknown>((v, k) => (v as Json)[k], value) as Json)[last] = to
}

/** A field as its form writes and reads it. */
export function fieldOf<T>(f: Schemas['FieldView']): Field<T> {
  const plain = {
    label: f.label,
    help: f.help,
    lines: f.lines > 1 ? f.lines : undefined,
    wide: f.lines > 1 || undefined,
    broad: f.shape === 'counts' || f.options.some((o) => o.label.length > LONG) || undefined,
    longest: f.longest ?? undefined,
  }
  switch (f.shape) {
    case 'number':
      return {
        ...plain,
        number: true,
        get: (v) => (at(v, f.key) == null ? '' : writeNumber(Number(at(v, f.key)) * f.shownTimes)),
        set: (v, t) => {
          const n = t.trim() === '' && f.mayBeEmpty ? null : readNumber(t)
          if (n === null && !(t.trim() === '' && f.mayBeEmpty)) return unread(t)
          put(v, f.key, n === null ? null : Number((n / f.shownTimes).toFixed(9)))
        },
      }
    case 'rows':
      return {
        ...plain,
        wide: true,
        get: (v) => writeRows(f.rows!, at(v, f.key) as Json[]),
        set: (v, t) => {
          const read = readRows(f.rows!, t)
          if (typeof read === 'string') return read
          put(v, f.key, read)
        },
      }
    case 'counts':
      return {
        ...plain,
        get: (v) => ((at(v, f.key) as number[] | null) ?? []).join(', '),
        set: (v, t) => {
          const counts = t.split(/[\s,;]+/).map((x) => readCell(x))
          if (counts.some((x) => x === null)) return `"${t}" is not like "12, 24, 36".`
          put(v, f.key, counts)
        },
      }
    case 'time':
      return {
        ...plain,
        type: 'time',
        get: (v) => (at(v, f.key) as string | null)?.slice(0, 5) ?? '',
        set: (v, t) => put(v, f.key, t ? `${t}:00` : null),
      }
    case 'hours':
      return {
        ...plain,
        get: (v) => writeHours(at(v, f.key) as DayHours, f.options[0]!.label),
        set: (v, t) => {
          const read = readHours(t, f.options[0]!.label)
          if (read === undefined) return `"${t}" is not like "8–18" or "${f.options[0]!.label}".`
          put(v, f.key, read)
        },
      }
    case 'days':
      return {
        ...plain,
        wide: true,
        get: (v) => (at(v, f.key) as string[]).join(', '),
        set: (v, t) => {
          const days = t.split(/[\s,;]+/).filter((d) => d !== '')
          const wrong = days.find((d) => !/^\d{4}-\d\d-\d\d$/.test(d) || Number.isNaN(Date.parse(d)))
          if (wrong) return `"${wrong}" is not a day like 2026-12-24.`
          put(v, f.key, days)
        },
      }
    case 'day':
      return {
        ...plain,
        type: 'date',
        get: (v) => (at(v, f.key) as string | null) ?? '',
        set: (v, t) => {
          if (!t) return 'choose a day.'
          put(v, f.key, t)
        },
      }
    case 'machine':
      return {
        ...plain,
        options: [{ value: '', label: 'choose one' }, ...machines.value.map((m) => ({ value: m.id, label: m.name }))],
        get: (v) => String(at(v, f.key) ?? ''),
        set: (v, t) => (t === '' ? f.help : put(v, f.key, t)),
      }
    case 'flag':
      return {
        ...plain,
        options: f.options,
        get: (v) => String(at(v, f.key)),
        set: (v, t) => put(v, f.key, t === 'true'),
      }
    default:
      return {
        ...plain,
        options: f.shape === 'choice' ? f.options : undefined,
        get: (v) => String(at(v, f.key) ?? ''),
        set: (v, t) => put(v, f.key, t),
      }
  }
}

type DayHours = Schemas['DayHours']
const writeHours = (d: DayHours, none: string) => (d.open ? `${d.open.slice(0, 5)}–${d.close!.slice(0, 5)}` : none)

/** Hours of a day as typed; undefined when they cannot be read. */
function readHours(t: string, none: string): DayHours | undefined {
  if (['', none].includes(t.toLowerCase())) return { open: null, close: null }
  const read = /^(\d{1,2})(?::(\d\d))?\s*[–-]\s*(\d{1,2})(?::(\d\d))?$/.exec(t)
  const hour = (h: string, m: string | undefined) => `${h.padStart(2, '0')}:${m ?? '00'}:00`
  return read ? { open: hour(read[1]!, read[2]), close: hour(read[3]!, read[4]) } : undefined
}

/** Rows as they are typed. */
export function writeRows(form: RowForm, rows: readonly Json[]): string {
  return rows
    .map((row) => {
      const cells = form.cells.map((c) => {
        const value = row[c.key]
        if (c.rows) return writeRows(c.rows, value as Json[])
        return c.shape === 'choice' ? (c.options.find((o) => o.value === value)?.label ?? String(value)) : String(value)
      })
      while (form.cells[cells.length - 1]?.mayBeLeftOut && cells.at(-1) === '') cells.pop()
      return cells.join(form.cellBreak)
    })
    .join(form.rowBreak)
}

/** What typed rows say, or what is wrong with one. */
export function readRows(form: RowForm, typed: string): Json[] | string {
  const mark = form.rowBreak.trim()
  const read = readParts(form, typed.split(mark || '\n'))
  // a comma may also be a figure's: then rows are parted by those with a blank behind them
  return typeof read === 'string' && mark === ',' ? readParts(form, typed.split(/,\s+/)) : read
}

function readParts(form: RowForm, parts: string[]): Json[] | string {
  const all: Json[] = []
  for (const row of parts.map((r) => r.trim())) {
    if (row === '') continue
    const read = readRow(form, row)
    if (read === null) return `"${row}" is not like "${form.example}".`
    all.push(read)
  }
  return all
}

function readRow(form: RowForm, row: string): Json | null {
  const typed = cellsOf(form, row)
  const read: Json = {}
  for (const [i, cell] of form.cells.entries()) {
    const t = typed[i]?.trim() ?? ''
    if (t === '' && cell.mayBeLeftOut) continue
    const value = readCellOf(cell, t)
    if (value === null) return null
    read[cell.key] = value
  }
  return typed.length > form.cells.length ? null : read
}

function readCellOf(cell: Schemas['RowCell'], t: string): unknown {
  if (cell.rows) {
    const rows = readRows(cell.rows, t)
    return typeof rows === 'string' || rows.length === 0 ? null : rows
  }
  if (cell.shape === 'number') return readCell(t)
  if (cell.shape === 'choice') {
    const word = t.toLowerCase()
    return cell.options.find((o) => o.label.toLowerCase() === word || o.value === word)?.value ?? null
  }
  return t === '' ? null : t
}

/** A blank may stand in a row's first cell, whatever else parts its cells in its last. */
function cellsOf(form: RowForm, row: string): string[] {
  const many = form.cells.length
  if (form.cellBreak.trim() === '') {
    const words = row.split(/\s+/)
    return [words.slice(0, words.length - many + 1).join(' '), ...words.slice(words.length - many + 1)]
  }
  const parts = row.split(form.cellBreak.trim() === ',' ? /[\t,;]/ : form.cellBreak.trim()).map((p) => p.trim())
  return [...parts.slice(0, many - 1), ...(parts.length >= many ? [parts.slice(many - 1).join(', ')] : [])]
}
