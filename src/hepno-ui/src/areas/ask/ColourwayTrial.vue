<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import type { Design } from './artwork'

/** The artwork on every colour its garment comes in, and on a checked ground that shows what is clear; on pale cloth also as dye, which mixes with it. */
const props = defineProps<{ design: Design; colourways: Schemas['Colourway'][]; ground: string }>()
const emit = defineEmits<{ ground: [value: string] }>()
const picture = computed(
  () => `/api/artwork/${props.design.id}/picture.png?side=400&painted=true&print=${props.design.print.slice(0, 12)}`,
)
const grounds = computed(() => [
  ...props.colourways.map((c) => ({ value: c.hex, label: c.name.toLowerCase(), dye: false })),
  ...props.colourways
    .filter((c) => c.class === 'white' || c.class === 'pale')
    .map((c) => ({ value: `dye ${c.hex}`, label: `${c.name.toLowerCase()}, as dye`, dye: true })),
  { value: 'checked', label: 'what is clear', dye: false },
])
</script>

<template>
  <div class="trial" role="group" aria-label="On other colours">
    <button
      v-for="g in grounds"
      :key="g.value"
      :aria-pressed="g.value === ground"
      @click="emit('ground', g.value === ground ? '' : g.value)"
    >
      <span
        class="tile"
        :class="{ checked: g.value === 'checked' }"
        :style="{ backgroundColor: g.value === 'checked' ? undefined : g.value.replace('dye ', '') }"
        ><img :src="picture" alt="" :class="{ dye: g.dye }"
      /></span>
      {{ g.label }}
    </button>
  </div>
</template>

<style scoped>
.trial {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.trial button {
  font-size: 13px;
  text-align: left;
  width: 108px;
  border-bottom: 2.5px solid transparent;
}
.trial button[aria-pressed='true'] {
  border-bottom-color: var(--ink);
  font-weight: var(--w-strong);
}
.tile {
  display: grid;
  place-items: center;
  height: 72px;
  padding: 6px;
  border: 1px solid var(--ink);
}
.tile img {
  max-width: 100%;
  max-height: 60px;
}
.dye {
  mix-blend-mode: multiply;
}
.checked {
  background: repeating-conic-gradient(var(--rule) 0 25%, var(--bleach) 0 50%) 0 0 / 12px 12px;
}
</style>
