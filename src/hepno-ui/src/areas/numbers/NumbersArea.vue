<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import Keys from '../../kit/Keys.vue'
import { money, number } from '../../words/shown'
import ThingEditor from '../../kit/ThingEditor.vue'
import { onChange } from '../../state/live'
import { reading, shop } from '../../state/state'
import Copies from './Copies.vue'
import Devices from './Devices.vue'
import RecostQuotes from '../../kit/RecostQuotes.vue'
import MakeOrBuy from './MakeOrBuy.vue'
import StartUpBudgets from './StartUpBudgets.vue'
import Tables from './Tables.vue'
import Boards from '../../kit/Boards.vue'
import { explain } from '../../kit/explain'
import { fieldOf, formFor } from '../../kit/described'
import { timeFields } from './fields'
import { type Numbers, numbersStore } from './store'

const store = numbersStore()
const load = () => reading(() => store.load())
let stop = () => {}
onMounted(() => {
  void load()
  stop = onChange((kind) => void (kind === 'numbers' && load()))
})
onUnmounted(() => stop())
const n = computed(() => store.kept.value?.value)
const f = computed(() => n.value!.identity.format)
const sections = computed(() =>
  (store.form.value?.sections ?? []).map((s) => ({ ...s, form: formFor(s.fields, n.value!) })),
)
const personFields = computed(() => (store.form.value?.person ?? []).map((p) => fieldOf<Schemas['Person']>(p)))
const freshPerson = () => JSON.parse(JSON.stringify(store.form.value!.newPerson)) as Schemas['Person']
const times = ref<Schemas['StepTimeView'][]>([])
watch(
  () => store.kept.value?.version,
  () => void reading(async () => void (times.value = await ask(api.GET('/api/step-times')))),
)
/** The two rates of an hour of hands, opened to people and fixed costs. */
const rates = ref<Schemas['RatesView']>()
watch(
  () => store.kept.value?.version,
  () => void reading(async () => void (rates.value = await ask(api.GET('/api/numbers/rates')))),
)
const people = computed(() =>
  (n.value?.week.people ?? []).map((value) => ({ value, version: store.kept.value?.version ?? 0 })),
)
const savePeople = (change: (all: Schemas['Person'][]) => Schemas['Person'][], version: number) => {
  const copy = JSON.parse(JSON.stringify(n.value)) as Numbers
  return store.save({ ...copy, week: { ...copy.week, people: change(copy.week.people) } }, version)
}
// a new person is saved from the version that stands: the others are part of the same numbers
const savePerson = (p: Schemas['Person'], version: number) =>
  savePeople(
    (all) => (all.some((x) => x.id === p.id) ? all.map((x) => (x.id === p.id ? p : x)) : [...all, p]),
    version || (store.kept.value?.version ?? 0),
  )
const removePerson = (id: string) => savePeople((all) => all.filter((p) => p.id !== id), store.kept.value?.version ?? 0)
const said = (p: Schemas['PricePolicy']) =>
  ({
    margin: `by margin, ${number(p.marginShare * 100, 2, f.value)}%`,
    multiple: `${number(p.multiple, 2, f.value)} × ${p.of === 'materials' ? 'materials' : 'all costs'}`,
    hourly: `${money(p.perHour, f.value)} over the wage an hour`,
  })[p.kind]
const rated = computed(() => n.value?.rates)
const scale = computed(() => 560 / Math.max(1, (rated.value?.wage ?? 0) + (rated.value?.overheadPerHour ?? 0)))
</script>

