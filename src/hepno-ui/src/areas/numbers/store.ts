import { ref } from 'vue'
import { api, ask, Refusal, seen } from '../../api/client'
import { attempt, refresh, shop } from '../../shell/state'
import type { Numbers } from './fields'

/** The shop's numbers with the version they stand at. */
export function numbersStore() {
  const kept = ref<{ value: Numbers; version: number } | null>(null)
  async function load(): Promise<void> {
    const { value, version } = await ask(api.GET('/api/numbers'))
    if (value) kept.value = { value, version }
  }
  async function save(value: Numbers): Promise<boolean> {
    const send = async (what: Numbers, at: number) => {
      await ask(api.PUT('/api/numbers', { body: what, ...seen(at) }))
      shop.collision = null
      await load()
      await refresh()
    }
    return attempt(async () => {
      try {
        await send(value, kept.value?.version ?? 0)
      } catch (refused) {
        if (!(refused instanceof Refusal) || !refused.more.merged) throw refused
        const { merged, differ, collide, version } = refused.more as {
          merged: Numbers
          differ: string[]
          collide: string[]
          version: number
        }
        shop.collision = {
          differ,
          collide,
          keepBoth: () => send(merged, version),
          keepMine: () => send(value, version),
        }
      }
    }, 'Saved. Every price uses it from now on; sent quotes keep theirs.')
  }
  return { kept, load, save }
}
