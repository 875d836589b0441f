import { ref } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { attempt, keepOrOffer, refresh, shop } from '../../state/state'

export type Numbers = Schemas['ShopNumbers']

/** The shop's numbers with the version they stand at. */
export function numbersStore() {
  const kept = ref<{ value: Numbers; version: number } | null>(null)
  const form = ref<Schemas['NumbersForm'] | null>(null)
  async function load(): Promise<void> {
    const [how, { value, version }] = await Promise.all([
      ask(api.GET('/api/numbers/form')),
      ask(api.GET('/api/numbers')),
    ])
    form.value = how
    if (value) kept.value = { value, version }
  }
  async function save(value: Numbers, version: number): Promise<boolean> {
    const send = async (what: Numbers, at: number) => {
      await ask(api.PUT('/api/numbers', { body: what, ...seen(at) }))
      await load()
      await refresh()
      shop.said = 'Saved. Every price uses it from now on; sent quotes keep theirs.'
    }
    return attempt(() => keepOrOffer(send, value, version))
  }
  return { kept, form, load, save }
}
