<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, ask, makeId, type Schemas } from '../../api/client'
import { clock, day } from '../../words/shown'
import { type AskBody, askBody, attempt, format, lineInHand, newLine, saveAsk, shop } from '../../state/state'
import EditPart from './EditPart.vue'
import LineSentence from './LineSentence.vue'

/** The ask as sentences, a line each; each part opens in place, and the next thing unsaid is always last. */
const props = defineProps<{ short?: boolean }>()
const order = computed(() => shop.order!)
const styles = ref<Schemas['Style'][] | null>(null)
const zones = ref<Schemas['RateZone'][]>([])
const customers = ref<Schemas['Customer'][]>([])
const route = useRoute()

const root = ref<HTMLElement>()
const customer = ref<InstanceType<typeof EditPart>>()
const lines = ref<InstanceType<typeof LineSentence>[]>([])
const due = ref<InstanceType<typeof EditPart>>()
const hour = ref<InstanceType<typeof EditPart>>()

/** As many as the server keeps. */
const mostLines = 60

const a = computed(() => order.value.ask)
/** On Compare only the line that is looked at. */
const shown = computed(() => (props.short && lineInHand.value ? [lineInHand.value.asked] : a.value.lines))
const said = (id: string) => order.value.lines.find((l) => l.id === id)!

onMounted(async () => {
  await attempt(async () => {
    styles.value = (await ask(api.GET('/api/styles'))).flatMap((v) => (v.value && !v.value.retired ? [v.value] : []))
    zones.value = (await ask(api.GET('/api/carrier'))).zones
  })
  begin()
})
// a new ask opens its first part as soon as both the order and the address say so, and once: what is said meanwhile is on its way
let begun = ''
function begin(): void {
  const { id } = order.value
  if (props.short || route.query.begin !== id || begun === id) return
  begun = id
  openNext()
}
watch(() => route.query.begin, begin)

/** Opens the next thing unsaid: who, each line, by when, and last the most they would pay. */
function openNext(): void {
  void nextTick(() => {
    const parts: ({ begin: () => void } | undefined)[] = [
      a.value.customerId === null ? customer.value : undefined,
      ...lines.value.map((l) => l.open(false)),
      a.value.dueDate === null ? due.value : undefined,
      a.value.dueTime === null ? hour.value : undefined,
      ...lines.value.map((l) => l.open(true)),
    ]
    // a slow answer must not close what was opened meanwhile
    if (root.value?.querySelector('input:focus, select:focus, textarea:focus')) return
    parts.find((p) => p !== undefined)?.begin()
  })
}

const nothing = (value: unknown) => value === null || (Array.isArray(value) && value.length === 0)
async function change(part: Partial<AskBody>, wasUnsaid: boolean): Promise<boolean> {
  const { id, version } = order.value
  const kept = await attempt(() => saveAsk(id, { ...askBody(order.value), ...part }, version))
  if (kept && wasUnsaid) openNext()
  return kept
}
const changeOrder = (part: Partial<AskBody>) =>
  change(
    part,
    Object.keys(part).some((k) => nothing(a.value[k as keyof typeof a.value])),
  )
function changeLine(line: Schemas['AskLine'], part: Partial<Schemas['LineBody']>): Promise<boolean> {
  const body = askBody(order.value)
  shop.lineId = line.id
  return change(
    { lines: body.lines.map((l) => (l.id === line.id ? { ...l, ...part } : l)) },
    Object.keys(part).some((k) => nothing(line[k as keyof typeof line])),
  )
}
async function addLine(): Promise<void> {
  if (order.value.quoteSent || a.value.lines.length >= mostLines) return
  const line = newLine()
  shop.lineId = line.id
  await change({ lines: [...askBody(order.value).lines, line] }, true)
}
/** Another print on the line that is looked at. */
function addPrint(): void {
  lines.value[shown.value.findIndex((l) => l.id === lineInHand.value?.id)]?.another()
}
defineExpose({ addLine, addPrint })
const removeLine = (id: string) => change({ lines: askBody(order.value).lines.filter((l) => l.id !== id) }, false)

async function setCustomer(text: string): Promise<boolean> {
  const name = text.trim()
  if (!name) return changeOrder({ customerId: null })
  let kept = false
  await attempt(async () => {
    const found = await ask(api.GET('/api/customers/find', { params: { query: { text: name } } }))
    const known = found.find((c) => c.name.toLowerCase() === name.toLowerCase())
    const id = known?.id ?? makeId()
    if (!known)
      await ask(
        api.PUT('/api/customers/{id}', {
          params: { path: { id } },
          body: { id, name, contact: '', address: '', taxExempt: '', accountDays: 0 },
        }),
      )
    kept = await changeOrder({ customerId: id })
  })
  return kept
}
async function suggest(text: string): Promise<void> {
  customers.value = await ask(api.GET('/api/customers/find', { params: { query: { text } } })).catch(() => [])
}

