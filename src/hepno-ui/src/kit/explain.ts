import { reactive } from 'vue'
import type { Schemas } from '../api/client'

/** The figure now opened down to its parts, or null. */
export const explained = reactive({ figure: null as Schemas['Figure'] | null })

export function explain(figure: Schemas['Figure'] | undefined | null): void {
  explained.figure = figure ?? null
}
