import type { Schemas } from '../../api/client'
import { choice, type Field, num, readNumber, text } from '../../kit/fields'

type Press = Schemas['Press']
type Recipe = Schemas['Recipe']
type Equipment = Schemas['EquipmentHour']

const machine = (label: string, key: keyof Equipment, scale = 1): Field<Press> => ({
  label,
  number: true,
  get: (p) => String(Number((p.equipment[key] * scale).toFixed(6))),
  set: (p, t) => {
    const n = readNumber(t)
    if (n === null) return `"${t}" is not a number.`
    p.equipment[key] = Number((n / scale).toFixed(9))
  },
})

export const pressFields: Field<Press>[] = [
  text('Name', 'name'),
  choice('Kind', 'kind', {
    clamshell: 'clamshell',
    'swing-away': 'swing-away',
    drawer: 'drawer',
    'auto-open': 'auto-open',
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
  machine('Bought for', 'priceNew'),
  machine('Resale', 'resale'),
  machine('Years', 'usefulYears'),
  machine('Hours a year', 'productiveHoursAYear'),
  machine('Power, kW', 'powerKw'),
  machine('Heats, % of the time', 'dutyShare', 100),
  machine('Upkeep an hour', 'upkeepPerHour'),
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
