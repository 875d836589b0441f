<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { clock, duration, fromFahrenheit, minuteOf, shortened } from '../../words/shown'
import { format, shop, take } from '../../state/state'
import type { useMove } from './moving'

/** A day at the presses: batches on the line of each platen's temperature; a batch is dragged to another place. */
const props = defineProps<{ view: Schemas['PressDayView']; move: ReturnType<typeof useMove> }>()
const f = computed(() => format())
const { ghost, begin, nudge, place, drop } = props.move

const left = 130
const width = 860
const from = computed(() => (props.view.open ? Math.floor(minuteOf(props.view.open) / 60) * 60 : 480))
const to = computed(() => (props.view.close ? Math.ceil(minuteOf(props.view.close) / 60) * 60 : 1080))
const along = (minute: number) => left + ((minute - from.value) / (to.value - from.value)) * width
const x = (iso: string) => along(minuteOf(iso))
const within = (iso: string) => Math.max(left, Math.min(left + width, x(iso)))
const hours = computed(() => Array.from({ length: (to.value - from.value) / 60 + 1 }, (_, i) => from.value + i * 60))
const lane = computed(() => (props.view.lanes.length > 1 ? 150 : 230))
const ground = (t: number) => lane.value - 14 - ((t - 70) / 330) * (lane.value - 72)
const heat = (l: Schemas['PressLaneView']) =>
  l.heat.map((p, i) => `${i ? 'L' : 'M'}${within(p.at)} ${ground(p.temperatureF)}`).join(' ')
const shownHot = (t: number) => (t > 140 ? `${Math.round(fromFahrenheit(t, f.value))}°` : 'cold')
const spoken = (minute: number) =>
  clock(
    `${props.view.day}T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}:00`,
    f.value,
  )
/** As many letters as stand before the next batch begins. */
const letter = 6.8
function fitting(l: Schemas['PressLaneView'], b: Schemas['BatchView'], words: string): string {
  const next = l.batches.find((x) => x.start > b.start)
  const room = ((next ? within(next.start) : left + width) - within(b.start) - 8) / letter
  return shortened(words, room)
}
const under = (b: Schemas['BatchView']) => `${b.temperature} ${personOf(b.personId)}${b.moved ? ', moved' : ''}`
const today = computed(() => props.view.day === props.view.now.slice(0, 10))
/** An hour gives way to the clock that stands beside or on it. */
const clear = (hour: number) => !today.value || Math.abs(along(hour) - within(props.view.now)) > 36

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
  ghost.value.press = Math.max(0, Math.min(props.view.lanes.length - 1, row))
}
function letGo(event: PointerEvent): void {
  if (!grabbed) return
  const moved = Math.abs(event.clientX - grabbed.x) > 6
  grabbed = null
  if (moved) void place()
  else drop()
}
/** What its box has room for: pieces and code, pieces alone, or nothing; what does not fit stands above it. */
function boxed(b: Schemas['BatchView']): { pieces: boolean; code: boolean } {
  const room = within(b.end) - within(b.start)
  const pieces = 14 + 13 * String(b.pieces).length
  return { pieces: room >= pieces, code: room >= pieces + 6 + 8.5 * b.code.length }
}
const above = (b: Schemas['BatchView']) =>
  [boxed(b).pieces ? '' : b.pieces, boxed(b).code ? '' : b.code, b.customer].filter(Boolean).join(' ')
const personOf = (id: string) => props.view.hands.find((h) => h.id === id)?.name ?? ''
</script>

