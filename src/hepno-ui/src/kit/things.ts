import { ref } from 'vue'
import { api, ask, type Schemas, seen } from '../api/client'
import { attempt, keepOrOffer, refresh, shop } from '../shell/state'

type Noun =
  | 'styles'
  | 'films'
  | 'vinyls'
  | 'screens'
  | 'film-printers'
  | 'dye-printers'
  | 'cutters'
  | 'presses'
  | 'recipes'
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
  async function save(value: T, version: number): Promise<boolean> {
    const { id, ...body } = value
    const send = async (what: object, at: number) => {
      // what is merged by the server still carries its id
      const { id: _, ...rest } = what as T
      await ask(
        api.PUT(`/api/${noun}/{id}` as '/api/styles/{id}', {
          params: { path: { id } },
          body: rest as unknown as Schemas['StyleBody'],
          ...seen(at),
        }),
      )
      await load()
      await refresh()
      shop.said = 'Saved. It holds from now on; sent quotes keep their price.'
    }
    return attempt(() => keepOrOffer(send, body as object, version))
  }
  return { all, load, save }
}
