<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { minuteOf, number } from '../../words/shown'
import { format, shop, take } from '../../state/state'

/** Work without a place on this day; a block is as long as its minutes are on the drawing. */
const props = defineProps<{ view: Schemas['PressDayView'] }>()
const open = computed(() =>
  props.view.open && props.view.close ? minuteOf(props.view.close) - minuteOf(props.view.open) : 600,
)
</script>

<template>
  <section class="tray" aria-label="Not on this day">
    <h2>Not on this day</h2>
    <button
      v-for="t in view.tray"
      :key="t.orderId"
      :class="{ crop: t.orderId === shop.inHand }"
      @click="take(t.orderId)"
    >
      <span class="block" :style="{ width: `${Math.max(34, Math.min(240, (t.minutes / open) * 992 * 0.87))}px` }"
        >{{ number(t.minutes, 0, format()) }} min</span
      ><span
        ><b class="mono">{{ t.code }}</b> {{ t.what }}</span
      ><span class="small" :class="t.late ? 'heat' : 'quiet'">{{ t.note }}</span>
    </button>
  </section>
</template>

<style scoped>
.tray {
  background: var(--calico);
  margin: 0 -20px;
  padding: 12px 20px;
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: start;
}
.tray button {
  display: grid;
  gap: 2px;
  max-width: 300px;
  padding: 4px;
}
.block {
  background: var(--bleach);
  border: 1.5px solid var(--ink);
  padding: 1px 6px;
  font-weight: var(--w-strong);
  font-size: 13px;
  white-space: nowrap;
}
</style>
