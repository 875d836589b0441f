<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { length } from '../../words/shown'
import { format } from '../../state/state'
import PurchaseFacts from './PurchaseFacts.vue'

/** Parts of a run as they lie on cloth and on paper, drawn along the roll at one scale; every part along the grain. */
const props = defineProps<{ purchase: Schemas['Purchase'] }>()
const f = computed(() => format())
const run = computed(() => props.purchase.markers!)
const drawnWidth = 980
const largestScale = 4
const lanes = computed(() =>
  run.value.each.flatMap((m) => {
    const mix = m.sizes.map((s) => `${s.size} ${s.pieces}`).join(', ')
    const times = m.times > 1 ? `${m.times} times` : 'Once'
    const on = [{ on: 'cloth', laid: m.marker.onFabric, across: run.value.fabricWidthIn }]
    if (run.value.paperWidthIn !== run.value.fabricWidthIn)
      on.push({ on: 'paper', laid: m.marker.onPaper, across: run.value.paperWidthIn })
    return on.map((o) => ({ ...o, mix, times }))
  }),
)
const scale = computed(() =>
  Math.min(largestScale, ...lanes.value.map((l) => (drawnWidth - 2) / Math.max(1, l.laid.usedLengthIn))),
)
const share = (part: number) => `${Math.round(part * 100)}%`
const tints: Record<string, string> = {
  front: 'var(--bleach)',
  back: 'var(--calico)',
  sleeve: 'var(--go-wash)',
  neckband: 'var(--caution-wash)',
}
const tint = (design: string) => tints[design.split(' ')[0]!] ?? 'var(--bleach)'
const letterWidth = 7
const fits = (p: Schemas['GangPlaced']) =>
  p.heightIn * scale.value > p.designId.length * letterWidth && p.widthIn * scale.value > 16
</script>

<template>
  <section class="lane">
    <h2>
      {{ purchase.text }}
      <span class="quiet small"
        >markers of {{ length(run.fabricIn, f) }} in all, bought as {{ length(purchase.quantity, f) }}; on paper
        {{ length(run.paperIn, f) }}</span
      >
    </h2>
    <p class="small key">
      <span v-for="(ground, part) in tints" :key="part"
        ><i :style="{ background: ground }" aria-hidden="true"></i>{{ part }}</span
      >
      <span class="quiet">Boxes of a plain cut, along the grain: the shop's own pattern decides.</span>
    </p>
    <div v-for="(l, i) in lanes" :key="i">
      <p class="small">
        <b>{{ l.times }}, on {{ l.on }} {{ length(l.across, f) }} wide:</b> {{ l.mix }};
        {{ length(l.laid.usedLengthIn, f) }}, {{ share(l.laid.utilisation) }} of it covered; no marker is shorter than
        {{ length(l.laid.floorLengthIn, f) }}
      </p>
      <svg
        :viewBox="`-1 -1 ${drawnWidth} ${l.across * scale + 2}`"
        role="img"
        :aria-label="`A marker of ${l.mix} on ${l.on}: ${l.laid.placed.length} parts in ${length(l.laid.usedLengthIn, f)}`"
      >
        <rect
          :width="l.laid.usedLengthIn * scale"
          :height="l.across * scale"
          fill="url(#hatch)"
          stroke="var(--ink)"
          stroke-width="1.5"
        />
        <g v-for="(p, k) in l.laid.placed" :key="k">
          <rect
            :x="p.y * scale"
            :y="p.x * scale"
            :width="p.heightIn * scale"
            :height="p.widthIn * scale"
            :fill="tint(p.designId)"
            stroke="var(--ink)"
            stroke-width=".8"
          />
          <text
            v-if="fits(p)"
            :x="(p.y + p.heightIn / 2) * scale"
            :y="(p.x + p.widthIn / 2) * scale + 4"
            font-size="12"
            text-anchor="middle"
          >
            {{ p.designId }}
          </text>
        </g>
      </svg>
    </div>
    <PurchaseFacts :purchase="purchase" />
  </section>
</template>

<style scoped>
.lane {
  border-top: 1px solid var(--rule);
  padding: 10px 0;
}
.key {
  display: flex;
  gap: 16px;
  margin: 6px 0;
}
.key i {
  display: inline-block;
  width: 14px;
  height: 14px;
  margin-right: 5px;
  border: 1px solid var(--ink);
  vertical-align: -2px;
}
svg {
  width: 100%;
  margin: 4px 0 10px;
}
</style>
