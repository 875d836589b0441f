import type { Schemas } from '../../api/client'
import type { Waiting } from './outbox'

export type Task = Schemas['RunTask']
export type RunState = Schemas['RunState']
export const keyOf = (t: { pieceNo: number; attempt: number; pass: number }): string =>
  `${t.pieceNo}.${t.attempt}.${t.pass}`

/** Verdicts of this device that the server has not answered yet, by piece. */
export function pendingVerdicts(waiting: Waiting[]): Map<string, Waiting> {
  const verdicts = new Map<string, Waiting>()
  for (const w of waiting) {
    if (w.body.verdict === 'taken-back') verdicts.delete(keyOf(w.body))
    else verdicts.set(keyOf(w.body), w)
  }
  return verdicts
}

/** What this device has still to do: the server's list less what is judged here, from this device's end of it. */
export function tasksLeft(todo: Task[], waiting: Waiting[], fromEnd: boolean): Task[] {
  const judged = pendingVerdicts(waiting)
  const spoiled = new Set(
    [...judged.values()].filter((w) => w.body.verdict === 'spoiled').map((w) => `${w.body.pieceNo}.${w.body.attempt}`),
  )
  const left = todo.filter((t) => !judged.has(keyOf(t)) && !spoiled.has(`${t.pieceNo}.${t.attempt}`))
  return fromEnd ? left.sort((a, b) => a.fromEnd - b.fromEnd) : left
}

/** The newer of two states of a run: an answer that was under way while a verdict went past it must not undo what is drawn. */
export function newest(have: RunState | null, got: RunState): RunState {
  return have && have.events > got.events ? have : got
}

/** Whether a piece of this task's pass is good already: by what the server counted, or by what this device said and has not yet sent. */
export function approved(state: RunState | null, waiting: Waiting[], task: Pick<Task, 'lineId' | 'pass'>): boolean {
  const mine = (state?.pieces ?? []).filter((p) => p.lineId === task.lineId)
  if (mine.some((p) => p.passes >= task.pass)) return true
  const numbers = new Set(mine.map((p) => p.pieceNo))
  return [...pendingVerdicts(waiting).values()].some(
    (w) => w.body.verdict === 'good' && w.body.pass === task.pass && numbers.has(w.body.pieceNo),
  )
}

/** What the verdicts that wait on this device add to the count: a piece is good with its last pass, a verdict taken back counts the other way. */
export function waitingTally(
  waiting: Waiting[],
  state: RunState,
  lines: { lineId: string; passes: unknown[] }[],
): { good: number; spoiled: number } {
  const pieces = new Map(state.pieces.map((p) => [p.pieceNo, p]))
  const last = (pieceNo: number) =>
    lines.find((l) => l.lineId === pieces.get(pieceNo)?.lineId)?.passes.length ?? Number.NaN
  const tally = { good: 0, spoiled: 0 }
  for (const { body } of pendingVerdicts(waiting).values()) {
    const piece = pieces.get(body.pieceNo)
    // answered, and only not yet out of the box
    const counted = piece?.standing === 'good' || (piece?.attempt ?? 0) > body.attempt
    if (counted) continue
    if (body.verdict === 'spoiled') tally.spoiled++
    else if (body.pass === last(body.pieceNo)) tally.good++
  }
  const here = new Set(waiting.filter((w) => w.body.verdict !== 'taken-back').map((w) => w.eventId))
  for (const { body } of waiting) {
    if (body.verdict !== 'taken-back' || here.has(body.takesBack ?? '')) continue
    const piece = pieces.get(body.pieceNo)
    if (piece?.standing === 'good' && body.pass === last(body.pieceNo)) tally.good--
    else if ((piece?.attempt ?? 0) > body.attempt) tally.spoiled--
  }
  return tally
}
