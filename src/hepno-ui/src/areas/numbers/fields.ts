import dayNames from '../../../../Hepno.Core/Measures/day-names.json'
import type { Schemas } from '../../api/client'
import { choice, type Field, num, readCell, text } from '../../kit/fields'
import { readNumber, unread, writeNumber } from '../../words/numbers'
import { coverWord } from '../../words/words'

export type Numbers = Schemas['NumbersBody']
type Format = Schemas['FigureFormat']

const format = (label: string, key: keyof Format, options?: Record<string, string>): Field<Numbers> => ({
  label,
  ...(options ? { options: Object.entries(options).map(([value, word]) => ({ value, label: word })) } : {}),
  get: (n) => String(n.format[key]),
  set: (n, t) => {
    const format = n.format as unknown as Record<string, unknown>
    if (typeof format[key] === 'boolean') format[key] = t === 'true'
    else format[key] = typeof format[key] === 'number' ? Number(t) : t
  },
})

/** Rows of a list in one box, a thing a line: what each part is called is said in the label. */
const rows = <T>(
  label: string,
  lines: number,
  get: (n: Numbers) => T[],
  set: (n: Numbers, all: T[]) => void,
  write: (row: T) => string,
  read: (parts: string[]) => T | string,
): Field<Numbers> => ({
  label,
  lines,
  wide: true,
  get: (n) => get(n).map(write).join('\n'),
  set: (n, t) => {
    const all: T[] = []
    for (const line of t.split('\n').filter((l) => l.trim() !== '')) {
      const row = read(line.split(/[\t,;]/).map((p) => p.trim()))
      if (typeof row === 'string') return `"${line}" ${row}`
      all.push(row)
    }
    set(n, all)
  },
})

const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
/** Hours of a day as typed; undefined when they cannot be read. */
function hoursOf(t: string): Schemas['DayHours'] | undefined {
  if (['', 'closed', 'away'].includes(t.toLowerCase())) return { open: null, close: null }
  const read = /^(\d{1,2})(?::(\d\d))?\s*[–-]\s*(\d{1,2})(?::(\d\d))?$/.exec(t)
  const at = (h: string, m: string | undefined) => `${h.padStart(2, '0')}:${m ?? '00'}:00`
  return read ? { open: at(read[1]!, read[2]), close: at(read[3]!, read[4]) } : undefined
}
const hours = (day: number): Field<Numbers> => ({
  label: weekdays[day]!,
  get: (n) => (n.week[day]?.open ? `${n.week[day].open.slice(0, 5)}–${n.week[day].close!.slice(0, 5)}` : 'closed'),
  set: (n, t) => {
    const read = hoursOf(t)
    if (read === undefined) return `"${t}" is not like "8–18" or "closed".`
    n.week[day] = read
  },
})

export const moneyFields: Field<Numbers>[] = [
  num('Wage, an hour', 'wage'),
  num('Rent and the rest, an hour', 'overheadPerHour'),
  num('Power, a kWh', 'tariffPerKwh'),
  num('Sundries, a piece', 'consumablesPerStart'),
  num('Bag, label, card', 'packingPerPiece'),
  num('On top, a garment of theirs', 'theirsPerPiece'),
  num('Rule of thumb before, × materials', 'ruleOfThumb'),
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
  num('Spares suffice, times in 100', 'completeShare', 100),
  num('Hands against the standard, %', 'handsFactor', 100),
  num('Change a lower platen, min', 'swapMinutes'),
  num('Set the dial, min', 'dialMinutes'),
  num('A test piece, min', 'testMinutes'),
  {
    label: 'Presses are set up',
    options: [
      { value: 'true', label: 'while they heat' },
      { value: 'false', label: 'after they heat' },
    ],
    get: (n) => String(n.setUpWhileHeating),
    set: (n, t) => void (n.setUpWhileHeating = t === 'true'),
  },
]

