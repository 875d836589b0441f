<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, ask, Refusal, seen } from '../api/client'
import { link } from '../sending/link'
import { once } from '../sending/presses'
import { sendLeft } from '../sending/sending'
import Explain from '../kit/Explain.vue'
import Sign from '../kit/Sign.vue'
import StrataDefs from '../kit/StrataDefs.vue'
import { stations } from '../words/words'
import CustomerCard from './CustomerCard.vue'
import EndOrder from './EndOrder.vue'
import FindBox from './FindBox.vue'
import { allKeys, typing } from './keys'
import { listen } from '../state/live'
import Slip from './Slip.vue'
import PairScreen from './PairScreen.vue'
import { atPress, attempt, beginAsk, giveUp, offer, refresh, shop, stationPath, take } from '../state/state'
import StationSlips from './StationSlips.vue'
import Unsent from './Unsent.vue'
import WorkLine from './WorkLine.vue'

const route = useRoute()
const router = useRouter()
const finding = ref(false)
const customer = ref(false)
const ending = ref(false)
const helping = ref(false)
const waiting = ref(false)
const bare = computed(() => route.meta.bare === true)
let gTimer: ReturnType<typeof setTimeout> | undefined

const newAsk = () =>
  once('ask', async () => {
    await attempt(async () => {
      const id = await beginAsk()
      await router.push({ path: '/ask', query: { begin: id } })
    })
  })

/** Where the next deed is done, when not at the order's station; empty for one that is done from everywhere. */
const places: Record<string, string> = { run: '', 'bring-back': '' }
const away = computed(() => {
  const order = shop.held
  if (!order || order.slip.action.waits) return ''
  const code = order.slip.action.code
  const at = places[code] ?? stationPath(order.station)
  return at !== route.path ? at : ''
})
const act = () => once('act', doNext)
async function doNext(): Promise<void> {
  const order = shop.held
  if (!order || order.slip.action.waits) return
  if (away.value) return void router.push(away.value)
  const path = { params: { path: { id: order.id } }, ...seen(order.version) }
  switch (order.slip.action.code) {
    case 'lay-out':
      if (await attempt(async () => void (await ask(api.POST('/api/orders/{id}/lay-out', path))))) await next('/quote')
      return
    case 'run':
      if (await attempt(async () => void (await ask(api.POST('/api/runs/{id}/start', path)))))
        await router.push(`/run/${order.id}`)
      return
    case 'close':
      if (
        await attempt(
          async () => void (await ask(api.POST('/api/orders/{id}/close', path))),
          `${order.code} is closed.`,
        )
      )
        await refresh()
      return
    case 'bring-back':
      if (
        await attempt(
          async () => void (await ask(api.POST('/api/orders/{id}/bring-back', path))),
          `${order.code} is back on the line.`,
        )
      ) {
        await refresh()
        await router.push(stationPath(shop.held?.station ?? 'ask'))
      }
      return
    default:
      window.dispatchEvent(new Event('hepno-act'))
  }
}

async function next(path: string): Promise<void> {
  await refresh()
  await router.push(path)
}

const undo = () => once('undo', takeBack)
async function takeBack(): Promise<void> {
  await attempt(async () => {
    const had = shop.inHand
    const done = await ask(api.POST('/api/undo'))
    // who took another order in hand meanwhile keeps it
    if (done.kind === 'order' && shop.inHand === had) await take(done.id)
    await refresh()
    shop.said = done.said
  })
  if (shop.problems.length === 0 && !shop.said) shop.said = 'Taken back.'
}

async function step(by: number): Promise<void> {
  const ids = shop.line?.stations.flatMap((s) => s.pegs.map((p) => p.id)) ?? []
  if (ids.length === 0) return
  const at = ids.indexOf(shop.inHand)
  await take(ids[(at + by + ids.length) % ids.length]!)
}

