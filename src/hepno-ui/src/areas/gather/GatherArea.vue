<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import Keys from '../../kit/Keys.vue'
import NumberInput from '../../kit/NumberInput.vue'
import { clock, day, moment, money, shortened } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { typing } from '../../shell/keys'
import { onChange } from '../../state/live'
import { attempt, format, reading, refresh, shop, take } from '../../state/state'

const view = ref<Schemas['GatherView'] | null>(null)
const dialog = ref<'approve' | 'deposit' | ''>('')
const by = ref('')
const amount = ref<number | ''>('')
const reason = ref('')
const f = computed(() => format())
const order = computed(() =>
  shop.order?.station === 'gather' || shop.order?.facts.gathering.items.length ? shop.order : null,
)
const load = () =>
  reading(async () => {
    view.value = await ask(api.GET('/api/gather'))
  })
watch(
  () => [shop.order?.id, shop.order?.version],
  () => void load(),
  { immediate: true },
)

// days are equal columns; a moment stands in its day by its share of the hours from 6 to 20
const width = 760
const dayWidth = computed(() => width / (view.value?.days.length ?? 1))
function x(iso: string): number {
  const days = view.value?.days ?? []
  const at = days.findIndex((d) => d.slice(0, 10) === iso.slice(0, 10))
  if (at < 0) return iso < (days[0] ?? '') ? 0 : width
  const hour = Number(iso.slice(11, 13)) + Number(iso.slice(14, 16)) / 60
  return (at + Math.max(0, Math.min(1, (hour - 6) / 14))) * dayWidth.value
}
/** What a lane keeps free above its threads for the flag of what was promised. */
const head = 16
/** As many letters as stand to the right of now, the end of the words always among them. */
const letter = 6.6
function fitting(t: { text: string }, end: string): string {
  return shortened(t.text, (width - x(view.value!.now)) / letter - end.length) + end
}
const beyond = (iso: string) => iso.slice(0, 10) > (view.value?.days.at(-1)?.slice(0, 10) ?? '')

