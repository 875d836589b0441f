<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import { choice, type Field, num, text } from '../../kit/fields'
import { readNumber, unread } from '../../words/numbers'
import { day, length } from '../../words/shown'
import { things, useThings } from '../../kit/things'
import { format, shop } from '../../state/state'

/** Transfers that lie in the drawer: marks the shop keeps on hand to fill sheets with, and copies left over of orders' designs. */
type Kept = Schemas['KeptPrint']
const props = defineProps<{ films: { value: Schemas['TransferPriceList'] }[] }>()
const kept = things<Kept>('kept-prints')
const drawer = ref<Schemas['DrawerView'][]>([])
const all = {
  load: async () => {
    drawer.value = await ask(api.GET('/api/drawer'))
  },
}
// what lies there follows from the orders too
useThings({ 'kept-print': kept, order: all })

const f = computed(() => format())
const of = (id: string) => drawer.value.find((d) => d.print.id === id)
const left = computed(() => drawer.value.filter((d) => !kept.all.value.some((k) => k.value.id === d.print.id)))
const size = (k: Kept) => `${length(k.widthIn, f.value)} × ${length(k.heightIn, f.value)}`
const said = (d: Schemas['DrawerView'] | undefined) =>
  d?.oldest
    ? `${d.onHand} here, the oldest of ${day(d.oldest, f.value)}${d.isOld ? ': older than it keeps, press one on a rag first' : ''}`
    : 'none here'
const counted = (k: Omit<Kept, 'id'>) => k.lots.reduce((n, l) => n + l.count, 0)
const fields = computed<Field<Kept>[]>(() => [
  text('What it is', 'name'),
  num('Width, in', 'widthIn'),
  num('Height, in', 'heightIn'),
  choice(
    'Printed on',
    'productId',
    Object.fromEntries(props.films.map((x) => [x.value.id, `${x.value.supplier} ${x.value.product}`])),
  ),
  num('Have this many, to fill up to', 'keep'),
  num('Keeps so many days, stored dry', 'goodDays'),
  {
    label: 'Counted in by hand, all told',
    number: true,
    get: (k) => String(counted(k)),
    set: (k, t) => {
      const n = readNumber(t)
      if (n === null) return unread(t)
      const more = n - counted(k)
      if (more !== 0) k.lots = [...k.lots, { count: more, on: shop.line?.today ?? '', order: '' }]
    },
  },
])
const fresh = (): Omit<Kept, 'id'> => ({
  name: '',
  widthIn: 1,
  heightIn: 1,
  designId: null,
  productId: props.films[0]?.value.id ?? '',
  keep: 60,
  goodDays: 365,
  lots: [],
})
</script>

<template>
  <Boards
    title="Transfers in the drawer"
    add="Add one to keep on hand"
    :kept="kept.all.value"
    :fields="fields"
    :save="kept.save"
    :fresh="fresh"
    :named="(k) => k.name"
    :blocked="films.length === 0"
  >
    <template #face="{ value: k }">
      <span
        ><b>{{ k.name }}</b
        >{{ ' ' }}<span class="quiet small">{{ size(k) }}</span></span
      >
      <span class="small">{{ said(of(k.id)) }}</span>
      <span class="fig small quiet">{{ k.keep > 0 ? `kept at ${k.keep}` : '' }}</span>
    </template>
    <template #none>{{
      films.length === 0
        ? 'First the film they are printed on.'
        : left.length > 0
          ? ''
          : 'An empty drawer. Neck labels and small marks fill what is left free on a sheet.'
    }}</template>
  </Boards>
  <ul v-if="left.length > 0" class="left">
    <li v-for="d in left" :key="d.print.id">
      <b>{{ d.print.name }}</b> <span class="quiet small">{{ size(d.print) }}</span>, left over: {{ said(d) }}
      <span class="quiet small">{{
        d.print.lots.map((l) => `${l.order} ${l.count > 0 ? '+' : ''}${l.count}`).join(', ')
      }}</span>
    </li>
  </ul>
</template>

<style scoped>
.left {
  list-style: none;
  margin: 0;
  padding: 6px 0;
}
</style>
