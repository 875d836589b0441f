<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { anHour, moment, money } from '../../words/shown'
import StrataBar from '../../kit/StrataBar.vue'
import { format } from '../../state/state'
import { type Scale, spoken } from './bands'

/** One method among many, in a line: its bar, price, day and profit an hour; it opens with a click. */
const props = defineProps<{
  b: Schemas['Band']
  index: number
  scale: Scale
  /** Its place before anything was tried; 0 for nothing tried. */
  was: number
  /** It is the one opened, where all stand in a line. */
  open: boolean
}>()
const emit = defineEmits<{ open: [] }>()
const f = computed(() => format())
const x = (amount: number) => (amount / props.scale.most) * props.scale.width
</script>

<template>
  <button class="slim" :class="{ light: !b.fits, open }" :aria-label="spoken(b, f)" @click="emit('open')">
    <span class="called"
      ><kbd v-if="index < 9">{{ index + 1 }}</kbd
      ><span v-else></span><b>{{ b.name }}</b></span
    >
    <svg :width="scale.width + 90" height="30" class="bar" aria-hidden="true">
      <g transform="translate(0 8)">
        <StrataBar :strata="b.strata" :width="scale.width" :most="scale.most" :height="14" />
      </g>
      <line :x1="x(b.outcome.price)" :x2="x(b.outcome.price)" y1="5" y2="25" stroke="var(--ink)" stroke-width="2.5" />
      <text :x="x(b.outcome.price) + 6" y="21" font-size="15" font-weight="620" class="post">
        {{ money(b.outcome.price, f) }}
      </text>
    </svg>
    <span class="small" :class="{ heat: b.lateMinutes > 0 }"
      ><span v-if="was > 0 && was !== index + 1" class="quiet was"
        >{{ was > index + 1 ? '▲' : '▼' }} was {{ was }} </span
      >{{ b.promise ? moment(b.promise.at, f) : '' }}</span
    >
    <b class="hour">{{ anHour(b.outcome.profitAnHour.value, f) }}</b>
  </button>
</template>

<style scoped>
.was {
  margin-right: 8px;
}
.slim.open {
  background: var(--bleach);
}
.slim {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) auto 64px;
  align-items: center;
  width: 100%;
  height: 30px;
  padding: 0 4px;
  margin: 0 3px;
  border-bottom: 1px solid var(--rule);
  text-align: left;
  white-space: nowrap;
}
.called {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 0 4px;
  align-items: center;
}
.called b {
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: var(--t-small);
}
.bar {
  overflow: hidden;
  max-width: 100%;
}
.post {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 5px;
}
.hour {
  text-align: right;
  font-weight: var(--w-figure);
}
.light .hour {
  font-weight: var(--w-text);
  color: var(--ink-2);
}
</style>
