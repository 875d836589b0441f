<script setup lang="ts">
import type { Schemas } from '../api/client'
import { format } from '../state/state'
import { opened } from './explain'
import { figure as shownFigure } from '../words/shown'

defineProps<{ figure: Schemas['Figure']; depth: number }>()
</script>

<template>
  <li>
    <div class="row" :style="{ paddingLeft: `${depth * 18}px` }">
      <span
        >{{ figure.label }} <span class="quiet small">{{ figure.how || figure.source }}</span></span
      >
      <b>{{ shownFigure(figure.value, figure.unit, format()) }}</b>
    </div>
    <ul v-if="figure.parts.length > 0">
      <ExplainRow
        v-for="(part, i) in figure.parts"
        :key="`${part.code}-${i}`"
        :figure="opened(part)"
        :depth="depth + 1"
      />
    </ul>
  </li>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
.row {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
b {
  font-weight: var(--w-strong);
  white-space: nowrap;
}
</style>
