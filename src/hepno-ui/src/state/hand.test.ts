import { beforeEach, expect, test, vi } from 'vitest'

type Answer = { settle: (order: object) => void; refuse: (why: Error) => void }
/** What was asked for and is not answered yet, by the order's id. */
const asked: Record<string, Answer> = {}

vi.mock('../api/client', () => {
  class Refusal extends Error {
    problems = []
    constructor(readonly status: number) {
      super()
    }
  }
  const GET = (_: string, { params }: { params: { path: { id: string } } }) =>
    new Promise((settle, refuse) => (asked[params.path.id] = { settle, refuse }))
  return { Refusal, api: { GET }, ask: (answer: unknown) => answer, seen: () => ({}) }
})
const { shop, take } = await import('./state')
const { Refusal } = await import('../api/client')
const order = (id: string) => ({ id, station: 'ask' })

beforeEach(() => {
  shop.inHand = ''
  shop.held = shop.order = null
})

test('an answer that comes late does not put the other order back into the hand', async () => {
  const first = take('a')
  const second = take('b')
  asked.b!.settle(order('b'))
  await second
  asked.a!.settle(order('a'))
  await first
  expect([shop.inHand, shop.held?.id]).toEqual(['b', 'b'])
})

test('an order that is gone is laid down, and only that one', async () => {
  const gone = take('a')
  const here = take('b')
  asked.b!.settle(order('b'))
  await here
  asked.a!.refuse(new (Refusal as unknown as new (status: number) => Error)(404))
  await gone
  expect([shop.inHand, shop.held?.id]).toEqual(['b', 'b'])
  const lost = take('c')
  asked.c!.refuse(new (Refusal as unknown as new (status: number) => Error)(404))
  await lost
  expect([shop.inHand, shop.held]).toEqual(['', null])
})
