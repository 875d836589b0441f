<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'

/** What happens on the floor in its first minutes: hands above, presses in the middle, cooling below. */
const props = defineProps<{ events: Schemas['FloorEvent'][]; end: number; at: number; label: string }>()
const width = 840
const x = (s: number) => (Math.min(s, props.end) / Math.max(1, props.end)) * width
const span = (e: Schemas['FloorEvent']) => Math.max(0, x(e.until) - x(e.from))
const of = (lane: string) => props.events.filter((e) => e.lane === lane && e.from < props.end)
const presses = computed(() => Math.max(1, ...of('press').map((e) => e.index + 1)))
/** A stay on a press: from the first step of a piece there until it is lifted off. */
const stays = computed(() => {
  const all: { index: number; piece: number; from: number; until: number; over: boolean }[] = []
  for (const e of of('press').filter((p) => p.code !== 'heat')) {
    const last = all.findLast((s) => s.index === e.index && s.piece === e.piece && !s.over)
    if (last) Object.assign(last, { until: e.until, over: e.code === 'unload' })
    else all.push({ index: e.index, piece: e.piece, from: e.from, until: e.until, over: e.code === 'unload' })
  }
  return all
})
const shut = computed(() => of('press').filter((e) => ['press', 'pre-press', 'second-press'].includes(e.code)))
/** Cooling pieces in as few rows as they need. */
const cooling = computed(() => {
  const ends: number[] = []
  return of('rack').map((e) => {
    let row = ends.findIndex((u) => u <= e.from)
    if (row < 0) row = ends.length
    ends[row] = e.until
    return { e, row }
  })
})
const rows = computed(() => Math.min(4, Math.max(1, ...cooling.value.map((c) => c.row + 1))))
const height = computed(() => 22 + presses.value * 24 + rows.value * 9 + 16)
const minutes = computed(() => Array.from({ length: Math.floor(props.end / 60) + 1 }, (_, i) => i))
const now = computed(() => {
  const doing = (lane: string) =>
    props.events.filter((e) => e.lane === lane && e.from <= props.at && e.until > props.at)
  const hands = doing('hands').map((e) => `hands ${e.label.toLowerCase()}, piece ${e.piece + 1}`)
  const dwells = ['press', 'pre-press', 'second-press']
  const standing = (code: string) => {
    if (dwells.includes(code)) return 'closed'
    return code === 'heat' ? 'changing heat' : 'held'
  }
  const press = doing('press').map((e) => `press ${standing(e.code)}, piece ${e.piece + 1}`)
  return [hands.join(', ') || 'hands free', press.join(', ') || 'press waits', `${doing('rack').length} cooling`].join(
    '; ',
  )
})
</script>

<template>
  <div>
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="`${label}: ${now}`">
      <g v-for="m in minutes" :key="m">
        <path :d="`M${x(m * 60)} 0V${height - 14}`" stroke="var(--rule)" />
        <text :x="x(m * 60)" :y="height - 2" font-size="11" fill="var(--ink-2)">{{ m }}</text>
      </g>
      <rect
        v-for="(e, i) in of('hands')"
        :key="`h${i}`"
        :x="x(e.from)"
        y="2"
        :width="span(e)"
        height="14"
        fill="var(--ink)"
        stroke="var(--cotton)"
        stroke-width="0.5"
      />
      <g v-for="(s, i) in stays" :key="`s${i}`">
        <rect
          :x="x(s.from)"
          :y="20 + s.index * 24"
          :width="Math.max(0, x(s.until) - x(s.from))"
          height="20"
          fill="var(--bleach)"
          stroke="var(--ink)"
          stroke-width="1.2"
        />
      </g>
      <rect
        v-for="(e, i) in shut"
        :key="`d${i}`"
        :x="x(e.from)"
        :y="20 + e.index * 24"
        :width="span(e)"
        height="20"
        fill="var(--heat)"
      />
      <g v-for="(s, i) in stays" :key="`n${i}`">
        <text
          v-if="x(s.until) - x(s.from) > 22"
          :x="x(s.from) + 4"
          :y="35 + s.index * 24"
          font-size="12"
          font-weight="640"
          fill="var(--ink)"
        >
          {{ s.piece + 1 }}
        </text>
      </g>
      <g v-for="(c, i) in cooling" :key="`c${i}`">
        <rect
          v-if="c.row < 4"
          :x="x(c.e.from)"
          :y="24 + presses * 24 + c.row * 9"
          :width="span(c.e)"
          height="7"
          fill="url(#hatch)"
          stroke="var(--ink)"
          stroke-width="0.8"
        />
      </g>
      <path :d="`M${x(at)} 0V${height - 14}`" stroke="var(--heat)" stroke-width="2" />
    </svg>
    <p class="small" aria-live="off">{{ now }}</p>
  </div>
</template>

<style scoped>
svg {
  width: 100%;
}
</style>
