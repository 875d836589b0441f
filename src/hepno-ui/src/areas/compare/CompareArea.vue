<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, type Schemas, seen } from '../../api/client'
import { explain, explained } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import { anHour, bare, duration, margin, moment, money } from '../../kit/shown'
import Sign from '../../kit/Sign.vue'
import StrataBar from '../../kit/StrataBar.vue'
import { sourceWord } from '../../kit/words'
import { onChange } from '../../shell/live'
import { typing } from '../../shell/keys'
import LinePicker from '../../shell/LinePicker.vue'
import { attempt, format, lineInHand, refresh, shop } from '../../shell/state'
import AskSentence from '../ask/AskSentence.vue'
import Scrubber from './Scrubber.vue'

const router = useRouter()
const comparison = ref<Schemas['Comparison'] | null>(null)
const quantity = ref<number | null>(null)
const open = ref('')
const openFold = ref('')
const bands = computed(() => comparison.value?.bands ?? [])
const chosen = computed(() => bands.value.find((b) => b.methodId === open.value) ?? bands.value[0])
const f = computed(() => format())

const scaleWidth = 560
const most = computed(() => Math.max(1, comparison.value?.mark ?? 0, ...bands.value.map((b) => b.outcome.price)) * 1.22)
const x = (amount: number) => (amount / most.value) * scaleWidth
const ticks = computed(() => {
  const step = [0.25, 0.5, 1, 2, 5, 10, 20, 50, 100].find((s) => most.value / s <= 6) ?? 200
  return Array.from({ length: Math.floor(most.value / step) + 1 }, (_, i) => i * step)
})

let asked = 0
async function load(): Promise<void> {
  const order = shop.order
  if (!order) return
  const mine = ++asked
  const line = lineInHand.value?.id ?? ''
  const query = quantity.value === null ? { line } : { line, quantity: quantity.value }
  await attempt(async () => {
    const got = await ask(api.GET('/api/orders/{id}/compare', { params: { path: { id: order.id }, query } }))
    if (mine === asked) comparison.value = got
  }, shop.said)
}
watch(
  () => [lineInHand.value?.id, shop.order?.version, shop.order?.id],
  ([line, , id], old) => {
    if (line !== old?.[0] || id !== old?.[2]) {
      comparison.value = null
      open.value = lineInHand.value?.methodId ?? ''
    }
    quantity.value = null
    void load()
  },
  { immediate: true },
)
watch(quantity, () => void load())

async function choose(): Promise<void> {
  const [order, band] = [shop.order, chosen.value]
  if (!order || !band || order.quoteSent) return
  if (quantity.value !== null && quantity.value !== lineInHand.value?.asked.pieces) {
    shop.problems = [
      {
        code: 'what-if',
        sentence: `You are looking at ${quantity.value} pieces; the ask says ${lineInHand.value?.asked.pieces}.`,
        where: 'quantity',
        remedy: 'Change the ask, or go back to its own count with 0.',
      },
    ]
    return
  }
  const done = await attempt(
    async () =>
      void (await ask(
        api.POST('/api/orders/{id}/choose', {
          params: { path: { id: order.id } },
          body: { methodId: band.methodId, lineId: lineInHand.value?.id ?? null },
          ...seen(order.version),
        }),
      )),
  )
  if (done) {
    await refresh()
    // the next line without a method is looked at next; with none left, what to buy
    const next = shop.order?.lines.find((l) => l.methodId === null)
    if (next) shop.lineId = next.id
    else await router.push('/layout')
  }
}

/** Takes a price break by a method: it is chosen and its larger quantity asked for, or given by the shop's rule. */
async function larger(b: Schemas['Band']): Promise<void> {
  const [order, line] = [shop.order, lineInHand.value]
  if (!order || !line || !b.cliff) return
  const [path, pieces] = [{ id: order.id }, b.cliff.pieces]
  await attempt(async () => {
    let version = order.version
    if (line.methodId !== b.methodId) {
      const body = { methodId: b.methodId, lineId: line.id }
      version = (await ask(api.POST('/api/orders/{id}/choose', { params: { path }, body, ...seen(version) }))).version
    }
    const body = { pieces, lineId: line.id }
    await ask(api.POST('/api/orders/{id}/larger', { params: { path }, body, ...seen(version) }))
    await refresh()
    const given = lineInHand.value?.asked.given ?? 0
    shop.said = `${pieces} pieces now${given > 0 ? `, ${given} of them given` : ''}. Z takes it back.`
  })
}