type Habits = Schemas['FloorHabits']
const habits = (n: Numbers) => n.floor as Habits
const yes = (
  label: string,
  key: 'firstPiece' | 'measured' | 'coldPlate' | 'handsOnOnly' | 'testFirst' | 'prepareBeside',
  on: string,
  off: string,
): Field<Numbers> => ({
  label,
  options: [
    { value: 'true', label: on },
    { value: 'false', label: off },
  ],
  get: (n) => String(habits(n)[key]),
  set: (n, t) => void (habits(n)[key] = t === 'true'),
})

/** How the shop works at its presses. */
export const floorFields: Field<Numbers>[] = [
  {
    label: 'Pieces are pressed',
    options: [
      { value: 'stream', label: 'as a stream' },
      { value: 'one-at-a-time', label: 'one at a time' },
    ],
    get: (n) => habits(n).policy,
    set: (n, t) => void (habits(n).policy = t as Habits['policy']),
  },
  {
    label: 'Second press',
    options: [
      { value: 'as-recipe', label: 'as the product says' },
      { value: 'always', label: 'always, unless forbidden' },
      { value: 'never', label: 'never' },
    ],
    get: (n) => habits(n).second,
    set: (n, t) => void (habits(n).second = t as Habits['second']),
  },
  yes('The first piece of a print', 'firstPiece', 'is judged first', 'goes with the rest'),
  yes('Prints are placed', 'measured', 'by fold-line or ruler', 'by eye'),
  yes('Cold peels cool', 'coldPlate', 'on a cold plate', 'on a table'),
  yes('A recipe nobody tested', 'testFirst', 'waits for a test piece', 'is only warned of'),
  yes('Weeding, trimming, cutting apart', 'prepareBeside', 'at the press, in the gaps', 'before pressing'),
  yes('Labour is charged', 'handsOnOnly', 'for busy hands alone', 'with the short waits'),
  {
    label: 'Places on the rack',
    number: true,
    get: (n) => String(habits(n).rackPlaces),
    set: (n, t) => {
      const read = readNumber(t)
      if (read === null) return unread(t)
      habits(n).rackPlaces = read
    },
  },
  rows<Schemas['CoverPrice']>(
    'Covers, a line each: sheet, release-sheet, parchment or single-use; price; presses it lasts',
    2,
    (n) => habits(n).covers,
    (n, all) => void (habits(n).covers = all),
    (c) => `${c.cover}, ${c.price}, ${c.uses}`,
    (p) => {
      const [price, uses] = [readCell(p[1] ?? ''), readCell(p[2] ?? '')]
      return price === null || uses === null || !(p[0]! in coverWord)
        ? 'is not like "sheet, 12.00, 200".'
        : { cover: p[0] as Schemas['Cover'], price, uses }
    },
  ),
]

