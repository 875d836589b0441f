<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, type Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { lineInHand, shop } from '../../state/state'

/** What making the line ties up before anybody has bought it; asked for when it is opened. */
const props = defineProps<{ method: string }>()
const launch = ref<Schemas['Launch'] | null>(null)
const wanted = ref(false)
watch([wanted, () => props.method, () => shop.order?.version, () => lineInHand.value?.id], async ([open, method]) => {
  launch.value = null
  const [id, line] = [shop.order?.id, lineInHand.value?.id]
  if (!open || !id || !line) return
  const got = await api.GET('/api/orders/{id}/launch', {
    params: { path: { id }, query: { line, method: String(method) } },
  })
  if (got.data && props.method === method) launch.value = got.data
})
</script>

<template>
  <p class="line small">
    <button :aria-expanded="wanted" @click="wanted = !wanted">as a launch, nobody has bought yet</button>
    <template v-if="launch">
      <button @click="explain(launch.tied)">{{ launch.sentences[0] }}</button>
      <button @click="explain(launch.lostPlain)">{{ launch.sentences[1] }}</button>
      <span>{{ launch.sentences[2] }}</span>
    </template>
  </p>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding-top: 4px;
}
.line button:first-child {
  color: var(--go);
}
</style>
