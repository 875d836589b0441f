import type { APIRequestContext } from '@playwright/test'
import { daysOn } from './server.ts'

/** A print described by numbers. */
export const front = {
  id: 'f',
  place: 'front',
  widthIn: 9,
  heightIn: 9,
  coveragePercent: 50,
  colours: 2,
  gradient: false,
  thinnestLinePt: 3,
  designId: null as string | null,
}

/** A line of black tees with a print on the front, its sizes still to be said. */
export const tees = { id: '1', styleId: 'brae', colourwayId: 'black', placements: [front], mark: null }

interface Line {
  id: string
  styleId: string
  colourwayId: string
  sizes: { size: string; pieces: number }[]
  placements: (typeof front)[]
  mark: number | null
}
interface Order {
  version: number
  deposit: number
  facts: { gathering: { items: { id: string }[] } }
}

/** Does an order's deeds through the API alone, each from the version that stands. */
export function order(request: APIRequestContext, url: string, id: string) {
  const read = async () => (await (await request.get(`${url}/api/orders/${id}`)).json()) as Order
  const good = async (answer: Promise<{ ok(): boolean; text(): Promise<string> }>) => {
    const a = await answer
    if (!a.ok()) throw new Error(await a.text())
  }
  const version = async () => ({ headers: { 'If-Match': `"${(await read()).version}"` } })
  const post = async (deed: string, data?: object) =>
    good(request.post(`${url}/api/orders/${id}/${deed}`, { ...(data ? { data } : {}), ...(await version()) }))
  const arrived = async () => {
    for (const item of (await read()).facts.gathering.items)
      await good(
        request.put(`${url}/api/orders/${id}/items/${item.id}`, { data: { done: true }, ...(await version()) }),
      )
  }
  const forget = async (line: string) =>
    good(request.delete(`${url}/api/orders/${id}/lines/${line}/layout`, await version()))
  return {
    /** Unsettles a line's layout. */
    forget,
    read,
    post,
    /** Asked by the choir for twenty days from now. */
    ask: (lines: Line[], more: object = {}) =>
      good(
        request.put(`${url}/api/orders/${id}`, {
          data: {
            customerId: 'choir',
            lines,
            dueDate: daysOn(20).toISOString().slice(0, 10),
            dueTime: '12:00:00',
            details: null,
            ...more,
          },
        }),
      ),
    /** Everything that was ordered is here, everything to prepare is done. */
    arrived,
    /** Laid out, quoted, agreed, paid, and everything here. */
    gather: async () => {
      await post('lay-out')
      await post('send')
      await post('approve', { by: 'Isaura' })
      await post('deposit', { amount: (await read()).deposit, overrideReason: null })
      await arrived()
    },
  }
}

/** An order all gathered, its run begun; every line by bought film. */
export async function begin(
  request: APIRequestContext,
  url: string,
  id: string,
  lines: Line[],
  more: object = {},
): Promise<string> {
  const o = order(request, url, id)
  await o.ask(lines, more)
  for (const line of lines) await o.post('choose', { methodId: 'dtf-bought', lineId: line.id })
  await o.gather()
  await request.post(`${url}/api/runs/${id}/start`)
  return id
}
