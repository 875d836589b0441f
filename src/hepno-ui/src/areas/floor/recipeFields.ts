import type { Schemas } from '../../api/client'
import { choice, type Field, num, text } from '../../kit/fields'
import { readNumber, unread, writeNumber } from '../../words/numbers'
import { coverWord } from '../../words/words'

type Recipe = Schemas['Recipe']

export const freshRecipe = (productId: string, today: string): Omit<Recipe, 'id'> => ({
  productId,
  revision: '',
  fabric: 'cotton',
  temperatureF: 310,
  dwellSeconds: 15,
  dwellSlackSeconds: 3,
  pressure: 'medium',
  prePressSeconds: 5,
  peel: 'cold',
  peelAfterSeconds: 60,
  secondPressSeconds: 8,
  side: 'film up, right-reading',
  source: 'assumed',
  asOf: today,
  caution: 'Spot-test first.',
  cover: 'none',
  neverAgain: false,
  peelWindowSeconds: null,
  parameters: [],
})

const sourceFrom: Record<string, string> = {
  'own-test': 'our own test',
  maker: "the maker's sheet",
  learned: 'our runs',
  assumed: 'assumed',
}

export const recipeFields = (products: Record<string, string>): Field<Recipe>[] => [
  choice('Product', 'productId', products),
  choice('On', 'fabric', { cotton: 'half cotton or more', polyester: 'more polyester' }),
  text('Revision of the sheet', 'revision'),
  num('Temperature, °F', 'temperatureF'),
  num('Press, s', 'dwellSeconds'),
  num('Slack, s', 'dwellSlackSeconds'),
  choice('Pressure', 'pressure', { light: 'light', medium: 'medium', firm: 'firm', heavy: 'heavy' }),
  num('Pre-press, s', 'prePressSeconds'),
  choice('Peel', 'peel', { hot: 'hot', warm: 'warm', cold: 'cold' }),
  num('Peel after, s', 'peelAfterSeconds'),
  {
    label: 'Peel window, s; empty: 3 hot, 15 warm',
    number: true,
    get: (r) => (r.peelWindowSeconds === null ? '' : writeNumber(r.peelWindowSeconds)),
    set: (r, t) => {
      if (t === '') return void (r.peelWindowSeconds = null)
      const n = readNumber(t)
      if (n === null) return unread(t)
      r.peelWindowSeconds = n
    },
  },
  choice('Cover, first press', 'cover', coverWord),
  num('Second press, s', 'secondPressSeconds'),
  {
    label: 'Pressed again',
    options: [
      { value: 'may', label: 'may be' },
      { value: 'never', label: 'never: its maker forbids it' },
    ],
    get: (r) => (r.neverAgain ? 'never' : 'may'),
    set: (r, t) => void (r.neverAgain = t === 'never'),
  },
  text('Which side up', 'side'),
  choice('Comes from', 'source', sourceFrom),
  {
    label:
      'Figures from elsewhere, a line each: temperature, dwell, slack, pressure, pre-press, peel, second press, cover or side; own-test, maker, learned or assumed; day; note',
    lines: 2,
    wide: true,
    get: (r) => r.parameters.map((p) => [p.name, p.source, p.asOf, p.note].filter(Boolean).join(', ')).join('\n'),
    set: (r, t) => {
      const all: Schemas['RecipeParameter'][] = []
      for (const row of t.split('\n').filter((l) => l.trim() !== '')) {
        const [name, source, asOf, ...note] = row.split(/[\t,;]/).map((x) => x.trim())
        if (!name || !(source! in sourceFrom) || !/^\d{4}-\d\d-\d\d$/.test(asOf ?? ''))
          return `"${row}" is not like "dwell, learned, 2026-03-02, 13 s still sticks".`
        all.push({ name, source: source as Schemas['RecipeSource'], asOf: asOf!, note: note.join(', ') })
      }
      r.parameters = all
    },
  },
  text('As of', 'asOf', { type: 'date' }),
  text('Caution, shown while pressing', 'caution', { wide: true }),
]
