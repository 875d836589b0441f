import { ref, shallowRef } from 'vue'
import { api, ask, Refusal, type Schemas } from '../../api/client'

export type EventBody = Schemas['RunEventBody']
/** An event as it waits on this device, in the order it was made. */
export interface Waiting {
  eventId: string
  run: string
  at: number
  body: EventBody
}

function database(): Promise<IDBDatabase> {
  return new Promise((done, fail) => {
    const open = indexedDB.open('hepno-run', 1)
    open.onupgradeneeded = () => open.result.createObjectStore('events', { keyPath: 'eventId' })
    open.onsuccess = () => done(open.result)
    open.onerror = () => fail(open.error ?? new Error('no database'))
  })
}

function settled<T>(request: IDBRequest<T>): Promise<T> {
  return new Promise((done, fail) => {
    request.onsuccess = () => done(request.result)
    request.onerror = () => fail(request.error ?? new Error('not written'))
  })
}

/**
 * Whether an answer proves that an event can never count: its own words are wrong, or its order is not there. A device that is not let in,
 * a run that is not begun yet, too much at once: all of that passes, and the event stays.
 */
export const neverCounts = (refused: Refusal): boolean =>
  refused.status === 400 || (refused.status === 404 && refused.problems[0]?.code === 'unknown')

/**
 * Verdicts on their way: each is on this device's disk before it is drawn, and is sent in order,
 * again and again, until the server has answered for it.
 */
export function outbox(run: string, answered: (state: Schemas['RunState']) => void) {
  const waiting = shallowRef<Waiting[]>([])
  const lost = ref(false)
  const refused = ref('')
  /** What the server says while it does not take the first of them yet. */
  const waits = ref('')
  let db: IDBDatabase | undefined
  let pumping = false
  let closed = false
  let last = 0

  const store = (mode: IDBTransactionMode) =>
    db!.transaction('events', mode, { durability: 'strict' }).objectStore('events')

  async function open(): Promise<void> {
    db = await database()
    const all = (await settled(store('readonly').getAll())) as Waiting[]
    waiting.value = all.filter((w) => w.run === run).sort((a, b) => a.at - b.at)
    void pump()
  }

  async function add(eventId: string, body: EventBody): Promise<void> {
    // two verdicts within one clock tick keep their order
    last = Math.max(Date.now(), last + 1)
    const entry: Waiting = { eventId, run, at: last, body }
    const transaction = db!.transaction('events', 'readwrite', { durability: 'strict' })
    const written = new Promise<void>((done, fail) => {
      transaction.oncomplete = () => done()
      transaction.onerror = () => fail(transaction.error ?? new Error('not written'))
    })
    transaction.objectStore('events').put(entry)
    await written
    waiting.value = [...waiting.value, entry]
    void pump()
  }

  async function pump(): Promise<void> {
    if (pumping) return
    pumping = true
    try {
      while (waiting.value.length > 0 && !closed) {
        const [next] = waiting.value
        try {
          const state = await ask(
            api.PUT('/api/runs/{id}/events/{eventId}', {
              params: { path: { id: run, eventId: next!.eventId } },
              body: next!.body,
            }),
          )
          lost.value = false
          waits.value = ''
          // first what the answer says, then out of the box: the other way round the piece would be to do again for a moment
          answered(state)
          await forget(next!)
        } catch (error) {
          if (error instanceof Refusal && neverCounts(error)) {
            // say so, and let the others through
            refused.value = `${error.problems[0]?.sentence} (piece ${next!.body.pieceNo})`
            await forget(next!)
          } else {
            lost.value = true
            waits.value = error instanceof Refusal && error.status > 0 ? (error.problems[0]?.sentence ?? '') : ''
            await new Promise((later) => setTimeout(later, 300))
          }
        }
      }
    } finally {
      pumping = false
    }
  }

  async function forget(entry: Waiting): Promise<void> {
    await settled(store('readwrite').delete(entry.eventId))
    waiting.value = waiting.value.filter((w) => w.eventId !== entry.eventId)
  }

  return { waiting, lost, refused, waits, open, add, close: () => (closed = true) }
}
