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

/** Where an order stands, or how it left the line. */
export const stands = (order: { station: string; ended: string }): string =>
  order.ended || (stationWord[order.station as StationName] ?? 'closed')

/** What the shop calls a place. */
export const placeName = (places: readonly { id: string; name: string }[] | undefined, id: string): string =>
  places?.find((p) => p.id === id)?.name ?? 'Print'

export const kindWord: Record<string, string> = {
  tee: 'Tee',
  sweatshirt: 'Sweatshirt',
  hoodie: 'Hoodie',
  tote: 'Tote',
  apron: 'Apron',
  cap: 'Cap',
  'long-sleeve': 'Long-sleeved tee',
  tank: 'Tank',
  'zip-hoodie': 'Zip hoodie',
  polo: 'Polo',
  jacket: 'Jacket',
  joggers: 'Joggers',
  'drawstring-bag': 'Drawstring bag',
  socks: 'Socks',
  bodysuit: 'Bodysuit',
}

export const sourceWord: Record<string, string> = {
  'own-test': 'tested here',
  maker: "maker's word",
  learned: 'learned from runs',
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

/** How a vinyl looks. */
export const finishWord: Record<string, string> = {
  plain: 'plain',
  stretch: 'low-heat stretch',
  flock: 'flock',
  glitter: 'glitter',
  puff: 'puff',
  reflective: 'reflective',
  metallic: 'metallic',
  glowing: 'glowing in the dark',
}

/** What each piece has of its own at a print. */
export const ownWord: Record<string, string> = {
  none: 'the same on all',
  name: 'each its own name',
  number: 'each its own number',
  'name-and-number': 'each its own name and number',
}

/** What lies in or on a press besides its platens. */
export const accessoryWord: Record<string, string> = {
  pillow: 'pillow',
  foam: 'foam',
  'cover-sheet': 'cover',
  jig: 'jig',
}

/** What goes into a printer. */
export const supplyWord: Record<string, string> = {
  'colour-ink': 'colour ink',
  'white-ink': 'white ink',
  film: 'film',
  powder: 'powder',
  'dye-ink': 'dye ink',
  paper: 'paper',
}

/** What cured powder looked like. */
export const cureSignWord: Record<string, string> = {
  'not-seen': 'nothing seen',
  glossy: 'glossy',
  dull: 'dull or grainy',
  yellowed: 'yellowed or oily',
}

/** A colour patch pressed before or after a batch. */
export const patchWord: Record<string, string> = {
  'not-yet': 'not pressed yet',
  holds: 'holds',
  lifts: 'lifts',
}

/** Where the right to print an artwork comes from. */
export const rightsWord: Record<string, string> = {
  unsaid: 'nobody asked yet',
  ours: 'we drew it',
  customers: "it is the customer's",
  'stock-licence': "a stock graphic's licence",
  'font-licence': "a font's licence",
  'club-mark': "a club's, school's or firm's mark",
  'famous-one': 'a famous face, character, brand',
}

/** A step of pressing as Learn has it. */
export const stepWord: Record<string, string> = {
  lay: 'laying',
  press: 'the press closed',
  peel: 'peeling, looking',
  again: 'second press',
}

export const coverWord: Record<string, string> = {
  none: 'none: the carrier is its own',
  sheet: 'cover sheet',
  'release-sheet': 'release sheet',
  parchment: 'parchment',
  'single-use': 'paper for one press',
}

export const bleedingWord: Record<string, string> = {
  'not-looked': 'not looked at yet',
  clean: 'stayed where it was',
  bled: 'came through',
}

export const floorWord = { stream: 'stream', 'one-at-a-time': 'one at a time' } as const

export const everyWord = {
  day: 'every day',
  week: 'every week',
  month: 'every month',
  'as-needed': 'as needed',
} as const

export const pullWord = {
  slides: 'slides out',
  drags: 'comes with a drag',
  stiff: 'comes when pulled hard',
  holds: 'does not come',
  tears: 'tears first',
} as const

/** Inputs of a price that may be tried at another level. */
export const triedWord = {
  blank: 'Blanks',
  film: 'Film, transfers, vinyl, paper',
  ink: 'Ink, powder, thread',
  sentOut: 'What is sent out',
  wage: 'Wage',
  overhead: 'Rent and the rest',
  spoilage: 'Spoilage',
}
