import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { attempt, lineInHand, reading, refresh, shop } from '../../state/state'
import type { Copy, Layout } from './laid'
import { type Proposal, useProposals } from './proposals'

export type { Copy, Layout } from './laid'

/** So many transfers of the drawer for a print of a line instead of new ones; 0 for none. */
export const takeFromDrawer = (
  order: { id: string; version: number },
  line: string,
  key: string,
  keptId: string,
  count: number,
) =>
  ask(
    api.POST('/api/orders/{id}/lines/{line}/layout/drawer', {
      params: { path: { id: order.id, line } },
      body: { key, keptId, count },
      ...seen(order.version),
    }),
  )

/** The layout of the line in hand: what it is, and everything that is done to it. Each deed is kept at once and taken back with Z. */
export function useGang() {
  const view = ref<Layout | null>(null)
  /** The copies as they are drawn: those kept, or those under the hand. */
  const copies = ref<Copy[]>([])
  const chosen = ref(0)
  /** The copy under the hand, with what was there before it was taken up. */
  const held = ref<{ index: number; before: Copy[] } | null>(null)
  const tried = ref<Schemas['TriedLayout'] | null>(null)
  const proposal = ref<Proposal | null>(null)
  const search = ref<Schemas['LayoutSearchView'] | null>(null)
  const seed = ref(1)
  const figures = computed(() => tried.value?.figures ?? view.value?.figures)
  const path = () => ({ path: { id: shop.order?.id ?? '', line: lineInHand.value?.id ?? '' } })
  const ground = () => ({
    filmId: view.value?.filmId ?? '',
    on: view.value?.on ?? '',
    byOutline: view.value?.isByOutline ?? false,
  })

  let loads = 0
  async function load(filmId?: string, on?: string, byOutline?: boolean): Promise<void> {
    const line = lineInHand.value?.id
    const mine = ++loads
    if (!shop.order || !line) return
    await reading(async () => {
      const got = await ask(
        api.GET('/api/orders/{id}/lines/{line}/layout', {
          params: { ...path(), query: filmId && on ? { filmId, on, byOutline } : {} },
        }),
      )
      // only what was asked for last is shown
      if (mine !== loads || lineInHand.value?.id !== line) return
      view.value = got
      copies.value = got.copies
      chosen.value = Math.min(chosen.value, got.copies.length - 1)
      held.value = tried.value = null
    })
  }
  // looked at one by one: an order that is read again unchanged leaves what is under the hand and a search alone
  watch([() => shop.order?.id, () => lineInHand.value?.id], () => {
    view.value = null
    proposal.value = search.value = null
    chosen.value = 0
  })
  watch([() => shop.order?.id, () => shop.order?.version, () => lineInHand.value?.id], () => void again(), {
    immediate: true,
  })

  /** On the same film, likewise by outline or as boxes. */
  function again(): Promise<void> {
    return load(view.value?.filmId, view.value?.on, view.value?.isByOutline)
  }
  /** Prints by their own outlines, or as boxes again; nothing is kept until a layout is settled. */
  async function outlines(): Promise<void> {
    const v = view.value
    if (!v?.hasOutlines || v.isLocked || held.value) return
    proposal.value = search.value = null
    await load(v.filmId, v.on, !v.isByOutline)
  }

  /** Keeps a layout for the line. */
  async function settle(now: Copy[], said: string, steps = 0): Promise<void> {
    const order = shop.order
    if (!order) return
    const kept = await attempt(async () => {
      await ask(
        api.PUT('/api/orders/{id}/lines/{line}/layout', {
          params: path(),
          body: { ...ground(), copies: now, seed: seed.value, steps },
          ...seen(order.version),
        }),
      )
      proposal.value = search.value = null
      await refresh()
    }, `${said} Z takes it back.`)
    if (!kept) await again()
  }
  async function look(now: Copy[], moved: number | null): Promise<Schemas['TriedLayout'] | null> {
    let got: Schemas['TriedLayout'] | null = null
    await attempt(async () => {
      got = await ask(
        api.POST('/api/orders/{id}/lines/{line}/layout/try', {
          params: path(),
          body: { ...ground(), copies: now, moved, reachIn: 0.3 },
        }),
      )
    })
    return got
  }

  let asked = 0
  let waiting = false
  /** The held copy is somewhere else: where it snaps to and what that comes to follow it. */
  async function hold(at: Partial<Copy>): Promise<void> {
    const h = held.value
    if (!h) return
    copies.value = copies.value.map((c, i) => (i === h.index ? { ...c, ...at } : c))
    // the hand is faster than the answer: only the last place is asked for
    asked++
    if (waiting) return
    waiting = true
    for (let mine = -1; mine !== asked && held.value === h;) {
      mine = asked
      const got = await look(copies.value, h.index)
      if (got && held.value === h && mine === asked) tried.value = got
    }
    waiting = false
  }
  function pick(index = chosen.value): void {
    if (!view.value || view.value.isLocked || proposal.value) return
    chosen.value = index
    held.value = { index, before: copies.value }
  }
  function back(): void {
    if (held.value) copies.value = held.value.before
    held.value = tried.value = null
    proposal.value = null
  }
  /** Puts the held copy down where it snapped to; one that does not go there goes back, and it is said by how much. */
  async function drop(): Promise<void> {
    const h = held.value
    if (!h) return
    const got = await look(copies.value, h.index)
    if (held.value !== h) return
    if (!got || got.problems.length > 0) {
      back()
      if (got) shop.problems = got.problems.slice(0, 2)
      return
    }
    held.value = null
    copies.value = got.copies
    await settle(got.copies, 'Moved.')
  }
  async function change(now: Copy[], said: string): Promise<void> {
    const got = await look(now, null)
    if (!got) return
    if (got.problems.length > 0) shop.problems = got.problems.slice(0, 2)
    else await settle(got.copies, said)
  }
  const edited = (at: Partial<Copy>) => copies.value.map((c, i) => (i === chosen.value ? { ...c, ...at } : c))
  async function turn(): Promise<void> {
    const c = copies.value[chosen.value]
    if (!c || view.value?.isLocked) return
    if (held.value) await hold({ turned: !c.turned })
    else await change(edited({ turned: !c.turned }), 'Turned.')
  }
  async function pin(): Promise<void> {
    const c = copies.value[chosen.value]
    if (c && !view.value?.isLocked)
      await change(edited({ pinned: !c.pinned }), c.pinned ? 'Free again.' : 'Pinned: a search leaves it there.')
  }
  async function remove(): Promise<void> {
    if (!view.value?.isLocked)
      await change(
        copies.value.filter((_, i) => i !== chosen.value),
        'Taken off.',
      )
  }

  /** Uses transfers of the drawer for a design instead of printing them; 0 for none. */
  async function fromDrawer(key: string, keptId: string, count: number): Promise<void> {
    const order = shop.order
    if (!order) return
    await attempt(
      async () => {
        await takeFromDrawer(order, path().path.line, key, keptId, count)
        proposal.value = search.value = null
        await refresh()
      },
      `${count > 0 ? `${count} come from the drawer` : 'All are printed new'}. Z takes it back.`,
    )
  }
  const proposing = useProposals({ view, copies, chosen, proposal, search, seed, path, ground })
  async function keep(): Promise<void> {
    const p = proposal.value
    if (!p) return
    if (p.tried.problems.length > 0) shop.problems = p.tried.problems.slice(0, 2)
    else await settle(p.tried.copies, `${p.what}.`, p.steps)
  }

  /** Buys the film as one with another order's, or apart again: both orders change, so it is no undo but its other deed that takes it back. */
  async function together(other: { orderId: string; lineId: string } | null): Promise<void> {
    const order = shop.order
    if (!order) return
    const call = { params: path(), ...seen(order.version) }
    await attempt(
      async () => {
        await ask(
          other
            ? api.POST('/api/orders/{id}/lines/{line}/layout/join', {
                ...call,
                body: { orderId: other.orderId, lineId: other.lineId },
              })
            : api.POST('/api/orders/{id}/lines/{line}/layout/part', call),
        )
        proposal.value = search.value = null
        await refresh()
      },
      other ? 'Their film is bought as one.' : 'Each order has its own film again.',
    )
  }
  async function forget(): Promise<void> {
    const order = shop.order
    if (!order) return
    await attempt(async () => {
      await ask(api.DELETE('/api/orders/{id}/lines/{line}/layout', { params: path(), ...seen(order.version) }))
      proposal.value = search.value = null
      await refresh()
      await load()
    }, 'The usual layout again. Z takes it back.')
  }

  const drawn = computed(() => proposal.value?.tried.copies ?? copies.value)
  return {
    view, figures, drawn, copies, chosen, held, tried, proposal, search, ...proposing,
    load, settle, outlines, pick, hold, back, drop, turn, pin, remove, fromDrawer, keep, forget, together,
  } // prettier-ignore
}
export type Gang = ReturnType<typeof useGang>

/** In a sentence a place is written small, an order's number is not. */
export const small = (name: string) => (/^T-\d/.test(name) ? name : name.toLowerCase())
/** Where a layout lies when its sheets are drawn in a row: the roll, or sheets an inch apart. */
export const sheetGap = 1
export const along = (l: Layout, c: { sheet: number; y: number }): number =>
  c.y + (l.ground.lengthIn === null ? 0 : c.sheet * (l.ground.lengthIn + sheetGap))
export const sizeOf = (l: Layout, c: Copy): { w: number; h: number } => {
  const d = l.designs.find((x) => x.key === c.key)
  if (!d) return { w: 0, h: 0 }
  return c.turned ? { w: d.heightIn, h: d.widthIn } : { w: d.widthIn, h: d.heightIn }
}
/** How far everything goes in such a row, billed length and sheets in it. */
export function reach(l: Layout, f: Schemas['LayoutFigures'] | undefined): number {
  if (l.ground.lengthIn === null) return Math.max(f?.billedIn ?? 0, f?.usedIn ?? 0, 12)
  return Math.max(1, f?.sheets ?? 1) * (l.ground.lengthIn + sheetGap) - sheetGap
}
