<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { format, shop } from '../shell/state'
import { lies, onCloth, outlines } from './garment'
import { length, number } from './shown'
import { placeWord } from './words'

const props = defineProps<{
  kind: string | null
  hex: string
  placements: Schemas['PlacementBody'][]
  tape?: boolean
  bad?: string[]
}>()
const outline = computed(() => outlines[props.kind ?? 'tee'] ?? outlines.tee!)
const cloth = computed(() => (props.kind ? props.hex : 'none'))
const line = computed(() => (props.kind ? onCloth(props.hex) : 'var(--ink)'))
const box = computed(() => {
  const o = outline.value
  return props.tape ? `${o.left - 5} ${o.top} ${o.width + 6} ${o.height}` : `${o.left} ${o.top} ${o.width} ${o.height}`
})
const prints = computed(() =>
  props.placements.map((p) => ({
    p,
    ...lies(p.place, p.widthIn, p.heightIn),
    bad: props.bad?.includes(p.id) ?? false,
  })),
)
const scale = (inches: number) => number(format().metric ? inches * 2.54 : inches, 1, format())
</script>

<template>
  <svg :viewBox="box" aria-hidden="true">
    <template v-if="tape">
      <rect :x="outline.left - 4" y="0" width="2.2" height="28" fill="#f3e3b8" stroke="var(--ink)" stroke-width=".08" />
      <g v-for="i in 5" :key="i">
        <path :d="`M${outline.left - 4} ${i * 5} h2.2`" stroke="var(--ink)" stroke-width=".1" />
        <text :x="outline.left - 1.4" :y="i * 5 + 0.4" font-size="1.1" fill="var(--ink)">{{ scale(i * 5) }}</text>
      </g>
    </template>
    <path :d="outline.path" :fill="cloth" stroke="var(--ink)" stroke-width=".22" />
    <path :d="outline.seams" fill="none" :stroke="line" stroke-width=".12" stroke-dasharray=".6 .5" opacity=".6" />
    <g v-for="print in prints" :key="print.p.id">
      <image
        v-if="print.p.designId"
        :href="`/api/artwork/${print.p.designId}/picture.png?side=400&painted=true&of=${shop.order?.version ?? 0}`"
        :x="print.x"
        :y="print.y"
        :width="print.p.widthIn"
        :height="print.p.heightIn"
        preserveAspectRatio="none"
      />
      <rect
        :x="print.x"
        :y="print.y"
        :width="print.p.widthIn"
        :height="print.p.heightIn"
        fill="none"
        :stroke="print.bad ? 'var(--heat)' : line"
        :stroke-width="print.bad ? 0.4 : 0.18"
        stroke-dasharray=".7 .4"
      />
      <template v-if="tape">
        <text
          v-if="print.p.widthIn > 6 && !print.p.designId"
          :x="print.x + print.p.widthIn / 2"
          :y="print.y + print.p.heightIn / 2"
          font-size="1.25"
          text-anchor="middle"
          :fill="line"
        >
          {{ placeWord[print.p.place] }}
        </text>
        <text
          :x="print.x + print.p.widthIn / 2"
          :y="
            print.p.designId
              ? print.y + print.p.heightIn + 1.5
              : print.p.widthIn > 6
                ? print.y + print.p.heightIn / 2 + 1.6
                : 14.6
          "
          font-size="1.2"
          text-anchor="middle"
          :fill="print.p.widthIn > 6 || Math.abs(print.x) < 8 ? line : 'var(--ink)'"
        >
          {{ scale(print.p.widthIn) }} × {{ length(print.p.heightIn, format()) }}
        </text>
      </template>
    </g>
  </svg>
</template>
