<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { length } from '../../words/shown'
import { format, lineInHand } from '../../state/state'
import PurchaseFacts from './PurchaseFacts.vue'

/** Own sheets with so many prints on each, drawn to scale with what the printer leaves free. */
const props = defineProps<{ purchase: Schemas['Purchase'] }>()
const f = computed(() => format())
const grid = computed(() => props.purchase.grid!)
const height = 170
const scale = computed(() => height / Math.max(grid.value.sheetHeightIn, grid.value.sheetWidthIn / 2))
const copies = computed(() =>
  Array.from({ length: grid.value.across * grid.value.down }, (_, i) => ({
    x: (grid.value.marginIn + (i % grid.value.across) * (grid.value.boxWidthIn + grid.value.gapIn)) * scale.value,
    y:
      (grid.value.marginIn + Math.floor(i / grid.value.across) * (grid.value.boxHeightIn + grid.value.gapIn)) *
      scale.value,
  })),
)
</script>

<template>
  <section class="lot">
    <div>
      <h2>{{ purchase.text }}</h2>
      <p class="small quiet">
        sheets {{ length(grid.sheetWidthIn, f) }} × {{ length(grid.sheetHeightIn, f) }}, {{ grid.across }} ×
        {{ grid.down }} on each{{ grid.turned ? ', turned' : '' }}
      </p>
      <PurchaseFacts :purchase="purchase" />
    </div>
    <svg :viewBox="`-1 -1 342 ${height + 2}`" aria-hidden="true">
      <rect
        :width="grid.sheetWidthIn * scale"
        :height="grid.sheetHeightIn * scale"
        fill="var(--bleach)"
        stroke="var(--ink)"
      />
      <rect :width="grid.sheetWidthIn * scale" :height="grid.sheetHeightIn * scale" fill="url(#hatch)" opacity=".6" />
      <rect
        v-for="(c, i) in copies"
        :key="i"
        :x="c.x"
        :y="c.y"
        :width="grid.boxWidthIn * scale"
        :height="grid.boxHeightIn * scale"
        :fill="lineInHand?.colourway?.hex ?? 'var(--calico)'"
        stroke="var(--ink)"
      />
    </svg>
  </section>
</template>

<style scoped src="./lot.css"></style>
