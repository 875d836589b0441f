<script setup lang="ts">
import { computed, nextTick, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, type Schemas, seen } from '../../api/client'
import { explain, explained } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import { money } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { onChange } from '../../state/live'
import { typing } from '../../shell/keys'
import LinePicker from '../../shell/LinePicker.vue'
import { attempt, format, lineInHand, refresh, shop } from '../../state/state'
import AskSentence from '../ask/AskSentence.vue'
import { along, beside, type Scale } from './bands'
import CompareBand from './CompareBand.vue'
import HeldAgainst from './HeldAgainst.vue'
import MixRow from './MixRow.vue'
import { useComparing } from './comparing'
import Scrubber from './Scrubber.vue'
import SlimBand from './SlimBand.vue'
import WhatIf from './WhatIf.vue'
import WholeOrder from './WholeOrder.vue'

const router = useRouter()
const { comparison, quantity, open, mix, tried, trying, before, bands, chosen, load, look, ribbon } = useComparing()
const openFold = ref('')
/** The scale of pieces, or prices and rates tried at other levels. */
const figures = ref(false)
const f = computed(() => format())
/** The way that the open one is held against, point by point: the recommended one, or the next where that is open itself. */
const against = ref(false)
const rival = computed(
  () =>
    bands.value.find((b) => b !== chosen.value && b.methodId === comparison.value?.advice?.methodId) ??
    bands.value.find((b) => b !== chosen.value),
)
/** With more than five ways the open one and the two best stand in full, the rest in a line each (folds likewise, counted). */
const many = computed(() => bands.value.length > 5)
const inFull = (b: Schemas['Band'], i: number) => !figures.value && (!many.value || b === chosen.value || i < 2)
/** Tries figures, every way in a line so that their order is seen to change; the one opened stays opened. */
function weigh(): void {
  figures.value = !figures.value
  open.value = chosen.value?.methodId ?? ''
  if (!figures.value) tried.value = {}
}
const folds = computed(() => comparison.value?.folds ?? [])
const allFolds = ref(false)
const names = computed(() => Object.fromEntries([...bands.value, ...folds.value].map((b) => [b.methodId, b.name])))
/** The owner's own reason, kept with the choice. */
const why = ref('')
const counted = computed(() => folds.value.length > 4 && !allFolds.value && openFold.value === '')
const decided = computed(
  () => shop.order?.facts.choice.decisions.find((d) => d.lineId === lineInHand.value?.id)?.why ?? '',
)

const scale = computed<Scale>(() => ({
  width: 560,
  most: Math.max(1, comparison.value?.mark ?? 0, ...bands.value.map((b) => b.outcome.price)) * 1.22,
}))
const x = (amount: number) => along(scale.value, amount)
const ticks = computed(() => {
  const step = [0.25, 0.5, 1, 2, 5, 10, 20, 50, 100].find((s) => scale.value.most / s <= 6) ?? 200
  return Array.from({ length: Math.floor(scale.value.most / step) + 1 }, (_, i) => i * step)
})

watch([() => lineInHand.value?.id, () => shop.order?.id], () => {
  why.value = ''
  allFolds.value = false
})
// what is opened by its number may stand below the edge
watch(open, async () => {
  await nextTick()
  document.querySelector('.band.open')?.scrollIntoView({ block: 'nearest' })
})

