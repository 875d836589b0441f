import { reactive } from 'vue'

/** The decimal mark figures are written with here: the shop's own once it is known. */
export const marks = reactive({ decimal: '.' })

/** What was typed as a number: the number, the two it could mean, or nothing. */
type Read = number | [number, number] | null

const grouped = (whole: string, mark: string) => new RegExp(`^-?\\d{1,3}(\\${mark}\\d{3})+$`).test(whole)
const without = (text: string, mark: string) => text.split(mark).join('')

function readOne(typed: string): Read {
  const text = typed.replace(/[\s'’]/g, '').replace('−', '-')
  if (!/^-?[\d.,]*\d[\d.,]*$/.test(text)) return null
  const last = text.lastIndexOf('.') > text.lastIndexOf(',') ? '.' : ','
  const other = last === '.' ? ',' : '.'
  const [whole = '', part, ...more] = text.split(last)
  if (part === undefined) return Number(text)
  // 1.234.567: thousands alone
  if (more.length > 0) return grouped(text, last) ? Number(without(text, last)) : null
  if (whole.includes(other)) return grouped(whole, other) ? Number(`${without(whole, other)}.${part}`) : null
  const decimal = Number(`${whole}.${part}`)
  return last !== marks.decimal && grouped(text, last) && !/^-?0/.test(whole)
    ? [Number(without(text, last)), decimal]
    : decimal
}

/** A number by the shop's marks, or null where it is none or could be two. Sums are accepted: 24+12. */
export function readNumber(typed: string): number | null {
  const read = typed.split('+').map(readOne)
  return read.every((n) => typeof n === 'number') ? Number(read.reduce((a, b) => a + b, 0).toFixed(9)) : null
}

/** Why a number was not read: it could mean two things, or is none. */
export function unread(typed: string): string {
  const two = typed
    .split('+')
    .map(readOne)
    .find((n): n is [number, number] => Array.isArray(n))
  return two
    ? `"${typed}" could mean ${writeNumber(two[0])} or ${writeNumber(two[1])}. Type the one you mean.`
    : `"${typed}" is not a number.`
}

/** A number as it is typed here, to six decimals. */
export const writeNumber = (n: number): string => String(Number(n.toFixed(6))).replace('.', marks.decimal)
