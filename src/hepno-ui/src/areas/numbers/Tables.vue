<script setup lang="ts">
import { ref } from 'vue'
import { api, ask } from '../../api/client'
import TableLook from './TableLook.vue'
import { attempt } from '../../state/state'

/** Tables out, and in as a whole once they were looked at: what cannot be kept is said row by row. */
const kinds = ['customers', 'styles', 'materials', 'prices', 'screens']
const words: Record<string, string> = {
  customers: 'Customers',
  styles: 'Styles with their prices',
  materials: 'Vinyl rolls',
  prices: 'Film price lists',
  screens: 'Screened transfer price lists',
}
const looked = ref<{ kind: string; file: Blob; name: string } | null>(null)
function choose(kind: string, event: Event): void {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) looked.value = { kind, file, name: file.name }
}
async function feed(): Promise<void> {
  await attempt(async () => {
    const said = await ask(api.GET('/api/feed'))
    looked.value = { kind: 'styles', file: new Blob([said.table]), name: `the feed of ${said.supplier} (simulated)` }
  })
}
</script>

<template>
  <div class="tables">
    <div v-for="kind in kinds" :key="kind">
      <b>{{ words[kind] }}</b>
      <a class="plain-button" :href="`/api/csv/${kind}`" download>As a table (CSV)</a>
      <label class="plain-button"
        >Bring a table<input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          class="sr"
          :aria-label="`Bring ${words[kind]?.toLowerCase()}`"
          @change="choose(kind, $event)"
      /></label>
      <button v-if="kind === 'styles'" class="plain-button" @click="feed">Look at a supplier's feed (simulated)</button>
    </div>
    <TableLook
      v-if="looked"
      :key="looked.kind + looked.name"
      :kind="looked.kind"
      :title="words[looked.kind] ?? ''"
      :file="looked.file"
      :name="looked.name"
      @done="looked = null"
    />
  </div>
</template>

<style scoped>
.tables > div {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
}
.tables > div > b {
  width: 220px;
}
label {
  cursor: pointer;
}
label:focus-within {
  outline: 3px solid var(--focus, currentcolor);
}
</style>
