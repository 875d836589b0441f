<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { money } from '../../words/shown'
import { attempt, format, refresh, shop } from '../../state/state'

/** A table before it is brought in: which column is which, its first rows, what it would change; nothing is kept before the last button. */
const props = defineProps<{ kind: string; title: string; file: Blob; name: string }>()
const emit = defineEmits<{ done: [] }>()
const look = ref<Schemas['CsvLook'] | null>(null)
const said = ref<Record<string, string>>({})
const busy = ref(false)

const request = () => ({
  params: {
    path: { kind: props.kind },
    query: { column: Object.entries(said.value).map(([ours, theirs]) => `${ours}:${theirs}`) },
  },
  body: props.file as never,
  bodySerializer: (file: unknown) => file as Blob,
  headers: { 'Content-Type': 'text/csv' },
})
async function read(): Promise<void> {
  busy.value = true
  await attempt(async () => {
    look.value = await ask(api.POST('/api/csv/{kind}/look', request()))
  })
  busy.value = false
}
onMounted(read)
function choose(ours: string, event: Event): void {
  said.value = { ...said.value, [ours]: (event.target as HTMLSelectElement).value }
  void read()
}
async function bring(): Promise<void> {
  busy.value = true
  const done = await attempt(async () => {
    const report = await ask(api.PUT('/api/csv/{kind}', request()))
    await refresh()
    shop.said = `${props.title}: ${report.added} new, ${report.changed} changed, ${report.same} as they were.`
  })
  busy.value = false
  if (done) emit('done')
}
/** A column's name as it is read: "heat ceiling f". */
const spoken = (name: string) => name.replaceAll('_', ' ')
const open = computed(() => look.value?.columns.filter((c) => c.needed || c.theirs !== null) ?? [])
const further = computed(() => look.value?.columns.filter((c) => !c.needed && c.theirs === null) ?? [])
</script>

<template>
  <section class="look" :aria-label="`${title}: ${name}`" :aria-busy="busy">
    <h3>{{ title }}, from {{ name }}</h3>
    <p v-if="!look" role="status">{{ busy ? 'Reading...' : '' }}</p>
    <template v-else>
      <p class="small quiet">
        {{ look.count }} {{ look.count === 1 ? 'row' : 'rows' }}. Which column of the file is which?
      </p>
      <div class="columns">
        <label v-for="c in open" :key="c.name" class="field" :class="{ lacking: c.needed && c.theirs === null }"
          >{{ spoken(c.name)
          }}<select :aria-label="spoken(c.name)" :value="c.theirs ?? ''" @change="choose(c.name, $event)">
            <option value="">{{ c.needed ? 'not found: choose' : 'none' }}</option>
            <option v-for="h in look.head" :key="h" :value="h">{{ h }}</option>
          </select></label
        >
      </div>
      <p v-if="further.length > 0" class="small quiet">
        Not in the file, left as they are: {{ further.map((c) => spoken(c.name)).join(', ') }}.
      </p>
      <div class="rows" tabindex="0" role="region" aria-label="The first rows">
        <table>
          <thead>
            <tr>
              <th v-for="h in look.head" :key="h">{{ h }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in look.rows" :key="i">
              <td v-for="(cell, n) in row" :key="n">{{ cell }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="look.problems.length > 0" role="alert">
        <ul class="wrong">
          <li v-for="(p, i) in look.problems" :key="i" class="heat">{{ p.sentence }} {{ p.remedy }}</li>
          <li v-if="look.moreProblems > 0">and {{ look.moreProblems }} more.</li>
        </ul>
      </div>
      <template v-if="look.report">
        <p role="status">
          <b>{{ look.report.added }}</b> new, <b>{{ look.report.changed }}</b> changed, <b>{{ look.report.same }}</b> as
          they were.
        </p>
        <table v-if="look.report.prices.length > 0" class="prices">
          <caption class="small">
            Prices that change
          </caption>
          <tbody>
            <tr v-for="p in look.report.prices" :key="p.thing + p.what">
              <td>{{ p.thing }}</td>
              <td class="small quiet">{{ p.what }}</td>
              <td class="fig">{{ p.before === null ? 'new' : money(p.before, format()) }}</td>
              <td class="fig">
                <b>{{ p.now === null ? 'gone' : money(p.now, format()) }}</b>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="look.report.morePrices > 0" class="small">and {{ look.report.morePrices }} more.</p>
      </template>
      <p class="deeds">
        <button class="plain-button" :disabled="busy || look.report === null" @click="bring">Bring it in</button>
        <button class="plain-button" @click="emit('done')">Leave it</button>
        <span v-if="look.report === null" class="small quiet">Nothing is brought while a row is wrong.</span>
      </p>
    </template>
  </section>
</template>

<style scoped>
.look {
  border: 1.5px solid var(--ink);
  background: var(--bleach);
  padding: 10px 14px;
  margin-top: 10px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
  padding: 8px 0;
}
.columns select {
  width: 100%;
}
.lacking {
  color: var(--heat-text, var(--heat));
}
.rows {
  overflow-x: auto;
  border-top: 1px solid var(--rule);
  border-bottom: 1px solid var(--rule);
}
.rows td,
.rows th {
  padding: 3px 14px 3px 0;
  white-space: nowrap;
  font-size: 13px;
  text-align: left;
}
.prices td {
  padding: 2px 14px 2px 0;
}
.prices caption {
  text-align: left;
}
.wrong {
  padding: 6px 0 6px 18px;
}
.deeds {
  display: flex;
  gap: 12px;
  align-items: center;
  padding-top: 8px;
}
</style>
