import { afterEach, describe, expect, test } from 'vitest'
import { marks, readNumber, unread, writeNumber } from './numbers'

afterEach(() => void (marks.decimal = '.'))

describe('a number is read by the marks of the shop', () => {
  test.each([
    ['.', '1,234.50', 1234.5],
    [',', '1.234,50', 1234.5],
    [',', '287,82', 287.82],
    ['.', '287,82', 287.82],
    ['.', '1.234', 1.234],
    [',', '1,234', 1.234],
    ['.', '12,345,678', 12345678],
    [',', '12.345.678', 12345678],
    ['.', '0,125', 0.125],
    [',', '1 234,5', 1234.5],
    ['.', "1'234.5", 1234.5],
    ['.', '24+12', 36],
    [',', '1,5+2,25', 3.75],
    ['.', '−3', -3],
    ['.', '1,23,4', null],
    ['.', '1.2.3', null],
    ['.', '12,34.5', null],
    ['.', '', null],
    ['.', 'many', null],
    ['.', '1e5', null],
  ])('with "%s" as its decimal mark, %s', (mark, typed, read) => {
    marks.decimal = mark
    expect(readNumber(typed)).toBe(read)
  })

  test('what could mean two things is asked', () => {
    expect(readNumber('1,234')).toBeNull()
    expect(unread('1,234')).toBe('"1,234" could mean 1234 or 1.234. Type the one you mean.')
    marks.decimal = ','
    expect(unread('1.234')).toBe('"1.234" could mean 1234 or 1,234. Type the one you mean.')
    expect(unread('many')).toBe('"many" is not a number.')
  })

  test('and written with them', () => {
    marks.decimal = ','
    expect([writeNumber(1234.5), writeNumber(-0.25), writeNumber(3)]).toEqual(['1234,5', '-0,25', '3'])
    expect(readNumber(writeNumber(1234.567))).toBe(1234.567)
  })
})
