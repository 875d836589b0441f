import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { edits } from './edits'
import { link } from './link'
import { send, sendLeft } from './sending'

interface Sent {
  method: string
  path: string
  match: string | null
  body: string
}
/** A request has to name a host; nothing is sent to it. */
const here = 'http://127.0.0.1'
type Answer = (sent: Sent) => Response | Promise<Response>

/** A program that answers as told, one answer a call; no answer where it is told to be silent. */
function program(...answers: (Answer | 'silent')[]): Sent[] {
  const sent: Sent[] = []
  vi.stubGlobal('fetch', async (to: Request | string, more?: RequestInit) => {
    const request = to instanceof Request ? to : new Request(here + to, more)
    const { pathname } = new URL(request.url)
    const call = {
      method: request.method,
      path: pathname,
      match: request.headers.get('If-Match'),
      body: await request.clone().text(),
    }
    sent.push(call)
    const answer = answers.shift() ?? (() => json(200, { id: 'x', version: 99 }))
    if (answer === 'silent') throw new TypeError('no answer')
    return await answer(call)
  })
  return sent
}
const json = (status: number, body: unknown): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })
const kept =
  (version: number): Answer =>
  () =>
    json(200, { id: 'x', version })
const stale =
  (version: number, collide: string[] = [], differ = ['note']): Answer =>
  () =>
    json(409, {
      version,
      collide,
      differ,
      merged: { id: 'x', note: 'theirs', mark: 2 },
      mine: { id: 'x', note: 'mine', mark: 2 },
    })

const call = (method: string, path: string, version: number, body: unknown): Request =>
  new Request(`${here}${path}`, {
    method,
    headers: { 'Content-Type': 'application/json', ...(version > 0 ? { 'If-Match': `"${version}"` } : {}) },
    body: JSON.stringify(body),
  })
let n = 0
/** A thing of its own for each test: what was learned of the versions of another does not count. */
const thing = (): string => `/api/orders/o${++n}`
const typed = { note: 'mine', mark: 1 }

beforeEach(() => vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  localStorage.clear()
  Object.assign(edits, { waiting: [], refused: [] })
})

describe('what is typed', () => {
  test('is sent one after another, and does not collide with what was typed here before', async () => {
    const path = thing()
    const sent = program(kept(6), stale(6, ['note']), kept(7))
    const both = [send(call('PUT', path, 5, { note: 'first', mark: 1 })), send(call('PUT', path, 5, typed))]
    expect((await Promise.all(both)).map((r) => r.status)).toEqual([200, 200])
    // what the last typed says holds; of the rest what the first made of it, and nothing that is not typed
    expect(sent.map((s) => [s.match, s.body])).toEqual([
      ['"5"', '{"note":"first","mark":1}'],
      ['"5"', '{"note":"mine","mark":1}'],
      ['"6"', '{"note":"mine","mark":2}'],
    ])
  })

  test('collides with another device: whoever typed it is asked', async () => {
    const path = thing()
    const sent = program(stale(6))
    expect((await send(call('PUT', path, 5, typed))).status).toBe(409)
    expect([sent.length, edits.waiting.length]).toEqual([1, 0])
  })

  test.each([
    ['nothing answers', 'silent' as const],
    ['the device is not let in', () => json(401, {})],
    ['the program begins only now', () => json(503, {})],
  ])('is kept here while %s, and sent again', async (_, first) => {
    const path = thing()
    const sent = program(first, 'silent', kept(6))
    const answer = send(call('PUT', path, 5, typed))
    await vi.advanceTimersByTimeAsync(500)
    expect(edits.waiting.map((e) => [e.path, e.tried])).toEqual([[path, true]])
    expect(Object.keys(localStorage).filter((k) => k.startsWith('hepno-edit-'))).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(2500)
    expect((await answer).status).toBe(200)
    expect([sent.length, edits.waiting.length, localStorage.length, link.lostAt]).toEqual([3, 0, 0, ''])
  })

  test('came through though its answer was lost: it is not asked about', async () => {
    program('silent', stale(6, [], []), 'silent', () => json(428, { problems: [] }))
    const again = send(call('PUT', thing(), 5, typed))
    await vi.advanceTimersByTimeAsync(1500)
    expect(await (await again).json()).toMatchObject({ version: 6 })
    const made = send(call('PUT', thing(), 0, typed))
    await vi.advanceTimersByTimeAsync(1500)
    expect(await (await made).json()).toMatchObject({ version: 1 })
  })

  test('while nothing answered another device changed another part: both are kept', async () => {
    const sent = program('silent', stale(8), kept(9))
    const answer = send(call('PUT', thing(), 5, typed))
    await vi.advanceTimersByTimeAsync(1500)
    expect((await answer).status).toBe(200)
    expect(sent.at(-1)).toMatchObject({ match: '"8"', body: '{"note":"theirs","mark":2}' })
  })

  test('is refused: it leaves the box, and whoever typed it is told', async () => {
    program(() => json(400, { problems: [{ sentence: 'No.' }] }))
    expect((await send(call('PUT', thing(), 5, typed))).status).toBe(400)
    expect(edits.waiting).toEqual([])
  })

  test('a machine is set now or not at all', async () => {
    program('silent')
    await expect(send(call('PUT', '/api/presses/p/readout', 0, {}))).rejects.toThrow('no answer')
    expect(edits.waiting).toEqual([])
  })
})

