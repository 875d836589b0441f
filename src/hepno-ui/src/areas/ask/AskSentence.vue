<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, ask, makeId, type Schemas } from '../../api/client'
import { clock, day, money } from '../../kit/shown'
import { kindWord } from '../../kit/words'
import { type AskBody, askBody, attempt, format, saveAsk, shop } from '../../shell/state'
import EditPart from './EditPart.vue'
import PlacementPart from './PlacementPart.vue'

/** The ask as one sentence; each part opens in place, and the next thing unsaid is always last. */
const props = defineProps<{ short?: boolean }>()
const order = computed(() => shop.order!)
const styles = ref<Schemas['Style'][]>([])
const customers = ref<Schemas['Customer'][]>([])
const sizeText = ref('')
const route = useRoute()

const customer = ref<InstanceType<typeof EditPart>>()
const style = ref<InstanceType<typeof EditPart>>()
const colour = ref<InstanceType<typeof EditPart>>()
const sizes = ref<InstanceType<typeof EditPart>>()
const due = ref<InstanceType<typeof EditPart>>()
const hour = ref<InstanceType<typeof EditPart>>()
const mark = ref<InstanceType<typeof EditPart>>()
const extra = ref<InstanceType<typeof PlacementPart>>()

/** As many as the server keeps. */
const mostPlacements = 6

const a = computed(() => order.value.ask)
const run = computed(() => a.value.sizes.map((s) => `${s.size} ${s.pieces}`).join(', '))
const taken = computed(() => a.value.placements.map((p) => p.place))
const colours = computed(() =>
  (styles.value.find((s) => s.id === a.value.styleId)?.colourways ?? []).map((c) => ({ value: c.id, label: c.name })),
)

onMounted(async () => {
  await attempt(async () => {
    styles.value = (await ask(api.GET('/api/styles'))).flatMap((v) => (v.value && !v.value.retired ? [v.value] : []))
  })
  begin()
})
// a new ask opens its first part as soon as both the order and the address say so
function begin(): void {
  if (!props.short && route.query.begin === order.value.id) openNext()
}
watch(() => route.query.begin, begin)
watch(
  () => order.value.id,
  () => (sizeText.value = ''),
)

/** Opens the next thing unsaid. */
function openNext(): void {
  const parts: [boolean, { begin: () => void } | undefined][] = [
    [a.value.customerId === null, customer.value],
    [a.value.styleId === null, style.value],
    [a.value.colourwayId === null, colour.value],
    [a.value.sizes.length === 0, sizes.value],
    [a.value.placements.length === 0, extra.value],
    [a.value.dueDate === null, due.value],
    [a.value.dueTime === null, hour.value],
    [a.value.mark === null, mark.value],
  ]
  void nextTick(() => parts.find(([unsaid]) => unsaid)?.[1]?.begin())
}

async function change(part: Partial<AskBody>): Promise<void> {
  const { id, version } = order.value
  const wasUnsaid = Object.keys(part).some((k) => {
    const now = a.value[k as keyof typeof a.value]
    return now === null || (Array.isArray(now) && now.length === 0)
  })
  if ((await attempt(() => saveAsk(id, { ...askBody(order.value), ...part }, version))) && wasUnsaid) openNext()
}

