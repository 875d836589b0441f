import type { Schemas } from '../../api/client'
import { type Field, readNumber } from '../../kit/fields'

type Equipment = Schemas['EquipmentHour']

const machine = <T extends { equipment: Equipment }>(label: string, key: keyof Equipment, scale = 1): Field<T> => ({
  label,
  number: true,
  get: (p) => String(Number((p.equipment[key] * scale).toFixed(6))),
  set: (p, t) => {
    const n = readNumber(t)
    if (n === null) return `"${t}" is not a number.`
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
