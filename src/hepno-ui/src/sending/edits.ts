import { reactive } from 'vue'

/** A thing as somebody typed it, on its way: kept on this device until the program has answered for it. */
export interface Edit {
  id: string
  /** The address it is put to. */
  path: string
  /** JSON, as it was typed or as it was merged since. */
  body: string
  headers: Record<string, string>
  /** The version it was typed on; 0 for a new thing. */
  version: number
  /** The newest version that follows from it by this device's changes alone: those collide with nobody, on the next page either. */
  ours: number
  at: number
  /** True once it was sent and nothing came back: it may be there already. */
  tried: boolean
}

/** An edit that was sent again after the page was opened anew, and refused: nobody is there to be told but whoever looks. */
export interface Refused {
  edit: Edit
  sentence: string
}

/** What is typed here and not yet answered for, in the order it was typed. */
export const edits = reactive({ waiting: [] as Edit[], refused: [] as Refused[] })

// an item each: two pages of one browser do not write over each other's
const prefix = 'hepno-edit-'

/** Keeps an edit on this device's disk, or what became of it. */
export function keepHere(edit: Edit): void {
  localStorage.setItem(prefix + edit.id, JSON.stringify(edit))
  edits.waiting = [...edits.waiting.filter((e) => e.id !== edit.id), edit].sort((a, b) => a.at - b.at)
}

/** An edit that was answered for is not kept here any longer. */
export function answered(edit: Edit): void {
  localStorage.removeItem(prefix + edit.id)
  edits.waiting = edits.waiting.filter((e) => e.id !== edit.id)
}

/** Edits an earlier page left here, oldest first; what is typed on this one is on its way already. */
export function leftHere(): Edit[] {
  const own = new Set(edits.waiting.map((e) => prefix + e.id))
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix) && !own.has(key))
    .map((key) => JSON.parse(localStorage.getItem(key)!) as Edit)
    .sort((a, b) => a.at - b.at)
}
