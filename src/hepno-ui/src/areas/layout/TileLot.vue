<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { length } from '../../words/shown'
import { format } from '../../state/state'
import PurchaseFacts from './PurchaseFacts.vue'

/** Sheets over one side of a garment: where they overlap and what hangs over, drawn to scale. */
const props = defineProps<{ purchase: Schemas['Purchase'] }>()
const f = computed(() => format())
const tiles = computed(() => props.purchase.tiles!)
const height = 230
const last = computed(() => tiles.value.at.at(-1)!)
const covered = computed(() => ({
  width: last.value.x + tiles.value.tileWidthIn,
  height: last.value.y + tiles.value.tileHeightIn,
}))
const scale = computed(() => height / covered.value.height)
/** Strips in which two sheets lie over each other. */
const overlaps = computed(() => [
  ...Array.from({ length: tiles.value.columns - 1 }, (_, i) => ({
    x: (i + 1) * (tiles.value.tileWidthIn - tiles.value.overlapIn),
    y: 0,
    width: tiles.value.overlapIn,
    height: covered.value.height,
  })),
  ...Array.from({ length: tiles.value.rows - 1 }, (_, i) => ({
    x: 0,
    y: (i + 1) * (tiles.value.tileHeightIn - tiles.value.overlapIn),
    width: covered.value.width,
    height: tiles.value.overlapIn,
  })),
])
</script>

<template>
  <section class="lot">
    <div>
      <h2>{{ purchase.text }}</h2>
      <p class="small quiet">
        {{ tiles.columns }} × {{ tiles.rows }} sheets a side{{ tiles.turned ? ', turned' : '' }}, joined in the order
        they are numbered, {{ length(tiles.overlapIn, f) }} over each other; {{ tiles.seams }} seams
      </p>
      <p v-if="tiles.trim" class="small caution">
        {{
          [
            tiles.trim.offWidthIn > 0 ? `${length(tiles.trim.offWidthIn, f)} off the width` : '',
            tiles.trim.offHeightIn > 0 ? `${length(tiles.trim.offHeightIn, f)} off the height` : '',
          ]
            .filter((t) => t !== '')
            .join(' and ')
        }}
        would take {{ tiles.trim.sheets }} sheets a side.
      </p>
      <PurchaseFacts :purchase="purchase" />
    </div>
    <svg
      :viewBox="`-1 -1 342 ${height + 2}`"
      role="img"
      :aria-label="`One side: ${tiles.columns} sheets across, ${tiles.rows} down; ${length(tiles.overhangWidthIn, f)} hang over at the right, ${length(tiles.overhangHeightIn, f)} below`"
    >
      <rect
        v-for="t in tiles.at"
        :key="t.number"
        :x="t.x * scale"
        :y="t.y * scale"
        :width="tiles.tileWidthIn * scale"
        :height="tiles.tileHeightIn * scale"
        fill="var(--bleach)"
        stroke="var(--ink)"
      />
      <rect
        v-for="(o, i) in overlaps"
        :key="`o${i}`"
        :x="o.x * scale"
        :y="o.y * scale"
        :width="Math.max(1.5, o.width * scale)"
        :height="Math.max(1.5, o.height * scale)"
        fill="var(--caution)"
        opacity=".6"
      />
      <rect
        :x="(covered.width - tiles.overhangWidthIn) * scale"
        :width="tiles.overhangWidthIn * scale"
        :height="height"
        fill="url(#hatch)"
      />
      <rect
        :y="(covered.height - tiles.overhangHeightIn) * scale"
        :width="covered.width * scale"
        :height="tiles.overhangHeightIn * scale"
        fill="url(#hatch)"
      />
      <rect
        :width="(covered.width - tiles.overhangWidthIn) * scale"
        :height="(covered.height - tiles.overhangHeightIn) * scale"
        fill="none"
        stroke="var(--ink)"
        stroke-width="2"
        stroke-dasharray="6 4"
      />
      <text
        v-for="t in tiles.at"
        :key="`n${t.number}`"
        :x="(t.x + tiles.tileWidthIn / 2) * scale"
        :y="(t.y + tiles.tileHeightIn / 2) * scale + 7"
        font-size="20"
        font-weight="640"
        text-anchor="middle"
      >
        {{ t.number }}
      </text>
    </svg>
  </section>
</template>

<style scoped src="./lot.css"></style>
