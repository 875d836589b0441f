import { computed, reactive, toRaw, watch } from 'vue'
import { api, ask, makeId, type Problem, Refusal, type Schemas, seen } from '../api/client'
import { marks } from '../words/numbers'
import { type StationName, stations } from '../words/words'
import type { Stale } from '../sending/sending'

/** What the whole screen shares: the work line, the order in hand, and what was last said. */
export const shop = reactive({
  line: null as Schemas['LineView'] | null,
  /** The order in hand: what the slip shows and its action acts on. */
  held: null as Schemas['OrderView'] | null,
  /** The order whose work is shown: the one in hand, or where that has not come to the station looked at the first that stands there. */
  order: null as Schemas['OrderView'] | null,
  /** The station that is looked at; empty at a place of the whole shop. */
  station: '',
  inHand: localStorage.getItem('hepno-in-hand') ?? '',
  /** The line of the order that is looked at, by its id; another order has other ids and begins at its first. */
  lineId: '',
  /** The way that is opened at the comparison: what the slip's action takes there; empty elsewhere. */
  opened: '',
  said: '',
  problems: [] as Problem[],
  collision: null as Collision | null,
  /** Sends again what was asked about, as meant. */
  sure: null as (() => Promise<unknown>) | null,
  slipOpen: false,
})

/** Two devices changed the same thing. */
export interface Collision {
  differ: string[]
  collide: string[]
  /** Sends both changes against the version that stands. */
  keepBoth: () => Promise<void>
  /** Sends both changes, and where both changed the same what was typed here. */
  keepMine: () => Promise<void>
}

watch(
  () => shop.inHand,
  (id) => localStorage.setItem('hepno-in-hand', id),
)

/** The line of the order in hand that is looked at: what is asked and what the server says of it. */
export const lineInHand = computed(() => {
  const o = shop.order
  if (!o) return null
  const at = Math.max(
    0,
    o.lines.findIndex((l) => l.id === shop.lineId),
  )
  return { ...o.lines[at]!, asked: o.ask.lines[at]!, at }
})

/** True on a device that was let in for the press: it receives, presses and counts, and the rest is the counter's. */
export const atPress = computed(() => shop.line?.caller === 'press')

export const format = (): Schemas['FigureFormat'] =>
  shop.line?.format ?? {
    sign: '$',
    signAfter: false,
    decimalMark: '.',
    groupMark: ',',
    minorDigits: 2,
    dayFirst: true,
    twelveHours: false,
    metric: false,
    celsius: false,
    language: 'en',
  }

export async function refreshLine(): Promise<void> {
  shop.line = await ask(api.GET('/api/line'))
  marks.decimal = shop.line.format.decimalMark
}

export async function refreshOrder(): Promise<void> {
  await refreshHeld()
  if (shop.held) await showWork()
}

async function refreshHeld(): Promise<void> {
  const asked = shop.inHand
  if (!asked) {
    shop.held = shop.order = null
    return
  }
  try {
    const got = await read(asked)
    if (asked !== shop.inHand) return
    shop.held = got
    // one order is never shown in two states: what the slip offers is done to what is worked on
    if (shop.order?.id === got.id) shop.order = got
  } catch (refused) {
    // of an order that was laid down meanwhile, nobody needs to know
    if (asked !== shop.inHand) return
    if (refused instanceof Refusal && refused.status === 404) {
      shop.inHand = ''
      shop.held = shop.order = null
    } else throw refused
  }
}

const read = (id: string): Promise<Schemas['OrderView']> =>
  ask(api.GET('/api/orders/{id}', { params: { path: { id } } }))

/** Shows the work of the station looked at. */
async function showWork(): Promise<void> {
  const id = workAt(shop.station)
  const work = id === shop.held?.id ? shop.held : await read(id)
  if (id === workAt(shop.station)) shop.order = work
}

/** Stations where an order is worked on before it stands there: a part is given away while the rest is pressed, a quote is read before it is laid out. */
const early: Record<string, string> = { send: 'press', quote: 'layout' }

function workAt(station: string): string {
  const held = shop.held
  const there = shop.line?.stations.find((s) => s.station === station)?.pegs ?? []
  const at = (name: string) => stations.indexOf(name as StationName)
  const behind = held && held.station !== 'closed' && held.station !== early[station] && at(held.station) < at(station)
  return behind && there.length > 0 ? there[0]!.id : shop.inHand
}

/** Looks at a station, or with none at a place of the whole shop. The order in hand stays in hand. */
export async function lookAt(path: string): Promise<void> {
  const name = path === '/' ? 'ask' : path.slice(1)
  shop.station = stations.includes(name as StationName) ? name : ''
  if (shop.held) await showWork()
}

