import type { Schemas } from '../../api/client'
import { choice, type Field, num, readNumber, text } from '../../kit/fields'

type Press = Schemas['Press']
type Recipe = Schemas['Recipe']
type Equipment = Schemas['EquipmentHour']

type FilmPrinter = Schemas['FilmPrinter']
type DyePrinter = Schemas['DyePrinter']
type Cutter = Schemas['Cutter']

const machine = <T extends { equipment: Equipment }>(label: string, key: keyof Equipment, scale = 1): Field<T> => ({
  label,
  number: true,
  get: (p) => String(Number((p.equipment[key] * scale).toFixed(6))),
  set: (p, t) => {
    const n = readNumber(t)
    if (n === null) return `"${t}" is not a number.`
    p.equipment[key] = Number((n / scale).toFixed(9))
  },
})

/** What an hour of any machine follows from. */
const hourFields = <T extends { equipment: Equipment }>(): Field<T>[] => [
  machine('Bought for', 'priceNew'),
  machine('Resale', 'resale'),
  machine('Years', 'usefulYears'),
  machine('Hours a year', 'productiveHoursAYear'),
  machine('Power, kW', 'powerKw'),
  machine('Heats, % of the time', 'dutyShare', 100),
  machine('Upkeep an hour', 'upkeepPerHour'),
]

export const freshPress = (): Omit<Press, 'id'> => ({
  name: '',
  kind: 'clamshell',
  platenWidthIn: 16,
  platenHeightIn: 20,
  warmUpMinutes: 15,
  riseFPerMinute: 20,
  dropFPerMinute: 5,
  offsetF: null,
  equipment: {
    priceNew: 0,
    resale: 0,
    usefulYears: 5,
    productiveHoursAYear: 600,
    powerKw: 1.8,
    dutyShare: 0.35,
    upkeepPerHour: 0.12,
  },
  lowers: null,
  cautions:
    'The platen burns: gloves, and hands clear. Never leave it closed. Into the wall socket. The maker’s manual decides.',
})

export const freshRecipe = (productId: string, today: string): Omit<Recipe, 'id'> => ({
  productId,
  revision: '',
  fabric: 'cotton',
  temperatureF: 310,
  dwellSeconds: 15,
  dwellSlackSeconds: 3,
  pressure: 'medium',
  prePressSeconds: 5,
  peel: 'cold',
  peelAfterSeconds: 60,
  secondPressSeconds: 8,
  side: 'film up, right-reading',
  source: 'assumed',
  asOf: today,
  caution: 'Spot-test first.',
})

export const pressFields: Field<Press>[] = [
  text('Name', 'name'),
  choice('Kind', 'kind', {
    clamshell: 'clamshell',
    'swing-away': 'swing-away',
    drawer: 'drawer',
    'auto-open': 'auto-open',
    cap: 'cap',
  }),
  num('Platen width, in', 'platenWidthIn'),
  num('Platen depth, in', 'platenHeightIn'),
  num('Cold to 300 °F, min', 'warmUpMinutes'),
  num('Heats, °F a minute', 'riseFPerMinute'),
  num('Cools, °F a minute', 'dropFPerMinute'),
  {
    label: 'Measured less set, °F; empty: not tested',
    number: true,
    get: (p) => (p.offsetF === null ? '' : String(p.offsetF)),
    set: (p, t) => {
      if (t === '') return void (p.offsetF = null)
      const n = readNumber(t.replace('−', '-'))
      if (n === null) return `"${t}" is not a number.`
      p.offsetF = n
    },
  },
  {
    label: 'Lower platens besides its own, a line each: name, width, depth in inches',
    lines: 2,
    wide: true,
    get: (p) => (p.lowers ?? []).map((l) => `${l.name}, ${l.widthIn}, ${l.heightIn}`).join('\n'),
    set: (p, t) => {
      const lowers = []
      for (const line of t.split('\n').filter((l) => l.trim() !== '')) {
        const [name, width, height] = line.split(/[\t,;]/).map((x) => x.trim())
        const [widthIn, heightIn] = [readNumber(width ?? ''), readNumber(height ?? '')]
        if (!name || widthIn === null || heightIn === null) return `"${line}" is not like "sleeve, 4.5, 14".`
        lowers.push({ name, widthIn, heightIn })
      }
      p.lowers = lowers.length > 0 ? lowers : null
    },
  },
  ...hourFields<Press>(),
  text('Cautions of its manual, shown at the press', 'cautions', { wide: true, lines: 2 }),
]

export const recipeFields = (products: Record<string, string>): Field<Recipe>[] => [
  choice('Product', 'productId', products),
  choice('On', 'fabric', { cotton: 'half cotton or more', polyester: 'more polyester' }),
  text('Revision of the sheet', 'revision'),
  num('Temperature, °F', 'temperatureF'),
  num('Press, s', 'dwellSeconds'),
  num('Slack, s', 'dwellSlackSeconds'),
  choice('Pressure', 'pressure', { light: 'light', medium: 'medium', firm: 'firm', heavy: 'heavy' }),
  num('Pre-press, s', 'prePressSeconds'),
  choice('Peel', 'peel', { hot: 'hot', warm: 'warm', cold: 'cold' }),
  num('Peel after, s', 'peelAfterSeconds'),
  num('Second press, s', 'secondPressSeconds'),
  text('Which side up', 'side'),
  choice('Comes from', 'source', { 'own-test': 'our own test', maker: "the maker's sheet", assumed: 'assumed' }),
  text('As of', 'asOf', { type: 'date' }),
  text('Caution, shown while pressing', 'caution', { wide: true }),
]

