import type { Ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { attempt, shop } from '../../state/state'
import type { Copy, Layout } from './laid'

/** A layout that is shown and not kept yet: what a search found, what fills the room, one brought in. */
export interface Proposal {
  what: string
  tried: Schemas['TriedLayout']
  steps: number
}

/** How often a search is looked at, ms. */
const looks = 200
/** As many as there is room for, and no more than are laid in one go. */
const plenty = 200

/** The layout that is worked on. */
interface Worked {
  view: Ref<Layout | null>
  copies: Ref<Copy[]>
  chosen: Ref<number>
  proposal: Ref<Proposal | null>
  search: Ref<Schemas['LayoutSearchView'] | null>
  seed: Ref<number>
  path: () => { path: { id: string; line: string } }
  ground: () => { filmId: string; on: string; byOutline: boolean }
}

/** What is proposed for a layout: room filled, a shorter one searched, one's own brought in. */
export function useProposals({ view, copies, chosen, proposal, search, seed, path, ground }: Worked) {
  /** Proposes what the shop keeps on hand for the room that is paid for. */
  const fillWith = (key: string, name: string) => fill(`Filled with ${name}`, plenty, false, key)
  /** Proposes more copies of the chosen design: one, as many as the paid room holds, or the next step too. */
  async function fill(
    what: string,
    most: number,
    nextStep: boolean,
    key = copies.value[chosen.value]?.key,
  ): Promise<void> {
    if (!key || view.value?.isLocked) return
    await attempt(async () => {
      const got = await ask(
        api.POST('/api/orders/{id}/lines/{line}/layout/fill', {
          params: path(),
          body: { ...ground(), copies: copies.value, key, most, nextStep },
        }),
      )
      if (got.copies.length === copies.value.length) shop.said = 'There is no room for another.'
      else proposal.value = { what, tried: got, steps: 0 }
    })
  }
  const oneMore = () => fill('One more of it is laid', 1, true)
  const fillRoom = () => fill('The room that is paid for is filled', plenty, false)
  const fillNext = () => fill('The next step is filled', plenty, true)
  /** Searches for a shorter layout, or stops a search that runs: the best found is proposed. */
  async function searching(seconds: number): Promise<void> {
    if (search.value && !search.value.isDone) {
      const id = search.value.id
      await attempt(async () => {
        await ask(api.POST('/api/layout-searches/{id}/stop', { params: { path: { id } } }))
      })
      return
    }
    if (!view.value || view.value.isLocked) return
    await attempt(async () => {
      search.value = await ask(
        api.POST('/api/orders/{id}/lines/{line}/layout/search', {
          params: path(),
          body: { ...ground(), copies: copies.value, seed: seed.value, seconds },
        }),
      )
      while (search.value && !search.value.isDone) {
        await new Promise((r) => setTimeout(r, looks))
        const running: Schemas['LayoutSearchView'] | null = search.value
        if (!running) return
        search.value = await ask(api.GET('/api/layout-searches/{id}', { params: { path: { id: running.id } } }))
      }
      const found = search.value?.result
      // another search begins elsewhere
      seed.value++
      if (found && search.value?.isBetter)
        proposal.value = { what: 'The better layout is kept', tried: found, steps: found.figures.steps }
    })
  }
  async function bring(text: string): Promise<void> {
    await attempt(async () => {
      const got = await ask(
        api.POST('/api/orders/{id}/lines/{line}/layout/bring', { params: path(), body: { ...ground(), text } }),
      )
      proposal.value = { what: 'Your own layout is kept', tried: got, steps: 0 }
      shop.problems = got.problems.slice(0, 3)
    })
  }

  return { oneMore, fillRoom, fillNext, fillWith, searching, bring }
}
