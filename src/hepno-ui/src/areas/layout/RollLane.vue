<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { length, rollLength } from '../../words/shown'
import { format } from '../../state/state'
import PurchaseFacts from './PurchaseFacts.vue'

/** A length of vinyl or film, drawn along the roll at a scale shared by all lanes. */
const props = defineProps<{ purchase: Schemas['Purchase']; scale: number }>()
const f = computed(() => format())
const rows = computed(() => props.purchase.rows!)
const mostDrawn = 600
const boxes = computed(() =>
  Array.from({ length: Math.min(rows.value.count, mostDrawn) }, (_, i) => ({
    x: Math.floor(i / rows.value.across) * rows.value.boxHeightIn * props.scale,
    y: (i % rows.value.across) * rows.value.boxWidthIn * props.scale,
  })),
)
</script>

<template>
  <section class="lane">
    <p v-if="purchase.note" class="small note">{{ purchase.note }}</p>
    <h2>
      <i v-if="purchase.hex" class="colour" :style="{ background: purchase.hex }" aria-hidden="true"></i>
      {{ purchase.text }}
      <span class="quiet small"
        >{{ rows.rows }} rows of {{ rows.across }}{{ rows.turned ? ', turned' : '' }}, boxes
        {{ length(rows.boxWidthIn, f) }} × {{ length(rows.boxHeightIn, f) }} with the margin round them</span
      >
    </h2>
    <svg :viewBox="`0 0 980 ${rows.rollWidthIn * scale + 26}`" class="roll" aria-hidden="true">
      <rect
        :width="rows.lengthIn * scale"
        :height="rows.rollWidthIn * scale"
        fill="url(#hatch)"
        stroke="none"
        opacity=".6"
      />
      <rect
        v-for="(b, i) in boxes"
        :key="i"
        :x="b.x"
        :y="b.y"
        :width="rows.boxHeightIn * scale"
        :height="rows.boxWidthIn * scale"
        :fill="purchase.hex || 'var(--bleach)'"
        :stroke="purchase.hex ? 'var(--bleach)' : 'var(--ink)'"
        stroke-width=".8"
      />
      <rect
        :width="rows.lengthIn * scale"
        :height="rows.rollWidthIn * scale"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <path
        :d="`M${rows.lengthIn * scale} -4V${rows.rollWidthIn * scale + 6}`"
        stroke="var(--ink)"
        stroke-width="3.5"
      />
      <text
        :x="rows.lengthIn * scale"
        :text-anchor="rows.lengthIn * scale > 800 ? 'end' : 'start'"
        :y="rows.rollWidthIn * scale + 20"
        font-size="14"
        font-weight="620"
      >
        {{ length(rows.lengthIn, f) }}, {{ rollLength(rows.lengthIn, f) }}
      </text>
    </svg>
    <PurchaseFacts :purchase="purchase" />
  </section>
</template>

<style scoped>
.lane {
  border-top: 1px solid var(--rule);
  padding: 10px 0;
}
.note {
  margin-bottom: 6px;
}
.colour {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--ink);
}
.roll {
  width: 100%;
  margin-top: 6px;
  overflow: visible;
}
</style>