const hour: Equipment = {
  priceNew: 0,
  resale: 0,
  usefulYears: 4,
  productiveHoursAYear: 700,
  powerKw: 0.7,
  dutyShare: 0.5,
  upkeepPerHour: 0.4,
}

export const freshFilmPrinter = (): Omit<FilmPrinter, 'id'> => ({
  name: '',
  rollWidthIn: 13,
  gapIn: 0.25,
  speedIn2PerMinute: 11,
  colourMlPerIn2: 0.011,
  colourPricePerMl: 0,
  whiteMlPerIn2: 0.014,
  whitePricePerMl: 0,
  whiteOnLight: true,
  filmPricePerIn2: 0,
  powderGPerIn2: 0.016,
  powderPricePerG: 0,
  cleaningMlPerDay: 15,
  cleaningPricePerMl: 0,
  printsPerDay: 30,
  cure: 'oven',
  equipment: { ...hour },
  cautions: 'Powder is fine dust: extraction and mask. Oven and film burn. The data sheets decide.',
})

export const filmPrinterFields: Field<FilmPrinter>[] = [
  text('Name', 'name'),
  num('Printable width, in', 'rollWidthIn'),
  num('Gap between prints, in', 'gapIn'),
  num('Prints, in² a minute', 'speedIn2PerMinute'),
  num('Colour, ml an in²', 'colourMlPerIn2'),
  num('Colour, a ml', 'colourPricePerMl'),
  num('White, ml an in²', 'whiteMlPerIn2'),
  num('White, a ml', 'whitePricePerMl'),
  {
    label: 'White on white and pale cloth',
    get: (p) => (p.whiteOnLight ? 'yes' : 'no'),
    set: (p, t) => void (p.whiteOnLight = t === 'yes'),
    options: [
      { value: 'yes', label: 'printed too' },
      { value: 'no', label: 'left out' },
    ],
  },
  num('Film, an in²', 'filmPricePerIn2'),
  num('Powder, g an in²', 'powderGPerIn2'),
  num('Powder, a g', 'powderPricePerG'),
  num('Cleaning, ml a day', 'cleaningMlPerDay'),
  num('Cleaning, a ml', 'cleaningPricePerMl'),
  num('Prints a day', 'printsPerDay'),
  choice('Cured', 'cure', { oven: 'in an oven', 'hover-press': 'under the hovering press' }),
  ...hourFields<FilmPrinter>(),
  text('Cautions of its manual and data sheets', 'cautions', { wide: true, lines: 2 }),
]

export const freshDyePrinter = (): Omit<DyePrinter, 'id'> => ({
  name: '',
  speedIn2PerMinute: 30,
  inkMlPerIn2: 0.01,
  inkPricePerMl: 0,
  sheetWidthIn: 13,
  sheetHeightIn: 19,
  sheetMarginIn: 0.25,
  sheetPrice: 0,
  tapeInPerPrint: 8,
  tapePricePerIn: 0,
  protectionPrice: 0,
  equipment: { ...hour },
  cautions: 'Dye fumes while pressing: ventilate. The data sheet decides.',
})

export const dyePrinterFields: Field<DyePrinter>[] = [
  text('Name', 'name'),
  num('Prints, in² a minute', 'speedIn2PerMinute'),
  num('Ink, ml an in²', 'inkMlPerIn2'),
  num('Ink, a ml', 'inkPricePerMl'),
  num('Sheet width, in', 'sheetWidthIn'),
  num('Sheet height, in', 'sheetHeightIn'),
  num('Not printable round it, in', 'sheetMarginIn'),
  num('A sheet', 'sheetPrice'),
  num('Tape a print, in', 'tapeInPerPrint'),
  num('Tape, an in', 'tapePricePerIn'),
  num('Protection paper, a sheet', 'protectionPrice'),
  ...hourFields<DyePrinter>(),
  text('Cautions of its manual and data sheets', 'cautions', { wide: true, lines: 2 }),
]

export const freshCutter = (): Omit<Cutter, 'id'> => ({
  name: '',
  cutWidthIn: 20,
  speedIn2PerMinute: 60,
  equipment: { ...hour, powerKw: 0.1 },
  cautions: 'The blade is sharper than it looks: hands off while it runs. The maker’s manual decides.',
})

export const cutterFields: Field<Cutter>[] = [
  text('Name', 'name'),
  num('Widest cut, in', 'cutWidthIn'),
  num('Cuts, in² a minute', 'speedIn2PerMinute'),
  ...hourFields<Cutter>(),
  text('Cautions of its manual', 'cautions', { wide: true, lines: 2 }),
]