/** A zone within the sentence: a place's own name keeps its capitals. */
const within = (name: string) => (/\p{Lu}/u.test(name.slice(1)) ? name : name.toLowerCase())
const handing = computed(() => {
  const s = a.value.shipping
  if (!s) return 'collected'
  const zone = zones.value.find((z) => z.id === s.zone) ?? { name: s.zone }
  return `sent ${within(zone.name)}, postage ${s.inThePrice ? 'in the price' : 'on top'}`
})
const handings = computed(() => [
  { value: '', label: 'collected' },
  ...zones.value.flatMap((z) => [
    { value: `${z.id} charged`, label: `sent ${within(z.name)}, postage on top` },
    { value: `${z.id} in`, label: `sent ${within(z.name)}, postage in the price` },
  ]),
])
const handingValue = computed(() => {
  const s = a.value.shipping
  return s ? `${s.zone} ${s.inThePrice ? 'in' : 'charged'}` : ''
})
function setHanding(value: string): Promise<boolean> {
  const [zone, how] = value.split(' ')
  return change({ shipping: zone ? { zone, inThePrice: how === 'in' } : null }, false)
}
</script>

<template>
  <div ref="root" class="sentence">
    <template v-if="!short"
      ><EditPart
        ref="customer"
        label="who is asking?"
        :text="order.customer?.name ?? ''"
        :value="order.customer?.name ?? ''"
        :suggestions="customers.map((c) => c.name)"
        width="14em"
        @typed="suggest"
        @commit="setCustomer"
      />:
    </template>
    <component
      :is="shown.length > 1 ? 'div' : 'span'"
      v-for="(line, i) in shown"
      :key="line.id"
      class="line"
      :class="{ current: shown.length > 1 && line.id === lineInHand?.id }"
      @focusin="shop.lineId = line.id"
    >
      <b v-if="shown.length > 1" class="nth">{{ i + 1 }}</b><LineSentence
        ref="lines"
        :line="line"
        :said="said(line.id)"
        :styles="styles"
        :short="short ?? false"
        :several="shown.length > 1"
        :change="(part) => changeLine(line, part)"
      /><button
        v-if="shown.length > 1 && !order.quoteSent"
        class="out"
        :aria-label="`Take line ${i + 1} out`"
        title="take this line out"
        @mousedown.prevent
        @click="removeLine(line.id)"
      >
        ×
      </button>
    </component>
    <template v-if="!short && a.lines.length < mostLines && said(a.lines.at(-1)!.id).style"
      >{{ ' ' }}<button class="part unsaid" @mousedown.prevent @click="addLine">another garment?</button></template
    >{{ ' ' }}Wanted
    <EditPart
      ref="due"
      label="by when?"
      :text="a.dueDate ? day(a.dueDate, format()) : ''"
      :value="a.dueDate ?? ''"
      type="date"
      @commit="(v) => changeOrder({ dueDate: v || null, dueTime: v ? a.dueTime : null })"
    />
    <template v-if="a.dueDate"
      >{{ ' '
      }}<EditPart
        ref="hour"
        label="at what hour?"
        :text="a.dueTime ? clock(a.dueTime, format()) : ''"
        :value="a.dueTime?.slice(0, 5) ?? ''"
        type="time"
        width="7em"
        @commit="(v) => changeOrder({ dueTime: v ? `${v}:00` : null })" /></template
    >,
    <EditPart
      label="retail or wholesale?"
      :text="a.channel"
      :value="a.channel"
      :options="[
        { value: 'retail', label: 'retail' },
        { value: 'wholesale', label: 'wholesale' },
      ]"
      @commit="(v) => changeOrder({ channel: v as AskBody['channel'] })"
    />,
    <EditPart
      label="collected or sent?"
      :text="handing"
      :value="handingValue"
      :options="handings"
      @commit="setHanding"
    />.
  </div>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.sentence {
  font-size: 20px;
  line-height: 1.6;
  padding-bottom: 8px;
}
div.line {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) 36px;
  padding: 2px 0 2px 8px;
  border-left: 3px solid transparent;
}
div.line.current {
  border-left-color: var(--ink);
}
.nth {
  color: var(--ink-2);
}
.out {
  min-width: 32px;
  min-height: 32px;
  align-self: start;
}
</style>