// fields and dialogs keep their Escape to themselves
const onEscape = (event: KeyboardEvent) => event.key === 'Escape' && giveUp()
function onKey(event: KeyboardEvent): void {
  if (bare.value || link.shutOut) return
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    void act()
    return
  }
  if (typing(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (waiting.value) {
    waiting.value = false
    clearTimeout(gTimer)
    const station = stations[Number(event.key) - 1]
    const place = { s: '/shelf', f: '/floor', n: '/numbers' }[event.key.toLowerCase()]
    if (station || place) {
      event.preventDefault()
      void router.push(place ?? `/${station}`)
    }
    return
  }
  const deeds: Record<string, () => void> = {
    g: () => {
      waiting.value = true
      gTimer = setTimeout(() => (waiting.value = false), 3000)
    },
    n: () => void newAsk(),
    '/': () => (finding.value = true),
    '?': () => (helping.value = true),
    c: () => (customer.value = true),
    ',': () => void step(-1),
    '.': () => void step(1),
    '\\': () => (shop.slipOpen = !shop.slipOpen),
    z: () => void undo(),
  }
  const deed = atPress.value && 'n/cz'.includes(event.key.toLowerCase()) ? undefined : deeds[event.key.toLowerCase()]
  if (deed && !event.repeat) {
    event.preventDefault()
    deed()
  }
}

onMounted(async () => {
  window.addEventListener('keydown', onKey)
  window.addEventListener('keydown', onEscape, { capture: true })
  try {
    await refresh()
    if (atPress.value && !route.meta.atPress) await router.replace('/press')
    if (!shop.inHand) {
      const near = shop.line?.stations.filter((s) => !atPress.value || router.resolve(`/${s.station}`).meta.atPress)
      const first = near?.flatMap((s) => s.pegs)[0]
      if (first) await take(first.id)
    }
    if (shop.line?.newShop && !bare.value && !atPress.value) await router.push('/first-day')
  } catch (refused) {
    if (!(refused instanceof Refusal)) throw refused
    if (link.shutOut) return
  }
  listen()
  sendLeft((stale, send) => offer(stale, (what, at) => send(what, at).then(refresh)))
})
// what nobody answered is read again, and is no longer said, once somebody does
watch(
  () => link.lostAt,
  (now) => {
    if (now) return
    shop.problems = shop.problems.filter((p) => p.code !== 'no-answer')
    void refresh().catch(() => undefined)
  },
)
onUnmounted(() => {
  window.removeEventListener('keydown', onKey)
  window.removeEventListener('keydown', onEscape, { capture: true })
})
</script>

<template>
  <StrataDefs />
  <PairScreen v-if="link.shutOut" />
  <RouterView v-else-if="bare" />
  <div v-else class="app">
    <a class="skip" href="#work">To the work</a>
    <WorkLine :waiting="waiting" @ask="newAsk" @find="finding = true" />
    <main id="work" tabindex="-1">
      <p v-for="n in shop.line?.notices" :key="n.code" class="notice" role="status">
        <Sign kind="caution" /><b>{{ n.sentence }}</b> {{ n.remedy }}
      </p>
      <Unsent />
      <StationSlips />
      <RouterView v-if="shop.line" />
    </main>
    <Slip :away="away" @act="act" @customer="customer = true" @end="ending = true" />
  </div>
  <FindBox v-model="finding" />
  <CustomerCard v-model="customer" />
  <EndOrder v-model="ending" />
  <Explain />
  <Dialog v-model:visible="helping" modal header="All keys" :style="{ width: '520px', maxWidth: '94vw' }">
    <table>
      <tbody>
        <tr v-for="[keys, what] in allKeys" :key="keys">
          <td class="mono" style="padding-right: 20px">{{ keys }}</td>
          <td>{{ what }}</td>
        </tr>
      </tbody>
    </table>
  </Dialog>
  <Dialog
    :visible="shop.collision !== null"
    modal
    header="Changed on another device too"
    :style="{ width: '520px', maxWidth: '94vw' }"
    @update:visible="shop.collision = null"
  >
    <template v-if="shop.collision">
      <p>Differs: {{ shop.collision.differ.join(', ') }}.</p>
      <p v-if="shop.collision.collide.length > 0" class="caution">
        Both changed: {{ shop.collision.collide.join(', ') }}.
      </p>
      <p style="display: flex; gap: 12px; padding-top: 12px">
        <button
          v-if="shop.collision.collide.length === 0"
          class="go-button"
          autofocus
          @click="attempt(shop.collision.keepBoth)"
        >
          Keep both changes
        </button>
        <button v-else class="plain-button" @click="attempt(shop.collision.keepMine)">Mine stands</button>
        <button class="plain-button" @click="((shop.collision = null), refresh())">Theirs stands</button>
      </p>
    </template>
  </Dialog>
</template>

<style scoped>
.app {
  height: 100%;
  display: grid;
  grid-template: var(--line-h) minmax(0, 1fr) / minmax(0, 1fr) var(--slip-w);
}
.skip {
  position: absolute;
  left: 8px;
  top: -60px;
  z-index: 5;
  background: var(--ink);
  color: var(--bleach);
  padding: 8px 14px;
}
.skip:focus {
  top: 8px;
}
main:focus {
  outline: none;
}
main {
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
main > :deep(.notice) {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  padding: 6px 20px;
  border-bottom: 1px solid var(--caution-text);
  color: var(--caution-text);
}
main > :deep(.area) {
  flex: 1;
  min-height: 0;
}
@media (max-width: 1279px) {
  .app {
    grid-template-columns: minmax(0, 1fr) 208px;
  }
}
@media (max-width: 1099px) {
  .app {
    grid-template: var(--line-h) minmax(0, 1fr) auto / minmax(0, 1fr);
  }
}
</style>
