<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { readNumber, unread, writeNumber } from '../../words/numbers'
import { money, number } from '../../words/shown'
import { attempt, format, reading, shop } from '../../state/state'

/** A machine weighed against buying: begun with the shop's own figures, every one may be typed over; nothing is kept. */
type Case = Schemas['MakeOrBuyCase']
const start = ref<Schemas['MakeOrBuyStart'] | null>(null)
const typed = ref<Record<keyof Case, string> | null>(null)
const found = ref<Schemas['MakeOrBuy'] | null>(null)
const f = computed(() => format())
const fields: [keyof Case, string][] = [
  ['machinePrice', 'The machine'],
  ['printsAMonth', 'Prints a month'],
  ['boughtEach', 'A print bought'],
  ['madeEach', 'Its material made here'],
  ['minutesEach', 'Minutes of hands more, a print'],
  ['wage', 'Wage, an hour'],
  ['upkeepAMonth', 'Upkeep and cleaning, a month'],
  ['spaceAMonth', 'Room, a month'],
  ['learningPrints', 'Prints until it is mastered'],
  ['learningShare', 'Of those spoiled on top, as a share'],
  ['lostEach', 'Lost with one'],
]
const weigh = () =>
  attempt(async () => {
    const body = Object.fromEntries(fields.map(([key]) => [key, readNumber(typed.value![key])]))
    const wrong = fields.find(([key]) => body[key] === null)
    if (wrong) {
      const [where, label] = wrong
      shop.problems = [
        {
          code: 'number',
          sentence: `${label}: ${unread(typed.value![where])}`,
          where,
          remedy: 'Type a number.',
        },
      ]
      return
    }
    found.value = await ask(api.POST('/api/compute/make-or-buy', { body: body as never }))
  })
onMounted(() =>
  reading(async () => {
    start.value = (await ask(api.GET('/api/make-or-buy'))) ?? null
    if (!start.value) return
    const given = start.value.case
    typed.value = Object.fromEntries(
      fields.map(([key]) => [key, writeNumber(Math.round(given[key] * 1000) / 1000)]),
    ) as Record<keyof Case, string>
    await weigh()
  }),
)
</script>

<template>
  <p v-if="!start" class="note quiet">
    A tee on the Shelf and a press on the Floor, and it begins with your own figures.
  </p>
  <template v-else-if="typed">
    <p class="note quiet">Nothing here is kept. It begins with {{ start.from.join('; ') }}.</p>
    <form class="weighed" @submit.prevent="weigh">
      <label v-for="[key, label] in fields" :key="key"
        >{{ label }} <input v-model="typed[key]" inputmode="decimal" class="mono" @change="weigh"
      /></label>
    </form>
    <div v-if="found" class="answer" aria-live="polite">
      <p>
        <b>{{ found.sentence }}</b>
      </p>
      <p class="line small">
        <button @click="explain(found.savingEach)">
          saved by a print <b>{{ money(found.savingEach.value, f) }}</b>
        </button>
        <button @click="explain(found.savingAMonth, found.savingEach)">
          in a month <b>{{ money(found.savingAMonth.value, f) }}</b>
        </button>
        <button @click="explain(found.toPayBack)">
          to pay back <b>{{ money(found.toPayBack.value, f) }}</b>
        </button>
        <span
          >breaks even at <b>{{ number(found.breakEvenMinutes, 2, f) }}</b> minutes a print</span
        >
        <span v-if="found.printsToPayBack"
          >the machine alone: <b>{{ found.printsToPayBack }}</b> prints</span
        >
      </p>
    </div>
  </template>
</template>

<style scoped>
.weighed {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 4px 24px;
  padding: 6px 0;
}
.weighed label {
  display: grid;
  grid-template-columns: 1fr 96px;
  align-items: center;
  font-size: var(--t-small);
}
.weighed input {
  text-align: right;
}
.answer {
  background: var(--bleach);
  padding: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  padding-top: 4px;
}
</style>
