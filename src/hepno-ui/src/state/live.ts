import { link } from '../sending/link'
import { refresh, shop } from './state'

type Heard = (kind: string, id: string) => void
const listeners = new Set<Heard>()

/** Calls back when something changed on any device; returns how to stop. */
export function onChange(heard: Heard): () => void {
  listeners.add(heard)
  return () => listeners.delete(heard)
}

let source: EventSource | null = null
let last = 0
let waiting: ReturnType<typeof setTimeout> | undefined

// one stream for each visible page: six open streams would freeze a browser
function open(): void {
  source?.close()
  source = new EventSource(`/api/changes${last ? `?since=${last}` : ''}`)
  source.onmessage = (message) => {
    last = Number(message.lastEventId) || last
    const change = JSON.parse(message.data as string) as { kind?: string; id?: string }
    if (!change.kind) return
    // another day's data is in its place
    if (change.kind === 'restored') return location.reload()
    for (const heard of listeners) heard(change.kind, change.id ?? '')
    clearTimeout(waiting)
    waiting = setTimeout(() => void refresh().catch(() => undefined), 60)
  }
  source.addEventListener('open', () => (link.lostAt = ''))
  source.addEventListener('reload', () => location.reload())
}

export function listen(): void {
  last = shop.line?.seq ?? 0
  document.addEventListener('visibilitychange', () => {
    if (document.hidden) {
      source?.close()
      source = null
    } else {
      open()
      void refresh().catch(() => undefined)
    }
  })
  open()
}
