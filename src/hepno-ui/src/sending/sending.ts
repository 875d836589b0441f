import { answered, type Edit, edits, keepHere, leftHere } from './edits'
import { type Lane, laneOf, thingOf } from './lane'
import { link, unanswered } from './link'
import { underWay } from './presses'

/** The state of a thing as its answer says it when somebody else was first. */
export interface Stale {
  /** Both changes; where both changed the same, theirs. */
  merged: Record<string, unknown>
  /** Both changes; where both changed the same, what was typed here. */
  mine: Record<string, unknown>
  differ: string[]
  collide: string[]
  version: number
}

/** What waits between two tries while nothing answers. */
const pauseMs = 1000

/**
 * How every call leaves this device. Changes of one thing follow each other. What was typed is kept here before it is sent, and is sent
 * again until it is answered for; a deed that was not answered is not done again behind somebody's back.
 */
export async function send(request: Request): Promise<Response> {
  const path = new URL(request.url).pathname
  if (waitsForNothing(request.method, path)) return answer(request)
  const over = underWay()
  try {
    if (!isEdit(request, path)) return await laneOf(path).after(() => deed(request, laneOf(path)))
    const edit = typedIn(request, path)
    if (link.lostAt) over()
    // in its lane at once, so that nothing done after it passes it
    return await laneOf(path).after(async () => deliver(await edit, laneOf(path)))
  } finally {
    over()
  }
}

/** Keeps what a call carries on this device, at once. */
async function typedIn(request: Request, path: string): Promise<Edit> {
  const edit: Edit = {
    id: crypto.getRandomValues(new Uint32Array(3)).join('-'),
    path,
    body: await request.text(),
    headers: Object.fromEntries([...request.headers].filter(([name]) => name !== 'if-match')),
    version: versionIn(request.headers),
    ours: laneOf(path).newest(versionIn(request.headers)),
    at: Date.now(),
    tried: false,
  }
  keepHere(edit)
  return edit
}

/** Sends what an earlier page left here; what another device collides with is asked about, what is refused is listed. */
export function sendLeft(ask: (stale: Stale, send: (what: unknown, at: number) => Promise<void>) => void): void {
  for (const edit of leftHere()) {
    keepHere(edit)
    const lane = laneOf(edit.path)
    lane.made(edit.version, edit.ours)
    void lane
      .after(() => deliver(edit, lane))
      .then(async (response) => {
        if (response.ok) return
        const why = await said<Stale & { problems: { sentence: string }[] }>(response)
        if (why.merged && why.collide?.length) ask(why as Stale, (what, at) => sendAsChosen(edit, what, at))
        else edits.refused = [...edits.refused, { edit, sentence: why.problems?.[0]?.sentence ?? 'It was refused.' }]
      })
  }
}

async function sendAsChosen(edit: Edit, what: unknown, at: number): Promise<void> {
  const headers = { ...edit.headers, 'If-Match': `"${at}"` }
  await send(new Request(edit.path, { method: 'PUT', headers, body: typedOf(edit, what as Stale['merged']) }))
}

/** Of a thing as it stands what is typed of it: it also carries its id. */
function typedOf(edit: Edit, stands: Record<string, unknown>): string {
  const names = Object.keys(JSON.parse(edit.body) as object)
  return JSON.stringify(Object.fromEntries(names.map((n) => [n, stands[n] ?? null])))
}

/** Calls that change nothing kept, whatever their verb; and what stops something, which must not wait for it. */
const waitsForNothing = (method: string, path: string): boolean =>
  method === 'GET' || /^\/api\/(compute\/|layout-searches\/)|\/(layout\/(try|search)|look|progress|in-hand)$/.test(path)

/** A thing as it is typed. A verdict has its own box; what steers a machine or lets a device in holds at once or not at all. */
const isEdit = (request: Request, path: string): boolean =>
  request.method === 'PUT' &&
  (request.headers.get('Content-Type') ?? '').startsWith('application/json') &&
  !/^\/api\/(runs|copies|devices|csv|archive)\b|\/(readout|layout)$/.test(path)

