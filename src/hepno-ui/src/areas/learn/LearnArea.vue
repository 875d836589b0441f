<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { explain, explained } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import { anHour, bare, duration, margin, money } from '../../words/shown'
import StrataBar from '../../kit/StrataBar.vue'
import { typing } from '../../shell/keys'
import LinePicker from '../../shell/LinePicker.vue'
import { format, lineInHand, reading, shop } from '../../state/state'
import ShopLearned from './ShopLearned.vue'
import WonAndLost from './WonAndLost.vue'

const learned = ref<Schemas['LearnView'] | null>(null)
/** The line that is looked at. */
const view = computed(() => learned.value?.lines.find((l) => l.lineId === lineInHand.value?.id))
const f = computed(() => format())
watch(
  () => [shop.order?.id, shop.order?.version],
  async () => {
    learned.value = null
    const o = shop.order
    if (!o?.facts.sending.handOver) return
    await reading(async () => {
      learned.value = await ask(api.GET('/api/orders/{id}/learned', { params: { path: { id: o.id } } }))
    })
  },
  { immediate: true },
)
const most = computed(() => Math.max(1, view.value?.price ?? 1, view.value?.held.recordedCost ?? 1) * 1.05)
const scale = 640
const side = (what: 'planned' | 'recorded') =>
  (view.value?.held.strata ?? []).map((s) => ({ code: s.code, label: s.label, shown: s[what] }))
