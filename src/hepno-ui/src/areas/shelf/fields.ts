import { makeId, type Schemas } from '../../api/client'
import { choice, type Field, num, readNumber, text } from '../../kit/fields'
import { kindWord } from '../../kit/words'

type Style = Schemas['Style']
type Film = Schemas['TransferPriceList']
type Vinyl = Schemas['VinylFilm']
type Screen = Schemas['ScreenTransferList']

const rows = (t: string) =>
  t
    .split('\n')
    .map((r) => r.trim())
    .filter(Boolean)
const fibres = ['cotton', 'polyester', 'viscose', 'nylon', 'elastane', 'other']
const classes = ['white', 'pale', 'mid', 'dark']

export const freshStyle = (): Omit<Style, 'id'> => ({
  name: '',
  supplier: '',
  kind: 'tee',
  fabric: [{ fibre: 'cotton', percent: 100 }],
  weightGsm: 160,
  heatCeilingF: 350,
  unitPrice: 0,
  freightPerOrder: 0,
  leadDays: 2,
  colourways: [],
  sizes: ['S', 'M', 'L', 'XL'].map((name) => ({ name, surcharge: 0 })),
  retired: false,
  onHand: null,
})

export const styleFields: Field<Style>[] = [
  text('Name', 'name'),
  text('Supplier', 'supplier'),
  choice('Garment', 'kind', kindWord),
  {
    label: 'Fabric, percent and fibre',
    get: (s) => s.fabric.map((x) => `${x.percent} ${x.fibre}`).join(', '),
    set: (s, t) => {
      s.fabric = []
      for (const part of t
        .split(',')
        .map((p) => p.trim())
        .filter(Boolean)) {
        const [percent, fibre] = part.replace('%', '').split(/\s+/)
        if (!Number.isFinite(Number(percent)) || !fibres.includes(fibre ?? ''))
          return `"${part}" is not like "55 cotton"; fibres are ${fibres.join(', ')}.`
        s.fabric.push({ percent: Number(percent), fibre: fibre as Schemas['Fibre'] })
      }
    },
  },
  num('Weight, g/m²', 'weightGsm'),
  num('Takes up to, °F', 'heatCeilingF'),
  num('Price, next buy', 'unitPrice'),
  num('Freight an order', 'freightPerOrder'),
  num('Working days', 'leadDays'),
  {
    label: 'Sizes, smallest first; surcharge after +',
    wide: true,
    get: (s) => s.sizes.map((z) => (z.surcharge ? `${z.name} +${z.surcharge}` : z.name)).join(', '),
    set: (s, t) => {
      s.sizes = []
      for (const part of t
        .split(',')
        .map((p) => p.trim())
        .filter(Boolean)) {
        const [name, extra] = part.split('+').map((p) => p.trim())
        const surcharge = extra === undefined ? 0 : readNumber(extra)
        if (surcharge === null || !name) return `"${part}" is not like "2XL +1.80".`
        s.sizes.push({ name, surcharge })
      }
    },
  },
  {
    label: 'Colours, a line each: name, #value, white pale mid or dark',
    wide: true,
    lines: 3,
    get: (s) => s.colourways.map((c) => `${c.name}, ${c.hex}, ${c.class}`).join('\n'),
    set: (s, t) => {
      const before = s.colourways
      s.colourways = []
      for (const row of rows(t)) {
        const [name, hex, kind] = row.split(',').map((p) => p.trim())
        if (!name || !hex || !classes.includes(kind ?? '')) return `"${row}" is not like "Navy, #2b3b5e, dark".`
        s.colourways.push({
          id: before.find((c) => c.name === name)?.id ?? makeId(),
          name,
          hex,
          class: kind as Schemas['ColourClass'],
        })
      }
    },
  },
  {
    label: 'On hand, a colour a line: Navy: S 4, M 10',
    wide: true,
    lines: 2,
    get: (s) =>
      s.colourways
        .map((c) => ({ c, of: (s.onHand ?? []).filter((o) => o.colourwayId === c.id) }))
        .filter((x) => x.of.length > 0)
        .map((x) => `${x.c.name}: ${x.of.map((o) => `${o.size} ${o.pieces}`).join(', ')}`)
        .join('\n'),
    set: (s, t) => {
      s.onHand = []
      for (const row of rows(t)) {
        const [name, counts] = row.split(':').map((p) => p.trim())
        const colour = s.colourways.find((c) => c.name.toLowerCase() === name?.toLowerCase())
        if (!colour || !counts) return `"${row}" is not like "Navy: S 4, M 10".`
        for (const part of counts.split(',').map((p) => p.trim())) {
          const read = /^(.+?)\s+(\d+)$/.exec(part)
          if (!read) return `"${part}" is not like "M 10".`
          if (Number(read[2]) > 0) s.onHand.push({ colourwayId: colour.id, size: read[1]!, pieces: Number(read[2]) })
        }
      }
      if (s.onHand.length === 0) s.onHand = null
    },
  },
]