<template>
  <svg
    ref="drawing"
    :viewBox="`0 0 1010 ${26 + view.lanes.length * lane}`"
    class="day"
    role="img"
    :aria-label="
      view.lanes
        .map(
          (l) =>
            `${l.name}: ${l.batches.map((b) => `${b.code}, ${b.pieces} pieces, ${clock(b.start, f)} to ${clock(b.end, f)}${b.lateMinutes > 0 ? ', late' : ''}`).join('; ') || l.out || 'nothing placed'}`,
        )
        .join('. ')
    "
  >
    <g v-for="h in hours" :key="h">
      <text v-if="clear(h)" :x="along(h)" y="16" font-size="14" text-anchor="middle">{{ h / 60 }}</text>
      <path :d="`M${along(h)} 22V${26 + view.lanes.length * lane}`" stroke="var(--rule)" />
    </g>
    <g v-for="(l, i) in view.lanes" :key="l.pressId" :transform="`translate(0 ${26 + i * lane})`">
      <path d="M0 0H1000" stroke="var(--ink)" />
      <text y="24" font-size="20" font-weight="640">{{ l.name }}</text>
      <text y="42" font-size="13" fill="var(--ink-2)">{{ l.kind === 'bench' ? 'no heat' : l.kind }}</text>
      <text y="72" font-size="26" font-weight="680" :fill="l.hottestF > 140 ? 'var(--heat)' : 'var(--ink-2)'">
        {{ l.kind === 'bench' ? '' : shownHot(l.hottestF) }}
      </text>
      <path v-if="l.heat.length > 1" :d="`${heat(l)} V${lane - 14} H${left} Z`" fill="var(--heat-wash)" stroke="none" />
      <text
        v-if="l.out && l.batches.length > 0"
        :x="left + width"
        :y="lane - 24"
        font-size="14"
        font-weight="620"
        text-anchor="end"
        fill="var(--heat)"
        class="over"
      >
        <title>{{ l.out }}</title>
        {{ shortened(l.out, width / letter - 10) }}
      </text>
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
        @touchstart.prevent
        @pointerdown="grab($event, b.orderId)"
        @pointermove="drag"
        @pointerup="letGo"
        @pointercancel="drop"
      >
        <path
          v-if="b.setUpFrom"
          :d="`M${within(b.setUpFrom)} ${ground(b.temperatureF) - 8}v8H${within(b.start)}v-8`"
          fill="none"
          stroke="var(--ink)"
          stroke-width="1.5"
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
          v-if="boxed(b).pieces"
          :x="within(b.start) + 6"
          :y="ground(b.temperatureF) - 15"
          font-size="22"
          font-weight="680"
          class="over"
        >
          {{ b.pieces }}
          <tspan v-if="boxed(b).code" font-size="13" class="mono">{{ b.code }}</tspan>
        </text>
        <text
          v-if="l.batches.find((x) => x.orderId === b.orderId) === b"
          :x="within(b.start)"
          :y="ground(b.temperatureF) - 50"
          font-size="13"
          font-weight="620"
          class="over"
        >
          <title>{{ above(b) }}</title>
          {{ fitting(l, b, above(b)) }}
        </text>
        <text :x="within(b.start) + 6" :y="ground(b.temperatureF) + 18" font-size="13" class="over">
          <title>{{ under(b) }}</title>
          {{ fitting(l, b, under(b)) }}
        </text>
        <text v-if="b.platens" :x="within(b.start) + 6" :y="ground(b.temperatureF) + 34" font-size="13" class="over">
          <title>{{ b.platens }}</title>
          {{ fitting(l, b, b.platens) }}
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
      <text v-if="l.batches.length === 0" :x="left + 10" y="80" font-size="14" fill="var(--ink-2)" class="over">
        {{ l.out || (l.kind === 'bench' ? 'nothing placed' : 'nothing placed: the press stays cold') }}
      </text>
    </g>
    <g v-if="ghost" :transform="`translate(0 ${26 + ghost.press * lane})`" aria-hidden="true">
      <rect
        :x="along(ghost.at)"
        :y="lane - 74"
        :width="Math.max(20, (ghost.minutes / (to - from)) * width)"
        height="60"
        fill="none"
        stroke="var(--go)"
        stroke-width="3"
        stroke-dasharray="7 4"
      />
      <text :x="along(ghost.at) + 6" :y="lane - 80" font-size="15" font-weight="640" fill="var(--go)" class="over">
        {{ ghost.code }} from {{ spoken(ghost.at) }}
      </text>
    </g>
    <g v-if="today">
      <path :d="`M${within(view.now)} 20V${26 + view.lanes.length * lane}`" stroke="var(--ink)" stroke-width="2.5" />
      <rect :x="within(view.now) - 24" y="2" width="48" height="20" fill="var(--ink)" />
      <text :x="within(view.now)" y="17" font-size="14" font-weight="640" text-anchor="middle" fill="var(--bleach)">
        {{ clock(view.now, f) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
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
</style>