function begin(what: 'approve' | 'deposit'): void {
  by.value = shop.order?.customer?.contact.split(',')[0] || shop.order?.customer?.name || ''
  amount.value = shop.order?.deposit ?? 0
  reason.value = ''
  dialog.value = what
}
/** Other orders that the yes just taken pushes behind their day or promise. */
const pushed = ref<string[]>([])
watch(
  () => shop.order?.id,
  () => void (pushed.value = []),
)
async function approve(): Promise<void> {
  const o = shop.order
  if (!o) return
  if (
    await attempt(
      async () =>
        void (pushed.value = (
          await ask(
            api.POST('/api/orders/{id}/approve', {
              params: { path: { id: o.id } },
              body: { by: by.value },
              ...seen(o.version),
            }),
          )
        ).changes),
      `Yes from ${by.value}, noted.`,
    )
  ) {
    dialog.value = ''
    await refresh()
  }
}
async function deposit(): Promise<void> {
  const o = shop.order
  if (!o) return
  if (
    await attempt(
      async () =>
        void (await ask(
          api.POST('/api/orders/{id}/deposit', {
            params: { path: { id: o.id } },
            body: { amount: amount.value || 0, overrideReason: reason.value || null },
            ...seen(o.version),
          }),
        )),
      'Noted. The list of what to buy is made.',
    )
  ) {
    dialog.value = ''
    await refresh()
  }
}
/** Lines of the customer's own garments whose risk nobody has taken yet. */
const risky = computed(() =>
  (order.value?.lines ?? []).filter(
    (l, i) => order.value!.ask.lines[i]?.theirs && !order.value!.facts.gathering.risks.some((r) => r.lineId === l.id),
  ),
)
const taker = ref('')
async function risk(lineId: string, spotTested: boolean): Promise<void> {
  const o = shop.order
  if (!o) return
  await attempt(async () => {
    await ask(
      api.POST('/api/orders/{id}/risk', {
        params: { path: { id: o.id } },
        body: { lineId, acceptedBy: spotTested ? '' : taker.value, spotTested },
        ...seen(o.version),
      }),
    )
    await refresh()
  }, 'Written down.')
}
async function tick(item: Schemas['GatherItem'] | undefined): Promise<void> {
  const o = shop.order
  if (!o || !item) return
  await attempt(async () => {
    await ask(
      api.PUT('/api/orders/{id}/items/{itemId}', {
        params: { path: { id: o.id, itemId: item.id } },
        body: { done: item.doneAt === null },
        ...seen(o.version),
      }),
    )
    await refresh()
  })
}
function act(): void {
  const o = shop.order
  if (!o || o.station !== 'gather') return
  if (!o.facts.gathering.approval) begin('approve')
  else if (o.deposit > 0 && !o.facts.gathering.deposit) begin('deposit')
  else void tick(o.facts.gathering.items.find((i) => i.doneAt === null))
}
function onKey(event: KeyboardEvent): void {
  if (typing(event) || event.ctrlKey || event.metaKey || event.repeat) return
  if (event.key.toLowerCase() === 'y') act()
  else if (
    event.key.toLowerCase() === 'o' &&
    shop.order?.facts.gathering.approval &&
    !shop.order.facts.gathering.deposit
  )
    begin('deposit')
  else return
  event.preventDefault()
}
let stop = () => {}
onMounted(() => {
  window.addEventListener('keydown', onKey)
  window.addEventListener('hepno-act', act)
  stop = onChange((kind) => void (kind !== 'run' && load()))
})
onUnmounted(() => {
  window.removeEventListener('keydown', onKey)
  window.removeEventListener('hepno-act', act)
  stop()
})
const waiting = (lanes: Schemas['GatherLane'][]) =>
  lanes.reduce((n, l) => n + l.threads.filter((t) => !t.done).length, 0)
</script>

