import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { lineInHand, reading, shop } from '../../state/state'

/** Inputs of a price that may be tried at another level, with how far: per cent of as it is now. */
export const tries = ['blank', 'film', 'ink', 'sentOut', 'wage', 'overhead', 'spoilage'] as const
export type Tried = Partial<Record<(typeof tries)[number], number>>

/** The comparison of the line in hand: its own figures, or at another count, with a mix of ways or with inputs tried. */
export function useComparing() {
  const comparison = ref<Schemas['Comparison'] | null>(null)
  const quantity = ref<number | null>(null)
  /** The way that is opened. */
  const open = ref('')
  /** A mix of ways the owner wants to see beside the rest; empty for none. */
  const mix = ref('')
  /** Per cent more or less of inputs; nothing of it is kept. */
  const tried = ref<Tried>({})
  const trying = computed(() => Object.values(tried.value).some((percent) => percent !== 0))
  /** Ways in their order before anything was tried. */
  const before = ref<string[]>([])
  const bands = computed(() => comparison.value?.bands ?? [])
  const chosen = computed(() => bands.value.find((b) => b.methodId === open.value) ?? bands.value[0])

  let asked = 0
  async function load(): Promise<void> {
    const order = shop.order
    if (!order) return
    const mine = ++asked
    const query = {
      line: lineInHand.value?.id ?? '',
      ...(quantity.value !== null && { quantity: quantity.value }),
      ...(mix.value && { mix: mix.value }),
      ...Object.fromEntries(Object.entries(tried.value).map(([input, percent]) => [input, 1 + percent / 100])),
    }
    await reading(async () => {
      const got = await ask(api.GET('/api/orders/{id}/compare', { params: { path: { id: order.id }, query } }))
      if (mine !== asked) return
      comparison.value = got
      if (!trying.value) before.value = got.bands.map((b) => b.methodId)
    })
  }
  watch(
    [() => lineInHand.value?.id, () => shop.order?.version, () => shop.order?.id],
    ([line, , id], old) => {
      if (line !== old?.[0] || id !== old?.[2]) {
        comparison.value = null
        open.value = lineInHand.value?.methodId ?? ''
        mix.value = open.value.includes('@') ? open.value : ''
        tried.value = {}
      }
      quantity.value = null
      void load()
    },
    { immediate: true },
  )
  watch([quantity, tried], () => void load())
  /** A mix is opened as soon as it is there. */
  async function look(key: string): Promise<void> {
    mix.value = key
    await load()
    // another may have been said meanwhile
    if (key && mix.value === key) open.value = key
  }

  /** Every way at every count; it comes after the comparison and never holds it up. */
  const ribbon = ref<Schemas['QuantityRibbon'] | null>(null)
  watch(
    [() => comparison.value !== null, () => lineInHand.value?.id, () => shop.order?.id, () => shop.order?.version],
    async ([there, line, id]) => {
      ribbon.value = null
      if (!there || typeof id !== 'string' || typeof line !== 'string') return
      const got = await api.GET('/api/orders/{id}/ribbon', { params: { path: { id }, query: { line } } })
      if (got.data && lineInHand.value?.id === line && shop.order?.id === id) ribbon.value = got.data
    },
  )
  return { comparison, quantity, open, mix, tried, trying, before, bands, chosen, load, look, ribbon }
}
