<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Schemas } from '../../api/client'

/** A way said for each print of a line with several: the mix is held beside the other ways. */
const props = defineProps<{
  ways: Schemas['PlacementWays'][]
  /** Names of ways by their keys. */
  names: Record<string, string>
  /** The mix looked at, or empty. */
  mix: string
}>()
const emit = defineEmits<{ mix: [key: string] }>()
const said = ref<Record<string, string>>({})
watch(
  [() => props.ways.map((w) => w.placementId).join(' '), () => props.mix],
  () => {
    const parts = props.mix.split('+').map((p) => p.split('@'))
    said.value = Object.fromEntries(
      props.ways.map((w) => [
        w.placementId,
        parts.find((p) => p[1] === encodeURIComponent(w.placementId))?.[0] ?? w.ways[0] ?? '',
      ]),
    )
  },
  { immediate: true },
)
/** One way for all is no mix: it stands among the bands already. */
function say(placementId: string, way: string): void {
  said.value[placementId] = way
  const several = new Set(Object.values(said.value)).size > 1
  emit(
    'mix',
    several ? props.ways.map((w) => `${said.value[w.placementId]}@${encodeURIComponent(w.placementId)}`).join('+') : '',
  )
}
</script>

<template>
  <div class="mix small" role="group" aria-label="Each print its own way">
    <span><kbd>M</kbd> each its own way</span>
    <label v-for="(w, i) in ways" :key="w.placementId"
      >{{ w.place }}
      <select
        :data-mix="i"
        :value="said[w.placementId]"
        @change="(e) => say(w.placementId, (e.target as HTMLSelectElement).value)"
      >
        <option v-if="w.ways.length === 0" value="">no way can</option>
        <option v-for="id in w.ways" :key="id" :value="id">{{ names[id] ?? id }}</option>
      </select></label
    >
    <span v-if="ways.some((w) => w.ways.length === 0)" class="caution">no mix: a print that no way can do</span>
  </div>
</template>

<style scoped>
.mix {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  padding: 4px 8px;
  background: var(--calico);
  margin-top: 2px;
}
</style>
