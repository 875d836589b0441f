import type { Schemas } from '../../api/client'
import { choice, type Field, num, readNumber, text } from '../../kit/fields'

export type Numbers = Schemas['ShopNumbers']
type Format = Schemas['FigureFormat']

const format = (label: string, key: keyof Format, options?: Record<string, string>): Field<Numbers> => ({
  label,
  ...(options ? { options: Object.entries(options).map(([value, word]) => ({ value, label: word })) } : {}),
  get: (n) => String(n.format[key]),
  set: (n, t) => {
    const now = n.format[key]
    ;(n.format as unknown as Record<string, unknown>)[key] =
      typeof now === 'boolean' ? t === 'true' : typeof now === 'number' ? Number(t) : t
  },
})

const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
const hours = (day: number): Field<Numbers> => ({
  label: weekdays[day]!,
  get: (n) => (n.week[day]?.open ? `${n.week[day].open.slice(0, 5)}–${n.week[day].close!.slice(0, 5)}` : 'closed'),
  set: (n, t) => {
    if (t === '' || t.toLowerCase() === 'closed') return void (n.week[day] = { open: null, close: null })
    const read = /^(\d{1,2})(?::(\d\d))?\s*[–-]\s*(\d{1,2})(?::(\d\d))?$/.exec(t)
    if (!read) return `"${t}" is not like "8–18" or "closed".`
    const at = (h: string, m: string | undefined) => `${h.padStart(2, '0')}:${m ?? '00'}:00`
    n.week[day] = { open: at(read[1]!, read[2]), close: at(read[3]!, read[4]) }
  },
})

export const moneyFields: Field<Numbers>[] = [
  num('Wage, an hour', 'wage'),
  num('Rent and the rest, an hour', 'overheadPerHour'),
  num('Power, a kWh', 'tariffPerKwh'),
  num('Sundries, a piece', 'consumablesPerStart'),
  num('Bag, label, card', 'packingPerPiece'),
  num('Minutes an order', 'orderMinutes'),
  num('Minutes an artwork', 'artworkMinutes'),
  num('Card fee, %', 'feeShare', 100),
  num('Card fee, a payment', 'feeFixed'),
  choice('Card fee is taken of', 'feeBase', {
    everything: 'everything paid, tax too',
    'goods-and-postage': 'goods and postage',
    goods: 'goods alone',
  }),
  num('Sales tax, %', 'taxShare', 100),
  num('Deposit, %', 'depositShare', 100),
  num('Quote stands, days', 'validityDays'),
  num('Slow tenth, %', 'slowTenthShare', 100),
]

type Policy = Schemas['PricePolicy']
export const policyWord: Record<Policy['kind'], string> = {
  margin: 'by margin',
  multiple: 'as a multiple',
  hourly: 'by the hour of hands',
}

/** A channel's policy; all its figures are kept, the chosen kind says which holds. */
const policy = (name: string, key: 'retail' | 'wholesale'): Field<Numbers>[] => {
  const of = (n: Numbers) => n[key] as Policy
  const figure = (label: string, field: 'marginShare' | 'multiple' | 'perHour', scale = 1): Field<Numbers> => ({
    label: `${name}: ${label}`,
    number: true,
    get: (n) => String(Number((of(n)[field] * scale).toFixed(6))),
    set: (n, t) => {
      const read = readNumber(t)
      if (read === null) return `"${t}" is not a number.`
      of(n)[field] = Number((read / scale).toFixed(9))
    },
  })
  return [
    {
      label: `${name} is priced`,
      options: Object.entries(policyWord).map(([value, label]) => ({ value, label })),
      get: (n) => of(n).kind,
      set: (n, t) => void (of(n).kind = t as Policy['kind']),
    },
    figure('margin, %', 'marginShare', 100),
    figure('multiple', 'multiple'),
    {
      label: `${name}: multiple of`,
      options: [
        { value: 'all-costs', label: 'all costs' },
        { value: 'materials', label: 'blank, print, sundries' },
      ],
      get: (n) => of(n).of,
      set: (n, t) => void (of(n).of = t as Policy['of']),
    },
    figure('over the wage an hour', 'perHour'),
  ]
}

export const priceFields: Field<Numbers>[] = [
  ...policy('Retail', 'retail'),
  ...policy('Wholesale', 'wholesale'),
  num('Least margin, %', 'leastMarginShare', 100),
  num('Least charge an order', 'minimumCharge'),
  num('Round prices up to', 'roundingStep'),
  choice('When more pieces cost less in all', 'inversion', {
    'offer-larger': 'say so and offer them',
    'charge-smaller': 'charge no dearer',
  }),
]

export const shopFields: Field<Numbers>[] = [
  text('Shop', 'shopName'),
  text('Address, on documents', 'address', { wide: true }),
  text('Mail or phone', 'contact'),
  choice('Paper', 'paper', { letter: 'US Letter', a4: 'A4' }),
  text('Time zone', 'timeZone'),
  format('Currency sign', 'sign'),
  format('Sign stands', 'signAfter', { false: 'before', true: 'after' }),
  format('Decimal mark', 'decimalMark', { '.': 'point', ',': 'comma' }),
  format('Thousands mark', 'groupMark', { ',': 'comma', '.': 'point', ' ': 'space', '': 'none' }),
  format('Decimals', 'minorDigits', { '0': '0', '2': '2', '3': '3' }),
  format('Dates', 'dayFirst', { true: '12 Jun', false: 'Jun 12' }),
  format('Hours', 'twelveHours', { false: '14:00', true: '2:00 pm' }),
  format('Lengths', 'metric', { false: 'inches', true: 'centimetres' }),
  format('Temperatures', 'celsius', { false: '°F', true: '°C' }),
]

export const weekFields: Field<Numbers>[] = [1, 2, 3, 4, 5, 6, 0].map(hours)
