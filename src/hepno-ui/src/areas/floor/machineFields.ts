import type { Schemas } from '../../api/client'
import type { Field } from '../../kit/fields'
import { readNumber, unread, writeNumber } from '../../words/numbers'

type Equipment = Schemas['EquipmentHour']

const machine = <T extends { equipment: Equipment }>(label: string, key: keyof Equipment, scale = 1): Field<T> => ({
  label,
  number: true,
  get: (p) => writeNumber(p.equipment[key] * scale),
  set: (p, t) => {
    const n = readNumber(t)
    if (n === null) return unread(t)
    p.equipment[key] = Number((n / scale).toFixed(9))
  },
})

/** What an hour of any machine follows from. */
export const hourFields = <T extends { equipment: Equipment }>(): Field<T>[] => [
  machine('Bought for', 'priceNew'),
  machine('Resale', 'resale'),
  machine('Years', 'usefulYears'),
  machine('Hours a year', 'productiveHoursAYear'),
  machine('Power, kW', 'powerKw'),
  machine('Heats, % of the time', 'dutyShare', 100),
  machine('Upkeep an hour', 'upkeepPerHour'),
]
