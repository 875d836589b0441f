<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { money, number } from '../../words/shown'
import { format } from '../../state/state'
import { along, type Copy, type Layout, reach, sheetGap, sizeOf } from './gang'
import GangCopy from './GangCopy.vue'

/** The whole roll, or every sheet, at true proportion; a frame shows what is drawn large. A long roll is folded into rows of one scale. */
const props = defineProps<{
  layout: Layout
  copies: Copy[]
  figures: Schemas['LayoutFigures'] | undefined
  from: number
  window: number
  cloth: string
}>()
const emit = defineEmits<{ look: [at: number] }>()
const f = computed(() => format())
const width = 960
const most = 3.9
const least = 2.6
const wide = computed(() => props.layout.ground.widthIn)
const end = computed(() => reach(props.layout, props.figures))
const next = computed(() => props.layout.next?.billedIn ?? 0)
const whole = computed(() => Math.max(end.value, next.value))
const rows = computed(() => Math.max(1, Math.ceil(whole.value / (width / least))))
const row = computed(() => whole.value / rows.value)
const scale = computed(() => Math.min(most, width / row.value))
const tall = computed(() => wide.value * scale.value + 34)
const inRow = (r: number) =>
  props.copies.filter((c) => {
    const a = along(props.layout, c)
    return a < (r + 1) * row.value && a + sizeOf(props.layout, c).h > r * row.value
  })
const sheets = computed(() => {
  const l = props.layout.ground.lengthIn
  return l === null ? [] : Array.from({ length: props.figures?.sheets ?? 1 }, (_, i) => i * (l + sheetGap))
})
/** Marks: feet, or half metres. */
const unit = computed(() => (f.value.metric ? 50 / 2.54 : 12))
const ticks = computed(() => Array.from({ length: Math.floor(whole.value / unit.value) + 1 }, (_, i) => i))
const named = (n: number) => (f.value.metric ? `${number(n / 2, 1, f.value)} m` : `${n} ft`)
const every = computed(() => {
  if (ticks.value.length > 16) return 5
  return ticks.value.length > 8 ? 2 : 1
})
function look(event: MouseEvent, r: number): void {
  const box = (event.currentTarget as Element).getBoundingClientRect()
  emit('look', r * row.value + ((event.clientX - box.left) / box.width) * row.value - props.window / 2)
}
</script>

<template>
  <div>
    <svg
      v-for="r in rows"
      :key="r"
      :viewBox="`-6 -22 ${Math.max(width, row * scale) + 76} ${tall}`"
      class="strip"
      aria-hidden="true"
    >
      <svg :x="0" :y="0" :width="row * scale" :height="wide * scale" :viewBox="`0 0 ${row * scale} ${wide * scale}`">
        <g :transform="`translate(${-(r - 1) * row * scale} 0)`">
          <rect v-if="sheets.length === 0" :width="end * scale" :height="wide * scale" fill="var(--bleach)" />
          <rect v-if="sheets.length === 0" :width="end * scale" :height="wide * scale" fill="url(#hatch)" />
          <template v-for="s in sheets" :key="s">
            <rect :x="s * scale" :width="layout.ground.lengthIn! * scale" :height="wide * scale" fill="var(--bleach)" />
            <rect
              :x="s * scale"
              :width="layout.ground.lengthIn! * scale"
              :height="wide * scale"
              fill="url(#hatch)"
              stroke="var(--ink)"
            />
          </template>
          <GangCopy
            v-for="(c, i) in inRow(r - 1)"
            :key="i"
            :layout="layout"
            :copy="c"
            :scale="scale"
            :from="0"
            :wide="wide"
            :cloth="cloth"
          />
          <rect
            :x="from * scale + 1.5"
            y="1.5"
            :width="Math.min(window, whole) * scale - 3"
            :height="wide * scale - 3"
            fill="none"
            stroke="var(--ink)"
            stroke-width="3"
          />
        </g>
      </svg>
      <rect
        v-if="sheets.length === 0"
        :width="(Math.min(end, r * row) - (r - 1) * row) * scale"
        :height="wide * scale"
        fill="none"
        stroke="var(--ink)"
      />
      <rect
        :width="row * scale"
        :height="wide * scale"
        fill="transparent"
        class="ground"
        @click="look($event, r - 1)"
      />
      <template v-for="n in sheets.length > 0 ? [] : ticks" :key="n">
        <g
          v-if="n * unit >= (r - 1) * row && n * unit <= r * row"
          :transform="`translate(${(n * unit - (r - 1) * row) * scale} 0)`"
        >
          <path d="M0 0V-5" stroke="var(--ink)" />
          <text
            v-if="n % every === 0 && Math.abs(n * unit - end) > unit * 0.7"
            y="-8"
            font-size="13"
            text-anchor="middle"
          >
            {{ n === 0 ? '0' : named(n) }}
          </text>
        </g>
      </template>
      <g
        v-if="sheets.length === 0 && end <= r * row && end > (r - 1) * row"
        :transform="`translate(${(end - (r - 1) * row) * scale} 0)`"
      >
        <path :d="`M0 -14V${wide * scale + 8}`" stroke="var(--ink)" stroke-width="3.5" />
        <text y="-8" x="-6" text-anchor="end" font-size="15" font-weight="680">
          {{ named(Math.round((end / unit) * 100) / 100) }}
        </text>
        <g v-if="layout.next && next > end">
          <rect
            :width="(Math.min(next, r * row) - end) * scale"
            :height="wide * scale"
            fill="none"
            stroke="var(--ink)"
            stroke-dasharray="5 4"
          />
          <text :x="(next - end) * scale + 6" :y="(wide * scale) / 2" font-size="14" font-weight="640">
            {{ layout.next.more.value < 0 ? '' : '+' }}{{ money(layout.next.more.value, f) }}
          </text>
          <text :x="(next - end) * scale + 6" :y="(wide * scale) / 2 + 17" font-size="13">{{ layout.next.text }}</text>
        </g>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.strip {
  width: 100%;
  display: block;
}
.ground {
  cursor: pointer;
}
</style>
