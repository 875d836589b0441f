<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { bare, money } from '../../words/shown'
import { format } from '../../state/state'
import type { Layout } from './gang'

/** Who carries the cost of a layout, by area and equally on one scale. */
const props = defineProps<{ layout: Layout }>()
const f = computed(() => format())
const shares = computed(() => props.layout.shares)
// the six largest; the rest is one bar
const most = 6
const bars = computed(() => [...shares.value].sort((a, b) => b.allByArea - a.allByArea).slice(0, most))
const rest = computed(() => shares.value.length - bars.value.length)
const cost = computed(() => Math.max(1e-9, props.layout.figures.forOrder))
const wide = (amount: number) => `${(amount / cost.value) * 100}%`
type Share = Schemas['LayoutShare']
const rules: { word: string; all: (s: Share) => number; one: (s: Share) => Schemas['Figure'] }[] = [
  { word: 'by area', all: (s) => s.allByArea, one: (s) => s.byArea },
  { word: 'equally', all: (s) => s.allEqually, one: (s) => s.equally },
]
</script>

<template>
  <section aria-label="Who carries the cost">
    <h2>Who carries the {{ money(layout.figures.forOrder, f) }}</h2>
    <div v-for="r in rules" :key="r.word" class="row">
      <span class="small">{{ r.word }}</span>
      <span class="bar">
        <button
          v-for="(s, i) in bars"
          :key="s.key"
          :style="{ width: wide(r.all(s)) }"
          :class="{ dark: i % 2 === 0 }"
          :title="`${s.name} ${money(r.all(s), f)}, ${money(r.one(s).value, f)} each`"
          :aria-label="`${s.name} ${r.word}: ${money(r.all(s), f)}, ${money(r.one(s).value, f)} each`"
          @click="explain(r.one(s))"
        >
          {{ s.name }} {{ bare(r.all(s), f) }}, {{ bare(r.one(s).value, f) }} each
        </button>
      </span>
    </div>
    <p v-if="rest > 0" class="small quiet">and {{ rest }} small ones</p>
    <p v-if="layout.shareCaution" class="small caution">{{ layout.shareCaution }}</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 14.5px;
  padding-bottom: 4px;
}
.row {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  align-items: center;
  padding: 2px 0;
}
.bar {
  display: flex;
  border: 1px solid var(--ink);
  height: 24px;
}
.bar button {
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: 12.5px;
  font-weight: var(--w-strong);
  padding: 0 6px;
  text-align: left;
  min-width: 0;
  background: var(--bleach);
  color: var(--ink);
}
.bar button.dark {
  background: var(--ink);
  color: var(--bleach);
}
.caution {
  color: var(--ochre-text, var(--ochre));
  margin: 2px 0 0;
}
</style>
