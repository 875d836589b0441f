<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, type Schemas } from '../../api/client'
import Keys from '../../kit/Keys.vue'
import { clock, duration, minuteOf, moment, number } from '../../kit/shown'
import { typing } from '../../shell/keys'
import { onChange } from '../../shell/live'
import { attempt, format, shop, take } from '../../shell/state'
import { useMove } from './moving'

const router = useRouter()
const view = ref<Schemas['PressDayView'] | null>(null)
const day = ref('')
const f = computed(() => format())
async function load(): Promise<void> {
  await attempt(async () => {
    view.value = await ask(
      api.GET('/api/press-day', {
        params: {
          query: { ...(day.value ? { day: day.value } : {}), ...(shop.inHand ? { inHand: shop.inHand } : {}) },
        },
      }),
    )
  }, shop.said)
}
watch(
  () => [shop.inHand, shop.order?.version, day.value],
  () => void load(),
  { immediate: true },
)

const { ghost, changes, begin, nudge, toPress, place, leave, drop } = useMove(view, load)
watch([() => shop.inHand, day], () => {
  drop()
  changes.value = []
})

const left = 130
const width = 860
const from = computed(() => (view.value?.open ? Math.floor(minuteOf(view.value.open) / 60) * 60 : 480))
const to = computed(() => (view.value?.close ? Math.ceil(minuteOf(view.value.close) / 60) * 60 : 1080))
const x = (iso: string) => left + ((minuteOf(iso) - from.value) / (to.value - from.value)) * width
const within = (iso: string) => Math.max(left, Math.min(left + width, x(iso)))
const hours = computed(() => Array.from({ length: (to.value - from.value) / 60 + 1 }, (_, i) => from.value + i * 60))
const lane = computed(() => ((view.value?.lanes.length ?? 0) > 1 ? 150 : 230))
const ground = (t: number) => lane.value - 14 - ((t - 70) / 330) * (lane.value - 72)
const heat = (l: Schemas['PressLaneView']) =>
  l.heat.map((p, i) => `${i ? 'L' : 'M'}${within(p.at)} ${ground(p.temperatureF)}`).join(' ')
const shownHot = (t: number) =>
  t > 140 ? `${f.value.celsius ? Math.round(((t - 32) * 5) / 9) : Math.round(t)}°` : 'cold'
const spoken = (minute: number) =>
  clock(
    `${view.value?.day ?? ''}T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}:00`,
    f.value,
  )
const today = computed(() => view.value?.day === view.value?.now.slice(0, 10))
function shift(by: number): void {
  const at = new Date(`${view.value?.day ?? ''}T12:00:00Z`)
  at.setUTCDate(at.getUTCDate() + by)
  day.value = at.toISOString().slice(0, 10)
}
const placed = computed(() => view.value?.promise)
const chain = computed(() => {
  const p = placed.value
  if (!p) return []
  const last = p.lines.reduce((a, b) => (a.readyAt > b.readyAt ? a : b))
  return [
    { text: `${last.work.readyCause}, ${moment(p.arrivesAt, f.value)}`, kind: 'ink' },
    ...p.lines.map((l) => ({
      text: `press ${l.work.pieces}, ${duration(l.work.pieces * l.work.minutesPerPiece * 60)}, ${moment(l.parts[0]!.start, f.value)} to ${clock(l.parts.at(-1)!.end, f.value)}`,
      kind: 'hot',
    })),
    { text: `cool and pack ${duration(last.work.tailMinutes * 60)}`, kind: 'wait' },
    { text: `your slow tenth ${duration(last.work.slowTenthMinutes * 60)}, to the half hour`, kind: 'free' },
  ]
})
async function run(id: string): Promise<void> {
  await take(id)
  if (await attempt(async () => void (await ask(api.POST('/api/runs/{id}/start', { params: { path: { id } } })))))
    await router.push(`/run/${id}`)
}
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