export const filmFields: Field<Film>[] = [
  text('Supplier', 'supplier'),
  text('Film', 'product'),
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
]

export const vinylFields: Field<Vinyl>[] = [
  text('Supplier', 'supplier'),
  text('Vinyl', 'product'),
  num('Usable width, in', 'usableWidthIn'),
  num('Price a foot', 'pricePerFoot'),
  num('Weeding margin, in', 'weedingMarginIn'),
  num('Freight an order', 'freightPerOrder'),
  num('Working days', 'leadDays'),
]

export const freshScreen = (): Omit<Screen, 'id'> => ({
  supplier: '',
  product: '',
  formula: 'hot-peel',
  sheets: [],
  setUpPerColour: 0,
  countsWhite: true,
  leastSheets: 12,
  freightPerOrder: 0,
  leadDays: 6,
})

/** Sheets as typed: a line for each size and number of colours. */
export const screenFields: Field<Screen>[] = [
  text('Supplier', 'supplier'),
  text('Transfer', 'product'),
  choice('Formula', 'formula', {
    'hot-peel': 'hot peel',
    'soft-split': 'soft split',
    stretch: 'stretch, for elastic cloth',
  }),
  num('Set-up, each colour', 'setUpPerColour'),
  {
    label: 'White base on mid and dark',
    get: (s) => (s.countsWhite ? 'counted' : 'free'),
    set: (s, t) => void (s.countsWhite = t === 'counted'),
    options: [
      { value: 'counted', label: 'counted as a colour' },
      { value: 'free', label: 'not counted' },
    ],
  },
  num('Fewest sheets', 'leastSheets'),
  num('Freight an order', 'freightPerOrder'),
  num('Working days', 'leadDays'),
  {
    label: 'Sheets, a line each: name; width x height in; colours; from: price, from: price',
    wide: true,
    lines: 7,
    get: (s) =>
      s.sheets
        .flatMap((sheet) =>
          sheet.prices.map(
            (p) =>
              `${sheet.name}; ${sheet.widthIn} x ${sheet.heightIn}; ${p.colours}; ${p.breaks.map((b) => `${b.from}: ${b.price}`).join(', ')}`,
          ),
        )
        .join('\n'),
    set: (s, t) => {
      s.sheets = []
      for (const row of rows(t)) {
        const [name, size, colours, breaks] = row.split(';').map((p) => p.trim())
        const [w, h] = (size ?? '').split(/[x×]/).map((p) => Number(p))
        const prices = (breaks ?? '').split(',').map((b) => b.split(':').map((p) => Number(p.trim())))
        if (!name || !w || !h || !Number(colours) || prices.some(([from, price]) => !from || !price))
          return `"${row}" is not like "11 × 13; 11 x 13; 2; 12: 2.80, 36: 2.02".`
        let sheet = s.sheets.find((x) => x.name === name)
        if (!sheet) s.sheets.push((sheet = { name, widthIn: w, heightIn: h, prices: [] }))
        sheet.prices.push({
          colours: Number(colours),
          breaks: prices.map(([from, price]) => ({ from: from!, price: price! })),
        })
      }
    },
  },
]
