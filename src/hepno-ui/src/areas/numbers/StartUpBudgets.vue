<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { money } from '../../words/shown'
import { format, reading } from '../../state/state'

/** What each way takes to begin with, the least first; opened to its things. */
const budgets = ref<Schemas['StartUpBudget'][]>([])
const f = computed(() => format())
onMounted(() => reading(async () => void (budgets.value = await ask(api.GET('/api/start-up')))))
</script>

<template>
  <p class="note quiet">
    Machines you have stand at your own price. What you have not is assumed: ask for prices before you believe it.
  </p>
  <table class="budgets">
    <thead>
      <tr>
        <th scope="col">Way</th>
        <th scope="col">What it takes</th>
        <th scope="col" class="fig">From nothing</th>
        <th scope="col" class="fig">Still to buy here</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="b in budgets" :key="b.methodId">
        <th scope="row">{{ b.name }}</th>
        <td class="small">
          <template v-for="(i, n) in b.items" :key="i.price.code"
            >{{ n > 0 ? ' · ' : '' }}<span :class="{ quiet: i.isThere }">{{ i.price.label }}</span></template
          >
        </td>
        <td class="fig">
          <button @click="explain(b.total)">{{ money(b.total.value, f) }}</button>
        </td>
        <td class="fig">
          <button @click="explain(b.stillToBuy)">
            <b>{{ money(b.stillToBuy.value, f) }}</b>
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.budgets {
  width: 100%;
  border-collapse: collapse;
  margin: 6px 0;
}
.budgets th,
.budgets td {
  text-align: left;
  padding: 3px 8px 3px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: baseline;
}
.budgets .fig {
  text-align: right;
  white-space: nowrap;
}
</style>
