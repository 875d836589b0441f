import type { Schemas } from '../../api/client'
import { choice, type Field, num, readCell, text } from '../../kit/fields'
import { readNumber, unread, writeNumber } from '../../words/numbers'
import { accessoryWord } from '../../words/words'
import { shop } from '../../state/state'
import { hourFields } from './machineFields'

type Press = Schemas['Press']

export const freshPress = (): Omit<Press, 'id'> => ({
  name: '',
  kind: 'clamshell',
  platenWidthIn: 16,
  platenHeightIn: 20,
  warmUpMinutes: 15,
  riseFPerMinute: 20,
  dropFPerMinute: 5,
  offsetF: null,
  equipment: {
    priceNew: 0,
    resale: 0,
    usefulYears: 5,
    productiveHoursAYear: 600,
    powerKw: 1.8,
    dutyShare: 0.35,
    upkeepPerHour: 0.12,
  },
  lowers: [],
  maps: [],
  dials: [],
  loadsBeside: false,
  accessories: [],
  coldBelowF: 10,
  cautions:
    'The platen burns: gloves, and hands clear. Never leave it closed. Into the wall socket. The maker’s manual decides.',
})

export const pressFields: Field<Press>[] = [
  text('Name', 'name'),
  choice('Kind', 'kind', {
    clamshell: 'clamshell',
    'swing-away': 'swing-away',
    drawer: 'drawer',
    'auto-open': 'auto-open',
    cap: 'cap',
    handheld: 'handheld iron',
    oven: 'oven, cures only',
    conveyor: 'conveyor, cures only',
  }),
  {
    label: 'The next piece is laid',
    options: [
      { value: 'no', label: 'on the press' },
      { value: 'yes', label: 'beside it: second lower platen, shuttle or stand' },
    ],
    get: (p) => (p.loadsBeside ? 'yes' : 'no'),
    set: (p, t) => void (p.loadsBeside = t === 'yes'),
  },
  num('Platen width, in', 'platenWidthIn'),
  num('Platen depth, in', 'platenHeightIn'),
  num('Cold to 300 °F, min', 'warmUpMinutes'),
  num('Heats, °F a minute', 'riseFPerMinute'),
  num('Cools, °F a minute', 'dropFPerMinute'),
  {
    label: 'Measured less set, °F; a platen map says it where there is one',
    number: true,
    get: (p) => (p.offsetF === null ? '' : writeNumber(p.offsetF)),
    set: (p, t) => {
      if (t === '') return void (p.offsetF = null)
      const n = readNumber(t)
      if (n === null) return unread(t)
      p.offsetF = n
    },
  },
  {
    label: 'Lower platens besides its own, a line each: name, width, depth in inches',
    lines: 2,
    wide: true,
    get: (p) => p.lowers.map((l) => `${l.name}, ${l.widthIn}, ${l.heightIn}`).join('\n'),
    set: (p, t) => {
      const lowers = []
      for (const line of t.split('\n').filter((l) => l.trim() !== '')) {
        const [name, width, height] = line.split(/[\t,;]/).map((x) => x.trim())
        const [widthIn, heightIn] = [readCell(width ?? ''), readCell(height ?? '')]
        if (!name || widthIn === null || heightIn === null) return `"${line}" is not like "sleeve, 4.5, 14".`
        lowers.push({ name, widthIn, heightIn })
      }
      p.lowers = lowers
    },
  },
  {
    label:
      'Pillows, foams, cover sheets, jigs, a line each: name, pillow foam cover or jig, width, depth, thickness in inches, presses it lasts, new since',
    lines: 2,
    wide: true,
    get: (p) =>
      p.accessories
        .map((a) =>
          [
            a.name,
            accessoryWord[a.kind],
            a.widthIn,
            a.heightIn,
            a.thicknessIn,
            ...(a.uses ? [a.uses, a.since] : []),
          ].join(', '),
        )
        .join('\n'),
    set: (p, t) => {
      const all: Schemas['Accessory'][] = []
      for (const row of t.split('\n').filter((l) => l.trim() !== '')) {
        const [name, word, width, height, thick, uses, since] = row.split(/[\t,;]/).map((x) => x.trim())
        const kind = Object.entries(accessoryWord).find(([, w]) => w === word)?.[0] as
          Schemas['AccessoryKind'] | undefined
        const [widthIn, heightIn, thicknessIn, n] = [width, height, thick, uses ?? '0'].map((x) => readCell(x ?? ''))
        const day = since ?? shop.line?.today ?? ''
        if (!name || !kind || widthIn == null || heightIn == null || thicknessIn == null || n == null)
          return `"${row}" is not like "small pillow, pillow, 6, 6, 0.5" or "sheet, cover, 16, 20, 0, 200, 2026-03-02".`
        if (!/^\d{4}-\d\d-\d\d$/.test(day)) return `"${day}" is not a day like 2026-03-02.`
        all.push({ name, kind, widthIn, heightIn, thicknessIn, uses: n, since: day })
      }
      p.accessories = all
    },
  },
  {
    label:
      'What the dial says, a line each: pressure, thin middle or thick, lower platen if not its own, on a pillow: dial',
    lines: 3,
    wide: true,
    get: (p) =>
      p.dials
        .map(
          (d) =>
            `${[d.pressure, d.thickness, d.lower, d.pillow && `on ${d.pillow}`].filter(Boolean).join(', ')}: ${d.dial}`,
        )
        .join('\n'),
    set: (p, t) => {
      const dials: Schemas['DialReading'][] = []
      for (const row of t
        .split('\n')
        .map((r) => r.trim())
        .filter(Boolean)) {
        const [what, dial] = row.split(':').map((x) => x.trim())
        const parts = (what ?? '').split(',').map((x) => x.trim())
        const pillow = parts.find((x) => x.startsWith('on '))?.slice(3) ?? ''
        const [pressure, thickness, lower] = parts.filter((x) => !x.startsWith('on '))
        const n = readCell(dial ?? '')
        if (!pressure || !['thin', 'middle', 'thick'].includes(thickness ?? '') || n === null)
          return `"${row}" is not like "medium, thin: 4" or "firm, thin, sleeve, on small pillow: 5.5".`
        dials.push({ pressure, thickness: thickness as Schemas['Thickness'], lower: lower ?? '', dial: n, pillow })
      }
      p.dials = dials
    },
  },
  ...hourFields<Press>(),
  text('Cautions of its manual, shown at the press', 'cautions', { wide: true, lines: 2 }),
]