async function setCustomer(text: string): Promise<void> {
  const name = text.trim()
  if (!name) return change({ customerId: null })
  await attempt(async () => {
    const found = await ask(api.GET('/api/customers/find', { params: { query: { text: name } } }))
    const known = found.find((c) => c.name.toLowerCase() === name.toLowerCase())
    const id = known?.id ?? makeId()
    if (!known) await ask(api.PUT('/api/customers/{id}', { params: { path: { id } }, body: { name, contact: '' } }))
    await change({ customerId: id })
  })
}
async function suggest(text: string): Promise<void> {
  customers.value = await ask(api.GET('/api/customers/find', { params: { query: { text } } })).catch(() => [])
}
async function setSizes(text: string): Promise<void> {
  sizeText.value = text
  const styleId = a.value.styleId
  if (!styleId) return
  const ok = await attempt(async () => {
    const read = await ask(api.POST('/api/compute/size-run', { body: { styleId, text } }))
    await change({ sizes: read.sizes })
  })
  if (ok) sizeText.value = ''
}
const setMark = (text: string) =>
  change({
    mark:
      text.trim() === ''
        ? null
        : Number(
            text
              .replace(/[^\d.,-]/g, '')
              .replace(format().groupMark, '')
              .replace(format().decimalMark, '.'),
          ),
  })

function keepPlacement(p: Schemas['PlacementBody']): void {
  const rest = askBody(order.value).placements
  const at = rest.findIndex((r) => r.id === p.id)
  void change({ placements: at < 0 ? [...rest, p] : rest.map((r) => (r.id === p.id ? p : r)) })
}
const removePlacement = (id: string) =>
  void change({ placements: askBody(order.value).placements.filter((p) => p.id !== id) })
</script>

<template>
  <div class="sentence">
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
    <EditPart
      ref="sizes"
      :label="a.styleId ? 'how many of each size?' : 'how many?'"
      :text="run ? `${a.pieces}` : ''"
      :value="sizeText || run"
      width="16em"
      @commit="setSizes"
    />{{ ' ' }}
    <EditPart
      ref="style"
      label="which garment?"
      :text="
        order.style
          ? `${order.style.name} ${kindWord[order.style.kind]?.toLowerCase()}${a.pieces === 1 ? '' : 's'}`
          : ''
      "
      :value="a.styleId ?? ''"
      :options="styles.map((s) => ({ value: s.id, label: `${s.name}, ${kindWord[s.kind]?.toLowerCase()}` }))"
      @commit="(v) => change({ styleId: v, colourwayId: null })"
    />
    <template v-if="a.styleId"
      >,
      <EditPart
        ref="colour"
        label="which colour?"
        :text="order.colourway?.name.toLowerCase() ?? ''"
        :value="a.colourwayId ?? ''"
        :options="colours"
        @commit="(v) => change({ colourwayId: v })" /></template
    >.
    <template v-for="(p, i) in a.placements" :key="p.id"
      ><template v-if="i > 0">; </template
      ><PlacementPart
        :placement="p"
        :taken="taken.filter((t) => t !== p.place)"
        @commit="keepPlacement"
        @remove="removePlacement(p.id)" /></template
    ><template v-if="a.placements.length < mostPlacements && !(short && a.placements.length > 0)"
      >{{ ' ' }}<PlacementPart ref="extra" :placement="null" :taken="taken" @commit="keepPlacement" /></template
    >. Wanted
    <EditPart
      ref="due"
      label="by when?"
      :text="a.dueDate ? day(a.dueDate, format()) : ''"
      :value="a.dueDate ?? ''"
      type="date"
      @commit="(v) => change({ dueDate: v || null, dueTime: v ? a.dueTime : null })"
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
        @commit="(v) => change({ dueTime: v ? `${v}:00` : null })" /></template
    >, at
    <EditPart
      ref="mark"
      label="the most they would pay?"
      :text="a.mark === null ? '' : money(a.mark, format())"
      :value="a.mark === null ? '' : String(a.mark)"
      width="5em"
      @commit="setMark"
    />
    or less,
    <EditPart
      label="retail or wholesale?"
      :text="a.channel"
      :value="a.channel"
      :options="[
        { value: 'retail', label: 'retail' },
        { value: 'wholesale', label: 'wholesale' },
      ]"
      @commit="(v) => change({ channel: v as AskBody['channel'] })"
    />.
  </div>
</template>

<style scoped>
.sentence {
  font-size: 20px;
  line-height: 1.6;
  padding-bottom: 8px;
}
</style>
