<script setup lang="ts">
import { computed, ref } from 'vue'
import { length, number } from '../../words/shown'
import { format } from '../../state/state'
import { along, type Copy, type Gang, type Layout, sheetGap, sizeOf } from './gang'
import GangCopy from './GangCopy.vue'

/** An arm's length of the film, drawn large: copies are chosen, moved, turned and pinned here. */
const props = defineProps<{ gang: Gang; layout: Layout; from: number; window: number; cloth: string; label: string }>()
const f = computed(() => format())
const { drawn, copies, chosen, held, tried, proposal, pick, hold, drop, back } = props.gang
const width = 600
const scale = computed(() => width / props.window)
const wide = computed(() => props.layout.ground.widthIn)
const shown = computed(() =>
  drawn.value
    .map((c, i) => ({ c, i }))
    .filter(({ c }) => {
      const a = along(props.layout, c)
      return a < props.from + props.window && a + sizeOf(props.layout, c).h > props.from
    }),
)
const isNew = (i: number) => proposal.value !== null && i >= copies.value.length
/** Where the held copy would come to lie. */
const landing = computed(() => (held.value && tried.value ? tried.value.copies[held.value.index] : undefined))
const wrong = computed(() => (tried.value?.problems.length ?? 0) > 0)
const unit = computed(() => (f.value.metric ? 10 / 2.54 : 6))
const marks = computed(() => {
  const first = Math.ceil(props.from / unit.value)
  return Array.from({ length: Math.floor(props.window / unit.value) + 1 }, (_, i) => (first + i) * unit.value)
})
const across = computed(() => {
  const by = f.value.metric ? 10 / 2.54 : 5
  return Array.from({ length: Math.floor(wide.value / by) + 1 }, (_, i) => i * by)
})
const said = (inches: number) => (f.value.metric ? number(inches * 2.54, 0, f.value) : number(inches, 0, f.value))
const ends = computed(() => {
  const l = props.layout.ground.lengthIn
  return l === null ? [] : Array.from({ length: props.gang.figures.value?.sheets ?? 1 }, (_, i) => i * (l + sheetGap))
})

const drawing = ref<SVGSVGElement>()
let start: { x: number; y: number; copy: Copy; moved: boolean } | null = null
const inches = (pixels: number) =>
  (pixels * ((width + 66) / (drawing.value?.getBoundingClientRect().width ?? 1))) / scale.value
function grab(event: PointerEvent, i: number): void {
  const copy = copies.value[i]
  if (!copy || proposal.value) return
  chosen.value = i
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  start = { x: event.clientX, y: event.clientY, copy, moved: false }
}
function drag(event: PointerEvent): void {
  if (!start) return
  const by = { along: inches(event.clientX - start.x), across: -inches(event.clientY - start.y) }
  if (!start.moved && Math.hypot(event.clientX - start.x, event.clientY - start.y) < 5) return
  if (!start.moved) pick(chosen.value)
  start.moved = true
  if (held.value) void hold(placedAt(start.copy, by.along, by.across))
}
/** A place on the drawn row as one on a sheet. */
function placedAt(c: Copy, byAlong: number, byAcross: number): Partial<Copy> {
  const l = props.layout.ground.lengthIn
  const at = along(props.layout, c) + byAlong
  if (l === null) return { x: c.x + byAcross, y: Math.max(0, at) }
  const middle = at + sizeOf(props.layout, c).h / 2
  const sheet = Math.max(0, Math.floor(middle / (l + sheetGap)))
  return { sheet, x: c.x + byAcross, y: at - sheet * (l + sheetGap) }
}
function letGo(): void {
  const moved = start?.moved
  start = null
  if (moved) void drop()
}
function lost(): void {
  start = null
  back()
}
</script>

