import type { Schemas } from '../../api/client'
import { choice, type Field, num, numOrNone, readCell, rows, text } from '../../kit/fields'
import { kindWord } from '../../words/words'

type Paper = Schemas['TransferPaper']
type Outside = Schemas['OutsidePrinter']
type Pod = Schemas['PodService']
type Cloth = Schemas['RollCloth']

export const freshPaper = (): Omit<Paper, 'id'> => ({
  supplier: '',
  product: '',
  kind: 'light',
  sheetWidthIn: 8.5,
  sheetHeightIn: 11,
  marginIn: 0.25,
  marksIn: 0.6,
  bleedIn: 0.0625,
  sheetPrice: 0,
  freightPerOrder: 0,
  leadDays: 2,
})

export const paperFields: Field<Paper>[] = [
  text('Supplier', 'supplier'),
  text('Paper', 'product'),
  choice('For', 'kind', { light: 'white and pale cloth', opaque: 'any cloth, opaque' }),
  num('Sheet width, in', 'sheetWidthIn'),
  num('Sheet height, in', 'sheetHeightIn'),
  num('Not printable round it, in', 'marginIn'),
  num("The cutter's marks take, in", 'marksIn'),
  num('Bleed, in', 'bleedIn'),
  num('A sheet', 'sheetPrice'),
  num('Freight an order', 'freightPerOrder'),
  num('Working days', 'leadDays'),
]

export const freshOutside = (): Omit<Outside, 'id'> => ({
  supplier: '',
  setUpPerScreen: 0,
  prices: [],
  leastPieces: 24,
  spareShare: 0.02,
  freightThere: 0,
  freightBack: 0,
  leadDays: 7,
  mostWidthIn: 14,
  mostHeightIn: 16,
  repeatPerScreen: null,
  keepsMonths: 12,
  blanks: [],
})

export const outsideFields: Field<Outside>[] = [
  text('Who prints', 'supplier'),
  num('A screen, once', 'setUpPerScreen'),
  numOrNone('A screen it still keeps', 'repeatPerScreen'),
  num('Months it keeps screens', 'keepsMonths'),
  num('Fewest pieces of a design', 'leastPieces'),
  num('May spoil, %', 'spareShare', 100),
  num('Freight there', 'freightThere'),
  num('Freight back', 'freightBack'),
  num('Working days, from the blanks there', 'leadDays'),
  num('Widest print, in', 'mostWidthIn'),
  num('Tallest print, in', 'mostHeightIn'),
  {
    label: 'Prices of a print, a line for each number of screens: 2: 24 2.90, 72 1.80',
    wide: true,
    lines: 5,
    get: (o) =>
      o.prices.map((p) => `${p.colours}: ${p.breaks.map((b) => `${b.from} ${b.price}`).join(', ')}`).join('\n'),
    set: (o, t) => {
      o.prices = []
      for (const row of rows(t)) {
        const [screens, list] = row.split(':').map((p) => p.trim())
        const colours = readCell(screens ?? '')
        const breaks = (list ?? '').split(',').map((b) =>
          b
            .trim()
            .split(/\s+/)
            .map((n) => readCell(n)),
        )
        if (colours === null || breaks.some((b) => b.length !== 2 || b[0] == null || b[1] == null))
          return `"${row}" is not like "2: 24 2.90, 72 1.80".`
        o.prices.push({ colours, breaks: breaks.map((b) => ({ from: b[0]!, price: b[1]! })) })
      }
    },
  },
  {
    label: 'Prints on garments of its own, a line each: Tee 3.60. Leave it empty where it prints on ours',
    wide: true,
    lines: 3,
    get: (o) => writeKinds(o.blanks),
    set: (o, t) => {
      const read = readKinds(t)
      if (typeof read === 'string') return read
      o.blanks = read
    },
  },
]

/** Prices by kind of garment, a line each: Tee 11.80. */
interface KindPrice {
  kind: Schemas['GarmentKind']
  price: number
}
const writeKinds = (prices: readonly KindPrice[]) =>
  prices.map((p) => `${kindWord[p.kind] ?? p.kind} ${p.price}`).join('\n')
function readKinds(t: string): KindPrice[] | string {
  const prices: KindPrice[] = []
  for (const row of rows(t)) {
    const read = /^(.+?)\s+([\d.,]+)$/.exec(row)
    const kind = Object.entries(kindWord).find(([, w]) => w.toLowerCase() === read?.[1]?.toLowerCase())?.[0]
    const price = readCell(read?.[2] ?? '')
    if (!kind || price === null) return `"${row}" is not like "Tee 11.80".`
    prices.push({ kind: kind as Schemas['GarmentKind'], price })
  }
  return prices
}

export const freshPod = (): Omit<Pod, 'id'> => ({
  supplier: '',
  prices: [],
  furtherPlacement: 0,
  postageFirst: 0,
  postageFurther: 0,
  makingDays: 4,
  transitDays: 3,
  orderMinutes: 5,
  mostWidthIn: 12,
  mostHeightIn: 16,
})

export const podFields: Field<Pod>[] = [
  text('Who prints', 'supplier'),
  num('A further print', 'furtherPlacement'),
  num('Postage, first piece', 'postageFirst'),
  num('Postage, a further piece', 'postageFurther'),
  num('Days to make', 'makingDays'),
  num('Days on the way', 'transitDays'),
  num('Your minutes an order', 'orderMinutes'),
  num('Widest print, in', 'mostWidthIn'),
  num('Tallest print, in', 'mostHeightIn'),
  {
    label: 'A printed piece with its blank, a line each: Tee 11.80',
    wide: true,
    lines: 4,
    get: (s) => writeKinds(s.prices),
    set: (s, t) => {
      const read = readKinds(t)
      if (typeof read === 'string') return read
      s.prices = read
    },
  },
]

export const freshCloth = (): Omit<Cloth, 'id'> => ({
  supplier: '',
  product: '',
  polyesterPercent: 100,
  weightGsm: 150,
  widthIn: 60,
  pricePerFoot: 0,
  stepIn: 36,
  shrinkShare: 0.03,
  freightPerOrder: 0,
  leadDays: 3,
})

export const clothFields: Field<Cloth>[] = [
  text('Supplier', 'supplier'),
  text('Cloth', 'product'),
  num('Polyester, %', 'polyesterPercent'),
  num('Weight, g/m²', 'weightGsm'),
  num('Width that can be used, in', 'widthIn'),
  num('A foot of length', 'pricePerFoot'),
  num('Sold in steps of, in', 'stepIn'),
  num('Shrinks in the heat, %', 'shrinkShare', 100),
  num('Freight an order', 'freightPerOrder'),
  num('Working days', 'leadDays'),
]
