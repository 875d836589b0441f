import { ref } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { attempt, keepOrOffer, refresh, shop } from '../../state/state'
import type { Numbers } from './fields'

/** The shop's numbers with the version they stand at. */
export function numbersStore() {
  const kept = ref<{ value: Numbers; version: number } | null>(null)
  async function load(): Promise<void> {
    const { value, version } = await ask(api.GET('/api/numbers'))
    if (value) kept.value = { value, version }
  }
  async function save(value: Numbers, version: number): Promise<boolean> {
    const send = async (what: Numbers, at: number) => {
      // the server always holds a policy for each channel
      await ask(api.PUT('/api/numbers', { body: what as Schemas['NumbersBody'], ...seen(at) }))
      await load()
      await refresh()
      shop.said = 'Saved. Every price uses it from now on; sent quotes keep theirs.'
    }
    return attempt(() => keepOrOffer(send, value, version))
  }
  return { kept, load, save }
}
