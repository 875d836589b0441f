import type { Schemas } from '../../api/client'
import { anHour, type Format, moment, money } from '../../words/shown'

type Band = Schemas['Band']

/** The common scale of money a piece: how wide it is drawn and the most it shows. */
export interface Scale {
  width: number
  most: number
}

/** Where an amount stands on the scale. */
export const along = (scale: Scale, amount: number) => (amount / scale.most) * scale.width

/** What a band's profit and its figures an hour only name. */
export const beside = (b: Band) => [b.cost, b.hands, b.outcome.profit]

/** A band in one sentence, for who listens to the screen. */
export const spoken = (b: Band, f: Format) =>
  `${b.name}: costs ${money(b.costShown, f)} a piece, price ${money(b.outcome.price, f)}, ${anHour(b.outcome.profitAnHour.value, f)} an hour of hands${b.promise ? `, ready ${moment(b.promise.at, f)}` : ''}`
