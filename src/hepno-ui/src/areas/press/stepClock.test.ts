import { beforeEach, expect, it, vi } from 'vitest'
import { stepClock } from './stepClock'
import type { Task } from './tasks'

const piece = (pieceNo: number): Task => ({
  lineId: '1',
  pieceNo,
  attempt: 1,
  pass: 1,
  size: 'M',
  says: '',
  fromEnd: 0,
})

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['performance'] })
})

it('each step ends where the next begins, and a verdict ends the piece', () => {
  const steps = stepClock()
  vi.advanceTimersByTime(12_000)
  steps.lap(piece(1), 'lay')
  vi.advanceTimersByTime(15_040)
  steps.lap(piece(1), 'press')
  vi.advanceTimersByTime(3_000)
  expect(steps.judged(piece(1))).toEqual({
    secondsOnPiece: 30,
    laps: [
      { step: 'lay', seconds: 12 },
      { step: 'press', seconds: 15 },
      { step: 'peel', seconds: 3 },
    ],
  })
  // the next piece begins with nothing of the last
  vi.advanceTimersByTime(2_000)
  expect(steps.judged(piece(2))).toEqual({ secondsOnPiece: 2, laps: [{ step: 'peel', seconds: 2 }] })
})

it('what was held belongs to no step', () => {
  const steps = stepClock()
  vi.advanceTimersByTime(70_000)
  steps.paused(60_000)
  expect(steps.judged(piece(1)).secondsOnPiece).toBe(10)
})

it('a page that is opened anew goes on where the last one was', () => {
  const steps = stepClock()
  vi.advanceTimersByTime(5_000)
  steps.lap(piece(1), 'lay')
  const kept = JSON.parse(JSON.stringify(steps.kept(1_000_000))) as ReturnType<typeof steps.kept>
  const again = stepClock()
  again.restore(kept, 1_000_000)
  vi.advanceTimersByTime(4_000)
  expect(again.judged(piece(1))).toEqual({
    secondsOnPiece: 9,
    laps: [
      { step: 'lay', seconds: 5 },
      { step: 'peel', seconds: 4 },
    ],
  })
})
