<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { format } from '../state/state'
import { bare } from '../words/shown'

/** Cost strata as a bar on a money scale: widths are real money. */
const props = defineProps<{
  strata: { code: string; label: string; shown: number }[]
  width: number
  most: number
  height: number
}>()
const emit = defineEmits<{ explain: [code: string] }>()

const blocks = computed(() => {
  let x = 0
  return props.strata.map((s) => {
    const width = (s.shown / props.most) * props.width
    const figure = bare(s.shown, format())
    // a figure lies on a plate of its own length; where that has no room it is left to the explanation
    const plated = figure.length * 8 + 4
    const block = { ...s, x, width, figure, plated, room: width > plated + 8 }
    x += width
    return block
  })
})
const text = (code: string) => (['decoration', 'labour', 'spoilage'].includes(code) ? 'var(--bleach)' : 'var(--ink)')
const plate: Record<string, string> = {
  blank: 'var(--st-blank)',
  decoration: 'var(--st-print)',
  consumables: 'var(--st-consum)',
  labour: 'var(--st-labour)',
  press: 'var(--st-press)',
  spoilage: 'var(--st-spoil)',
  packing: 'var(--st-pack)',
}
export type Stratum = Schemas['StratumShown']
</script>

<template>
  <g>
    <g v-for="b in blocks" :key="b.code" class="block" @click="emit('explain', b.code)">
      <rect
        :x="b.x"
        y="0"
        :width="Math.max(0, b.width)"
        :height="height"
        :fill="`url(#st-${b.code})`"
        stroke="var(--ink)"
        stroke-width="1"
      />
      <template v-if="b.room">
        <rect
          :x="b.x + (b.width - b.plated) / 2"
          :y="height / 2 - 9"
          :width="b.plated"
          height="18"
          :fill="plate[b.code]"
        />
        <text
          :x="b.x + b.width / 2"
          :y="height / 2 + 5"
          text-anchor="middle"
          font-size="14"
          font-weight="620"
          :fill="text(b.code)"
          >{{ b.figure }}</text
        >
      </template>
    </g>
  </g>
</template>

<style scoped>
.block {
  cursor: pointer;
}
</style>
