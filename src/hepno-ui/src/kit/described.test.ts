import { describe, expect, it } from 'vitest'
import { nameOf, readRows, writeRows } from './described'

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
