import type { Task } from './tasks'

/** Seconds of the steps of pieces not yet judged, by task. */
export type Laps = Record<string, { step: string; seconds: number }[]>

/** When the steps of a piece began, and what those before took. */
export interface KeptClock {
  sinceVerdict: number
  sinceStep?: number
  laps?: Laps
}

/** What a device's run must not lose on a reload or when the power goes: times are this machine's own clock, in ms. */
export interface Kept extends KeptClock {
  phase: 'lay' | 'press' | 'again'
  closedAt: number
  held: boolean
  heldAt: number
  rack: { task: Task; cold: number; again: boolean }[]
  mine: { eventId: string; task: Task }[]
}

const key = (id: string) => `hepno-run-${id}`
const longest = 12 * 3_600_000

/** Between the clock of the page, which runs evenly, and the one that outlives it. */
export const offset = (): number => Date.now() - performance.now()

export function keep(id: string, kept: Kept): void {
  localStorage.setItem(key(id), JSON.stringify({ ...kept, at: Date.now() }))
}

/** What was kept, unless it is of another day. */
export function recall(id: string): Kept | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as (Kept & { at: number }) | null
    return kept && Date.now() - kept.at < longest ? kept : null
  } catch {
    return null
  }
}

export const forget = (id: string): void => localStorage.removeItem(key(id))
