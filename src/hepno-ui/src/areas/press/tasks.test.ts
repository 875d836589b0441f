import { expect, it } from 'vitest'
import type { EventBody, Waiting } from './outbox'
import { newest, type RunState, type Task, tasksLeft, waitingTally } from './tasks'

const todo: Task[] = [1, 2].flatMap((pass) =>
  [1, 2, 3].map((pieceNo) => ({
    lineId: '1',
    pieceNo,
    attempt: 1,
    pass,
    size: 'M',
    says: '',
    fromEnd: pass * 3 - pieceNo,
  })),
)
const said = (pieceNo: number, pass: number, verdict: EventBody['verdict']): Waiting => ({
  eventId: `${pieceNo}${pass}${verdict}`,
  run: 'r',
  at: 0,
  body: {
    pieceNo,
    attempt: 1,
    pass,
    size: 'M',
    verdict,
    reason: null,
    takesBack: verdict === 'taken-back' ? 'x' : null,
    secondsOnPiece: 1,
    laps: null,
  },
})
const numbers = (tasks: Task[]) => tasks.map((t) => `${t.pieceNo}.${t.pass}`)

it('leaves out what is judged here and not yet answered', () => {
  expect(numbers(tasksLeft(todo, [said(1, 1, 'good')], false))).toEqual(['2.1', '3.1', '1.2', '2.2', '3.2'])
})
it('a spoiled blank goes through no further pass', () => {
  expect(numbers(tasksLeft(todo, [said(2, 1, 'spoiled')], false))).toEqual(['1.1', '3.1', '1.2', '3.2'])
})
it('a verdict taken back is to do again', () => {
  expect(numbers(tasksLeft(todo, [said(1, 1, 'good'), said(1, 1, 'taken-back')], false))[0]).toBe('1.1')
})
it('a second pair of hands begins at the far end', () => {
  expect(numbers(tasksLeft(todo, [], true))).toEqual(['3.1', '2.1', '1.1', '3.2', '2.2', '1.2'])
})
it('an older answer that comes later changes nothing', () => {
  const state = (events: number): RunState => ({
    good: events,
    spoiled: 0,
    counted: events,
    sizes: [],
    pieces: [],
    todo: [],
    notCounted: [],
    last: null,
    events,
  })
  expect(newest(null, state(0)).events).toBe(0)
  expect(newest(state(2), state(1)).events).toBe(2)
  expect(newest(state(2), state(3)).events).toBe(3)
})

it('what waits here counts as it will', () => {
  const piece = (pieceNo: number, standing: string, attempt = 1) => ({
    lineId: '1',
    pieceNo,
    standing,
    attempt,
    passes: 0,
    size: 'M',
  })
  const state = {
    pieces: [piece(1, 'todo'), piece(2, 'todo'), piece(3, 'good'), piece(4, 'todo', 2)],
  } as unknown as RunState
  const lines = [{ lineId: '1', passes: [1, 2] }]
  const tally = (...waiting: Waiting[]) => waitingTally(waiting, state, lines)
  // good with the last of its two passes only; one answered already is not counted again
  expect(tally(said(1, 1, 'good'), said(1, 2, 'good'), said(2, 1, 'spoiled'), said(3, 2, 'good'))).toEqual({
    good: 1,
    spoiled: 1,
  })
  // taken back: of one that waits, of one that was counted good, of one that was counted spoiled
  expect(
    tally(said(1, 2, 'good'), {
      ...said(1, 2, 'taken-back'),
      body: { ...said(1, 2, 'taken-back').body, takesBack: '12good' },
    }),
  ).toEqual({ good: 0, spoiled: 0 })
  expect(tally(said(3, 2, 'taken-back'))).toEqual({ good: -1, spoiled: 0 })
  expect(tally(said(4, 1, 'taken-back'))).toEqual({ good: 0, spoiled: -1 })
})
