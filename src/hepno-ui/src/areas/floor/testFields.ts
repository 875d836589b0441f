import type { Schemas } from '../../api/client'
import { choice, type Field, num, readCell, text } from '../../kit/fields'
import { bleedingWord } from '../../words/words'

type SpotTest = Schemas['SpotTest']
export const freshSpotTest = (productId: string, styleId: string, today: string): Omit<SpotTest, 'id'> => ({
  productId,
  styleId,
  colourwayId: '',
  temperatureF: 310,
  dwellSeconds: 15,
  pressure: 'medium',
  day: today,
  by: '',
  sticks: true,
  scorched: false,
  bleeding: 'not-looked',
  feel: '',
  note: '',
  washes: [],
  garmentId: '',
  photos: [],
})

const either = (label: string, key: 'sticks' | 'scorched', on: string, off: string): Field<SpotTest> => ({
  label,
  options: [
    { value: 'true', label: on },
    { value: 'false', label: off },
  ],
  get: (t) => String(t[key]),
  set: (t, v) => void (t[key] = v === 'true'),
})

export const spotTestFields = (
  products: Record<string, string>,
  styles: Schemas['Style'][],
  garments: Schemas['TestGarment'][],
): Field<SpotTest>[] => [
  choice('Product', 'productId', products),
  choice('On the blank', 'styleId', Object.fromEntries(styles.map((s) => [s.id, s.name]))),
  {
    label: 'In the colour; empty for all',
    get: (t) => styles.find((s) => s.id === t.styleId)?.colourways.find((c) => c.id === t.colourwayId)?.name ?? '',
    set: (t, name) => {
      if (name === '') return void (t.colourwayId = '')
      const style = styles.find((s) => s.id === t.styleId)
      const found = style?.colourways.find((c) => c.name.toLowerCase() === name.trim().toLowerCase())
      if (!found)
        return `${style?.name ?? 'It'} has no "${name}": ${style?.colourways.map((c) => c.name).join(', ') ?? ''}.`
      t.colourwayId = found.id
    },
  },
  choice('Pressed on', 'garmentId', { '': 'a scrap', ...Object.fromEntries(garments.map((g) => [g.id, g.name])) }),
  num('The cloth got, °F', 'temperatureF'),
  num('Pressed, s', 'dwellSeconds'),
  choice('Pressure', 'pressure', { light: 'light', medium: 'medium', firm: 'firm', heavy: 'heavy' }),
  text('On', 'day', { type: 'date' }),
  text('By', 'by'),
  either('Pulled and stretched', 'sticks', 'it sticks', 'it lifts'),
  either('The cloth', 'scorched', 'shines or is scorched', 'looks as before'),
  choice('Its dye, after a day', 'bleeding', bleedingWord),
  text('Feels', 'feel'),
  {
    label: 'Washes, a line each: day, washes, holds fades cracks or lifts',
    lines: 2,
    wide: true,
    get: (t) => t.washes.map((w) => `${w.day}, ${w.washes}, ${w.verdict}`).join('\n'),
    set: (t, typed) => {
      const all: Schemas['WashResult'][] = []
      for (const row of typed.split('\n').filter((l) => l.trim() !== '')) {
        const [day, washes, verdict] = row.split(/[\t,;]/).map((x) => x.trim())
        const n = readCell(washes ?? '')
        if (
          !/^\d{4}-\d\d-\d\d$/.test(day ?? '') ||
          n === null ||
          !['holds', 'fades', 'cracks', 'lifts'].includes(verdict ?? '')
        )
          return `"${row}" is not like "2026-06-14, 5, holds".`
        all.push({ day: day!, washes: n, verdict: verdict as Schemas['WashVerdict'] })
      }
      t.washes = all
    },
  },
  text('Note', 'note', { wide: true, lines: 2 }),
]