function onKey(event: KeyboardEvent): void {
  if (typing(event) || event.ctrlKey || event.metaKey) return
  const onControl = (event.target as HTMLElement).closest('a, button') !== null
  if (/^[1-9]$/.test(event.key) && bands.value[Number(event.key) - 1])
    open.value = bands.value[Number(event.key) - 1]!.methodId
  else if (event.key === '0') quantity.value = null
  else if (event.key.toLowerCase() === 'e' && chosen.value && !explained.figure) explainFocused(chosen.value)
  else if (event.key.toLowerCase() === 'w')
    openFold.value = openFold.value ? '' : (comparison.value?.folds[0]?.methodId ?? '')
  else if (event.key === 'Enter' && !onControl) void choose()
  else return
  event.preventDefault()
}
/** What a band's profit and its figures an hour only name. */
const beside = (b: Schemas['Band']) => [b.cost, b.hands, b.outcome.profit]

/** Opens the figure the focus stands on, else the cost of the open band. */
function explainFocused(chosenBand: Schemas['Band']): void {
  const { figure: code, band: id } = (document.activeElement as HTMLElement | null)?.dataset ?? {}
  const band = bands.value.find((b) => b.methodId === id) ?? chosenBand
  const figures: Record<string, Schemas['Figure']> = {
    profit: band.outcome.profit,
    hour: band.outcome.profitAnHour,
    home: band.outcome.takeHomeAnHour,
    hands: band.hands,
  }
  const figure = figures[code ?? ''] ?? band.cost.parts.find((p) => p.code === code)
  explain(figure ?? band.cost, ...beside(band))
}
const act = () => void choose()
let stop = () => {}
onMounted(() => {
  window.addEventListener('keydown', onKey)
  window.addEventListener('hepno-act', act)
  stop = onChange((kind) => {
    if (!['run', 'customer'].includes(kind)) void load()
  })
})
onUnmounted(() => {
  window.removeEventListener('keydown', onKey)
  window.removeEventListener('hepno-act', act)
  stop()
})
const spoken = (b: Schemas['Band']) =>
  `${b.name}: costs ${money(b.costShown, f.value)} a piece, price ${money(b.outcome.price, f.value)}, ${anHour(b.outcome.profitAnHour.value, f.value)} an hour of hands${b.promise ? `, ready ${moment(b.promise.at, f.value)}` : ''}`
</script>

