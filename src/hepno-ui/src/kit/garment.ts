/** Garments as they lie flat, in inches; x from the middle, y from the collar or top edge. Size M or the one size. */
export interface Outline {
  path: string
  seams: string
  width: number
  height: number
  left: number
  top: number
}

const tee = 'M-4 0 C-3 2.6 3 2.6 4 0 L8 1.2 L16.5 8 L13.2 13 L10 10.4 V28 H-10 V10.4 L-13.2 13 L-16.5 8 L-8 1.2 Z'
const long =
  'M-4 0 C-3 2.6 3 2.6 4 0 L8 1.2 L14 9 L16.5 25 L12.6 26 L10.6 11 V28 H-10.6 V11 L-12.6 26 L-16.5 25 L-14 9 L-8 1.2 Z'

export const outlines: Record<string, Outline> = {
  tee: {
    path: tee,
    seams: 'M-8 1.2 L-10 10.4 M8 1.2 L10 10.4 M-10 27 H10',
    width: 34,
    height: 29,
    left: -17,
    top: -0.5,
  },
  sweatshirt: {
    path: long,
    seams: 'M-8 1.2 L-10.6 11 M8 1.2 L10.6 11 M-10.6 26 H10.6',
    width: 34,
    height: 29,
    left: -17,
    top: -0.5,
  },
  hoodie: {
    path: `${long} M-4 0 C-6 -5 6 -5 4 0`,
    seams: 'M-8 1.2 L-10.6 11 M8 1.2 L10.6 11 M-6 27 L-4 19 H4 L6 27',
    width: 34,
    height: 33.5,
    left: -17,
    top: -5,
  },
  tote: {
    path: 'M-7.5 0 H7.5 V16 H-7.5 Z M-4 0 C-4 -9 4 -9 4 0',
    seams: 'M-7.5 1 H7.5',
    width: 16,
    height: 25,
    left: -8,
    top: -8,
  },
  cap: {
    path: 'M-4.2 5 C-4.6 -1.6 4.6 -1.6 4.2 5 C6.4 5.6 7 6.8 6.4 7.6 C2 6 -2 6 -6.4 7.6 C-7 6.8 -6.4 5.6 -4.2 5 Z',
    seams: 'M-4.2 5 C-2 4.4 2 4.4 4.2 5 M0 0 V4.6',
    width: 14,
    height: 10,
    left: -7,
    top: -1,
  },
  apron: {
    path: 'M-5 0 H5 C5 5 8 9 11 11 V30 H-11 V11 C-8 9 -5 5 -5 0 Z',
    seams: 'M-5 19 H5 V26 H-5 Z',
    width: 24,
    height: 31,
    left: -12,
    top: -0.5,
  },
}

/** Where a print of a size lies on the outline: its top left corner. */
export function lies(place: string, width: number, height: number): { x: number; y: number } {
  switch (place) {
    case 'left-chest':
      return { x: 4 - width / 2, y: 2 + 3.5 }
    case 'back':
      return { x: -width / 2, y: 1 + 4 }
    case 'left-sleeve':
      return { x: 12.4 - width / 2, y: 11.4 - 1 - height }
    case 'right-sleeve':
      return { x: -12.4 - width / 2, y: 11.4 - 1 - height }
    case 'nape':
      return { x: -width / 2, y: 1.5 }
    case 'cap-front':
      return { x: -width / 2, y: 5 - 0.5 - height }
    case 'bag-face':
      return { x: -width / 2, y: 3 }
    default:
      return { x: -width / 2, y: 2 + 3 }
  }
}

/** Whether ink or bleach reads better on a cloth colour. */
export function onCloth(hex: string): string {
  const n = parseInt(hex.slice(1), 16)
  return ((n >> 16) & 255) * 0.3 + ((n >> 8) & 255) * 0.59 + (n & 255) * 0.11 > 140 ? 'var(--ink)' : 'var(--bleach)'
}