const versionIn = (headers: Headers): number => Number(/\d+/.exec(headers.get('If-Match') ?? '')?.[0] ?? 0)

async function answer(request: Request): Promise<Response> {
  try {
    const response = await fetch(request)
    link.lostAt = ''
    return response
  } catch (lost) {
    unanswered()
    throw lost
  }
}

/** A deed on a thing starts from the version it was seen at, or from what this device made of it since. */
async function deed(request: Request, lane: Lane): Promise<Response> {
  const seen = versionIn(request.headers)
  const from = seen > 0 ? lane.newest(seen) : 0
  if (from > seen) request.headers.set('If-Match', `"${from}"`)
  const response = await answer(request)
  await note(response, from, lane)
  return response
}

/** Sends an edit until it is answered for. */
async function deliver(edit: Edit, lane: Lane): Promise<Response> {
  for (;;) {
    const response = await put(edit, lane)
    if (!response) {
      keepHere(Object.assign(edit, { tried: true }))
      await new Promise((later) => setTimeout(later, pauseMs))
      continue
    }
    // it was new and is there: an earlier try came through, and only its answer was lost
    if (response.status === 428 && edit.version === 0 && edit.tried) return kept(edit, lane, 1)
    if (response.status === 409) {
      const stale = await said<Stale>(response)
      if (stale.merged && settled(edit, stale as Stale, lane)) {
        if (stale.differ!.length === 0) return kept(edit, lane, stale.version!)
        keepHere(edit)
        continue
      }
    }
    answered(edit)
    await note(response, edit.version, lane)
    return response
  }
}

/** The answer, or nothing when none came, the device is not let in, or the program is only just starting. */
async function put(edit: Edit, lane: Lane): Promise<Response | undefined> {
  // a part of a thing says nothing of the rest: it goes on from whatever this device made of it
  const from = edit.path === thingOf(edit.path) ? edit.version : lane.newest(edit.version)
  const versioned = from > 0 ? { ...edit.headers, 'If-Match': `"${from}"` } : edit.headers
  try {
    const response = await fetch(edit.path, { method: 'PUT', headers: versioned, body: edit.body })
    link.lostAt = ''
    if (response.status === 401) link.shutOut = true
    return [401, 502, 503, 504].includes(response.status) ? undefined : response
  } catch {
    unanswered()
    return undefined
  }
}

/**
 * Puts an edit on the version that stands. Where all that came between was typed here, the last typed holds; where another device was
 * first while nothing answered here, what does not collide is kept. Anything else is for somebody to say.
 */
function settled(edit: Edit, stale: Stale, lane: Lane): boolean {
  const own = lane.allOurs(edit.version, stale.version)
  if (stale.differ.length > 0 && !own && !(edit.tried && stale.collide.length === 0)) return false
  edit.body = typedOf(edit, own ? stale.mine : stale.merged)
  edit.version = stale.version
  return true
}

function kept(edit: Edit, lane: Lane, version: number): Response {
  answered(edit)
  made(lane, version - 1, version)
  return Response.json({ id: edit.path.split('/')[3] ?? '', version })
}

async function note(response: Response, from: number, lane: Lane): Promise<void> {
  const { version } = response.ok ? await said<{ version: unknown }>(response) : {}
  if (typeof version === 'number') made(lane, from > 0 ? from : version - 1, version)
}

/** Notes versions this device made, and that what still waits may have to know of them after this page. */
function made(lane: Lane, from: number, to: number): void {
  lane.made(from, to)
  for (const edit of edits.waiting)
    if (laneOf(edit.path) === lane) keepHere(Object.assign(edit, { ours: lane.newest(edit.version) }))
}

/** What an answer says, as far as it says something in JSON. */
async function said<T extends object>(response: Response): Promise<Partial<T>> {
  if (!(response.headers.get('Content-Type') ?? '').includes('json')) return {}
  const value: unknown = await response
    .clone()
    .json()
    .catch(() => null)
  return value !== null && typeof value === 'object' ? (value as Partial<T>) : {}
}
