import drawn from '../../../Hepno.Core/Blanks/outlines.json'

/** One side of a garment as it lies flat, in inches. */
export interface OutlineSide {
  path: string
  seams: string
  straps?: string
}

/** A kind of garment, drawn in the size it names: left, top, width and height of its box. */
export interface Outline {
  size: string
  box: number[]
  front: OutlineSide
  back: OutlineSide
}

export const outlines: Record<string, Outline> = drawn

/** Whether ink or bleach reads better on a cloth colour. */
export function onCloth(hex: string): string {
  const n = parseInt(hex.slice(1), 16)
  return ((n >> 16) & 255) * 0.3 + ((n >> 8) & 255) * 0.59 + (n & 255) * 0.11 > 140 ? 'var(--ink)' : 'var(--bleach)'
}
