import { computed, onMounted, onUnmounted, reactive, ref } from 'vue'
import { api, ask, type Schemas, seen } from '../api/client'
import type { paths } from '../api/schema'
import { onChange } from '../state/live'
import { begun, formOf, kindOf, kindsRead, namedRead, nameOf } from './described'
import type { Field } from './fields'
import { attempt, keepOrOffer, reading, refresh, shop } from '../state/state'

/** A kind of thing the shop keeps, as its calls name it. */
export type Noun = {
  [P in keyof paths]: P extends `/api/${infer N}` ? (N extends `${string}/${string}` ? never : N) : never
}[keyof paths]
interface Kept<T> {
  value: T
  version: number
}

/** What boards show of a kind. */
export interface Board<T> {
  title: string
  add: string
  none: string
  noun: Noun | undefined
  kept: Kept<T>[]
  fields: Field<T>[]
  fresh: () => Omit<T, 'id'>
  named: (value: T) => string
  save: (value: T, version: number) => Promise<boolean>
}

/** One kind of thing the shop keeps: all of them, and saving one. */
export function things<T extends { id: string }>(noun: Noun) {
  const kind = computed(() => kindOf(noun))
  const all = ref<Kept<T>[]>([]) as { value: Kept<T>[] }
  async function load(): Promise<void> {
    await kindsRead()
    await namedRead(kind.value)
    all.value = (await ask(api.GET(`/api/${noun}` as '/api/styles'))) as unknown as Kept<T>[]
  }
  async function save(value: T, version: number, sure = false): Promise<boolean> {
    const { id } = value
    const send = async (what: object, at: number) => {
      await ask(
        api.PUT(`/api/${noun}/{id}` as '/api/styles/{id}', {
          params: { path: { id } },
          body: what as Schemas['Style'],
          headers: { ...seen(at).headers, ...(sure ? { 'Hepno-Sure': 'true' } : {}) },
        }),
      )
      await load()
      await refresh()
      shop.said = 'Saved. It holds from now on; sent quotes keep their price.'
    }
    const kept = await attempt(() => keepOrOffer(send, value, version))
    // an odd value is asked about once
    if (!kept && shop.problems.length > 0 && shop.problems.every((p) => p.code === 'doubt'))
      shop.sure = () => save(value, version, true)
    return kept
  }
  /** What a board of them needs to know, of a kind whose form is described. */
  const board = reactive({
    title: computed(() => kind.value?.words?.many ?? ''),
    add: computed(() => kind.value?.words?.add ?? ''),
    none: computed(() => kind.value?.words?.none ?? ''),
    noun: computed(() => (kind.value?.hasPrices ? noun : undefined)),
    kept: computed(() => all.value),
    fields: computed(() => formOf<T>(kind.value)),
    fresh: () => begun(kind.value, shop.line?.today ?? '') as Omit<T, 'id'>,
    named: (value: T) => nameOf(value, kind.value),
    save,
  }) as Board<T>
  return { all, load, save, board }
}

const arriving = ref(0)
/** True once every board of the page has what it shows: what stands below them moves no more under a finger. */
export const settled = computed(() => arriving.value === 0)

/** Reads kinds of things when a part opens and again when one of a kind changes anywhere; kinds are named as the change stream names them. */
export function useThings(kinds: Record<string, { load: () => Promise<void> }>): () => Promise<void> {
  const load = () => reading(async () => void (await Promise.all(Object.values(kinds).map((k) => k.load()))))
  let stop = () => {}
  arriving.value++
  onMounted(() => {
    void load().finally(() => arriving.value--)
    stop = onChange((kind) => void (kind in kinds && load()))
  })
  onUnmounted(() => stop())
  return load
}
