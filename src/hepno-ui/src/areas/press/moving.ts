import { computed, type Ref, ref } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { minuteOf } from '../../words/shown'
import { attempt, lineInHand, refresh, shop } from '../../state/state'

/** A batch on its way to another place on the press day: a ghost until it is placed. */
interface Ghost {
  orderId: string
  lineId: string
  code: string
  press: number
  /** Minutes of the day. */
  at: number
  minutes: number
}

const step = 15

export function useMove(view: Ref<Schemas['PressDayView'] | null>, reload: () => Promise<void>) {
  const ghost = ref<Ghost | null>(null)
  const changes = ref<string[]>([])
  const lanes = computed(() => view.value?.lanes ?? [])

  /** Takes up the batch of the order in hand: the one on this day, or, from the tray, a new place at opening. */
  function begin(): void {
    const v = view.value
    const order = shop.order
    if (!v?.open || !order) return
    const mine = lanes.value.flatMap((l, press) =>
      l.batches.filter((b) => b.orderId === order.id).map((b) => ({ ...b, press })),
    )
    const batch = mine.find((b) => b.lineId === lineInHand.value?.id) ?? mine[0]
    const waiting = v.tray.find((t) => t.orderId === order.id)
    if (batch?.running || (!batch && !waiting)) {
      shop.problems = [
        {
          code: 'not-there',
          where: '',
          sentence: batch ? `${order.code} is being pressed.` : `${order.code} is not on the press day.`,
          remedy: batch ? 'It stays where it is.' : 'Only planned work can be moved.',
        },
      ]
      return
    }
    changes.value = []
    ghost.value = {
      orderId: order.id,
      lineId: batch?.lineId ?? lineInHand.value?.id ?? '',
      code: batch?.code ?? order.code,
      press: batch?.press ?? 0,
      at: minuteOf(batch?.start ?? v.open),
      minutes: batch ? minuteOf(batch.end) - minuteOf(batch.start) : (waiting?.minutes ?? 30),
    }
  }
  function nudge(by: number): void {
    const v = view.value
    if (!ghost.value || !v?.open || !v.close) return
    const at = Math.round((ghost.value.at + by * step) / step) * step
    ghost.value.at = Math.max(minuteOf(v.open), Math.min(minuteOf(v.close) - step, at))
  }
  function toPress(by: number): void {
    if (ghost.value) ghost.value.press = (ghost.value.press + by + lanes.value.length) % lanes.value.length
  }
  async function send(pressId: string | null, lineId: string, at: number): Promise<void> {
    const [order, v] = [shop.order, view.value]
    if (!order || !v) return
    const clock = `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(Math.floor(at % 60)).padStart(2, '0')}`
    await attempt(
      async () => {
        const moved = await ask(
          api.POST('/api/orders/{id}/move', {
            params: { path: { id: order.id } },
            body: { lineId, pressId, from: `${v.day}T${clock}:00` },
            ...seen(order.version),
          }),
        )
        await refresh()
        await reload()
        changes.value = moved.changes
      },
      `${pressId ? 'Moved' : 'Left to the plan'}. Z takes it back.`,
    )
  }
  async function place(): Promise<void> {
    const g = ghost.value
    ghost.value = null
    if (g) await send(lanes.value[g.press]?.pressId ?? null, g.lineId, g.at)
  }
  const leave = () => send(null, lineInHand.value?.id ?? '', 0)
  const drop = () => (ghost.value = null)

  return { ghost, changes, begin, nudge, toPress, place, leave, drop }
}
