<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { money } from '../../kit/shown'
import { attempt, format, shop } from '../../shell/state'

/** What a style has cost, as a line of steps with their days. */
const props = defineProps<{ id: string; version: number }>()
const prices = ref<Schemas['PriceSince'][]>([])
watch(
  () => [props.id, props.version],
  () =>
    void attempt(async () => {
      prices.value = await ask(api.GET('/api/styles/{id}/prices', { params: { path: { id: props.id } } }))
    }, shop.said),
  { immediate: true },
)
</script>

<template>
  <span v-if="prices.length > 0" class="small"
    >Price
    <template v-for="(p, i) in prices" :key="i"
      ><template v-if="i > 0">, then </template><b v-if="p.now">{{ money(p.price, format()) }}</b
      ><template v-else>{{ money(p.price, format()) }}</template>
      <span class="quiet">since {{ p.since }}</span></template
    ></span
  >
</template>
