<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { anHour, bare, moment, money } from '../../words/shown'
import { format } from '../../state/state'

/** Two ways held against each other, point by point. */
const props = defineProps<{ one: Schemas['Band']; other: Schemas['Band'] }>()
const f = computed(() => format())
const points = computed(() => {
  const of = (say: (b: Schemas['Band']) => string) => [say(props.one), say(props.other)] as const
  const stratum = (code: string) => of((b) => bare(b.strata.find((s) => s.code === code)?.shown ?? 0, f.value))
  const rows: [string, readonly [string, string], boolean][] = [
    ...props.one.strata.map((s): [string, readonly [string, string], boolean] => [s.label, stratum(s.code), true]),
    ['Cost', of((b) => bare(b.costShown, f.value)), true],
    ['Price', of((b) => money(b.outcome.price, f.value)), true],
    ['Profit an hour', of((b) => anHour(b.outcome.profitAnHour.value, f.value)), true],
    ['Min of hands', of((b) => (b.hands.value / 60).toFixed(1)), true],
    ['Ready', of((b) => (b.promise ? moment(b.promise.at, f.value) : 'no day')), true],
    ['With care', of((b) => b.verdict.reasons.map((r) => r.sentence).join('; ') || 'nothing to mind'), false],
    ['Feels', of((b) => b.character.feel), false],
    ['Wears', of((b) => b.character.wear), false],
    ['On stretch', of((b) => b.character.stretch), false],
    ['Looks', of((b) => b.character.look), false],
  ]
  return rows
})
const table = ref<HTMLElement>()
onMounted(() => table.value?.scrollIntoView({ block: 'nearest' }))
</script>

<template>
  <table ref="table" class="held">
    <caption class="sr">
      {{
        one.name
      }}
      held against
      {{
        other.name
      }}
    </caption>
    <thead>
      <tr>
        <th class="sr">Point</th>
        <th>{{ one.name }}</th>
        <th>{{ other.name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="[what, [a, b], figure] in points" :key="what" :class="{ same: a === b }">
        <th>{{ what }}</th>
        <td :class="{ fig: figure }">{{ a }}</td>
        <td :class="{ fig: figure }">{{ b }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.held {
  width: 100%;
  border-collapse: collapse;
  margin: 8px 0;
  font-size: var(--t-small);
}
.held th {
  text-align: left;
  font-weight: var(--w-strong);
  padding: 2px 8px;
}
.held thead th {
  border-bottom: 1.5px solid var(--ink);
}
.held td {
  width: 40%;
  padding: 2px 8px;
  border-bottom: 1px solid var(--rule);
}
.held td.fig {
  text-align: left;
}
.held .same td {
  color: var(--ink-2);
}
</style>