/** Seconds of every step; empty where the starting time holds. */
export const timeFields = (times: Schemas['StepTimeView'][]): Field<Numbers>[] =>
  times.map((t) => ({
    label: `${t.label} (${t.ownSeconds === null ? `${t.startingSeconds} s, assumed` : `yours; ${t.startingSeconds} s assumed`})`,
    number: true,
    get: (n) => {
      const own = habits(n).times.find((x) => x.code === t.code)?.seconds
      return own === undefined ? '' : writeNumber(own)
    },
    set: (n, text) => {
      const rest = habits(n).times.filter((x) => x.code !== t.code)
      const read = text === '' ? undefined : readNumber(text)
      if (read === null) return unread(text)
      habits(n).times = read === undefined ? rest : [...rest, { code: t.code, seconds: read }]
    },
  }))

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
    get: (n) => writeNumber(of(n)[field] * scale),
    set: (n, t) => {
      const read = readNumber(t)
      if (read === null) return unread(t)
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
  choice('Dearer sizes', 'sizePricing', {
    averaged: 'averaged into one price',
    surcharged: 'a surcharge line each',
  }),
  {
    label: 'Quantities of the break table',
    get: (n) => (n.tierSteps ?? []).join(', '),
    set: (n, t) => {
      const steps = t.split(/[\s,;]+/).map((x) => readCell(x))
      if (steps.some((x) => x === null)) return `"${t}" is not like "12, 24, 36".`
      n.tierSteps = steps as number[]
    },
  },
  choice('When more pieces cost less in all', 'inversion', {
    'offer-larger': 'say so and offer them',
    'charge-smaller': 'charge no dearer',
    'raise-break': 'charge the more no less',
    'give-piece': 'make the more and give them',
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
  format(
    'Days and months in',
    'language',
    Object.fromEntries(Object.entries(dayNames).map(([code, n]) => [code, n.name])),
  ),
  format('Dates', 'dayFirst', { true: '12 Jun', false: 'Jun 12' }),
  format('Hours', 'twelveHours', { false: '14:00', true: '2:00 pm' }),
  format('Lengths', 'metric', { false: 'inches', true: 'centimetres' }),
  format('Temperatures', 'celsius', { false: '°F', true: '°C' }),
]

export const packingFields: Field<Numbers>[] = [
  rows(
    'Mailers and boxes, a line each: name, folded tees, grams it carries, own grams, price',
    4,
    (n) => n.packagings ?? [],
    (n, all) => (n.packagings = all),
    (p) => [p.name, p.mostTees, p.mostGrams, p.ownGrams, p.price].join(', '),
    ([name, ...figures]) => {
      const [mostTees, mostGrams, ownGrams, price] = figures.map((x) => readCell(x))
      return name && mostTees != null && mostGrams != null && ownGrams != null && price != null
        ? { name, mostTees, mostGrams, ownGrams, price }
        : 'is not like "Mailer, 4, 1000, 25, 0.35".'
    },
  ),
  num('Minutes a parcel', 'parcelMinutes'),
]
export const rateFields: Field<Numbers>[] = [
  rows(
    'Paid every month, a line each: what, amount',
    4,
    (n) => n.fixedCosts ?? [],
    (n, all) => (n.fixedCosts = all.length > 0 ? all : null),
    (c) => `${c.name}, ${c.perMonth}`,
    ([name, amount]) => {
      const perMonth = readCell(amount ?? '')
      return name && perMonth !== null ? { name, perMonth } : 'is not like "Rent, 780".'
    },
  ),
  num('Of the hours productive, %', 'productiveShare', 100),
]

type Person = Schemas['Person']
const dayHours = (day: number): Field<Person> => ({
  label: weekdays[day]!,
  get: (p) => (p.week[day]?.open ? `${p.week[day].open.slice(0, 5)}–${p.week[day].close!.slice(0, 5)}` : 'away'),
  set: (p, t) => {
    const read = hoursOf(t)
    if (read === undefined) return `"${t}" is not like "8–18" or "away".`
    p.week[day] = read
  },
})
export const personFields: Field<Person>[] = [
  text('Name', 'name'),
  num('Wage, an hour', 'wage'),
  num('On-costs, %', 'onCostsShare', 100),
  {
    label: 'Lunch from',
    type: 'time',
    get: (p) => p.lunchFrom?.slice(0, 5) ?? '',
    set: (p, t) => void (p.lunchFrom = t ? `${t}:00` : null),
  },
  num('Lunch, minutes', 'lunchMinutes'),
  ...[1, 2, 3, 4, 5, 6, 0].map(dayHours),
  {
    label: 'Days off, like 2026-12-24',
    wide: true,
    get: (p) => p.daysOff.join(', '),
    set: (p, t) => {
      const days = t.split(/[\s,;]+/).filter((d) => d !== '')
      const wrong = days.find((d) => !/^\d{4}-\d\d-\d\d$/.test(d) || Number.isNaN(Date.parse(d)))
      if (wrong) return `"${wrong}" is not a day like 2026-12-24.`
      p.daysOff = days
    },
  },
]
export const freshPerson = (n: Numbers): Omit<Person, 'id'> => ({
  name: '',
  wage: n.wage,
  onCostsShare: 0,
  week: n.week,
  lunchFrom: '12:30:00',
  lunchMinutes: 30,
  daysOff: [],
})

export const weekFields: Field<Numbers>[] = [1, 2, 3, 4, 5, 6, 0].map(hours)