<template>
  <div class="area">
    <h1 class="sr">Numbers</h1>
    <div v-if="n" class="drawing">
      <svg
        viewBox="0 0 980 76"
        class="hour"
        role="img"
        :aria-label="`An hour of hands: wage ${money(n.rates.wage, f)}, rent and the rest ${money(n.rates.overheadPerHour, f)}`"
      >
        <rect :width="n.rates.wage * scale" height="34" fill="url(#st-labour)" stroke="var(--ink)" />
        <rect
          :x="n.rates.wage * scale"
          :width="n.rates.overheadPerHour * scale"
          height="34"
          fill="url(#st-press)"
          stroke="var(--ink)"
        />
        <text :x="n.rates.wage * scale + n.rates.overheadPerHour * scale + 14" y="26" font-size="24" font-weight="680">
          an hour of hands
        </text>
        <text y="56" font-size="14">
          Wage
          <tspan font-weight="640">{{ money(n.rates.wage, f) }}</tspan>
        </text>
        <text :x="n.rates.wage * scale" y="56" font-size="14">
          Rent and the rest
          <tspan font-weight="640">{{ money(n.rates.overheadPerHour, f) }}</tspan>
        </text>
      </svg>
      <p class="policy">
        Retail <b>{{ said(n.prices.retail) }}</b>, wholesale <b>{{ said(n.prices.wholesale) }}</b>, rounded up to
        <b>{{ money(n.prices.roundingStep, f) }}</b>. Never under <b>{{ money(n.prices.minimumCharge, f) }}</b> an
        order<template v-if="n.prices.leastMarginShare > 0"
          >, nor under <b>{{ number(n.prices.leastMarginShare * 100, 2, f) }}%</b> margin</template
        >. Cards take <b>{{ number(n.fees.share * 100, 2, f) }}% + {{ money(n.fees.fixed, f) }}</b> a payment. Hands are
        charged <b>{{ n.floor.habits.handsOnOnly ? 'hands-on' : 'attended' }}</b>.
      </p>
      <p v-if="rates" class="rates">
        <button @click="explain(rates.labour)">
          Wage <b>{{ money(rates.labour.value, f) }}</b>
        </button>
        <button @click="explain(rates.overhead)">
          Rent and the rest <b>{{ money(rates.overhead.value, f) }}</b>
        </button>
        <span class="quiet small">an hour of hands; open one to its parts</span>
      </p>
      <Boards
        title="People"
        add="Add a person"
        :kept="people"
        :fields="personFields"
        :save="savePerson"
        :fresh="freshPerson"
        :named="(p) => p.name"
      >
        <template #face="{ value: p }">
          <b class="name">{{ p.name }}</b>
          <span class="small"
            >{{ money(p.wage, f) }} an hour{{
              p.onCostsShare > 0 ? ` and ${number(p.onCostsShare * 100, 1, f)}% on top` : ''
            }}, {{ p.week.filter((d) => d.open).length }} days a week{{
              p.lunchFrom ? `, lunch ${p.lunchFrom.slice(0, 5)}` : ''
            }}</span
          >
          <span class="fig small quiet">{{ p.daysOff.length > 0 ? `${p.daysOff.length} days off` : '' }}</span>
        </template>
        <template #deeds="{ kept }">
          <button class="plain-button" type="button" @click="removePerson(kept.value.id)">Does not work here</button>
        </template>
        <template #none>Nobody named: one pair of hands within the open hours, at the wage below.</template>
      </Boards>
      <template v-for="s in sections" :key="s.key">
        <h2 class="head">{{ s.title }}</h2>
        <p v-if="s.note" class="note quiet">{{ s.note }}</p>
        <ThingEditor
          :value="n"
          :version="store.kept.value!.version"
          :fields="s.form"
          :save="store.save"
          :title="s.title"
        />
        <RecostQuotes v-if="s.key === 'prices'" />
        <details v-if="s.key === 'floor' && times.length > 0">
          <summary>Step times, seconds: type your own, leave empty what is assumed</summary>
          <ThingEditor
            :value="n"
            :version="store.kept.value!.version"
            :fields="timeFields(times)"
            :save="store.save"
            title="Step times"
          />
        </details>
      </template>
      <h2 class="head">Make or buy</h2>
      <MakeOrBuy />
      <h2 class="head">To begin with a way</h2>
      <StartUpBudgets />
      <h2 class="head">Devices</h2>
      <Devices />
      <h2 class="head">Tables</h2>
      <p class="note quiet">A row with the id or name of something here changes it; what a table leaves out stays.</p>
      <Tables />
      <h2 class="head">Copies</h2>
      <p class="note quiet">Last good copy: {{ shop.line?.lastBackup || 'none yet' }}.</p>
      <Copies />
      <p class="copies">
        <a class="plain-button" href="/api/archive" download>The whole shop as one open file (ZIP of JSON)</a>
        <span class="note quiet">It can be brought into a new, empty shop on its first day.</span>
      </p>
    </div>
    <Keys
      :hints="[
        ['Tab', 'next figure', 'here'],
        ['Enter', 'save', 'here'],
        ['Esc', 'as it was', 'here'],
        ['Z', 'take back'],
      ]"
      ><span>sums are taken: 24+12</span></Keys
    >
  </div>
</template>

<style scoped>
.rates {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 20px;
  padding-top: 8px;
}
.hour {
  width: 100%;
  margin-top: 6px;
}
.policy {
  font-size: 18px;
  border-bottom: 1px solid var(--ink);
  padding-bottom: 10px;
}
.head {
  padding-top: 12px;
}
.copies {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 10px 0 16px;
}
.copies a {
  color: inherit;
  text-decoration: none;
}
</style>
