import { ref } from 'vue'
import { api, ask, Refusal, type Schemas, seen } from '../api/client'
import { attempt, refresh, shop } from '../shell/state'

type Noun =
  'styles' | 'films' | 'vinyls' | 'screens' | 'film-printers' | 'dye-printers' | 'presses' | 'recipes' | 'customers'
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
  async function save(value: T): Promise<boolean> {
    const { id, ...body } = value
    const version = all.value.find((k) => k.value.id === id)?.version ?? 0
    const send = async (what: object, at: number) => {
      await ask(
        api.PUT(`/api/${noun}/{id}` as '/api/styles/{id}', {
          params: { path: { id } },
          body: what as Schemas['StyleBody'],
          ...seen(at),
        }),
      )
      shop.collision = null
      await load()
      await refresh()
    }
    return attempt(async () => {
      try {
        await send(body, version)
      } catch (refused) {
        if (!(refused instanceof Refusal) || !refused.more.merged) throw refused
        const {
          merged,
          differ,
          collide,
          version: stands,
        } = refused.more as { merged: T; differ: string[]; collide: string[]; version: number }
        const { id: _, ...rest } = merged
        shop.collision = { differ, collide, keepBoth: () => send(rest, stands), keepMine: () => send(body, stands) }
      }
    }, 'Saved. It holds from now on; sent quotes keep their price.')
  }
  return { all, load, save }
}
