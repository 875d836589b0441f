<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, type Schemas } from '../../api/client'
import Keys from '../../kit/Keys.vue'
import { clock, duration } from '../../words/shown'
import { typing } from '../../shell/keys'
import { onChange } from '../../state/live'
import { attempt, format, reading, shop, take } from '../../state/state'
import DayDrawing from './DayDrawing.vue'
import DayTray from './DayTray.vue'
import { useMove } from './moving'
import PromiseChain from './PromiseChain.vue'

const router = useRouter()
const view = ref<Schemas['PressDayView'] | null>(null)
const day = ref('')
const f = computed(() => format())
async function load(): Promise<void> {
  await reading(async () => {
    view.value = await ask(
      api.GET('/api/press-day', {
        params: {
          query: { ...(day.value ? { day: day.value } : {}), ...(shop.inHand ? { inHand: shop.inHand } : {}) },
        },
      }),
    )
  })
}
watch(
  () => [shop.inHand, shop.order?.version, day.value],
  () => void load(),
  { immediate: true },
)

const move = useMove(view, load)
const { ghost, changes, begin, nudge, toPress, place, leave, drop } = move
watch([() => shop.inHand, day], () => {
  drop()
  changes.value = []
})

function shift(by: number): void {
  const at = new Date(`${view.value?.day ?? ''}T12:00:00Z`)
  at.setUTCDate(at.getUTCDate() + by)
  day.value = at.toISOString().slice(0, 10)
}
async function run(id: string): Promise<void> {
  await take(id)
  if (await attempt(async () => void (await ask(api.POST('/api/runs/{id}/start', { params: { path: { id } } })))))
    await router.push(`/run/${id}`)
}
const batches = computed(() => view.value?.lanes.reduce((n, l) => n + l.batches.length, 0) ?? 0)
const all = computed(() => [
  ...(view.value?.lanes.flatMap((l) => l.batches.map((b) => b.orderId)) ?? []),
  ...(view.value?.tray.map((t) => t.orderId) ?? []),
])
function onKey(event: KeyboardEvent): void {
  if (typing(event) || event.ctrlKey || event.metaKey) return
  const key = event.key.toLowerCase()
  const steer: Record<string, () => unknown> = {
    arrowleft: () => nudge(-1),
    arrowright: () => nudge(1),
    arrowup: () => toPress(-1),
    arrowdown: () => toPress(1),
    enter: () => place(),
    escape: () => drop(),
  }
  if (ghost.value && steer[key]) {
    steer[key]()
    event.preventDefault()
    return
  }
  if (key === 'm') begin()
  else if (key === 'u') void leave()
  else if (key === 'p') print()
  else if (key === '[') shift(-1)
  else if (key === ']') shift(1)
  else if (key === 'arrowright' || key === 'arrowleft') {
    const ids = [...new Set(all.value)]
    const next = ids[(ids.indexOf(shop.inHand) + (key === 'arrowright' ? 1 : -1) + ids.length) % ids.length]
    if (next) void take(next)
  } else if (key === 'r' && shop.order?.station === 'press') void run(shop.inHand)
  else return
  event.preventDefault()
}
const print = () => window.open(`/api/press-day.pdf?day=${view.value?.day ?? ''}`, '_blank')

let stop = () => {}
onMounted(() => {
  window.addEventListener('keydown', onKey)
  stop = onChange(() => void load())
})
onUnmounted(() => {
  window.removeEventListener('keydown', onKey)
  stop()
})
</script>

<template>
  <div class="area">
    <div class="title">
      <h1>{{ view?.title }}</h1>
      <span class="small"
        ><button @click="shift(-1)"><kbd>[</kbd></button> <button @click="shift(1)"><kbd>]</kbd></button> day</span
      >
      <a v-if="view" class="plain-button" :href="`/api/press-day.pdf?day=${view.day}`" target="_blank">Day sheet</a>
      <span v-if="view" class="sums"
        ><b>{{ batches }}</b> {{ batches === 1 ? 'batch' : 'batches' }}
        <b>{{ duration(view.pressingMinutes * 60) }}</b> pressing <b>{{ view.heatChanges }}</b> changes of heat
        <span :class="{ heat: view.lateCount > 0 }"
          ><b>{{ view.lateCount }}</b> late</span
        ></span
      >
    </div>
    <div class="drawing">
      <p v-if="view && view.lanes.length === 0" class="frame">
        No press on the Floor. <RouterLink to="/floor">Add your first press</RouterLink>
      </p>
      <p v-else-if="view && !view.open" class="frame">
        Closed. <button class="plain-button" @click="shift(1)">Next day</button>
      </p>
      <DayDrawing v-else-if="view" :view="view" :move="move" />
      <ul v-if="view && view.open && view.hands.length > 0" class="hands" aria-label="Whose hands">
        <li v-for="h in view.hands" :key="h.id">
          <b>{{ h.name }}</b>
          {{ h.here.map((s) => `${clock(s.from, f)} to ${clock(s.to, f)}`).join(', ') || 'away' }}
        </li>
      </ul>
      <div v-if="changes.length > 0" class="changes" role="status">
        <b>What changed</b>
        <p v-for="c in changes" :key="c" :class="{ heat: c.includes(' late') }">{{ c }}</p>
      </div>
      <PromiseChain v-if="view?.promise" :promise="view.promise" @run="run(shop.inHand)" />
      <DayTray v-if="view && view.tray.length > 0" :view="view" />
    </div>
    <Keys
      :hints="[
        ['← →', ghost ? 'a quarter of an hour' : 'another batch'],
        ...(ghost
          ? ([
              ['↑ ↓', 'press'],
              ['Enter', 'place it'],
              ['Esc', 'leave it'],
            ] as [string, string][])
          : ([
              ['M', 'move it'],
              ['U', 'leave it to the plan'],
              ['P', 'print the day'],
            ] as [string, string][])),
        ['[ ]', 'day'],
        ['R', 'run it'],
      ]"
      ><span style="margin-left: auto"
        ><svg width="20" height="12" aria-hidden="true">
          <path d="M1 2v9h18v-9" fill="none" stroke="var(--ink)" stroke-width="1.5" />
        </svg>
        hands set it up; cooling and peeling are in each batch</span
      ></Keys
    >
  </div>
</template>

<style scoped>
.title {
  display: flex;
  align-items: baseline;
  gap: 18px;
}
.sums {
  margin-left: auto;
  white-space: nowrap;
}
.sums b {
  font-size: 18px;
  margin-left: 12px;
}
ul.hands {
  list-style: none;
  display: flex;
  gap: 24px;
  padding: 4px 0 8px;
  font-size: 14px;
}
ul.hands li {
  border: 0;
  padding: 0;
}
.changes {
  border-left: 3px solid var(--ink);
  padding: 2px 0 2px 12px;
  margin-bottom: 10px;
}
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 40px;
  text-align: center;
}
</style>