<template>
  <div class="area">
    <h1 class="sr">Compare</h1>
    <LinePicker />
    <AskSentence v-if="shop.order" :key="shop.order.id" short />
    <div v-if="!comparison" class="drawing">
      <div v-if="shop.problems.length > 0" class="frame">
        <p>{{ shop.problems[0]!.sentence }}</p>
        <RouterLink :to="shop.line?.floor === 'no press' ? '/floor' : '/ask'">{{
          shop.problems[0]!.remedy
        }}</RouterLink>
      </div>
      <p v-else-if="!shop.order" class="frame">No order in hand. <kbd>N</kbd> begins one.</p>
    </div>
    <template v-else>
      <div class="drawing">
        <div class="scale" aria-hidden="true">
          <span class="small quiet">money a piece</span>
          <svg :width="scaleWidth + 60" height="22">
            <text v-for="t in ticks" :key="t" :x="x(t)" y="16" font-size="13" fill="var(--ink-2)">
              {{ money(t, { ...f, minorDigits: 0 }) }}
            </text>
            <text
              v-if="comparison.mark"
              :x="x(comparison.mark)"
              y="16"
              font-size="13"
              font-weight="620"
              text-anchor="middle"
              fill="var(--caution-text)"
              class="over"
            >
              their mark {{ money(comparison.mark, f) }}
            </text>
          </svg>
          <span class="small quiet">profit an hour</span>
        </div>
        <section
          v-for="(b, i) in bands"
          :key="b.methodId"
          class="band"
          :class="{ crop: b === chosen, open: b === chosen }"
          role="group"
          :aria-label="spoken(b)"
        >
          <button class="name" @click="open = b.methodId">
            <kbd>{{ i + 1 }}</kbd><b>{{ b.name }}</b
            ><span class="note quiet">{{ b.made }}</span>
          </button>
          <svg :width="scaleWidth + 90" height="52" class="bar" aria-hidden="true">
            <line
              v-if="comparison.mark"
              :x1="x(comparison.mark)"
              :x2="x(comparison.mark)"
              y1="0"
              y2="52"
              stroke="var(--caution-text)"
              stroke-width="1.5"
              stroke-dasharray="5 4"
            />
            <g transform="translate(0 8)">
              <rect
                :x="x(b.costShown)"
                y="0"
                :width="Math.max(0, x(b.outcome.price) - x(b.costShown))"
                height="30"
                fill="none"
                stroke="var(--ink)"
                stroke-dasharray="4 3"
              />
              <StrataBar
                :strata="b.strata"
                :width="scaleWidth"
                :most="most"
                :height="30"
                @explain="(code) => explain(b.cost.parts.find((p) => p.code === code))"
              />
              <text :x="x(b.costShown) + 6" y="20" font-size="14" fill="var(--ink-2)">{{ bare(b.costShown, f) }}</text>
              <text
                v-if="x(b.outcome.price) - x(b.costShown) > 96"
                :x="x(b.outcome.price) - 6"
                y="20"
                font-size="14"
                font-weight="620"
                text-anchor="end"
              >
                {{ margin(b.outcome.profit.value, f) }}
              </text>
              <line
                :x1="x(b.outcome.price)"
                :x2="x(b.outcome.price)"
                y1="-6"
                y2="38"
                stroke="var(--ink)"
                stroke-width="3"
              />
              <text :x="x(b.outcome.price) + 8" y="22" font-size="21" font-weight="680" class="post">
                {{ money(b.outcome.price, f) }}
              </text>
            </g>
          </svg>
          <button
            class="hour"
            data-figure="hour"
            :data-band="b.methodId"
            :class="{ light: b.overMark > 0 || b.lateMinutes > 0 }"
            :title="'explain'"
            @click="explain(b.outcome.profitAnHour, ...beside(b))"
          >
            <b>{{ anHour(b.outcome.profitAnHour.value, f) }}</b><span class="note">{{
              b.overMark > 0 ? 'if it sold' : 'an hour'
            }}</span>
          </button>
          <div class="facts">
            <template v-if="b === chosen">
              <button
                v-for="s in b.strata"
                :key="s.code"
                class="stratum"
                :data-figure="s.code"
                :data-band="b.methodId"
                @click="explain(b.cost.parts.find((p) => p.code === s.code))"
              >
                <svg width="14" height="14" aria-hidden="true">
                  <rect width="14" height="14" :fill="`url(#st-${s.code})`" stroke="var(--ink)" /></svg
                >{{ s.label }} <b>{{ bare(s.shown, f) }}</b>
              </button>
            </template>
            <div class="line">
              <button data-figure="hands" :data-band="b.methodId" @click="explain(b.hands)">
                <b>{{ (b.hands.value / 60).toFixed(1) }}</b> min hands
              </button>
              <span
                ><b>{{ (b.clockSeconds / 60).toFixed(1) }}</b> min clock</span
              >
              <span v-if="b.promise" :class="{ heat: b.lateMinutes > 0 }"
                ><b>{{ moment(b.promise.at, f) }}</b> ready</span
              >
              <span class="quiet"
                ><Sign
                  :kind="b.recipeSource === 'own-test' ? 'tested' : b.recipeSource === 'maker' ? 'maker' : 'assumed'"
                />
                {{ sourceWord[b.recipeSource] }}</span
              >
              <span v-if="b.overMark > 0" class="caution vd"
                ><Sign kind="caution" /> {{ bare(b.overMark, f) }} over their mark</span
              >
              <span v-if="b.lateMinutes > 0" class="heat vd"
                ><Sign kind="heat" /> {{ duration(b.lateMinutes * 60) }} late</span
              >
              <span v-if="b.fits && i === 0" class="go vd"><Sign kind="go" /> most per hour</span>
            </div>
            <template v-if="b === chosen">
              <p v-for="r in b.verdict.reasons" :key="r.code" class="caution small">
                <Sign kind="caution" /> with care: {{ r.sentence }}. {{ r.wouldWork }}.
              </p>
              <p class="line small">
                <button data-figure="profit" @click="explain(b.outcome.profit, ...beside(b))">
                  profit a piece <b>{{ money(b.outcome.profit.value, f) }}</b>
                </button>
                <button data-figure="home" @click="explain(b.outcome.takeHomeAnHour, ...beside(b))">
                  take-home <b>{{ anHour(b.outcome.takeHomeAnHour.value, f) }}</b> an hour
                </button>
                <span
                  >in all <b>{{ money(b.total, f) }}</b></span
                >
                <span>cost {{ bare(b.costLow, f) }} to {{ bare(b.costHigh, f) }} as 0 to 6 in 100 are spoiled</span>
              </p>
              <p v-if="b.cliff" class="note caution">
                {{ b.cliff.pieces }} pieces come to {{ money(b.cliff.total, f)
                }}{{
                  b.cliff.total < b.total
                    ? `, ${money(b.cliff.saves, f)} less in all`
                    : '; these are charged no dearer'
                }}: a price break.
                <button v-if="!shop.order?.quoteSent && quantity === null" class="plain-button" @click="larger(b)">
                  Make it {{ b.cliff.pieces }}
                </button>
              </p>
              <p class="note quiet">{{ b.priceHow }}. Left out: {{ b.leavesOut.join('; ') }}.</p>
            </template>
          </div>
        </section>
        <button
          v-for="fold in comparison.folds"
          :key="fold.methodId"
          class="fold"
          :aria-expanded="openFold === fold.methodId"
          @click="openFold = openFold === fold.methodId ? '' : fold.methodId"
        >
          <Sign kind="no" /><b>{{ fold.name }}</b
          ><span>{{ fold.reasons[0]?.sentence }}</span
          ><span class="go">would work: {{ fold.reasons[0]?.wouldWork }}</span>
          <template v-if="openFold === fold.methodId">
            <template v-for="r in fold.reasons.slice(1)" :key="r.code"
              ><span></span><span></span><span>{{ r.sentence }}</span
              ><span class="go">{{ r.wouldWork }}</span></template
            >
          </template>
        </button>
      </div>
      <Scrubber :comparison="comparison" @quantity="(q) => (quantity = q)" />
    </template>
    <Keys
      :hints="[
        ['← →', 'pieces, on the scale'],
        ['1 2', 'open a band'],
        ['E', 'explain a figure'],
        ['W', 'what would make it work'],
        ['Enter', 'choose'],
      ]"
    >
      <span style="margin-left: auto"><Sign kind="tested" /> tested here <Sign kind="maker" /> maker's word</span>
    </Keys>
  </div>
