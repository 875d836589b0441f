import type { KeptClock, Laps } from './kept'
import { keyOf, type Task } from './tasks'

const tenths = (ms: number): number => Math.round(ms / 100) / 10

/** How long the steps of a piece took: each ends where a platen closes or opens, or with a verdict. */
export function stepClock() {
  let sinceVerdict = performance.now()
  let sinceStep = sinceVerdict
  let laps: Laps = {}

  function lap(task: Task | undefined, step: string): void {
    const at = performance.now()
    if (task) laps[keyOf(task)] = [...(laps[keyOf(task)] ?? []), { step, seconds: tenths(at - sinceStep) }]
    sinceStep = at
  }
  /** The piece is judged: its seconds and its last steps, which are forgotten here. */
  function judged(task: Task): { secondsOnPiece: number; laps: Laps[string] } {
    const at = performance.now()
    const secondsOnPiece = tenths(at - sinceVerdict)
    sinceVerdict = at
    lap(task, 'peel')
    const { [keyOf(task)]: taken = [], ...others } = laps
    laps = others
    return { secondsOnPiece, laps: taken.slice(-20) }
  }
  /** Time that was held belongs to nothing. */
  function paused(ms: number): void {
    sinceVerdict += ms
    sinceStep += ms
  }
  /** As it is kept: on a clock that outlives the page, `by` later than this page's. */
  const kept = (by: number): KeptClock => ({ sinceVerdict: sinceVerdict + by, sinceStep: sinceStep + by, laps })
  function restore(from: KeptClock, by: number): void {
    sinceVerdict = from.sinceVerdict - by
    sinceStep = (from.sinceStep ?? from.sinceVerdict) - by
    laps = from.laps ?? {}
  }
  return { lap, judged, paused, kept, restore }
}
