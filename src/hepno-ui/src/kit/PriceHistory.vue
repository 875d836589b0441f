<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { figure } from '../words/shown'
import type { Noun } from './things'
import { format, reading } from '../state/state'

/** What a thing's prices have been, each as a line of steps with their days; prices that never moved are said in one sentence. */
const props = defineProps<{
  noun: Noun
  id: string
  version: number
}>()
const lines = ref<Schemas['PriceLine'][]>([])
watch(
  () => [props.id, props.version],
  () =>
    void reading(async () => {
      lines.value = await ask(
        api.GET(`/api/${props.noun}/{id}/prices` as '/api/styles/{id}/prices', { params: { path: { id: props.id } } }),
      )
    }),
  { immediate: true },
)
const moved = computed(() => lines.value.filter((l) => l.steps.length > 1))
const said = (price: number) => figure(price, 'money', format())
</script>

<template>
  <span v-if="lines.length > 0" class="small prices">
    <span v-for="l in moved" :key="l.what"
      >{{ l.what }}:
      <template v-for="(p, i) in l.steps" :key="i"
        ><template v-if="i > 0">, then </template><b v-if="p.now">{{ said(p.price) }}</b
        ><template v-else>{{ said(p.price) }}</template> <span class="quiet">since {{ p.since }}</span></template
      ></span
    >
    <span v-if="moved.length === 0" class="quiet"
      >{{ lines.length === 1 ? 'Its price has' : 'Its prices have' }} stood since {{ lines[0]?.steps[0]?.since }}.</span
    >
  </span>
</template>

<style scoped>
.prices {
  display: inline-grid;
  gap: 2px;
}
</style>
