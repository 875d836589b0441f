import type { Schemas } from '../../api/client'
import { choice, type Field, num, text } from '../../kit/fields'
import { hourFields } from './machineFields'

type Equipment = Schemas['EquipmentHour']
type FilmPrinter = Schemas['FilmPrinter']
type DyePrinter = Schemas['DyePrinter']
type Cutter = Schemas['Cutter']

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
  cureF: 250,
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
