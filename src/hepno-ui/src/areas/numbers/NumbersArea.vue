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
import {
  floorFields,
  freshPerson,
  moneyFields,
  type Numbers,
  packingFields,
  personFields,
  priceFields,
  rateFields,
  shopFields,
  timeFields,
  weekFields,
} from './fields'
import { numbersStore } from './store'

const store = numbersStore()
const load = () => reading(() => store.load())
let stop = () => {}
onMounted(() => {
  void load()
  stop = onChange((kind) => void (kind === 'numbers' && load()))
})
onUnmounted(() => stop())
const n = computed(() => store.kept.value?.value)
const f = computed(() => n.value!.format)
/** What people and fixed costs make is not typed. */
const typedFields = computed(() =>
  moneyFields.filter(
    (x) =>
      !(x.label.startsWith('Wage') && n.value?.people?.length) &&
      !(x.label.startsWith('Rent') && n.value?.fixedCosts?.length),
  ),
)
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
  (n.value?.people ?? []).map((value) => ({ value, version: store.kept.value?.version ?? 0 })),
)
const savePeople = (change: (all: Schemas['Person'][]) => Schemas['Person'][], version: number) => {
  const copy = JSON.parse(JSON.stringify(n.value)) as Numbers
  const all = change(copy.people ?? [])
  return store.save({ ...copy, people: all.length > 0 ? all : null }, version)
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
const scale = computed(() => 560 / Math.max(1, (n.value?.wage ?? 0) + (n.value?.overheadPerHour ?? 0)))
</script>

<template>
  <div class="area">
    <h1 class="sr">Numbers</h1>
    <div v-if="n" class="drawing">
      <svg
        viewBox="0 0 980 76"
        class="hour"
        role="img"
        :aria-label="`An hour of hands: wage ${money(n.wage, f)}, rent and the rest ${money(n.overheadPerHour, f)}`"
      >
        <rect :width="n.wage * scale" height="34" fill="url(#st-labour)" stroke="var(--ink)" />
        <rect
          :x="n.wage * scale"
          :width="n.overheadPerHour * scale"
          height="34"
          fill="url(#st-press)"
          stroke="var(--ink)"
        />
        <text :x="n.wage * scale + n.overheadPerHour * scale + 14" y="26" font-size="24" font-weight="680">
          an hour of hands
        </text>
        <text y="56" font-size="14">
          Wage
          <tspan font-weight="640">{{ money(n.wage, f) }}</tspan>
        </text>
        <text :x="n.wage * scale" y="56" font-size="14">
          Rent and the rest
          <tspan font-weight="640">{{ money(n.overheadPerHour, f) }}</tspan>
        </text>
      </svg>
      <p class="policy">
        Retail <b>{{ said(n.retail!) }}</b>, wholesale <b>{{ said(n.wholesale!) }}</b>, rounded up to
        <b>{{ money(n.roundingStep, f) }}</b>. Never under <b>{{ money(n.minimumCharge, f) }}</b> an order<template
          v-if="n.leastMarginShare > 0"
          >, nor under <b>{{ number(n.leastMarginShare * 100, 2, f) }}%</b> margin</template
        >. Cards take <b>{{ number(n.feeShare * 100, 2, f) }}% + {{ money(n.feeFixed, f) }}</b> a payment. Hands are
        charged <b>{{ n.floor!.handsOnOnly ? 'hands-on' : 'attended' }}</b>.
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
        :fresh="() => freshPerson(n!)"
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
      <h2 class="head">Paid every month</h2>
      <ThingEditor
        :value="n"
        :version="store.kept.value!.version"
        :fields="rateFields"
        :save="store.save"
        title="Paid every month"
      />
      <h2 class="head">Money and minutes</h2>
      <ThingEditor
        :value="n"
        :version="store.kept.value!.version"
        :fields="typedFields"
        :save="store.save"
        title="Money and minutes"
      />
      <p class="note quiet">Tax is yours to set with your adviser; Hepno only adds it up.</p>
      <h2 class="head">At the press</h2>
      <p class="note quiet">Minutes of every price and plan are simulated from these; the Floor draws them.</p>
      <ThingEditor
        :value="n"
        :version="store.kept.value!.version"
        :fields="floorFields"
        :save="store.save"
        title="At the press"
      />
      <details v-if="times.length > 0">
        <summary>Step times, seconds: type your own, leave empty what is assumed</summary>
        <ThingEditor
          :value="n"
          :version="store.kept.value!.version"
          :fields="timeFields(times)"
          :save="store.save"
          title="Step times"
        />
      </details>
      <h2 class="head">Prices</h2>
      <ThingEditor
        :value="n"
        :version="store.kept.value!.version"
        :fields="priceFields"
        :save="store.save"
        title="Prices"
      />
      <RecostQuotes />
      <h2 class="head">Packing</h2>
      <ThingEditor
        :value="n"
        :version="store.kept.value!.version"
        :fields="packingFields"
        :save="store.save"
        title="Packing"
      />
      <p class="note quiet">
        Postage is by the rates of your parcel service, on the Shelf. Until there are any it is a simulated carrier's
        table, and every figure of it says so.
      </p>
      <h2 class="head">Open hours</h2>
      <ThingEditor
        :value="n"
        :version="store.kept.value!.version"
        :fields="weekFields"
        :save="store.save"
        title="Open hours"
      />
      <h2 class="head">The shop and how it writes</h2>
      <ThingEditor
        :value="n"
        :version="store.kept.value!.version"
        :fields="shopFields"
        :save="store.save"
        title="The shop and how it writes"
      />
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