<template>
  <svg ref="drawing" :viewBox="`-6 -6 ${width + 66} ${wide * scale + 34}`" class="close" role="img" :aria-label="label">
    <svg :width="width" :height="wide * scale" :viewBox="`0 0 ${width} ${wide * scale}`" aria-hidden="true">
      <rect :width="width" :height="wide * scale" fill="var(--calico)" />
      <g v-if="ends.length === 0">
        <rect
          :x="-from * scale"
          :width="(gang.figures.value?.billedIn ?? 0) * scale"
          :height="wide * scale"
          fill="var(--bleach)"
        />
        <rect
          :x="-from * scale"
          :width="(gang.figures.value?.billedIn ?? 0) * scale"
          :height="wide * scale"
          fill="url(#hatch)"
        />
      </g>
      <g v-for="e in ends" :key="e">
        <rect
          :x="(e - from) * scale"
          :width="layout.ground.lengthIn! * scale"
          :height="wide * scale"
          fill="var(--bleach)"
        />
        <rect
          :x="(e - from) * scale"
          :width="layout.ground.lengthIn! * scale"
          :height="wide * scale"
          fill="url(#hatch)"
          stroke="var(--ink)"
        />
      </g>
      <GangCopy
        v-for="{ c, i } in shown"
        :key="i"
        v-slot="{ box }"
        :layout="layout"
        :copy="c"
        :scale="scale"
        :from="from"
        :wide="wide"
        :cloth="cloth"
        class="copy"
        :class="{ held: held?.index === i }"
        @pointerdown="grab($event, i)"
        @pointermove="drag"
        @pointerup="letGo"
        @pointercancel="lost"
      >
        <rect
          v-if="isNew(i)"
          v-bind="box"
          fill="var(--go-wash)"
          fill-opacity=".45"
          stroke="var(--go)"
          stroke-width="2.5"
          stroke-dasharray="5 3"
        />
        <path
          v-if="c.pinned"
          :d="`M${box.x + 8} ${box.y + 4}v14M${box.x + 3} ${box.y + 4}h10`"
          stroke="var(--ink)"
          stroke-width="3"
          class="pin"
        />
        <path
          v-if="i === chosen && !proposal"
          :d="`M${box.x - 3} ${box.y + 12}v-15h15M${box.x + box.width - 12} ${box.y - 3}h15v15M${box.x + box.width + 3} ${box.y + box.height - 12}v15h-15M${box.x + 12} ${box.y + box.height + 3}h-15v-15`"
          fill="none"
          stroke="var(--ink)"
          stroke-width="3"
        />
      </GangCopy>
      <GangCopy
        v-if="landing"
        v-slot="{ box }"
        :layout="layout"
        :copy="landing"
        :scale="scale"
        :from="from"
        :wide="wide"
        cloth="none"
      >
        <rect
          v-bind="box"
          fill="none"
          :stroke="wrong ? 'var(--heat)' : 'var(--go)'"
          stroke-width="3"
          stroke-dasharray="7 4"
        />
      </GangCopy>
    </svg>
    <rect :width="width" :height="wide * scale" fill="none" stroke="var(--ink)" />
    <g v-for="m in marks" :key="m" :transform="`translate(${(m - from) * scale} ${wide * scale})`">
      <template v-if="m - from <= window">
        <path d="M0 0v6" stroke="var(--ink)" />
        <text y="20" font-size="13" :text-anchor="m === from ? 'start' : 'middle'">{{ said(m) }}</text>
      </template>
    </g>
    <g v-for="a in across" :key="a" :transform="`translate(${width} ${(wide - a) * scale})`">
      <path d="M0 0h6" stroke="var(--ink)" />
      <text x="10" y="5" font-size="13">{{ said(a) }}</text>
    </g>
    <text :x="width + 58" :y="wide * scale + 20" font-size="13" text-anchor="end" fill="var(--ink-2)">
      {{ length(wide, f).split(' ')[1] }}
    </text>
  </svg>
</template>

<style scoped>
.close {
  width: 100%;
  display: block;
  touch-action: none;
}
.copy {
  cursor: grab;
}
.held {
  opacity: 0.65;
  cursor: grabbing;
}
.pin {
  paint-order: stroke;
}
</style>