<template>
  <div class="area">
    <h1 class="title">
      {{
        !view || view.lanes.length === 0
          ? 'Nothing is waited for.'
          : `${view.lanes.length === 1 ? 'One order waits' : `${view.lanes.length} orders wait`} for ${waiting(view.lanes)} ${waiting(view.lanes) === 1 ? 'thing' : 'things'}.`
      }}
    </h1>
    <div class="drawing">
      <div v-if="view" class="axis">
        <span></span>
        <svg :viewBox="`0 0 ${width + 20} 26`" aria-hidden="true">
          <g v-for="(d, i) in view.days" :key="d">
            <path :d="`M${i * dayWidth} 18v8`" stroke="var(--rule-strong)" />
            <text :x="i * dayWidth + 3" y="15" font-size="14">{{ day(d, f) }}</text>
          </g>
          <path :d="`M0 25.5H${width}`" stroke="var(--ink)" />
        </svg>
      </div>
      <section
        v-for="lane in view?.lanes ?? []"
        :key="lane.orderId"
        class="lane"
        :class="{ inhand: lane.orderId === shop.inHand }"
        :aria-label="`${lane.code}, ${lane.customer}: ${lane.threads
          .filter((t) => !t.done)
          .map((t) => t.text)
          .join('; ')}. ${lane.spare}`"
      >
        <button class="who" @click="take(lane.orderId)">
          <b class="mono">{{ lane.code }}</b> {{ lane.what }}<span class="quiet small">{{ lane.customer }}</span>
        </button>
        <svg :viewBox="`0 0 ${width + 20} ${head + lane.threads.length * 20 + 22}`" aria-hidden="true">
          <path v-for="(d, i) in view!.days" :key="d" :d="`M${i * dayWidth} 0V400`" stroke="var(--rule)" />
          <path :d="`M${x(view!.now)} 0V400`" stroke="var(--ink)" stroke-width="2" />
          <path
            v-if="lane.pressStart"
            :d="`M${x(lane.pressStart)} ${head}V${head + lane.threads.length * 20 + 4}`"
            stroke="var(--ink)"
            stroke-width="3.5"
          />
          <g v-if="lane.promisedAt && !beyond(lane.promisedAt)" :transform="`translate(${x(lane.promisedAt)} 2)`">
            <path d="M0 0V60" stroke="var(--ink)" stroke-dasharray="3 3" />
            <path d="M0 0h12l-4 4 4 4H0Z" fill="var(--bleach)" stroke="var(--ink)" />
            <text x="14" y="9" font-size="12" class="over">{{ clock(lane.promisedAt, f) }}</text>
          </g>
          <g v-for="(t, i) in lane.threads" :key="t.id" :transform="`translate(0 ${head + 10 + i * 20})`">
            <path
              :d="t.at && !t.done ? `M${x(view!.now)} 0H${x(t.at)}` : `M${x(view!.now)} 0h14`"
              stroke="var(--ink)"
              :stroke-width="t.kind === 'buy' ? 2 : 1.5"
              :stroke-dasharray="t.done ? undefined : t.kind === 'person' ? '1 5' : '6 4'"
            />
            <rect
              v-if="t.at && !t.done"
              :x="x(t.at) - 5"
              y="-5"
              width="10"
              height="10"
              :fill="lane.late ? 'var(--heat)' : 'var(--cotton)'"
              :stroke="lane.late ? 'var(--heat)' : 'var(--ink)'"
              stroke-width="1.6"
              :transform="t.kind === 'prepare' ? `rotate(45 ${x(t.at)} 0)` : undefined"
            />
            <text
              :x="x(view!.now) + 20"
              y="4"
              font-size="13"
              class="over"
              :fill="t.done ? 'var(--ink-3)' : 'var(--ink)'"
            >
              <title>{{ t.text }}</title>
              {{ fitting(t, t.done ? ', here' : t.at ? `, ${moment(t.at, f)}` : '') }}
            </text>
          </g>
          <text
            :x="Math.min(x(lane.pressStart ?? view!.now) + 8, lane.late ? 110 : 420)"
            :y="head + lane.threads.length * 20 + 17"
            font-size="13"
            font-weight="620"
            :fill="lane.late ? 'var(--heat)' : 'var(--go)'"
            class="over"
          >
            {{ lane.pressStart ? `press ${moment(lane.pressStart, f)}; ` : '' }}{{ lane.spare }}
          </text>
        </svg>
      </section>
      <section v-if="order" class="list" aria-label="What to buy and prepare">
        <h2>{{ order.code }}: what to buy and prepare</h2>
        <p v-if="order.facts.gathering.items.length === 0" class="small quiet">
          The list is made by their yes{{ order.deposit > 0 ? ' and the deposit' : '' }}. Until then nothing is bought
          or firmly planned.
        </p>
        <form v-for="l in risky" :key="l.id" class="risk" @submit.prevent="risk(l.id, false)">
          <span><Sign kind="caution" /> {{ l.what }} are their own: one that is spoiled cannot be bought again.</span>
          <label class="field">Who takes that risk?<input v-model="taker" maxlength="200" /></label>
          <button class="plain-button" type="submit" :disabled="taker.trim() === ''">They take it, in writing</button>
          <button class="plain-button" type="button" @click="risk(l.id, true)">A spot was tested, and is well</button>
        </form>
        <p v-for="r in order.facts.gathering.risks" :key="r.lineId" class="small">
          <Sign kind="go" />
          {{
            r.spotTested ? 'A spot of their cloth was tested.' : `${r.acceptedBy} takes the risk of their own garments.`
          }}
        </p>
        <label v-for="item in order.facts.gathering.items" :key="item.id" class="item" :class="{ done: item.doneAt }">
          <input
            type="checkbox"
            :checked="item.doneAt !== null"
            :disabled="order.facts.pressing.startedAt !== null"
            @change="tick(item)"
          />
          <span>{{ item.text }}</span><span class="small quiet">{{ item.supplier || 'our own hands' }}</span
          ><span class="fig">{{ item.cost > 0 ? money(item.cost, f) : '' }}</span
          ><span class="small quiet">{{ item.doneAt ? 'here' : moment(item.expected, f) }}</span
          ><Sign :kind="item.doneAt ? 'go' : 'maker'" />
        </label>
        <p v-for="text in order.cautions" :key="text" class="small"><Sign kind="caution" /> {{ text }}</p>
        <div v-if="pushed.length > 0" class="heat" role="status">
          <b>This yes pushes others behind:</b>
          <p v-for="p in pushed" :key="p">{{ p }}</p>
        </div>
        <p class="buttons">
          <button v-if="!order.facts.gathering.approval" class="go-button" @click="begin('approve')">
            Take their yes
          </button>
          <button
            v-if="order.deposit > 0 && !order.facts.gathering.deposit"
            class="plain-button"
            :disabled="!order.facts.gathering.approval"
            @click="begin('deposit')"
          >
            Note the deposit, {{ money(order.deposit, f) }}
          </button>
        </p>
      </section>
    </div>
    <Keys
      :hints="[
        ['Y', 'it came, or the next step'],
        ['O', 'go on without deposit'],
        ['Z', 'take back'],
      ]"
    />
    <Dialog
      :visible="dialog === 'approve'"
      modal
      header="Their yes to the proof"
      :style="{ width: '480px', maxWidth: '94vw' }"
      @update:visible="dialog = ''"
    >
      <form @submit.prevent="approve">
        <label class="field"
          >Who said yes to picture, size, place, colours and spelling?<input v-model="by" autofocus maxlength="200"
        /></label>
        <p v-for="p in shop.problems" :key="p.code" class="problem" role="alert">{{ p.sentence }} {{ p.remedy }}</p>
        <p class="buttons"><button class="go-button" type="submit">Note the yes, now</button></p>
      </form>
    </Dialog>
    <Dialog
      :visible="dialog === 'deposit'"
      modal
      header="The deposit"
      :style="{ width: '480px', maxWidth: '94vw' }"
      @update:visible="dialog = ''"
    >
      <form @submit.prevent="deposit">
        <label class="field"
          >Paid, of {{ money(shop.order?.deposit ?? 0, f) }}<NumberInput v-model="amount" autofocus
        /></label>
        <label class="field" style="margin-top: 10px"
          >Or why it goes on without<input v-model="reason" maxlength="200"
        /></label>
        <p v-for="p in shop.problems" :key="p.code" class="problem" role="alert">{{ p.sentence }} {{ p.remedy }}</p>
        <p class="buttons"><button class="go-button" type="submit">Note it</button></p>
      </form>
    </Dialog>
  </div>
</template>

<style scoped>
.risk {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
  border: 1.5px solid var(--caution);
  padding: 8px 10px;
}
.risk > span {
  flex-basis: 100%;
}
.title {
  padding-bottom: 8px;
}
.axis,
.lane {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
}
.lane {
  border-bottom: 1px solid var(--rule-strong);
}
.lane.inhand .who {
  border-left: 4px solid var(--ink);
  padding-left: 8px;
}
.who {
  padding: 8px 8px 8px 0;
  align-self: center;
}
.who span {
  display: block;
}
.over {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 8px;
}
.list {
  margin-top: 18px;
  background: var(--bleach);
  padding: 12px 14px;
}
.item {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 130px 90px 120px 20px;
  gap: 10px;
  padding: 7px 0;
  border-top: 1px solid var(--rule);
  align-items: center;
  cursor: pointer;
}
.item.done {
  color: var(--ink-3);
}
.item input {
  width: 18px;
  height: 18px;
}
.buttons {
  display: flex;
  gap: 12px;
  padding-top: 12px;
}
</style>
