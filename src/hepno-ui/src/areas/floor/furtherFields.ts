import type { Schemas } from '../../api/client'
import { type Field, num, numOrNone, text } from '../../kit/fields'
import { hourFields } from './machineFields'

type PaperPrinter = Schemas['PaperPrinter']
type GarmentPrinter = Schemas['GarmentPrinter']
type StitchMachine = Schemas['StitchMachine']
type Calender = Schemas['Calender']

const hour: Schemas['EquipmentHour'] = {
  priceNew: 0,
  resale: 0,
  usefulYears: 4,
  productiveHoursAYear: 300,
  powerKw: 0.1,
  dutyShare: 0.5,
  upkeepPerHour: 0.2,
}

export const freshPaperPrinter = (): Omit<PaperPrinter, 'id'> => ({
  name: '',
  speedIn2PerMinute: 20,
  widestIn: 8.5,
  inkMlPerIn2: 0.012,
  inkPricePerMl: 0,
  equipment: { ...hour, usefulYears: 3, powerKw: 0.02 },
  cautions: 'Pigment ink for transfer paper: dye ink runs in the first wash. The maker’s manual decides.',
})

export const paperPrinterFields: Field<PaperPrinter>[] = [
  text('Name', 'name'),
  num('Prints, in² a minute', 'speedIn2PerMinute'),
  num('Widest sheet, in', 'widestIn'),
  num('Ink, ml an in²', 'inkMlPerIn2'),
  num('Ink, a ml', 'inkPricePerMl'),
  ...hourFields<PaperPrinter>(),
  text('Cautions of its manual', 'cautions', { wide: true, lines: 2 }),
]

export const freshGarmentPrinter = (): Omit<GarmentPrinter, 'id'> => ({
  name: '',
  speedIn2PerMinute: 40,
  mostWidthIn: 14,
  mostHeightIn: 16,
  colourMlPerIn2: 0.012,
  colourPricePerMl: 0,
  whiteMlPerIn2: 0.03,
  whitePricePerMl: 0,
  pretreatMlPerIn2: 0.1,
  pretreatPricePerMl: 0,
  equipment: { ...hour, powerKw: 0.3 },
  cautions: 'Pretreatment sprays a fine mist: extraction and mask. The data sheets of ink and pretreatment decide.',
})

export const garmentPrinterFields: Field<GarmentPrinter>[] = [
  text('Name', 'name'),
  num('Prints, in² a minute', 'speedIn2PerMinute'),
  num('Widest print, in', 'mostWidthIn'),
  num('Tallest print, in', 'mostHeightIn'),
  num('Colour, ml an in²', 'colourMlPerIn2'),
  num('Colour, a ml', 'colourPricePerMl'),
  num('White, ml an in²', 'whiteMlPerIn2'),
  num('White, a ml', 'whitePricePerMl'),
  num('Pretreatment, ml an in²', 'pretreatMlPerIn2'),
  num('Pretreatment, a ml', 'pretreatPricePerMl'),
  ...hourFields<GarmentPrinter>(),
  text('Cautions of its manual and data sheets', 'cautions', { wide: true, lines: 2 }),
]

export const freshStitchMachine = (): Omit<StitchMachine, 'id'> => ({
  name: '',
  stitchesPerMinute: 700,
  reachedShare: 0.8,
  colourChangeSeconds: 8,
  heads: 1,
  needles: 12,
  hoopWidthIn: 12,
  hoopHeightIn: 8,
  takesCaps: false,
  threadPerThousand: 0,
  backingPerPiece: 0,
  digitisingPerDesign: 0,
  appliqueFilmPerIn2: null,
  equipment: { ...hour, usefulYears: 6, productiveHoursAYear: 800, powerKw: 0.3 },
  cautions: 'Needle and levers: hands out while it runs, hair tied. The maker’s manual decides.',
})

export const stitchMachineFields: Field<StitchMachine>[] = [
  text('Name', 'name'),
  num('Stitches a minute, as set', 'stitchesPerMinute'),
  num('Share of that speed reached', 'reachedShare'),
  num('A change of colour, s', 'colourChangeSeconds'),
  num('Heads', 'heads'),
  num('Thread colours it holds', 'needles'),
  num('Widest hoop, in', 'hoopWidthIn'),
  num('Tallest hoop, in', 'hoopHeightIn'),
  {
    label: 'Cap frame',
    get: (m) => (m.takesCaps ? 'yes' : 'no'),
    set: (m, t) => void (m.takesCaps = t === 'yes'),
    options: [
      { value: 'no', label: 'none' },
      { value: 'yes', label: 'it has one' },
    ],
  },
  num('Thread, 1,000 stitches', 'threadPerThousand'),
  num('Backing, a piece', 'backingPerPiece'),
  num('Digitising, a design', 'digitisingPerDesign'),
  numOrNone('Applique film, an in²', 'appliqueFilmPerIn2'),
  ...hourFields<StitchMachine>(),
  text('Cautions of its manual', 'cautions', { wide: true, lines: 2 }),
]

export const freshCalender = (): Omit<Calender, 'id'> => ({
  name: '',
  paperWidthIn: 61,
  paperPricePerFoot: 0,
  printIn2PerMinute: 900,
  inkMlPerIn2: 0.009,
  inkPricePerMl: 0,
  inPerMinute: 30,
  notionsPerPiece: 0,
  equipment: { ...hour, usefulYears: 8, productiveHoursAYear: 700, powerKw: 5.5, dutyShare: 0.6 },
  cautions:
    'Hot drum: no loose sleeves, hands on the feed table. Dye fumes: extraction on. The maker’s manual decides.',
})

export const calenderFields: Field<Calender>[] = [
  text('Name', 'name'),
  num('Its printer prints, in² a minute', 'printIn2PerMinute'),
  num('Paper that can be printed, in wide', 'paperWidthIn'),
  num('Paper, a foot', 'paperPricePerFoot'),
  num('Ink, ml an in²', 'inkMlPerIn2'),
  num('Ink, a ml', 'inkPricePerMl'),
  num('Cloth through the drum, in a minute', 'inPerMinute'),
  num('Thread, neck tape and label, a garment', 'notionsPerPiece'),
  ...hourFields<Calender>(),
  text('Cautions of its manual', 'cautions', { wide: true, lines: 2 }),
]