// dragging a batch: its ghost follows the pointer and is placed where it is let go
const drawing = ref<SVGSVGElement>()
let grabbed: { x: number; at: number } | null = null
async function grab(event: PointerEvent, orderId: string): Promise<void> {
  const start = { x: event.clientX, at: 0 }
  const target = event.currentTarget as Element
  target.setPointerCapture(event.pointerId)
  if (shop.inHand !== orderId) await take(orderId)
  begin()
  if (!ghost.value) return
  start.at = ghost.value.at
  grabbed = start
}
function drag(event: PointerEvent): void {
  const box = drawing.value?.getBoundingClientRect()
  if (!grabbed || !ghost.value || !box) return
  const scale = 1010 / box.width
  ghost.value.at = grabbed.at
  nudge(Math.round((((event.clientX - grabbed.x) * scale) / width) * ((to.value - from.value) / 15)))
  const row = Math.floor(((event.clientY - box.top) * scale - 26) / lane.value)
  ghost.value.press = Math.max(0, Math.min((view.value?.lanes.length ?? 1) - 1, row))
}
function letGo(event: PointerEvent): void {
  if (!grabbed) return
  const moved = Math.abs(event.clientX - grabbed.x) > 6
  grabbed = null
  if (moved) void place()
  else drop()
}
const personOf = (id: string) => view.value?.hands.find((h) => h.id === id)?.name ?? ''
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
      <span v-if="view" class="sums"
        ><b>{{ view.lanes.reduce((n, l) => n + l.batches.length, 0) }}</b> batches
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
      <svg
        v-else-if="view"
        ref="drawing"
        :viewBox="`0 0 1010 ${26 + view.lanes.length * lane}`"
        class="day"
        role="img"
        :aria-label="
          view.lanes
            .map(
              (l) =>
                `${l.name}: ${l.batches.map((b) => `${b.code}, ${b.pieces} pieces, ${clock(b.start, f)} to ${clock(b.end, f)}${b.lateMinutes > 0 ? ', late' : ''}`).join('; ') || 'nothing placed'}`,
            )
            .join('. ')
        "
      >
        <g v-for="h in hours" :key="h">
          <text :x="left + ((h - from) / (to - from)) * width" y="16" font-size="14" text-anchor="middle">
            {{ h / 60 }}
          </text>
          <path
            :d="`M${left + ((h - from) / (to - from)) * width} 22V${26 + view.lanes.length * lane}`"
            stroke="var(--rule)"
          />
        </g>
        <g v-for="(l, i) in view.lanes" :key="l.pressId" :transform="`translate(0 ${26 + i * lane})`">
          <path d="M0 0H1000" stroke="var(--ink)" />
          <text y="24" font-size="20" font-weight="640">{{ l.name }}</text>
          <text y="42" font-size="13" fill="var(--ink-2)">{{ l.kind }}</text>
          <text y="72" font-size="26" font-weight="680" :fill="l.hottestF > 140 ? 'var(--heat)' : 'var(--ink-2)'">
            {{ shownHot(l.hottestF) }}
          </text>
          <path
            v-if="l.heat.length > 1"
            :d="`${heat(l)} V${lane - 14} H${left} Z`"
            fill="var(--heat-wash)"
            stroke="none"
          />
          <path
            v-if="l.heat.length > 1"
            :d="heat(l)"
            fill="none"
            :stroke="l.batches.length > 0 ? 'var(--heat)' : 'var(--ink-2)'"
            stroke-width="2.5"
            :stroke-dasharray="l.batches.length > 0 ? undefined : '2 4'"
          />
          <g
            v-for="b in l.batches"
            :key="b.orderId + b.lineId + b.start"
            class="batch"
            @pointerdown="grab($event, b.orderId)"
            @pointermove="drag"
            @pointerup="letGo"
            @pointercancel="drop"
          >
            <rect
              :x="within(b.end)"
              :y="ground(b.temperatureF) - 20"
              :width="Math.max(0, within(b.coolUntil) - within(b.end))"
              height="20"
              fill="url(#hatch)"
              stroke="var(--ink)"
            />
            <rect
              :x="within(b.start)"
              :y="ground(b.temperatureF) - 44"
              :width="Math.max(3, within(b.end) - within(b.start))"
              height="44"
              :fill="b.running ? 'var(--calico)' : 'var(--bleach)'"
              :stroke="b.lateMinutes > 0 ? 'var(--heat)' : 'var(--ink)'"
              :stroke-width="b.orderId === shop.inHand ? 3 : 1.5"
            />
            <text
              :x="within(b.start) + 6"
              :y="ground(b.temperatureF) - 15"
              font-size="22"
              font-weight="680"
              class="over"
            >
              {{ b.pieces }}
              <tspan font-size="13" class="mono">{{ b.code }}</tspan>
            </text>
            <text :x="within(b.start)" :y="ground(b.temperatureF) - 50" font-size="13" font-weight="620" class="over">
              {{ b.customer }}
            </text>
            <text :x="within(b.start) + 6" :y="ground(b.temperatureF) + 18" font-size="13">
              {{ b.temperature }} {{ personOf(b.personId) }}{{ b.moved ? ', moved' : '' }}
            </text>
            <text
              v-if="b.lateMinutes > 0"
              :x="Math.min(within(b.end) + 8, 640)"
              :y="ground(b.temperatureF) - 26"
              font-size="14"
              font-weight="620"
              fill="var(--heat)"
              class="over"
            >
              {{ duration(b.lateMinutes * 60) }} late: {{ b.why }}
            </text>
          </g>
          <text v-if="l.batches.length === 0" :x="left + 10" y="80" font-size="14" fill="var(--ink-2)">
            nothing placed: the press stays cold
          </text>
        </g>
        <g v-if="ghost" :transform="`translate(0 ${26 + ghost.press * lane})`" aria-hidden="true">
          <rect
            :x="left + ((ghost.at - from) / (to - from)) * width"
            :y="lane - 74"
            :width="Math.max(20, (ghost.minutes / (to - from)) * width)"
            height="60"
            fill="none"
            stroke="var(--go)"
            stroke-width="3"
            stroke-dasharray="7 4"
          />
          <text
            :x="left + ((ghost.at - from) / (to - from)) * width + 6"
            :y="lane - 80"
            font-size="15"
            font-weight="640"
            fill="var(--go)"
            class="over"
          >
            {{ ghost.code }} from {{ spoken(ghost.at) }}
          </text>
        </g>
        <g v-if="today">
          <path
            :d="`M${within(view.now)} 20V${26 + view.lanes.length * lane}`"
            stroke="var(--ink)"
            stroke-width="2.5"
          />
          <rect :x="within(view.now) - 24" y="2" width="48" height="20" fill="var(--ink)" />
          <text :x="within(view.now)" y="17" font-size="14" font-weight="640" text-anchor="middle" fill="var(--bleach)">
            {{ clock(view.now, f) }}
          </text>
        </g>
      </svg>
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
      <section v-if="placed" class="promise" aria-label="The order in hand">
        <div>
          <span class="small quiet">{{ shop.order?.code }}: earliest honest promise</span
          ><b :class="{ late: placed.lateMinutes > 0 }">{{ moment(placed.promiseAt, f) }}</b
          ><span v-if="placed.lateMinutes > 0" class="heat small"
            >{{ duration(placed.lateMinutes * 60) }} late: {{ placed.why }}</span
          >
        </div>
        <ol>
          <li v-for="c in chain" :key="c.text" :class="c.kind">{{ c.text }}</li>
        </ol>
        <button v-if="shop.order?.station === 'press'" class="go-button" @click="run(shop.inHand)">
          Run it <kbd>R</kbd>
        </button>
      </section>
      <section v-if="view && view.tray.length > 0" class="tray" aria-label="Not on this day">
        <h2>Not on this day</h2>
        <button
          v-for="t in view.tray"
          :key="t.orderId"
          :class="{ crop: t.orderId === shop.inHand }"
          @click="take(t.orderId)"
        >
          <span
            class="block"
            :style="{ width: `${Math.max(34, Math.min(240, (t.minutes / (to - from)) * 992 * 0.87))}px` }"
            >{{ number(t.minutes, 0, f) }} min</span
          ><span
            ><b class="mono">{{ t.code }}</b> {{ t.what }}</span
          ><span class="small" :class="t.late ? 'heat' : 'quiet'">{{ t.note }}</span>
        </button>
      </section>
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
        ><svg width="30" height="12" aria-hidden="true">
          <rect width="30" height="12" fill="url(#hatch)" stroke="var(--ink)" />
        </svg>
        on the rack, cooling</span
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
.day {
  width: 100%;
}
.batch {
  cursor: pointer;
}
.over {
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--cotton) 80%, transparent);
  stroke-width: 4px;
}
.promise {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr) auto;
  gap: 20px;
  border-top: 2px solid var(--ink);
  padding: 12px 0;
  align-items: center;
}
.promise b {
  display: block;
  font-size: 27px;
  color: var(--go);
  line-height: 1.1;
}
.promise b.late {
  color: var(--heat);
}
ol {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  font-size: 13px;
}
li {
  padding: 6px 10px;
  border: 1.5px solid var(--ink);
}
li.ink {
  background: var(--ink);
  color: var(--bleach);
}
li.hot {
  background: var(--heat);
  color: var(--bleach);
}
li.free {
  border-style: dashed;
  background: var(--bleach);
}
.tray {
  background: var(--calico);
  margin: 0 -20px;
  padding: 12px 20px;
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: start;
}
.tray button {
  display: grid;
  gap: 2px;
  max-width: 300px;
  padding: 4px;
}
.block {
  background: var(--bleach);
  border: 1.5px solid var(--ink);
  padding: 1px 6px;
  font-weight: var(--w-strong);
  font-size: 13px;
  white-space: nowrap;
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