export async function refresh(): Promise<void> {
  await Promise.all([refreshLine(), refreshHeld()])
  // whose work is shown follows from both
  if (shop.held) await showWork()
}

/** Runs something a person asked for; a refusal is shown, never thrown further. Returns whether it was done. */
export async function attempt(work: () => Promise<void>, said = ''): Promise<boolean> {
  shop.problems = []
  shop.said = ''
  shop.sure = null
  try {
    await work()
    if (said) shop.said = said
    return true
  } catch (refused) {
    if (!(refused instanceof Refusal)) throw refused
    shop.said = ''
    shop.problems = refused.problems
    return false
  }
}

let unread: Problem[] = []
/** Reads what a screen shows. What was said stays; a refusal is shown until a reading succeeds. */
export async function reading(work: () => Promise<void>): Promise<void> {
  try {
    await work()
    if (toRaw(shop.problems) === unread) shop.problems = []
  } catch (refused) {
    if (!(refused instanceof Refusal)) throw refused
    shop.problems = unread = refused.problems
  }
}

/** A refusal goes with its cause: something else is looked at. */
export function dropRefusal(): void {
  shop.problems = []
  shop.sure = null
}

/** What was typed is given up, and with it what was refused of it; what cannot be read still cannot. */
export function giveUp(): void {
  if (toRaw(shop.problems) !== unread) dropRefusal()
}

export async function take(id: string): Promise<void> {
  if (shop.inHand !== id) {
    shop.held = shop.order = null
    dropRefusal()
  }
  shop.inHand = id
  await refreshOrder()
}

/** A line nobody has said anything of yet. */
export const newLine = (): Schemas['LineBody'] => ({
  id: makeId(),
  styleId: null,
  colourwayId: null,
  sizes: [],
  placements: [],
  mark: null,
  given: 0,
  names: null,
  theirs: false,
  dueDate: null,
})

/** Begins an order nobody has said anything of yet, takes it in hand, and returns its id. */
export async function beginAsk(): Promise<string> {
  const id = makeId()
  const body = {
    customerId: null,
    lines: [newLine()],
    dueDate: null,
    dueTime: null,
    details: null,
    channel: 'retail' as const,
    shipping: null,
  }
  await ask(api.PUT('/api/orders/{id}', { params: { path: { id } }, body }))
  await take(id)
  await refreshLine()
  return id
}

export type AskBody = Schemas['AskBody']

/** An ask as read, as it is sent again. Every field is named: one that is forgotten does not compile. */
export function askBody(order: Schemas['OrderView']): Required<AskBody> {
  const { customerId, lines, dueDate, dueTime, details, channel, shipping } = order.ask
  return {
    customerId,
    lines: lines.map(
      ({
        id,
        styleId,
        colourwayId,
        sizes,
        placements,
        mark,
        given,
        names,
        theirs,
        dueDate,
      }): Required<Schemas['LineBody']> => ({
        id,
        styleId,
        colourwayId,
        sizes,
        placements: placements.map(
          // what the server works out of it is not sent back
          ({ areaIn2: _, ...body }) => body,
        ),
        mark,
        given,
        names: names.map(({ size, name, number }) => ({ size, name, number })),
        theirs,
        dueDate,
      }),
    ),
    dueDate,
    dueTime,
    details,
    channel,
    shipping,
  }
}

/** Keeps an ask; when another device was first, offers both versions. */
export async function saveAsk(id: string, body: AskBody, version: number): Promise<void> {
  await keepOrOffer(
    async (what, at) => {
      await ask(api.PUT('/api/orders/{id}', { params: { path: { id } }, body: what, ...seen(at) }))
      await refresh()
    },
    body,
    version,
  )
}

/**
 * Sends a thing as changed from a version. When another device changed it in the meantime nothing is kept:
 * both versions are offered, and what was typed goes on from the version that stands.
 */
export async function keepOrOffer<T>(
  send: (what: T, at: number) => Promise<void>,
  value: T,
  version: number,
): Promise<void> {
  try {
    await send(value, version)
  } catch (refused) {
    if (!(refused instanceof Refusal) || refused.status !== 409 || !refused.more.merged) throw refused
    offer(refused.more as unknown as Stale, (what, at) => send(what as T, at))
  }
}

/** Asks which of two changes stands. */
export function offer(stale: Stale, send: (what: unknown, at: number) => Promise<void>): void {
  const put = async (what: unknown) => {
    await send(what, stale.version)
    shop.collision = null
  }
  const { differ, collide, merged, mine } = stale
  shop.collision = { differ, collide, keepBoth: () => put(merged), keepMine: () => put(mine) }
}

export const stationPath = (station: string): string => (station === 'closed' ? '/learn' : `/${station}`)

export type { StationName }
