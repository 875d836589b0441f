import type { Schemas } from '../../api/client'
import { choice, type Field, num, readCell, rows, text } from '../../kit/fields'
import { readNumber, unread, writeNumber } from '../../words/numbers'

type Film = Schemas['TransferPriceList']

/** How prices by number are typed: "1: 4.60, 30: 4.30". */
const sayBreaks = (breaks: Schemas['PriceBreak'][]) => breaks.map((b) => `${b.from}: ${b.price}`).join(', ')
function readBreaks(t: string): Schemas['PriceBreak'][] | null {
  const read = t.split(',').map((b) => b.split(':').map((p) => readCell(p.trim())))
  return read.some(([from, price]) => !from || !price)
    ? null
    : read.map(([from, price]) => ({ from: from!, price: price! }))
}
type ByLayout = NonNullable<Film['byLayout']>
const byLayout = (f: Omit<Film, 'id'>): ByLayout =>
  f.byLayout ?? { gapIn: 0.25, marginIn: 0.25, roll: null, sheets: [] }
/** Without roll and sheets nothing is sold for layouts. */
const keepLayout = (f: Film, now: ByLayout) => void (f.byLayout = now.roll || now.sheets.length > 0 ? now : null)
const edge = (label: string, key: 'gapIn' | 'marginIn'): Field<Film> => ({
  label,
  number: true,
  get: (f) => (f.byLayout ? writeNumber(f.byLayout[key]) : ''),
  set: (f, t) => {
    if (t === '') return
    const n = readNumber(t)
    if (n === null) return unread(t)
    if (f.byLayout) f.byLayout = { ...f.byLayout, [key]: n }
  },
})

export const filmFields: Field<Film>[] = [
  text('Supplier', 'supplier'),
  text('Film', 'product'),
  choice('It is', 'kind', { film: 'film with powder', digital: 'printed and blocked on paper' }),
  num('Freight an order', 'freightPerOrder'),
  num('Working days', 'leadDays'),
  {
    label: 'Sizes, a line each: name, width × height in, then from: price, from: price',
    wide: true,
    lines: 5,
    get: (f) =>
      f.sizes
        .map(
          (s) => `${s.name}; ${s.widthIn} x ${s.heightIn}; ${s.breaks.map((b) => `${b.from}: ${b.price}`).join(', ')}`,
        )
        .join('\n'),
    set: (f, t) => {
      f.sizes = []
      for (const row of rows(t)) {
        const [name, size, breaks] = row.split(';').map((p) => p.trim())
        const [w, h] = (size ?? '').split(/[x×]/).map((p) => Number(p))
        const prices = (breaks ?? '').split(',').map((b) => b.split(':').map((p) => Number(p.trim())))
        if (!name || !w || !h || prices.some(([from, price]) => !from || !price))
          return `"${row}" is not like "11 × 11; 11 x 11; 1: 3.10, 25: 2.73".`
        f.sizes.push({
          name,
          widthIn: w,
          heightIn: h,
          breaks: prices.map(([from, price]) => ({ from: from!, price: price! })),
        })
      }
    },
  },
  {
    label: 'Roll for layouts: width in; step in; from: price, from: price',
    wide: true,
    get: (f) => {
      const r = f.byLayout?.roll
      return r && r.lengths.length === 0 ? `${r.widthIn}; ${r.stepIn}; ${sayBreaks(r.steps)}` : ''
    },
    set: (f, t) => {
      if (t === '') return f.byLayout?.roll?.lengths.length ? undefined : keepLayout(f, { ...byLayout(f), roll: null })
      const [width, step, prices] = t.split(';').map((p) => p.trim())
      const steps = readBreaks(prices ?? '')
      const [w, s] = [readCell(width ?? ''), readCell(step ?? '')]
      if (!w || !s || !steps) return `"${t}" is not like "22; 12; 1: 4.60, 30: 4.30".`
      keepLayout(f, { ...byLayout(f), roll: { widthIn: w, stepIn: s, steps, lengths: [] } })
    },
  },
  {
    label: 'or roll in set lengths: width in; length in: price, length in: price',
    wide: true,
    get: (f) => {
      const r = f.byLayout?.roll
      return r && r.lengths.length > 0
        ? `${r.widthIn}; ${r.lengths.map((l) => `${l.lengthIn}: ${l.price}`).join(', ')}`
        : ''
    },
    set: (f, t) => {
      if (t === '') return
      const [width, prices] = t.split(';').map((p) => p.trim())
      const lengths = readBreaks(prices ?? '')
      const w = readCell(width ?? '')
      if (!w || !lengths) return `"${t}" is not like "22; 24: 9, 60: 18".`
      keepLayout(f, {
        ...byLayout(f),
        roll: { widthIn: w, stepIn: 0, steps: [], lengths: lengths.map((l) => ({ lengthIn: l.from, price: l.price })) },
      })
    },
  },
  {
    label: 'Sheets for layouts, a line each: name; width x length in; from: price, from: price',
    wide: true,
    lines: 3,
    get: (f) =>
      (f.byLayout?.sheets ?? [])
        .map((s) => `${s.name}; ${s.widthIn} x ${s.lengthIn}; ${sayBreaks(s.breaks)}`)
        .join('\n'),
    set: (f, t) => {
      const sheets: ByLayout['sheets'] = []
      for (const row of rows(t)) {
        const [name, size, prices] = row.split(';').map((p) => p.trim())
        const [w, l] = (size ?? '').split(/[x×]/).map((p) => readCell(p.trim()))
        const breaks = readBreaks(prices ?? '')
        if (!name || !w || !l || !breaks) return `"${row}" is not like "11 × 15; 11 x 15; 1: 4.10, 10: 3.40".`
        sheets.push({ name, widthIn: w, lengthIn: l, breaks })
      }
      keepLayout(f, { ...byLayout(f), sheets })
    },
  },
  edge('Between prints, in', 'gapIn'),
  edge('Free at the edges, in', 'marginIn'),
]
