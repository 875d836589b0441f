import { makeId, type Schemas } from '../../api/client'
import { choice, type Field, num, readCell, rows, text } from '../../kit/fields'
import { readNumber, unread, writeNumber } from '../../words/numbers'
import { kindWord } from '../../words/words'

type Style = Schemas['Style']
type Screen = Schemas['ScreenTransferList']

const fibres = ['cotton', 'polyester', 'viscose', 'nylon', 'elastane', 'other']
const classes = ['white', 'pale', 'mid', 'dark']

type Cloth = Schemas['Cloth']
type Buying = Schemas['Buying']
const features: Schemas['Feature'][] = ['hood', 'zip', 'pocket', 'grommets', 'tear-away-label', 'stretch', 'coated']
const parts = (t: string) =>
  t
    .split(',')
    .map((p) => p.trim())
    .filter(Boolean)
const options = (words: Record<string, string>) => Object.entries(words).map(([value, label]) => ({ value, label }))
const cloth = (s: Omit<Style, 'id'>): Cloth =>
  s.cloth ?? { thickness: null, migration: 'by-cloth', features: [], origin: '' }
const buying = (s: Omit<Style, 'id'>): Buying =>
  s.buying ?? {
    tiers: [],
    freeFreightFrom: null,
    packOf: 1,
    cutOff: null,
    codePrice: null,
    codeUntil: null,
    valueAtList: false,
  }
/** Money of how it is bought; empty for none. */
const bought = (label: string, key: 'freeFreightFrom' | 'codePrice'): Field<Style> => ({
  label,
  number: true,
  get: (s) => (buying(s)[key] == null ? '' : writeNumber(buying(s)[key]!)),
  set: (s, t) => {
    const n = t === '' ? null : readNumber(t)
    if (t !== '' && n === null) return unread(t)
    s.buying = { ...buying(s), [key]: n }
  },
})

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
  onHand: [],
  cloth: null,
  buying: null,
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
    label: 'Lies on the platen',
    get: (s) => cloth(s).thickness ?? '',
    set: (s, t) => void (s.cloth = { ...cloth(s), thickness: t === '' ? null : (t as Cloth['thickness']) }),
    options: options({ '': 'as its kind does', thin: 'thin', middle: 'middling', thick: 'thick' }),
  },
  {
    label: 'Does its dye rise?',
    get: (s) => cloth(s).migration,
    set: (s, t) => void (s.cloth = { ...cloth(s), migration: t as Cloth['migration'] }),
    options: options({ 'by-cloth': 'judged by the cloth', none: 'no, the maker says', high: 'yes, it bleeds' }),
  },
  {
    label: 'It has: hood, zip, pocket, grommets, tear-away-label, stretch, coated',
    wide: true,
    get: (s) => cloth(s).features.join(', '),
    set: (s, t) => {
      const said = parts(t)
      const odd = said.find((x) => !features.includes(x as Schemas['Feature']))
      if (odd) return `"${odd}" is none of ${features.join(', ')}.`
      s.cloth = { ...cloth(s), features: said as Schemas['Feature'][] }
    },
  },
  {
    label: 'Made in, as its label says',
    get: (s) => cloth(s).origin,
    set: (s, t) => void (s.cloth = { ...cloth(s), origin: t }),
  },
  {
    label: 'Lower prices of larger orders, by pieces or goods: 24: 3.10, over 250: 2.95',
    wide: true,
    get: (s) =>
      (s.buying?.tiers ?? [])
        .map((x) => (x.fromPieces > 0 ? `${x.fromPieces}: ${x.price}` : `over ${x.fromValue}: ${x.price}`))
        .join(', '),
    set: (s, t) => {
      const tiers: Schemas['PriceTier'][] = []
      for (const part of parts(t)) {
        const read = /^(over\s+)?([\d.]+)\s*:\s*([\d.]+)$/.exec(part)
        if (!read) return `"${part}" is not like "24: 3.10" or "over 250: 2.95".`
        const from = Number(read[2])
        tiers.push({ fromPieces: read[1] ? 0 : from, fromValue: read[1] ? from : 0, price: Number(read[3]) })
      }
      s.buying = { ...buying(s), tiers }
    },
  },
  bought('No freight from, goods of an order', 'freeFreightFrom'),
  {
    label: 'Sold in packs of',
    number: true,
    get: (s) => writeNumber(buying(s).packOf),
    set: (s, t) => {
      const n = readNumber(t)
      if (n === null) return unread(t)
      s.buying = { ...buying(s), packOf: n }
    },
  },
  {
    label: 'Ordered by, else a day later',
    type: 'time',
    get: (s) => buying(s).cutOff?.slice(0, 5) ?? '',
    set: (s, t) => void (s.buying = { ...buying(s), cutOff: t ? `${t}:00` : null }),
  },
  bought('Price with a code', 'codePrice'),
  {
    label: "The code's last day",
    type: 'date',
    get: (s) => buying(s).codeUntil ?? '',
    set: (s, t) => void (s.buying = { ...buying(s), codeUntil: t || null }),
  },
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
        const surcharge = extra === undefined ? 0 : readCell(extra)
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
        .map((c) => ({ c, of: s.onHand.filter((o) => o.colourwayId === c.id) }))
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
    },
  },
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
