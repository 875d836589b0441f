<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, makeId, type Schemas, seen } from '../api/client'
import { explain } from '../kit/explain'
import { type Field, num, text } from '../kit/fields'
import { money } from '../words/shown'
import ThingEditor from '../kit/ThingEditor.vue'
import { things } from '../kit/things'
import { stands } from '../words/words'
import { attempt, format, reading, refresh, shop, stationPath, take } from '../state/state'

/** A customer: how to reach them, what they had made and what it earned, and the same again. */
const visible = defineModel<boolean>({ required: true })
const router = useRouter()
const record = ref<Schemas['CustomerRecord']>()
const forgetting = ref(false)
const customers = things<Schemas['Customer']>('customers')
const fields: Field<Schemas['Customer']>[] = [
  text('Name', 'name'),
  text('Person, mail or phone', 'contact', { wide: true }),
  text('Address for parcels', 'address', { wide: true, lines: 3 }),
  text('Pays no sales tax: what proves it', 'taxExempt', { wide: true }),
  num('On account, days; 0: pays by the shop’s rule', 'accountDays'),
]
const id = () => shop.held?.customer?.id
async function load(): Promise<void> {
  const customer = id()
  if (!customer) return
  await reading(async () => {
    record.value = await ask(api.GET('/api/customers/{id}/record', { params: { path: { id: customer } } }))
  })
}
watch(visible, (now) => {
  record.value = undefined
  forgetting.value = false
  if (now) void load()
})
async function save(value: Schemas['Customer'], version: number): Promise<boolean> {
  const done = await customers.save(value, version)
  await load()
  return done
}
async function open(order: Schemas['PastOrder']): Promise<void> {
  visible.value = false
  await take(order.id)
  await router.push(stationPath(order.station))
}
async function again(order: Schemas['PastOrder']): Promise<void> {
  const made = makeId()
  const done = await attempt(async () => {
    await ask(api.POST('/api/orders/{id}/again', { params: { path: { id: order.id } }, body: { id: made } }))
    await take(made)
    await refresh()
  }, `${order.code} again, at today's prices. Say by when.`)
  if (!done) return
  visible.value = false
  await router.push({ path: '/ask', query: { begin: made } })
}
async function forget(): Promise<void> {
  const r = record.value
  if (!r) return
  const done = await attempt(async () => {
    await ask(api.POST('/api/customers/{id}/erase', { params: { path: { id: r.customer.id } }, ...seen(r.version) }))
    await refresh()
  }, 'Forgotten. Figures stay; daily copies hold the name until they are a year old.')
  forgetting.value = false
  if (done) visible.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="record?.customer.name ?? 'Customer'"
    :style="{ width: '860px', maxWidth: '94vw' }"
  >
    <p v-if="!shop.held?.customer">The order in hand has no customer yet.</p>
    <template v-else-if="record">
      <ThingEditor
        :value="record.customer"
        :version="record.version"
        :fields="fields"
        :save="save"
        title="Name and contact"
      />
      <p v-if="record.earned.parts.length > 0">
        Earned
        <button class="earned" @click="explain(record.earned)">
          {{ money(record.earned.value, format()) }} <kbd>E</kbd>
        </button>
        <span class="quiet small">with {{ record.earned.parts.length }} handed over</span>
      </p>
      <table>
        <thead>
          <tr>
            <th>Order</th>
            <th>What</th>
            <th>Stands at</th>
            <th class="fig">Total</th>
            <th class="fig">Earned</th>
            <th class="fig">An hour</th>
            <th><span class="sr">Again</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="o in record.orders" :key="o.id">
            <td>
              <button class="mono code" @click="open(o)">{{ o.code }}</button>
              <span class="quiet small day">{{ o.day }}</span>
            </td>
            <td>
              {{ o.what }} <span class="quiet small">{{ o.where }}</span>
            </td>
            <td>{{ stands(o) }}</td>
            <td class="fig">{{ o.total }}</td>
            <td class="fig">{{ o.earned }}</td>
            <td class="fig">{{ o.anHour }}</td>
            <td class="fig">
              <button class="plain-button again" :aria-label="`${o.code} again`" @click="again(o)">Again</button>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="deeds">
        <a class="plain-button" :href="`/api/customers/${record.customer.id}/export`" download
          >Everything known, as a file</a
        >
        <button v-if="!forgetting" class="plain-button" @click="forgetting = true">Forget this person</button>
        <template v-else>
          <span>Name, contact and notes go for good; figures stay.</span>
          <button class="plain-button heat" @click="forget">Forget</button>
          <button class="plain-button" @click="forgetting = false">No</button>
        </template>
      </p>
    </template>
  </Dialog>
</template>

<style scoped>
table {
  width: 100%;
  margin-top: 8px;
}
td {
  border-top: 1px solid var(--rule);
  padding: 6px 10px 6px 0;
  vertical-align: top;
}
th.fig {
  text-align: right;
  padding-right: 10px;
}
.code {
  font-weight: var(--w-strong);
  text-decoration: underline;
}
.day {
  display: block;
}
.earned {
  font-size: 22px;
  font-weight: var(--w-figure);
}
.again {
  padding: 2px 10px;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding-top: 14px;
}
.deeds a {
  color: inherit;
  text-decoration: none;
}
</style>