const x = (amount: number) => (amount / most.value) * scale
/** Bands between planned and recorded where a stratum moved. */
const moved = computed(() => {
  let [a, b] = [0, 0]
  return (view.value?.held.strata ?? []).map((s) => {
    const band = {
      ...s,
      d: `M${x(a)} 34 L${x(a + s.planned)} 34 L${x(b + s.recorded)} 70 L${x(b)} 70 Z`,
      at: x((a + b) / 2 + (s.planned + s.recorded) / 4),
      by: s.recorded - s.planned,
    }
    a += s.planned
    b += s.recorded
    return band
  })
})
/** Only the largest move is named in the drawing; the table names all. */
const named = computed(() => [...moved.value].sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0]?.code)
const longest = computed(() =>
  Math.max(1, ...(view.value?.held.minutes.flatMap((m) => [m.plannedMinutes, m.recordedMinutes]) ?? [1])),
)
function onKey(event: KeyboardEvent): void {
  if (typing(event) || event.key.toLowerCase() !== 'e' || explained.figure) return
  event.preventDefault()
  explain(view.value?.held.recordedAnHour)
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <div class="area">
    <div v-if="!view" class="drawing">
      <p class="frame">
        {{
          shop.order?.facts.end.ending
            ? `${shop.order.code} came to nothing: ${shop.order.facts.end.ending.word}${shop.order.facts.end.ending.why ? `, ${shop.order.facts.end.ending.why}` : ''}.`
            : shop.order
              ? `${shop.order.code} is not handed over yet: there is nothing to hold against its quote.`
              : 'No order in hand.'
        }}
      </p>
      <ShopLearned />
      <WonAndLost />
    </div>
    <template v-else>
      <LinePicker />
      <h1>{{ learned?.sentence }}</h1>
      <div class="drawing">
        <svg
          viewBox="0 0 960 112"
          class="held"
          role="img"
          :aria-label="`Planned cost ${money(view.held.plannedCost, f)} a piece, recorded ${money(view.held.recordedCost, f)}`"
        >
          <text y="24" font-size="15">Planned</text>
          <text y="94" font-size="15" font-weight="620">Recorded</text>
          <g transform="translate(84 4)">
            <g><StrataBar :strata="side('planned')" :width="scale" :most="most" :height="30" /></g>
            <g transform="translate(0 70)">
              <StrataBar :strata="side('recorded')" :width="scale" :most="most" :height="30" />
            </g>
            <g v-for="m in moved" :key="m.code">
              <path
                :d="m.d"
                :fill="Math.abs(m.by) > 0.01 ? 'var(--caution-wash)' : 'none'"
                stroke="var(--rule-strong)"
                stroke-width=".7"
              />
            </g>
            <template v-for="m in moved" :key="`${m.code} in words`">
              <text
                v-if="m.code === named && Math.abs(m.by) > 0.01"
                :x="m.at"
                y="57"
                font-size="12"
                text-anchor="middle"
                class="over"
              >
                {{ m.label }} {{ margin(m.by, f) }}
              </text>
            </template>
            <path :d="`M${x(view.price)} -4V106`" stroke="var(--ink)" stroke-width="3" />
            <text :x="x(view.price) + 10" y="24" font-size="22" fill="var(--ink-2)">
              {{ anHour(view.held.plannedAnHour.value, f) }}
              <tspan font-size="13">planned</tspan>
            </text>
            <text :x="x(view.price) + 10" y="57" font-size="15" font-weight="620">{{ money(view.price, f) }}</text>
            <text :x="x(view.price) + 10" y="96" font-size="27" font-weight="680">
              {{ anHour(view.held.recordedAnHour.value, f) }}
              <tspan font-size="13">an hour</tspan>
            </text>
          </g>
        </svg>
        <div class="three">
          <section>
            <h2>Cost a piece</h2>
            <table>
              <thead>
                <tr>
                  <th></th>
                  <th class="fig">Planned</th>
                  <th class="fig">Recorded</th>
                  <th></th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="s in view.held.strata" :key="s.code">
                  <td>{{ s.label }}</td>
                  <td class="fig">{{ bare(s.planned, f) }}</td>
                  <td class="fig">{{ bare(s.recorded, f) }}</td>
                  <td class="fig caution">
                    {{ Math.abs(s.recorded - s.planned) > 0.001 ? margin(s.recorded - s.planned, f) : '' }}
                  </td>
                </tr>
                <tr class="sum">
                  <td>Cost</td>
                  <td class="fig">{{ bare(view.held.plannedCost, f) }}</td>
                  <td class="fig">{{ bare(view.held.recordedCost, f) }}</td>
                  <td></td>
                </tr>
              </tbody>
            </table>
          </section>
          <section>
            <h2>Minutes of hands</h2>
            <div v-for="m in view.held.minutes" :key="m.label" class="minutes">
              <span class="small">{{ m.label }}</span>
              <svg viewBox="0 0 240 20" aria-hidden="true">
                <rect
                  :width="(m.recordedMinutes / longest) * 220"
                  y="2"
                  height="16"
                  fill="url(#st-labour)"
                  stroke="var(--ink)"
                  :stroke-dasharray="m.recorded ? undefined : '3 3'"
                />
                <path :d="`M${(m.plannedMinutes / longest) * 220} 0v20`" stroke="var(--ink)" stroke-width="3" />
              </svg>
              <span
                ><b>{{ duration(m.recordedMinutes * 60) }}</b
                >{{ ' '
                }}<span class="small quiet">{{
                  m.recorded ? `planned ${duration(m.plannedMinutes * 60)}` : 'as planned: nothing records it yet'
                }}</span></span
              >
            </div>
            <button class="plain-button" @click="explain(view.held.recordedAnHour)">Profit an hour <kbd>E</kbd></button>
          </section>
          <section>
            <h2>Spoiled, and why</h2>
            <p v-if="view.held.spoiled.length === 0" class="go">None of {{ view.held.pressed }}.</p>
            <p v-for="s in view.held.spoiled" :key="s.reason">
              <b>{{ s.pieces }}</b> {{ s.reason }}
            </p>
            <p class="small quiet">
              {{ view.held.pressed }} blanks pressed. What ruined pieces took, their hands too, lies in Spoilage.
            </p>
            <p v-if="view.held.leftOver" class="small quiet">
              <button class="plain-button" @click="explain(view.held.leftOver)">
                Prints left over: {{ money(view.held.leftOver.value, f) }}
              </button>
              to buy again. You still have them, so they are not charged here.
            </p>
          </section>
        </div>
        <ShopLearned />
        <WonAndLost />
      </div>
    </template>
    <Keys
      :hints="[
        ['E', 'explain'],
        [', .', 'another order'],
        ['Ctrl Enter', 'close the order'],
      ]"
    />
  </div>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
.held {
  width: 100%;
  margin-top: 12px;
  overflow: visible;
}
.over {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 4px;
}
.three {
  display: grid;
  grid-template-columns: 1.1fr 1.2fr 0.9fr;
  gap: 36px;
  border-top: 1px solid var(--ink);
  margin-top: 20px;
  padding-top: 14px;
}
.sum td {
  font-weight: var(--w-strong);
}
.minutes {
  padding: 6px 0;
}
.minutes svg {
  width: 100%;
  height: 20px;
}
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 40px;
  text-align: center;
}
</style>