describe('a deed', () => {
  test('waits for what was typed before it, and starts from there', async () => {
    const path = thing()
    const sent = program(kept(6), kept(7))
    await Promise.all([send(call('PUT', path, 5, typed)), send(call('POST', `${path}/send`, 5, {}))])
    expect(sent.map((s) => [s.method, s.match])).toEqual([
      ['PUT', '"5"'],
      ['POST', '"6"'],
    ])
  })

  test('that stops something does not wait for it', async () => {
    const path = '/api/artwork/large'
    let measured = () => {}
    const answer = new Promise<Response>((done) => (measured = () => done(json(200, {}))))
    const pick: Answer = (sent) => (sent.method === 'PUT' ? answer : json(200, {}))
    const sent = program(pick, pick)
    const upload = send(new Request(`${here}${path}/file`, { method: 'PUT', body: 'pixels' }))
    await send(call('DELETE', `${path}/progress`, 0, {}))
    expect(sent.map((s) => s.method).sort()).toEqual(['DELETE', 'PUT'])
    measured()
    await upload
  })

  test('that was not answered is not done again by itself', async () => {
    const sent = program('silent')
    await expect(send(call('POST', `${thing()}/send`, 5, {}))).rejects.toThrow('no answer')
    await vi.advanceTimersByTimeAsync(5000)
    expect(sent).toHaveLength(1)
  })
})

describe('what an earlier page left here', () => {
  const left = (id: string, path: string, ours = 5) =>
    localStorage.setItem(
      `hepno-edit-${id}`,
      JSON.stringify({
        id,
        path,
        body: JSON.stringify(typed),
        headers: { 'content-type': 'application/json' },
        version: 5,
        ours,
        at: n,
        tried: true,
      }),
    )

  test('is sent; what is refused is listed until somebody lets it go', async () => {
    left('a', thing())
    left('b', thing())
    program(kept(6), () => json(400, { problems: [{ sentence: 'A mark of 1.' }] }))
    sendLeft(() => expect.unreachable())
    await vi.advanceTimersByTimeAsync(10)
    expect([edits.waiting, edits.refused.map((r) => r.sentence)]).toEqual([[], ['A mark of 1.']])
  })

  test('is not what is typed on this page before the rest was looked for: that goes out once', async () => {
    const sent = program(async (of) => {
      await new Promise((later) => setTimeout(later, 50))
      return kept(6)(of)
    })
    const typing = send(call('PUT', thing(), 5, typed))
    await vi.advanceTimersByTimeAsync(10)
    expect(edits.waiting).toHaveLength(1)
    sendLeft(() => expect.unreachable())
    await vi.advanceTimersByTimeAsync(100)
    await typing
    expect(sent).toHaveLength(1)
  })

  test('does not collide with what this device had made before it', async () => {
    const path = thing()
    left('d', path, 7)
    const sent = program(stale(7, ['note']), kept(8))
    sendLeft(() => expect.unreachable())
    await vi.advanceTimersByTimeAsync(10)
    expect(sent.at(-1)).toMatchObject({ match: '"7"', body: '{"note":"mine","mark":2}' })
  })

  test('knows what was answered for while it waited', async () => {
    const path = thing()
    program(kept(6), 'silent')
    await send(call('PUT', path, 5, typed))
    void send(call('PUT', path, 5, typed))
    await vi.advanceTimersByTimeAsync(10)
    expect(JSON.parse(localStorage.getItem(`hepno-edit-${edits.waiting[0]!.id}`)!)).toMatchObject({
      version: 5,
      ours: 6,
    })
    await vi.advanceTimersByTimeAsync(2000)
  })

  test('collides: it is asked about, and what is chosen goes to the version that stands', async () => {
    const path = thing()
    left('c', path)
    const sent = program(stale(8, ['note']), kept(9))
    const asked = vi.fn()
    sendLeft(asked)
    await vi.advanceTimersByTimeAsync(10)
    const [said, choose] = asked.mock.calls[0] as [{ mine: unknown }, (what: unknown, at: number) => Promise<void>]
    await choose(said.mine, 8)
    expect(sent.at(-1)).toMatchObject({ path, match: '"8"', body: '{"note":"mine","mark":2}' })
  })
})