</template>

<style scoped>
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 40px;
  text-align: center;
}
.scale {
  display: grid;
  grid-template-columns: 150px 1fr auto;
  border-bottom: 1px solid var(--rule);
  align-items: center;
}
.over {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 6px;
}
.band {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 92px;
  border-bottom: 1px solid var(--rule);
  padding: 6px 4px 8px;
  margin: 3px;
}
.band.open {
  background: var(--bleach);
}
.post {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 5px;
}
.open .post {
  stroke: var(--bleach);
}
.name {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 2px 4px;
  align-content: start;
  padding-top: 6px;
}
.name .note {
  grid-column: 2;
}
.bar {
  overflow: visible;
  max-width: 100%;
}
.hour {
  text-align: right;
}
.hour b {
  font-size: 34px;
  font-weight: var(--w-figure);
  line-height: 1;
  display: block;
  letter-spacing: -0.02em;
}
.hour.light b {
  font-weight: var(--w-text);
  color: var(--ink-2);
}
.facts {
  grid-column: 2 / -1;
}
.stratum {
  font-size: 13px;
  margin-right: 12px;
  white-space: nowrap;
}
.stratum svg {
  vertical-align: -2px;
  margin-right: 4px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding-top: 4px;
}
.vd {
  font-weight: var(--w-strong);
  font-size: 13px;
}
.fold {
  display: grid;
  grid-template-columns: 16px 160px 1fr 1fr;
  gap: 4px 10px;
  width: 100%;
  background: var(--calico);
  padding: 6px 8px;
  margin-top: 2px;
  font-size: var(--t-small);
  align-items: baseline;
}
</style>
