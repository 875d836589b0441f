<script setup lang="ts">
import { computed, onUnmounted, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { format, reading, shop } from '../../state/state'
import { number } from '../../words/shown'
import { floorWord } from '../../words/words'
import FloorLanes from './FloorLanes.vue'

/** The order in hand on the press floor: both arrangements in the same minutes, stepped and played, and what would help most. */
const view = ref<Schemas['FloorSimulationView'] | null>(null)
const missing = ref('')
/** Begun with the press cold, or at its heat. */
const cold = ref(false)
async function load(): Promise<void> {
  view.value = null
  missing.value = ''
  if (!shop.inHand) {
    missing.value = 'Take an order in hand: its pieces go over the floor here.'
    return
  }
  const id = shop.inHand
  try {
    const got = await ask(
      api.GET('/api/orders/{id}/press-floor', { params: { path: { id }, query: { cold: cold.value } } }),
    )
    if (id === shop.inHand) view.value = got
  } catch (problem) {
    missing.value = problem instanceof Error ? problem.message : 'Nothing can be pressed yet.'
  }
}
watch(
  () => [shop.inHand, shop.order?.version, cold.value],
  () => void reading(load),
  { immediate: true },
)

const at = ref(0)
const playing = ref(false)
let timer = 0
function play(): void {
  playing.value = !playing.value
  window.clearInterval(timer)
  if (!playing.value) return
  if (at.value >= end.value) at.value = 0
  timer = window.setInterval(() => {
    at.value = Math.min(end.value, at.value + 2)
    if (at.value >= end.value) play()
  }, 100)
}
onUnmounted(() => window.clearInterval(timer))
const end = computed(() =>
  Math.min(
    view.value?.drawnSeconds ?? 0,
    Math.max(...(view.value?.arrangements ?? []).map((w) => w.makespanSeconds), 0),
  ),
)
/** The moments at which something begins, in either. */
const moments = computed(() =>
  [...new Set((view.value?.arrangements ?? []).flatMap((w) => w.events.map((e) => e.from)))].sort((a, b) => a - b),
)
function step(by: 1 | -1): void {
  const next =
    by > 0 ? moments.value.find((m) => m > at.value + 0.01) : moments.value.findLast((m) => m < at.value - 0.01)
  if (next !== undefined) at.value = next
}
const clock = (s: number) => `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`
const most = computed(() => Math.max(1, ...(view.value?.changes ?? []).map((c) => c.secondsAPiece)))
</script>

<template>
  <section aria-label="On the press floor">
    <h2 class="head">
      On the floor
      <template v-if="view"
        ><span class="small quiet"
          >{{ view.what }}, {{ view.pieces }} pieces on {{ view.pressName }}; {{ view.source }}</span
        ></template
      >
    </h2>
    <p v-if="!view" class="none quiet">{{ missing || 'Simulating...' }}</p>
    <template v-else>
      <div v-for="w in view.arrangements" :key="w.policy" class="arrangement">
        <div class="figures">
          <span>{{ floorWord[w.policy] }}</span>
          <b>{{ w.aPiece }}</b>
          <span class="small">a piece, {{ w.inAll }} in all</span>
        </div>
        <FloorLanes :events="w.events" :end="end" :at="at" :label="floorWord[w.policy]" />
        <p class="small quiet said">{{ w.busy }}; {{ w.tooLong }}{{ w.order ? `; ${w.order}` : '' }}.</p>
      </div>
      <div class="player">
        <button class="plain-button" @click="step(-1)">Step back</button>
        <button class="plain-button" @click="play">{{ playing ? 'Stop' : 'Play' }}</button>
        <button class="plain-button" @click="step(1)">Step</button>
        <label
          >minute
          <input
            v-model.number="at"
            type="range"
            min="0"
            :max="Math.floor(end)"
            step="1"
            :aria-valuetext="clock(at)"
            aria-label="Moment of the simulation" /></label
        ><b class="fig">{{ clock(at) }}</b>
        <label class="small"><input v-model="cold" type="checkbox" /> from a cold press</label>
        <span class="small"
          ><i class="key hands" /> hands <i class="key shut" /> press closed <i class="key held" /> press held
          <i class="key rack" /> cooling</span
        >
      </div>
      <h3>What would help most</h3>
      <p class="small quiet">
        Seconds off each piece; {{ view.narrow }}{{ view.zeroOverDwell ? `; ${view.zeroOverDwell}` : '' }}.
      </p>
      <ul class="changes">
        <li v-for="c in view.changes" :key="c.what">
          <span>{{ c.what }}</span>
          <span class="bar"
            ><i :style="{ width: `${(c.secondsAPiece / most) * 100}%` }" />
            <b>{{ c.secondsAPiece > 0 ? `−${number(c.secondsAPiece, 1, format())} s` : '0' }}</b></span
          >
          <span class="small quiet">{{ c.said }}</span>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: baseline;
  border-bottom: 2.5px solid var(--ink);
  padding: 14px 0 6px;
}
.none {
  padding: 10px 0;
}
.arrangement {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr);
  gap: 0 12px;
  padding-top: 10px;
}
.figures span {
  display: block;
}
.figures b {
  font-size: 28px;
  line-height: 1.1;
}
.said {
  grid-column: 2;
}
.player {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  padding: 10px 0;
  border-bottom: 1px solid var(--ink);
}
.player label {
  display: flex;
  align-items: center;
  gap: 8px;
}
.player input[type='range'] {
  width: 220px;
  accent-color: var(--ink);
}
.key {
  display: inline-block;
  width: 16px;
  height: 10px;
  margin-left: 8px;
  border: 1px solid var(--ink);
}
.key.hands {
  background: var(--ink);
}
.key.shut {
  background: var(--heat);
}
.key.held {
  background: var(--bleach);
}
.key.rack {
  background: repeating-linear-gradient(45deg, var(--ink) 0 1px, transparent 1px 4px);
}
h3 {
  padding-top: 10px;
}
.changes {
  list-style: none;
  padding: 6px 0 14px;
}
.changes li {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  padding: 3px 0;
}
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
}
.bar i {
  height: 12px;
  background: var(--ink);
  min-width: 2px;
}
.bar b {
  white-space: nowrap;
}
</style>