async function choose(): Promise<void> {
  // asked for before the ways are there: it waits for them
  if (!comparison.value) await load()
  const [order, band] = [shop.order, chosen.value]
  if (!order || !band || order.quoteSent) return
  if (trying.value) {
    shop.problems = [
      {
        code: 'what-if',
        sentence: 'You are looking at other prices than yours.',
        where: 'what-if',
        remedy: 'Go back to them with 0, or change them on the Shelf and under Numbers.',
      },
    ]
    return
  }
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
          body: { methodId: band.methodId, lineId: lineInHand.value?.id ?? null, why: why.value.trim() },
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
      const body = { methodId: b.methodId, lineId: line.id, why: why.value.trim() }
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
  else if (event.key === '0') {
    quantity.value = null
    tried.value = {}
  } else if (event.key.toLowerCase() === 'f') weigh()
  else if (event.key.toLowerCase() === 'e' && chosen.value && !explained.figure) explainFocused(chosen.value)
  else if (event.key.toLowerCase() === 'a' && rival.value) against.value = !against.value
  else if (event.key.toLowerCase() === 'm') document.querySelector<HTMLElement>('[data-mix="0"]')?.focus()
  else if (event.key.toLowerCase() === 'w')
    openFold.value = openFold.value ? '' : (comparison.value?.folds[0]?.methodId ?? '')
  else if (event.key === 'Enter' && !onControl) void choose()
  else return
  event.preventDefault()
}
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
watch(
  () => chosen.value?.name ?? '',
  (name) => (shop.opened = name),
  { immediate: true },
)
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
  shop.opened = ''
  stop()
})
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
          <svg :width="scale.width + 60" height="22">
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
        <p v-if="comparison.advice" class="advice">
          <Sign kind="go" /> <b>{{ comparison.advice.sentence }}</b>
          <span v-if="comparison.advice.givesUp.length > 0" class="quiet small"
            >Given up: {{ comparison.advice.givesUp.join('; ') }}.</span
          >
        </p>
        <p v-else class="advice caution">
          <Sign kind="caution" />
          <b v-if="comparison.bands.length === 0">No way can do it as it is asked.</b>
          <b v-else
            >Nothing fits{{ comparison.mark ? ' their mark' : '' }}{{ comparison.mark && comparison.dueAt ? ' and' : ''
            }}{{ comparison.dueAt ? ' their day' : '' }}.</b
          >
          <span class="quiet">{{
            comparison.bands.length === 0
              ? 'Why, and what would work, stands with each.'
              : 'What misses least stands first.'
          }}</span>
        </p>
        <WholeOrder v-if="(shop.order?.lines.length ?? 0) > 1 && !figures" />
        <p v-if="lineInHand?.last" class="small quiet kept">{{ lineInHand.last.said }}.</p>
        <p v-if="decided" class="small quiet kept">Chosen: {{ decided }}</p>
        <template v-for="(b, i) in bands" :key="b.methodId">
          <CompareBand
            v-if="inFull(b, i)"
            :b="b"
            :index="i"
            :open="b === chosen"
            :mark="comparison.mark"
            :scale="scale"
            :may-grow="!shop.order?.quoteSent && quantity === null && !trying"
            :was="trying ? before.indexOf(b.methodId) + 1 : 0"
            :advised="comparison.advice?.methodId === b.methodId"
            :at-price="comparison.onePrice"
            @open="open = b.methodId"
            @larger="larger(b)"
          />
          <SlimBand
            v-else
            :b="b"
            :open="b === chosen"
            :index="i"
            :scale="scale"
            :was="trying ? before.indexOf(b.methodId) + 1 : 0"
            @open="open = b.methodId"
          />
          <div v-if="b === chosen && rival && !figures" class="against">
            <button class="small" :aria-expanded="against" @click="against = !against">
              <kbd>A</kbd> {{ against ? 'enough of it' : `hold it against ${rival.name.toLowerCase()}` }}
            </button>
            <HeldAgainst v-if="against" :one="b" :other="rival" />
          </div>
        </template>
        <MixRow
          v-if="comparison.ways && comparison.ways.length > 1"
          :ways="comparison.ways"
          :names="names"
          :mix="mix"
          @mix="look"
        />
        <button v-if="counted" class="fold counted" aria-expanded="false" @click="allFolds = true">
          <Sign kind="no" /><b>{{ folds.length }} ways cannot</b><span>{{ folds.map((x) => x.name).join(', ') }}</span
          ><span class="go">why, and what would work</span>
        </button>
        <button
          v-for="fold in counted ? [] : folds"
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
        <label v-if="shop.order && !shop.order.quoteSent && bands.length > 1" class="small kept reason"
          >Your reason, kept with the choice
          <input v-model="why" maxlength="300" placeholder="for example: they want it soft"
        /></label>
      </div>
      <WhatIf v-if="figures && chosen" :band="chosen" :tried="tried" @tried="(to) => (tried = to)" />
      <Scrubber v-else :comparison="comparison" :ribbon="ribbon" @quantity="(q) => (quantity = q)" />
    </template>
    <Keys
      :hints="[
        ['← →', 'pieces'],
        ['1 2', 'open a band'],
        ['E', 'explain a figure'],
        ['A', 'against another'],
        ['F', figures ? 'pieces' : 'what if'],
        ['W', 'what would work'],
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
.scale {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--cotton);
}
.against {
  padding: 2px 8px;
}
.advice {
  padding: 8px 4px 4px;
}
.kept {
  padding: 2px 4px;
}
.reason {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.reason input {
  flex: 1;
}
.over {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 6px;
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
