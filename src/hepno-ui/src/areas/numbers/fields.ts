import type { Schemas } from '../../api/client'
import type { Field } from '../../kit/fields'
import { readNumber, unread, writeNumber } from '../../words/numbers'
import type { Numbers } from './store'

/** Seconds of every step; empty where the starting time holds. */
export const timeFields = (times: Schemas['StepTimeView'][]): Field<Numbers>[] =>
  times.map((t) => ({
    label: `${t.label} (${t.ownSeconds === null ? `${t.startingSeconds} s, assumed` : `yours; ${t.startingSeconds} s assumed`})`,
    number: true,
    get: (n) => {
      const own = (n.floor.habits.times ?? []).find((x) => x.code === t.code)?.seconds
      return own === undefined ? '' : writeNumber(own)
    },
    set: (n, text) => {
      const rest = (n.floor.habits.times ?? []).filter((x) => x.code !== t.code)
      const read = text === '' ? undefined : readNumber(text)
      if (read === null) return unread(text)
      n.floor.habits.times = read === undefined ? rest : [...rest, { code: t.code, seconds: read }]
    },
  }))
