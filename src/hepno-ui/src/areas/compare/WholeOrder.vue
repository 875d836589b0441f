<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, type Schemas } from '../../api/client'
import { shop } from '../../state/state'

/** Ways of the whole order: each line its best, or one for all; it comes after the comparison and never holds it up. */
const ways = ref<Schemas['OrderWays'] | null>(null)
watch(
  [() => shop.order?.id, () => shop.order?.version],
  async ([id]) => {
    ways.value = null
    if (typeof id !== 'string') return
    const got = await api.GET('/api/orders/{id}/ways', { params: { path: { id } } })
    if (got.data && shop.order?.id === id) ways.value = got.data
  },
  { immediate: true },
)
</script>

<template>
  <p v-if="ways" class="small whole">The order: {{ ways.sentences.join('; ') }}.</p>
</template>

<style scoped>
.whole {
  padding: 2px 4px;
}
</style>
