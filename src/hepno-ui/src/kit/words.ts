/** The words of the screens, in one place. */
export const stations = ['ask', 'compare', 'layout', 'quote', 'gather', 'press', 'send', 'learn'] as const
export type StationName = (typeof stations)[number]

export const stationWord: Record<StationName, string> = {
  ask: 'Ask',
  compare: 'Compare',
  layout: 'Lay out',
  quote: 'Quote',
  gather: 'Gather',
  press: 'Press',
  send: 'Send',
  learn: 'Learn',
}

export const placeWord: Record<string, string> = {
  front: 'Front',
  'left-chest': 'Left chest',
  back: 'Back',
  'left-sleeve': 'Left sleeve',
  'right-sleeve': 'Right sleeve',
  nape: 'Nape',
  'cap-front': 'Cap front',
  'bag-face': 'Bag face',
}

export const kindWord: Record<string, string> = {
  tee: 'Tee',
  sweatshirt: 'Sweatshirt',
  hoodie: 'Hoodie',
  tote: 'Tote',
  apron: 'Apron',
  cap: 'Cap',
}

export const sourceWord: Record<string, string> = {
  'own-test': 'tested here',
  maker: "maker's word",
  assumed: 'assumed: spot-test first',
}

export const stratumLetter: Record<string, string> = {
  blank: 'B',
  decoration: 'P',
  consumables: 'C',
  labour: 'L',
  press: 'H',
  spoilage: 'S',
  packing: 'K',
}

/** A step of pressing as Learn has it. */
export const stepWord: Record<string, string> = {
  lay: 'laying',
  press: 'the press closed',
  peel: 'peeling, looking',
  again: 'second press',
}

export const methodWord: Record<string, string> = {
  'dtf-bought': 'Film, bought in',
  'dtf-made': 'Film, made here',
  'screen-transfer': 'Screened transfers',
  htv: 'Layered vinyl',
  sublimation: 'Dye sublimation',
}
