import { reactive } from 'vue'
import type { Schemas } from '../api/client'

type Figure = Schemas['Figure']

/** The figure now opened down to its parts, or null; and the ones beside it that its parts only name. */
export const explained = reactive({ figure: null as Figure | null, beside: {} as Record<string, Figure> })

export function explain(figure: Figure | undefined | null, ...beside: Figure[]): void {
  explained.beside = Object.fromEntries(beside.map((b) => [b.code, b]))
  explained.figure = figure ?? null
}

/** A part as it is opened: one that only names a figure beside it is that figure. */
export function opened(part: Figure): Figure {
  return part.parts.length === 0 && part.source === '' ? (explained.beside[part.code] ?? part) : part
}
