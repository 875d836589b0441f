<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { anHour, bare, margin, money } from '../../words/shown'
import StrataBar from '../../kit/StrataBar.vue'
import { format } from '../../state/state'
import BandFacts from './BandFacts.vue'
import { along, beside, type Scale, spoken } from './bands'

/** One method that can: its cost as strata up to its price on the common scale, its profit an hour, its facts. */
const props = defineProps<{
  b: Schemas['Band']
  index: number
  open: boolean
  mark: number | null
  scale: Scale
  mayGrow: boolean
  /** It is what the comparison recommends. */
  advised: boolean
  /** The one price at which ways are ranked. */
  atPrice: number
  /** Its place before anything was tried; 0 for nothing tried. */
  was: number
}>()
const emit = defineEmits<{ open: []; larger: [] }>()
const f = computed(() => format())
const x = (amount: number) => along(props.scale, amount)
const costFigure = computed(() => bare(props.b.costShown, f.value))
/** Between the cost and the post of the price a figure of 14 px stands, or none does. */
const room = (figure: string) => x(props.b.outcome.price) - x(props.b.costShown) > figure.length * 8.5 + 12
</script>

<template>
  <section class="band" :class="{ crop: open, open }" role="group" :aria-label="spoken(b, f)">
    <button class="name" @click="emit('open')">
      <kbd>{{ index + 1 }}</kbd><b>{{ b.name }}</b
      ><span v-if="was > 0 && was !== index + 1" class="note">{{ was > index + 1 ? '▲' : '▼' }} was {{ was }}</span
      ><span class="note quiet">{{ b.made }}</span>
    </button>
    <svg :width="scale.width + 90" height="52" class="bar" aria-hidden="true">
      <line
        v-if="mark"
        :x1="x(mark)"
        :x2="x(mark)"
        y1="0"
        y2="52"
        stroke="var(--caution-text)"
        stroke-width="1.5"
        stroke-dasharray="5 4"
      />
      <g transform="translate(0 8)">
        <rect
          :x="x(b.costShown)"
          y="0"
          :width="Math.max(0, x(b.outcome.price) - x(b.costShown))"
          height="30"
          fill="none"
          stroke="var(--ink)"
          stroke-dasharray="4 3"
        />
        <StrataBar
          :strata="b.strata"
          :width="scale.width"
          :most="scale.most"
          :height="30"
          @explain="(code) => explain(b.cost.parts.find((p) => p.code === code))"
        />
        <text v-if="room(costFigure)" :x="x(b.costShown) + 6" y="20" font-size="14" fill="var(--ink-2)">
          {{ costFigure }}
        </text>
        <text
          v-if="x(b.outcome.price) - x(b.costShown) > 96"
          :x="x(b.outcome.price) - 6"
          y="20"
          font-size="14"
          font-weight="620"
          text-anchor="end"
        >
          {{ margin(b.outcome.profit.value, f) }}
        </text>
        <line :x1="x(b.outcome.price)" :x2="x(b.outcome.price)" y1="-6" y2="38" stroke="var(--ink)" stroke-width="3" />
        <text :x="x(b.outcome.price) + 8" y="22" font-size="21" font-weight="680" class="post">
          {{ money(b.outcome.price, f) }}
        </text>
      </g>
    </svg>
    <button
      class="hour"
      data-figure="hour"
      :data-band="b.methodId"
      :class="{ light: b.overMark > 0 || b.lateMinutes > 0 }"
      title="explain"
      @click="explain(b.outcome.profitAnHour, ...beside(b))"
    >
      <b>{{ anHour(b.outcome.profitAnHour.value, f) }}</b><span class="note">{{
        b.overMark > 0 ? 'if it sold' : 'an hour'
      }}</span>
    </button>
    <BandFacts
      :b="b"
      :open="open"
      :advised="advised"
      :at-price="atPrice"
      :may-grow="mayGrow"
      @larger="emit('larger')"
    />
  </section>
</template>

<style scoped>
.band {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 92px;
  border-bottom: 1px solid var(--rule);
  padding: 6px 4px 8px;
  margin: 3px;
}
.band.open {
  background: var(--bleach);
}
.post {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 5px;
}
.open .post {
  stroke: var(--bleach);
}
.name {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 2px 4px;
  align-content: start;
  padding-top: 6px;
}
.name .note {
  grid-column: 2;
}
.bar {
  overflow: visible;
  max-width: 100%;
}
.hour {
  text-align: right;
}
.hour b {
  font-size: 34px;
  font-weight: var(--w-figure);
  line-height: 1;
  display: block;
  letter-spacing: -0.02em;
}
.hour.light b {
  font-weight: var(--w-text);
  color: var(--ink-2);
}
</style>
