import { expect, test } from 'vitest'
import { type Moment, verbOf } from './verb'

const lay: Moment = {
  held: false,
  done: false,
  waits: false,
  phase: 'lay',
  hasPiece: true,
  work: '',
  first: false,
  seconds: 0,
  over: false,
}
const closed: Moment = { ...lay, phase: 'press', seconds: 12 }

test.each([
  ['Lay', lay],
  ['Stitch', { ...lay, work: 'Stitch' }],
  ['Peel', { ...lay, hasPiece: false }],
  ['Look', { ...lay, hasPiece: false, first: true }],
  ['Press', closed],
  ['Again', { ...closed, phase: 'again' }],
  ['Lift', { ...closed, seconds: 0 }],
  ['Lift', { ...closed, phase: 'again', seconds: -1 }],
  ['Lift now', { ...closed, seconds: -6, over: true }],
  ['Wait', { ...lay, waits: true }],
  ['Done', { ...lay, waits: true, done: true }],
  ['Held', { ...closed, seconds: -6, over: true, held: true }],
] as [string, Moment][])('%s', (word, at) => {
  expect(verbOf(at)).toBe(word)
})
