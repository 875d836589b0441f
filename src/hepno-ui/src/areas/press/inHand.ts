import { computed, type Ref, ref, watch } from 'vue'
import { api, ask, Refusal } from '../../api/client'
import { keyOf, type Task } from './tasks'

/** How often a device says again what it has: one that is silent for two minutes has nothing. */
const againMs = 15_000
/** How long a piece may wait for its answer: then this device goes on as if the link were cut. */
const lateMs = 2500
/** The piece to lay and the one after it, so that nobody waits for the link between two pieces. */
const ahead = 2

/**
 * The pieces this device is given: no other device is offered them. While the link is cut it goes on by itself, from what it last heard.
 * @param run Which run.
 * @param left What is still to do, from this device's end.
 * @param racked Pieces that cool on this device, by key.
 */
export function useInHand(run: string, left: Ref<Task[]>, racked: Ref<Set<string>>) {
  const given = ref(new Set<string>())
  const elsewhere = ref(new Set<string>())
  const cut = ref(false)
  const free = computed(() => left.value.filter((t) => !elsewhere.value.has(keyOf(t))))
  const toLay = computed(() => free.value.filter((t) => !racked.value.has(keyOf(t))))
  const wanted = computed(() => [...racked.value, ...toLay.value.slice(0, ahead).map(keyOf)])
  /** The piece to lay next; none while the answer is awaited, and none where others have all that is left. */
  const next = computed(() => toLay.value.find((t) => cut.value || given.value.has(keyOf(t))))
  /** The piece after that one. */
  const after = computed(() => toLay.value.find((t) => t !== next.value))

  let open = false
  let asking = false
  let timer: ReturnType<typeof setTimeout> | undefined
  async function say(): Promise<void> {
    if (!open || asking) return
    asking = true
    clearTimeout(timer)
    const pieces = wanted.value
    const late = setTimeout(() => (cut.value = true), lateMs)
    try {
      const answer = await take(pieces)
      elsewhere.value = new Set(answer)
      given.value = new Set(pieces.filter((p) => !elsewhere.value.has(p)))
      cut.value = false
    } catch (refused) {
      if (!(refused instanceof Refusal)) throw refused
      cut.value = true
    }
    clearTimeout(late)
    asking = false
    timer = setTimeout(() => void say(), cut.value ? againMs / 5 : againMs)
    if (pieces.join() !== wanted.value.join()) void say()
  }
  const take = async (pieces: string[]): Promise<string[]> =>
    (await ask(api.PUT('/api/runs/{id}/in-hand', { params: { path: { id: run } }, body: { pieces } }))).elsewhere

  watch(wanted, (now, before) => {
    if (now.join() !== before.join()) void say()
  })

  return {
    next,
    after,
    elsewhere,
    begin: () => {
      open = true
      return say()
    },
    end: () => {
      open = false
      clearTimeout(timer)
      void take([]).catch(() => undefined)
    },
  }
}
