<script setup lang="ts">
import { computed, onUnmounted, ref } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { attempt, format } from '../state/state'
import { money, number } from '../words/shown'

/** After prices changed: what the quotes that stand cost now, and which fell under the floor. Their prices never move. */
const view = ref<Schemas['RecostView'] | null>(null)
const f = computed(() => format())
let gone = false
onUnmounted(() => (gone = true))
async function begin(): Promise<void> {
  await attempt(async () => {
    view.value = await ask(api.POST('/api/recost'))
    while (!view.value.isDone && !gone) {
      await new Promise((later) => setTimeout(later, 250))
      view.value = await ask(api.GET('/api/recost/{id}', { params: { path: { id: view.value.id } } }))
    }
  })
}
const percent = (share: number) => `${number(share * 100, 1, f.value)}%`
</script>

<template>
  <section class="recost" aria-label="Quotes at the prices of today">
    <p class="head">
      <button class="plain-button" :disabled="!!view && !view.isDone" @click="begin">
        Re-cost the quotes that stand
      </button>
      <progress
        v-if="view && !view.isDone"
        :value="view.done"
        :max="Math.max(1, view.of)"
        aria-label="Quotes re-costed"
      >
        {{ view.done }}
      </progress>
      <span v-if="view && !view.isDone" class="small">{{ view.done }} of {{ view.of }}</span>
      <span v-else-if="view?.trouble" class="heat" role="alert">{{ view.trouble }}</span>
      <span v-else-if="view" aria-live="polite"
        ><b>{{ view.fell }}</b> of {{ view.of }} fell under the floor of {{ percent(view.floorShare) }}; the cost of
        {{ view.moved }} {{ view.moved === 1 ? 'line' : 'lines' }} moved. Their prices stay as they were sent.</span
      >
      <span v-else class="quiet small">at the prices of today; what was sent stays as it was sent</span>
    </p>
    <table v-if="view?.isDone && view.lines.length > 0">
      <thead>
        <tr>
          <th scope="col">Order</th>
          <th scope="col" class="fig">Price</th>
          <th scope="col" class="fig">Cost then</th>
          <th scope="col" class="fig">Cost now</th>
          <th scope="col" class="fig">Margin then</th>
          <th scope="col" class="fig">Margin now</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in view.lines" :key="l.code" :class="{ heat: l.fellUnder }">
          <th scope="row">{{ l.code }}{{ l.fellUnder ? ' under the floor' : '' }}</th>
          <td class="fig">{{ money(l.price, f) }}</td>
          <td class="fig">{{ money(l.costThen, f) }}</td>
          <td class="fig">{{ l.costNow === null ? 'cannot any more' : money(l.costNow, f) }}</td>
          <td class="fig">{{ percent(l.marginThen) }}</td>
          <td class="fig">{{ l.costNow === null ? '' : percent(l.marginNow) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="view?.isDone && view.moved > view.lines.length" class="small quiet">
      and {{ view.moved - view.lines.length }} that moved less
    </p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 2px 18px 2px 0;
  border-bottom: 1px solid var(--rule);
}
.fig {
  text-align: right;
}
</style>
