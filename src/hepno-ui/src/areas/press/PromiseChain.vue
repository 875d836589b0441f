<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { clock, duration, moment } from '../../words/shown'
import { format, shop } from '../../state/state'

/** The earliest honest promise of the order in hand, and the chain it rests on. */
const props = defineProps<{ promise: NonNullable<Schemas['PressDayView']['promise']> }>()
const emit = defineEmits<{ run: [] }>()
const f = computed(() => format())
const chain = computed(() => {
  const p = props.promise
  const last = p.lines.reduce((a, b) => (a.readyAt > b.readyAt ? a : b))
  return [
    { text: `${last.work.readyCause}, ${moment(p.arrivesAt, f.value)}`, kind: 'ink' },
    ...p.lines.map((l) => ({
      text: `press ${l.work.pieces}, ${duration(l.work.pieces * l.work.minutesPerPiece * 60)}, ${moment(l.parts[0]!.start, f.value)} to ${clock(l.parts.at(-1)!.end, f.value)}`,
      kind: 'hot',
    })),
    { text: `fold and pack ${duration(last.work.tailMinutes * 60)}`, kind: 'wait' },
    { text: `your slow tenth ${duration(last.work.slowTenthMinutes * 60)}, to the half hour`, kind: 'free' },
  ]
})
</script>

<template>
  <section class="promise" aria-label="The order in hand">
    <div>
      <span class="small quiet">{{ shop.order?.code }}: earliest honest promise</span
      ><b :class="{ late: promise.lateMinutes > 0 }">{{ moment(promise.promiseAt, f) }}</b
      ><span v-if="promise.lateMinutes > 0" class="heat small"
        >{{ duration(promise.lateMinutes * 60) }} late: {{ promise.why }}</span
      >
    </div>
    <ol>
      <li v-for="c in chain" :key="c.text" :class="c.kind">{{ c.text }}</li>
    </ol>
    <button v-if="shop.order?.station === 'press'" class="go-button" @click="emit('run')">Run it <kbd>R</kbd></button>
  </section>
</template>

<style scoped>
.promise {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr) auto;
  gap: 20px;
  border-top: 2px solid var(--ink);
  padding: 12px 0;
  align-items: center;
}
.promise b {
  display: block;
  font-size: 27px;
  color: var(--go);
  line-height: 1.1;
}
.promise b.late {
  color: var(--heat);
}
ol {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  font-size: 13px;
}
li {
  padding: 6px 10px;
  border: 1.5px solid var(--ink);
}
li.ink {
  background: var(--ink);
  color: var(--bleach);
}
li.hot {
  background: var(--heat);
  color: var(--bleach);
}
li.free {
  border-style: dashed;
  background: var(--bleach);
}
</style>
