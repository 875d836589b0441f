import { onMounted, onUnmounted, ref } from 'vue'
import { api, ask, type Schemas, seen } from '../api/client'
import { onChange } from '../state/live'
import { attempt, keepOrOffer, reading, refresh, shop } from '../state/state'

/** A kind of thing the shop keeps, as its calls name it. */
export type Noun =
  | 'styles'
  | 'films'
  | 'vinyls'
  | 'screens'
  | 'film-printers'
  | 'dye-printers'
  | 'paper-printers'
  | 'garment-printers'
  | 'stitch-machines'
  | 'papers'
  | 'outside-printers'
  | 'pod-services'
  | 'cloths'
  | 'calenders'
  | 'cutters'
  | 'presses'
  | 'recipes'
  | 'spot-tests'
  | 'test-garments'
  | 'kept-prints'
  | 'remnants'
  | 'upkeep'
  | 'supplies'
  | 'customers'
interface Kept<T> {
  value: T
  version: number
}

/** One kind of thing the shop keeps: all of them, and saving one. */
export function things<T extends { id: string }>(noun: Noun) {
  const all = ref<Kept<T>[]>([]) as { value: Kept<T>[] }
  async function load(): Promise<void> {
    all.value = (await ask(api.GET(`/api/${noun}` as '/api/styles'))) as unknown as Kept<T>[]
  }
  async function save(value: T, version: number, sure = false): Promise<boolean> {
    const { id, ...body } = value
    const send = async (what: object, at: number) => {
      // what is merged by the server still carries its id
      const { id: _, ...rest } = what as T
      await ask(
        api.PUT(`/api/${noun}/{id}` as '/api/styles/{id}', {
          params: { path: { id } },
          body: rest as unknown as Schemas['StyleBody'],
          headers: { ...seen(at).headers, ...(sure ? { 'Hepno-Sure': 'true' } : {}) },
        }),
      )
      await load()
      await refresh()
      shop.said = 'Saved. It holds from now on; sent quotes keep their price.'
    }
    const kept = await attempt(() => keepOrOffer(send, body as object, version))
    // an odd value is asked about once
    if (!kept && shop.problems.length > 0 && shop.problems.every((p) => p.code === 'doubt'))
      shop.sure = () => save(value, version, true)
    return kept
  }
  return { all, load, save }
}

/** Reads kinds of things when a part opens and again when one of a kind changes anywhere; kinds are named as the change stream names them. */
export function useThings(kinds: Record<string, { load: () => Promise<void> }>): () => Promise<void> {
  const load = () => reading(async () => void (await Promise.all(Object.values(kinds).map((k) => k.load()))))
  let stop = () => {}
  onMounted(() => {
    void load()
    stop = onChange((kind) => void (kind in kinds && load()))
  })
  onUnmounted(() => stop())
  return load
}
