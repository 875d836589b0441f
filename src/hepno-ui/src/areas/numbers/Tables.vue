<script setup lang="ts">
import { ref } from 'vue'
import { api, ask } from '../../api/client'
import { attempt, refresh, shop } from '../../shell/state'

/** Tables out, and in as a whole: what cannot be kept is said row by row and nothing is changed. */
const kinds = ['customers', 'styles', 'materials', 'prices', 'screens']
const words: Record<string, string> = {
  customers: 'Customers',
  styles: 'Styles with their prices',
  materials: 'Vinyl rolls',
  prices: 'Film price lists',
  screens: 'Screened transfer price lists',
}
const busy = ref('')
const wrong = ref<{ sentence: string; remedy: string }[]>([])
async function bring(kind: string, event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  busy.value = kind
  wrong.value = []
  await attempt(async () => {
    const report = await ask(
      api.PUT('/api/csv/{kind}', {
        params: { path: { kind } },
        body: (await file.text()) as never,
        bodySerializer: (text: unknown) => text as string,
        headers: { 'Content-Type': 'text/csv' },
      }),
    )
    await refresh()
    shop.said = `${words[kind]}: ${report.added} new, ${report.changed} changed, ${report.same} as they were.`
  })
  wrong.value = shop.problems.slice(0, 12)
  busy.value = ''
}
</script>

<template>
  <div class="tables">
    <div v-for="kind in kinds" :key="kind">
      <b>{{ words[kind] }}</b>
      <a class="plain-button" :href="`/api/csv/${kind}`" download>As a table (CSV)</a>
      <label class="plain-button"
        >{{ busy === kind ? 'Reading...' : 'Bring a table'
        }}<input
          type="file"
          accept=".csv,text/csv"
          class="sr"
          :aria-label="`Bring ${words[kind]?.toLowerCase()}`"
          @change="bring(kind, $event)"
      /></label>
    </div>
    <ul v-if="wrong.length > 0" role="alert">
      <li v-for="(w, i) in wrong" :key="i" class="heat">{{ w.sentence }} {{ w.remedy }}</li>
    </ul>
  </div>
</template>

<style scoped>
.tables > div {
  display: grid;
  grid-template-columns: 220px max-content max-content;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
}
label {
  cursor: pointer;
}
label:focus-within {
  outline: 3px solid var(--focus, currentcolor);
}
</style>
