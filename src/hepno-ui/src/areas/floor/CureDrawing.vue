<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'

/** A batch as it lies on the film: colour patch, its prints, colour patch. White ones are hatched: they have no sign of their own. */
const props = defineProps<{ batch: Schemas['CureBatch'] }>()
const most = 6
const sheets = computed(() => {
  const all = props.batch.prints.flatMap((p) => Array.from({ length: Math.min(most, p.prints) }, () => p.whiteOnly))
  return all.slice(0, most)
})
const patches = computed(() => [
  { x: 1, state: props.batch.before },
  { x: 121, state: props.batch.after },
])
</script>

<template>
  <svg viewBox="0 0 144 34" width="144" aria-hidden="true">
    <path d="M0 31H144" stroke="var(--ink)" stroke-width="1.5" />
    <g v-for="p in patches" :key="p.x" :transform="`translate(${p.x} 4)`">
      <rect width="22" height="24" fill="var(--bleach)" stroke="var(--ink)" stroke-width="1.5" />
      <path v-if="p.state === 'holds'" d="m5 12 5 6 8-12" fill="none" stroke="var(--go)" stroke-width="3" />
      <path v-else-if="p.state === 'lifts'" d="m5 6 12 12m0-12L5 18" stroke="var(--heat)" stroke-width="3" />
      <circle v-else cx="11" cy="12" r="5" fill="none" stroke="var(--ink)" stroke-width="1.5" />
    </g>
    <g v-for="(white, i) in sheets" :key="i" :transform="`translate(${27 + i * 16} 4)`">
      <rect width="12" height="24" :fill="white ? 'var(--bleach)' : 'var(--ink-3)'" stroke="var(--ink)" />
      <path v-if="white" d="M0 8 8 0M0 16 12 4M0 24 12 12M4 24l8-8" stroke="var(--ink-2)" />
    </g>
  </svg>
</template>
