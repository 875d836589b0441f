import dayNames from '../../../Hepno.Core/Measures/day-names.json'
import type { Schemas } from '../api/client'

/** Figures as text. The core's Shown makes the same text for documents; both run tests/cases/shown.csv. */
export type Format = Schemas['FigureFormat']

/** As many letters of some words as there is room for; what is cut off ends in a dot row, and where there is hardly room nothing is shown. */
export function shortened(words: string, room: number): string {
  if (words.length <= room) return words
  return room < 4 ? '' : `${words.slice(0, Math.floor(room) - 1).trimEnd()}…`
}

const minus = '\u2212'

/** Half away from zero, on the decimal text, so that 1.005 is not lost to binary. */
function rounded(value: number, digits: number): string {
  const shifted = Math.round(Number(`${Math.abs(value)}e${digits}`))
  return Number.isFinite(shifted) ? (shifted / 10 ** digits).toFixed(digits) : Math.abs(value).toFixed(digits)
}

function grouped(value: number, digits: number, f: Format): string {
  const [whole = '0', part] = rounded(value, digits).split('.')
  const text = whole.replace(/\B(?=(\d{3})+(?!\d))/g, f.groupMark) + (part ? f.decimalMark + part : '')
  return value < 0 && /[1-9]/.test(text) ? minus + text : text
}

export const bare = (amount: number, f: Format): string => grouped(amount, f.minorDigits, f)

export function money(amount: number, f: Format): string {
  const text = grouped(Math.abs(amount), f.minorDigits, f)
  const signed = f.signAfter ? `${text} ${f.sign}` : `${f.sign}${text}`
  return amount < 0 && /[1-9]/.test(text) ? minus + signed : signed
}

/** +5.27 or −1.00, as beside a bar. */
export const margin = (amount: number, f: Format): string => (amount < 0 ? bare(amount, f) : `+${bare(amount, f)}`)

export const anHour = (amount: number, f: Format): string =>
  money(Math.sign(amount) * Number(rounded(amount, 0)), { ...f, minorDigits: 0 })

export function number(value: number, decimals: number, f: Format): string {
  const text = grouped(value, decimals, f)
  return decimals === 0 ? text : text.replace(/0+$/, '').replace(new RegExp(`\\${f.decimalMark}$`), '')
}

export function length(inches: number, f: Format): string {
  return f.metric ? `${number(inches * 2.54, 1, f)} cm` : `${number(inches, 2, f)} in`
}

/** A length of roll, in what rolls are sold by. */
export function rollLength(inches: number, f: Format): string {
  return f.metric ? `${number((inches * 2.54) / 100, 2, f)} m` : `${number(inches / 12, 2, f)} ft`
}

/** A temperature typed in the shop's unit, in °F; and back. */
export const toFahrenheit = (typed: number, f: Format): number => (f.celsius ? (typed * 9) / 5 + 32 : typed)
export const fromFahrenheit = (t: number, f: Format): number => (f.celsius ? ((t - 32) * 5) / 9 : t)

export function duration(seconds: number): string {
  if (seconds < 120) return `${Math.round(seconds)} s`
  const minutes = Math.round(seconds / 60)
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
}

/** Names of days and months by language: the core reads the same file. */
const namesIn = (f: Format) => dayNames[f.language as keyof typeof dayNames] ?? dayNames.en

/** A local date or wall-clock time of the API; it has no zone and is never moved into one. */
function wall(iso: string): Date {
  return new Date(`${iso.slice(0, 10)}T${iso.length > 10 ? iso.slice(11, 16) : '12:00'}:00Z`)
}

export function day(iso: string, f: Format): string {
  const d = wall(iso)
  const names = namesIn(f)
  const [weekday, month] = [names.days[d.getUTCDay()], names.months[d.getUTCMonth()]]
  return f.dayFirst ? `${weekday} ${d.getUTCDate()} ${month}` : `${weekday} ${month} ${d.getUTCDate()}`
}

export function clock(iso: string, f: Format): string {
  const at = iso.length > 8 ? iso.slice(11, 16) : iso.slice(0, 5)
  const hour = Number(at.slice(0, 2))
  const minute = at.slice(3, 5)
  if (!f.twelveHours) return `${hour}:${minute}`
  return `${hour % 12 || 12}:${minute} ${hour < 12 ? 'am' : 'pm'}`
}

export const moment = (iso: string, f: Format): string => `${day(iso, f)} ${clock(iso, f)}`

/** A figure of the core, by what it counts. */
export function figure(value: number, unit: Schemas['FigureUnit'], f: Format): string {
  switch (unit) {
    case 'money':
      return Math.abs(value) < 1 && value !== 0
        ? money(value, { ...f, minorDigits: Math.max(4, f.minorDigits) })
        : money(value, f)
    case 'money-an-hour':
      return `${money(value, f)} an hour`
    case 'seconds':
      return value < 120 ? `${number(value, 1, f)} s` : `${number(value / 60, 1, f)} min`
    case 'inches':
      return length(value, f)
    case 'share':
      return `${number(value * 100, 2, f)}%`
    default:
      return number(value, 4, f)
  }
}

/** Minutes since midnight of a wall-clock time. */
export const minuteOf = (iso: string): number =>
  Number(iso.slice(11, 13)) * 60 + Number(iso.slice(14, 16)) + Number(iso.slice(17, 19) || 0) / 60
