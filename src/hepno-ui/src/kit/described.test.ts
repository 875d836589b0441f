import { describe, expect, it } from 'vitest'
import { fieldOf, formFor, nameOf, readRows, writeRows } from './described'

const cell = (key: string, shape: 'number' | 'text' | 'choice' | 'rows', more = {}) => ({
  key,
  shape,
  options: [],
  mayBeLeftOut: false,
  rows: null,
  ...more,
})
const breaks = {
  cells: [cell('from', 'number'), cell('price', 'number')],
  cellBreak: ' ',
  rowBreak: ', ',
  example: '24 2.90',
}
const screens = {
  cells: [cell('colours', 'number'), cell('breaks', 'rows', { rows: breaks })],
  cellBreak: ': ',
  rowBreak: '\n',
  example: '2: 24 2.90, 72 1.80',
}
const garments = {
  cells: [
    cell('kind', 'choice', {
      options: [
        { value: 'tee', label: 'Tee' },
        { value: 'long-sleeve', label: 'Long-sleeved tee' },
      ],
    }),
    cell('price', 'number'),
  ],
  cellBreak: ' ',
  rowBreak: '\n',
  example: 'Tee 11.80',
}
const notes = {
  cells: [cell('day', 'text'), cell('name', 'text'), cell('note', 'text', { mayBeLeftOut: true })],
  cellBreak: ', ',
  rowBreak: '\n',
  example: '2026-03-02, dwell, still sticks',
}

describe('typed rows', () => {
  it('are written as they are read', () => {
    const prices = [
      {
        colours: 2,
        breaks: [
          { from: 24, price: 2.9 },
          { from: 72, price: 1.8 },
        ],
      },
    ]
    expect(writeRows(screens, prices)).toBe('2: 24 2.9, 72 1.8')
    expect(readRows(screens, '2: 24 2.9, 72 1.8')).toEqual(prices)
    expect(readRows(garments, ' long-sleeved TEE 11,80 \n\ntee 9')).toEqual([
      { kind: 'long-sleeve', price: 11.8 },
      { kind: 'tee', price: 9 },
    ])
    // commas of figures beside commas between rows, and rows without a blank
    expect(readRows(breaks, '24 2,90, 72 1,80')).toEqual(prices[0]!.breaks)
    expect(readRows(breaks, '24 2.90,72 1.80')).toEqual(prices[0]!.breaks)
    expect(writeRows(garments, [{ kind: 'long-sleeve', price: 11.8 }])).toBe('Long-sleeved tee 11.8')
  })
  it('come from a spreadsheet too, end before what may be left out, and keep commas of the last', () => {
    expect(readRows(notes, '2026-03-02\tdwell\t13 s')).toEqual([{ day: '2026-03-02', name: 'dwell', note: '13 s' }])
    expect(readRows(notes, '2026-03-02, dwell')).toEqual([{ day: '2026-03-02', name: 'dwell' }])
    expect(readRows(notes, '2026-03-02, dwell, 13 s, twice')).toEqual([
      { day: '2026-03-02', name: 'dwell', note: '13 s, twice' },
    ])
    expect(writeRows(notes, [{ day: '2026-03-02', name: 'dwell', note: '' }])).toBe('2026-03-02, dwell')
  })
  it('say which is wrong, and what is right', () => {
    for (const [form, typed] of [
      [screens, '2 24 2.90'],
      [screens, '2: '],
      [garments, 'Sock 3'],
      [garments, 'Tee'],
      [notes, '2026-03-02'],
    ] as const)
      expect(readRows(form, typed)).toBe(`"${typed.trim()}" is not like "${form.example}".`)
    expect(readRows(garments, '')).toEqual([])
  })
})

it('a thing is called by its name, or by who sells what', () => {
  expect(nameOf({ name: 'Skua', supplier: 'x' })).toBe('Skua')
  expect(nameOf({ supplier: 'Ferrow', product: 'Film' })).toBe('Ferrow Film')
  expect(nameOf({ id: '7' })).toBe('7')
})

const view = (key: string, shape: Parameters<typeof fieldOf>[0]['shape'], more = {}) => ({
  key,
  label: key,
  shape,
  help: '',
  lines: 1,
  longest: null,
  mayBeEmpty: false,
  options: [],
  rows: null,
  shownTimes: 1,
  typedWithout: '',
  least: null,
  most: null,
  ...more,
})

describe('fields of the numbers', () => {
  const typed = (field: ReturnType<typeof view>, value: object, text: string) => fieldOf(field).set(value, text)

  it('are steps of a quantity one behind the other', () => {
    const prices = { steps: [12, 24] }
    const steps = view('steps', 'counts')
    expect(fieldOf(steps).get(prices)).toBe('12, 24')
    expect(typed(steps, prices, '6; 12 1001')).toBeUndefined()
    expect(prices.steps).toEqual([6, 12, 1001])
    expect(typed(steps, prices, 'six')).toMatch(/"six" is not like/)
    expect(prices.steps).toEqual([6, 12, 1001])
  })

  it('are hours of a day, or a word for none', () => {
    const week = { days: [{ open: null, close: null }] as { open: string | null; close: string | null }[] }
    const sunday = view('days.0', 'hours', { options: [{ value: '', label: 'closed' }] })
    expect(fieldOf(sunday).get(week)).toBe('closed')
    expect(typed(sunday, week, '8:05 - 18')).toBeUndefined()
    expect(week.days[0]).toEqual({ open: '08:05:00', close: '18:00:00' })
    expect(typed(sunday, week, 'noon')).toMatch(/"noon" is not like "8–18" or "closed"/)
    expect(typed(sunday, week, 'Closed')).toBeUndefined()
    expect(week.days[0]).toEqual({ open: null, close: null })
  })

  it('are days, each as it is written everywhere', () => {
    const away = { days: [] as string[] }
    const off = view('days', 'days')
    expect(typed(off, away, '2026-12-24, 2027-01-02')).toBeUndefined()
    expect(away.days).toEqual(['2026-12-24', '2027-01-02'])
    expect(typed(off, away, '2026-13-24')).toMatch(/"2026-13-24" is not a day/)
    expect(typed(off, away, '')).toBeUndefined()
    expect(away.days).toEqual([])
  })

  it('are a time, or none', () => {
    const person: { lunch: string | null } = { lunch: '12:15:00' }
    const lunch = view('lunch', 'time')
    expect(fieldOf(lunch).get(person)).toBe('12:15')
    typed(lunch, person, '')
    expect(person.lunch).toBeNull()
    typed(lunch, person, '13:00')
    expect(person.lunch).toBe('13:00:00')
  })

  it('are not typed while they follow from a list', () => {
    const fields = [view('wage', 'number', { typedWithout: 'week.people' }), view('tariff', 'number')]
    const shop = { wage: 18, tariff: 0.2, week: { people: [] as object[] } }
    expect(formFor(fields, shop).map((f) => f.label)).toEqual(['wage', 'tariff'])
    shop.week.people.push({})
    expect(formFor(fields, shop).map((f) => f.label)).toEqual(['tariff'])
  })
})
