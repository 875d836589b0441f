<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { onChange } from '../../state/live'
import { reading } from '../../state/state'

/** Quotes of the last year that were won and lost, by way and price. */
const ways = ref<Schemas['WonAndLostView'][]>([])
const load = () => reading(async () => void (ways.value = await ask(api.GET('/api/won-and-lost'))))
let stop = () => {}
onMounted(() => {
  void load()
  stop = onChange((kind) => void (['order', 'quote'].includes(kind) && load()))
})
onUnmounted(() => stop())
</script>

<template>
  <section v-if="ways.length > 0" aria-label="Won and lost">
    <h2>Quotes won and lost in a year</h2>
    <table>
      <thead>
        <tr>
          <th>Way</th>
          <th class="fig">Won</th>
          <th class="fig">Lost</th>
          <th class="fig">Declined</th>
          <th class="fig">Won of both</th>
          <th class="fig">A piece, won</th>
          <th class="fig">A piece, lost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="w in ways" :key="w.counted.methodId">
          <td>{{ w.way }}</td>
          <td class="fig">{{ w.counted.won }}</td>
          <td class="fig">{{ w.counted.lost }}</td>
          <td class="fig">{{ w.counted.declined }}</td>
          <td class="fig">{{ w.share }}</td>
          <td class="fig">{{ w.wonEach }}</td>
          <td class="fig">{{ w.lostEach }}</td>
        </tr>
      </tbody>
    </table>
    <p class="note quiet">The price in the middle: half of them cost more, half less.</p>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
section {
  padding-top: 18px;
  max-width: 760px;
}
</style>
