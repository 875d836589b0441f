<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { bare, number } from '../../words/shown'
import { stepWord } from '../../words/words'
import { onChange } from '../../state/live'
import { attempt, format, reading, refresh } from '../../state/state'

/** What all orders together have taught, and one setting offered with what it would do to open orders. */
const view = ref<Schemas['LearningView'] | null>(null)
let again: ReturnType<typeof setTimeout> | undefined
const load = () =>
  reading(async () => {
    view.value = await ask(api.GET('/api/learning'))
    clearTimeout(again)
    // so many orders are read in the background
    if (view.value.readOf > 0) again = setTimeout(() => void load(), 2000)
  })
async function take(): Promise<void> {
  const v = view.value
  if (!v?.offer) return
  const { key, methodId, value } = v.offer
  await attempt(async () => {
    await ask(api.POST('/api/learning/take', { body: { key, methodId, value }, ...seen(v.version) }))
    await refresh()
    view.value = await ask(api.GET('/api/learning'))
  }, 'Taken. Prices use it from now on, sent quotes keep theirs. Z takes it back.')
}
let stop = () => {}
onMounted(() => {
  void load()
  stop = onChange((kind) => void (['run', 'numbers', 'order'].includes(kind) && load()))
})
onUnmounted(() => {
  stop()
  clearTimeout(again)
})
const share = (x: number) => `${number(x * 100, 1, format())}%`
</script>

<template>
  <section v-if="view" class="shop" aria-label="What the shop has learned">
    <h2>What all orders have taught</h2>
    <p v-if="view.readOf > 0" class="quiet" role="status">
      Reading past orders: {{ view.readSoFar }} of {{ view.readOf }}
      <progress :value="view.readSoFar" :max="view.readOf"></progress>
    </p>
    <p v-if="view.seconds.length === 0" class="quiet">Nothing is handed over yet: the standards stand.</p>
    <div v-else class="two">
      <table>
        <thead>
          <tr>
            <th>Hands at the press</th>
            <th class="fig">Standard</th>
            <th class="fig">Yours</th>
            <th class="fig">Timed</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in view.seconds" :key="s.methodId + s.place">
            <td>{{ s.method }}, {{ s.place.toLowerCase() }}</td>
            <td class="fig">{{ number(s.standard, 0, format()) }} s</td>
            <td class="fig">{{ number(s.recorded, 0, format()) }} s</td>
            <td class="fig">{{ s.timings }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="view.steps.length > 0">
        <thead>
          <tr>
            <th>Step by step</th>
            <th class="fig">Standard</th>
            <th class="fig">Yours</th>
            <th class="fig">Timed</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in view.steps" :key="s.methodId + s.step">
            <td>{{ s.method }}, {{ stepWord[s.step] }}</td>
            <td class="fig">{{ number(s.standard, 0, format()) }} s</td>
            <td class="fig">{{ number(s.recorded, 0, format()) }} s</td>
            <td class="fig">{{ s.timings }}</td>
          </tr>
        </tbody>
      </table>
      <table>
        <thead>
          <tr>
            <th>Spoiled</th>
            <th class="fig">Spoiled</th>
            <th class="fig">Of</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in view.spoilage" :key="s.methodId + s.place">
            <td>{{ s.method }}, {{ s.place.toLowerCase() }}</td>
            <td class="fig">{{ s.spoiled }}</td>
            <td class="fig">{{ s.attempts }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="view.offer" class="offer">
      <p>
        <b>{{ view.offer.sentence }}</b>
      </p>
      <table v-if="view.offer.effects.length > 0">
        <thead>
          <tr>
            <th>Open orders</th>
            <th class="fig">Cost a piece</th>
            <th class="fig">then</th>
            <th class="fig">Margin</th>
            <th class="fig">then</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="e in view.offer.effects" :key="e.code">
            <td class="mono">{{ e.code }}</td>
            <td class="fig">{{ bare(e.cost, format()) }}</td>
            <td class="fig">{{ bare(e.costThen, format()) }}</td>
            <td class="fig">{{ share(e.marginShare) }}</td>
            <td class="fig">{{ share(e.marginThen) }}</td>
            <td class="small quiet">{{ e.sent ? 'sent: its price stands' : '' }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="small quiet">No open order is touched.</p>
      <button class="plain-button" @click="take">Take it</button>
    </div>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
.shop {
  border-top: 2px solid var(--ink);
  margin-top: 18px;
  padding-top: 10px;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 28px;
  align-items: start;
}
.offer {
  border-left: 3px solid var(--ink);
  margin-top: 14px;
  padding-left: 14px;
  max-width: 720px;
}
</style>
