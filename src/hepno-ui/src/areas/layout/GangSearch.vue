<script setup lang="ts">
import { computed } from 'vue'
import { number, rollLength } from '../../words/shown'
import { format } from '../../state/state'
import type { Gang, Layout } from './gang'

/** How near the layout is to what no layout can be under; a search draws its course towards it. */
const props = defineProps<{ gang: Gang; layout: Layout }>()
const emit = defineEmits<{ search: [seconds: number] }>()
const f = computed(() => format())
const { search, figures } = props.gang
const roll = computed(() => props.layout.ground.lengthIn === null)
const floor = computed(() => (roll.value ? (figures.value?.floorIn ?? 0) : (figures.value?.floorSheets ?? 0)))
const now = computed(() => (roll.value ? props.layout.figures.usedIn : props.layout.figures.sheets))
const best = computed(() => search.value?.course.at(-1)?.best ?? now.value)
const running = computed(() => search.value !== null && !search.value.isDone)
const words = (v: number) => (roll.value ? rollLength(v, f.value) : `${v} ${v === 1 ? 'sheet' : 'sheets'}`)
/** Beside the drawing the number is enough. */
const bare = (v: number) => (roll.value ? rollLength(v, f.value).split(' ')[0] : v)
const top = computed(() => Math.max(search.value?.course[0]?.best ?? now.value, now.value, floor.value * 1.02 + 0.01))
const y = (v: number) => 12 + ((top.value - v) / Math.max(1e-6, top.value - floor.value)) * 42
const course = computed(() => {
  const s = search.value
  if (!s || s.course.length === 0) return `M44 ${y(now.value)}H230`
  const end = Math.max(1, s.steps, s.course.at(-1)!.steps)
  const x = (steps: number) => 44 + (steps / end) * 186
  return (
    s.course.map((p, i) => (i === 0 ? `M44 ${y(p.best)}H${x(p.steps)}` : `H${x(p.steps)}V${y(p.best)}`)).join('') +
    'H230'
  )
})
</script>

<template>
  <section class="search" aria-label="How near the least possible it is">
    <svg viewBox="0 0 240 76" aria-hidden="true">
      <text x="40" :y="y(best) + 5" font-size="13" text-anchor="end">
        {{ bare(best) }}
      </text>
      <path :d="course" fill="none" stroke="var(--ink)" stroke-width="2.5" />
      <circle cx="232" :cy="y(best)" r="4.5" fill="var(--cotton)" stroke="var(--ink)" stroke-width="2.5" />
      <rect x="44" y="54" width="190" height="7" fill="url(#hatch)" />
      <path d="M44 54H234" stroke="var(--ink)" stroke-dasharray="4 3" />
      <text x="40" y="60" font-size="13" text-anchor="end">
        {{ bare(floor) }}
      </text>
      <text x="44" y="75" font-size="13" fill="var(--ink-2)">no layout can go below</text>
    </svg>
    <div class="said">
      <p>
        <b class="over">{{
          figures && figures.overFloor > 1e-6 ? `${number(figures.overFloor * 100, 1, f)}%` : '0%'
        }}</b>
        <span class="small quiet">{{
          figures && figures.overFloor > 1e-6 ? 'above that; not known how much less is possible' : 'it cannot be less'
        }}</span>
      </p>
      <p v-if="search?.isDone && search.result && best >= now" class="small" role="status">
        {{ number(search.steps, 0, f) }} layouts tried: none is shorter
      </p>
      <p v-else-if="search" class="small" role="status">
        {{ number(search.steps, 0, f) }} layouts tried, best <b>{{ words(best) }}</b>
      </p>
      <progress v-if="running" :value="search!.steps" :max="search!.of" aria-label="Layouts tried"></progress>
      <p v-if="!layout.isLocked">
        <button class="plain-button" type="button" @click="emit('search', 2)">
          <kbd>S</kbd> {{ running ? `stop, keep ${words(best)}` : search ? 'search on' : 'search a shorter one' }}
        </button>
        <button v-if="!running" class="plain-button" type="button" @click="emit('search', 20)">for 20 s</button>
      </p>
    </div>
  </section>
</template>

<style scoped>
.search {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  gap: 12px;
  align-items: start;
}
.search p {
  margin: 0 0 4px;
}
.over {
  font-size: 24px;
  font-weight: var(--w-figure);
  display: block;
  line-height: 1;
}
progress {
  width: 100%;
  accent-color: var(--ink);
}
</style>
