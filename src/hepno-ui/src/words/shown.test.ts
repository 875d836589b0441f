import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readCell } from '../kit/fields'
import { anHour, bare, day, duration, length, moment, money, number, rollLength, type Format } from './shown'

const plain: Format = {
  sign: '$',
  signAfter: false,
  decimalMark: '.',
  groupMark: ',',
  minorDigits: 2,
  dayFirst: true,
  twelveHours: false,
  metric: false,
  celsius: false,
  language: 'en',
}
const formats: Record<string, Format> = {
  default: plain,
  continental: { ...plain, sign: '€', signAfter: true, decimalMark: ',', groupMark: '.', metric: true, celsius: true },
  german: { ...plain, language: 'de' },
  french: { ...plain, language: 'fr' },
  american: { ...plain, dayFirst: false, twelveHours: true },
}
const shownBy: Record<string, (value: string, f: Format) => string> = {
  money: (v, f) => money(Number(v), f),
  bare: (v, f) => bare(Number(v), f),
  anHour: (v, f) => anHour(Number(v), f),
  number: (v, f) => number(Number(v), 2, f),
  length: (v, f) => length(Number(v), f),
  roll: (v, f) => rollLength(Number(v), f),
  duration: (v) => duration(Number(v)),
  day,
  moment,
}
const rows = readFileSync('../../tests/cases/shown.csv', 'utf8')
  .split('\n')
  .slice(1)
  .filter(Boolean)
  .map((line) => [...line.matchAll(/("([^"]*)"|[^,]*)(?:,|$)/g)].map((m) => m[2] ?? m[1] ?? ''))

describe('figures, the same table as the core', () => {
  it.each(rows)('%s %s in %s', (kind, value, format, text) => {
    expect(shownBy[kind!]!(value!, formats[format!]!)).toBe(text)
  })
})

describe('figures in a line of several', () => {
  it.each([
    ['24+12', 36],
    ['1.5', 1.5],
    ['1,5', 1.5],
    ['', null],
    ['x', null],
    ['4+', null],
  ])('%s', (typed, read) => expect(readCell(typed)).toBe(read))
})
