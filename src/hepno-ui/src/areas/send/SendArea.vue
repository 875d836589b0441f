<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { explain } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import Sign from '../../kit/Sign.vue'
import { typing } from '../../shell/keys'
import { money } from '../../words/shown'
import { attempt, format, reading, refresh, shop } from '../../state/state'

const order = computed(() =>
  shop.order && ['press', 'send', 'learn', 'closed'].includes(shop.order.station) ? shop.order : null,
)
const counting = computed(() => order.value?.station === 'send' || order.value?.station === 'press')
const rows = computed(() =>
  (order.value?.ask.lines ?? []).flatMap((l, at) =>
    l.sizes.map((s) => ({
      lineId: l.id,
      line: order.value?.lines[at],
      size: s.size,
      wanted:
        s.pieces -
        (order.value?.facts.sending.parts ?? [])
          .flatMap((p) => p.pieces)
          .filter((c) => c.lineId === l.id && c.size === s.size)
          .reduce((n, c) => n + c.pieces, 0),
      counted: order.value?.facts.sending.counted.find((c) => c.lineId === l.id && c.size === s.size)?.pieces ?? 0,
    })),
  ),
)
const counted = computed(() => rows.value.reduce((n, r) => n + r.counted, 0))
const wanted = computed(() => rows.value.reduce((n, r) => n + r.wanted, 0))
/** Packing, what is paid with it, and words for the customer. */
const sending = ref<Schemas['SendView']>()
watch(
  () => [order.value?.id, order.value?.version],
  async () => {
    const o = order.value
    if (!o) return
    await reading(async () => {
      sending.value = await ask(api.GET('/api/orders/{id}/sending', { params: { path: { id: o.id } } }))
    })
  },
  { immediate: true },
)
const f = computed(() => format())
/** The message shown to be copied by hand: over plain http a browser lends its clipboard to nobody. */
const byHand = ref(false)
async function copyMessage(): Promise<void> {
  if (!sending.value || sending.value.waits) return
  try {
    await navigator.clipboard.writeText(sending.value.message)
    shop.said = 'The message is copied.'
  } catch {
    byHand.value = true
  }
}
const paper = (name: string) => `/api/orders/${order.value?.id}/${name}.pdf`
const partly = ref(false)
const at = ref(0)
// counting goes on where it was left
watch(
  () => order.value?.id,
  () =>
    (at.value = Math.max(
      0,
      rows.value.findIndex((r) => r.counted < r.wanted),
    )),
  { immediate: true },
)
const typed = ref('')
const giving = ref(false)
const to = ref('')
const clothOf = (row: (typeof rows.value)[number]) => row.line?.colourway?.hex ?? 'var(--calico)'
/** Each piece of the box in its cloth, the counted ones of a size first. */
const boxed = computed(() =>
  rows.value
    .flatMap((r) => Array.from({ length: r.wanted }, (_, i) => ({ cloth: clothOf(r), in: i < r.counted })))
    .sort((a, b) => Number(b.in) - Number(a.in)),
)
const several = computed(() => (order.value?.lines.length ?? 0) > 1)
const tall = computed(() => Math.min(7, 210 / Math.max(1, wanted.value / 2)))

// counts go out one after another, each from the version the last one made
let queue: Promise<unknown> = Promise.resolve()
function set(row: number, change: (now: number) => number): void {
  queue = queue.then(async () => {
    const o = order.value
    const r = rows.value[row]
    if (!o || !r || !counting.value) return
    const pieces = Math.max(0, change(r.counted))
    await attempt(async () => {
      const sizes = rows.value.map((x, i) => ({
        lineId: x.lineId,
        size: x.size,
        pieces: i === row ? pieces : x.counted,
      }))
      await ask(
        api.POST('/api/orders/{id}/count', { params: { path: { id: o.id } }, body: { sizes }, ...seen(o.version) }),
      )
      await refresh()
    })
    const filled = rows.value[row]
    if (filled && filled.counted >= filled.wanted && row === at.value) {
      const next = rows.value.findIndex((x) => x.counted < x.wanted)
      if (next >= 0) at.value = next
    }
  })
}
async function handOver(): Promise<void> {
  const o = order.value
  if (!o) return
  if (
    await attempt(
      async () =>
        void (await ask(
          api.POST(partly.value ? '/api/orders/{id}/deliver-part' : '/api/orders/{id}/hand-over', {
            params: { path: { id: o.id } },
            body: { to: to.value },
            ...seen(o.version),
          }),
        )),
      partly.value ? `The part is with ${to.value}; the rest stays on the line.` : `Handed over to ${to.value}.`,
    )
  ) {
    giving.value = false
    await refresh()
  }
}
async function back(): Promise<void> {
  const o = order.value
  if (!o) return
  if (
    await attempt(
      async () =>
        void (await ask(
          api.POST('/api/orders/{id}/take-back', { params: { path: { id: o.id } }, ...seen(o.version) }),
        )),
      'The hand-over is taken back.',
    )
  )
    await refresh()
}
function give(part: boolean): void {
  partly.value = part
  to.value = order.value?.customer?.contact.split(',')[0] || order.value?.customer?.name || ''
  giving.value = true
}
function act(): void {
  if (order.value?.station === 'send' && counted.value >= wanted.value) give(false)
}
const canPart = computed(() => counting.value && counted.value > 0 && counted.value < wanted.value)
const slip = () => window.open(paper('packing-slip'), '_blank')
function onKey(event: KeyboardEvent): void {
  if (typing(event) || event.ctrlKey || event.metaKey || !order.value) return
  const key = event.key
  if (/^\d$/.test(key)) typed.value = (typed.value + key).slice(-4)
  else if (key === 'Enter' && typed.value) {
    const n = Number(typed.value)
    typed.value = ''
    set(at.value, () => n)
  } else if (key === ' ') set(at.value, (n) => n + 1)
  else if (key === 'Backspace') set(at.value, (n) => n - 1)
  else if (key === 'ArrowDown') at.value = Math.min(at.value + 1, rows.value.length - 1)
  else if (key === 'ArrowUp') at.value = Math.max(at.value - 1, 0)
  else if (key.toLowerCase() === 'p' && counted.value > 0) slip()
  else if (key.toLowerCase() === 'd' && canPart.value) give(true)
  else if (key.toLowerCase() === 'm') void copyMessage()
  else return
  event.preventDefault()
}
onMounted(() => {
  window.addEventListener('keydown', onKey)
  window.addEventListener('hepno-act', act)
})
onUnmounted(() => {
  window.removeEventListener('keydown', onKey)
  window.removeEventListener('hepno-act', act)
})
</script>

<template>
  <div class="area">
    <div v-if="!order" class="drawing">
      <p class="frame">Nothing is pressed and uncounted{{ shop.order ? ` on ${shop.order.code}` : '' }}.</p>
    </div>
    <template v-else>
      <h1>
        {{ counted === wanted ? `All ${wanted} are in the box.` : `${counted} of ${wanted} counted into the box.` }}
        <span v-if="order.facts.sending.handOver" class="quiet"
          >Handed over to {{ order.facts.sending.handOver.to }}.</span
        >
      </h1>
      <div class="drawing two">
        <section aria-label="Count by size">
          <template v-for="(r, i) in rows" :key="r.lineId + r.size">
            <h2 v-if="several && r.lineId !== rows[i - 1]?.lineId" class="line">{{ r.line?.what }}</h2>
            <div class="counted" data-again>
              <button
                class="row"
                :class="{ crop: i === at && counting }"
                :aria-label="`${r.size}: ${r.counted} of ${r.wanted}`"
                :title="counting ? `All ${r.wanted} are in` : undefined"
                @click="((at = i), counting && set(i, () => r.wanted))"
              >
                <b class="size" :class="{ go: r.counted === r.wanted, long: r.size.length > 4 }">{{ r.size }}</b>
                <svg
                  :viewBox="`0 0 ${Math.max(14, r.wanted > 40 ? Math.ceil(r.wanted / 12) : r.wanted) * 32} 40`"
                  preserveAspectRatio="xMinYMid meet"
                  aria-hidden="true"
                >
                  <path
                    v-for="n in r.wanted > 40 ? Math.ceil(r.wanted / 12) : r.wanted"
                    :key="n"
                    :transform="`translate(${(n - 1) * 32} 1)`"
                    d="M0 0H7C8 6 20 6 21 0H28V38H0Z"
                    :fill="n <= (r.wanted > 40 ? r.counted / 12 : r.counted) ? clothOf(r) : 'none'"
                    stroke="var(--ink)"
                  />
                </svg>
                <span class="of"
                  ><b :class="{ go: r.counted === r.wanted }">{{ i === at && typed ? typed : r.counted }}</b> of
                  {{ r.wanted }} <Sign v-if="r.counted === r.wanted" kind="go"
                /></span>
              </button>
              <template v-if="counting">
                <button
                  class="one"
                  :aria-label="`${r.size}: one less`"
                  :disabled="r.counted === 0"
                  @click="((at = i), set(i, (n) => n - 1))"
                >
                  −
                </button>
                <button
                  class="one"
                  :aria-label="`${r.size}: one more`"
                  :disabled="r.counted >= r.wanted"
                  @click="((at = i), set(i, (n) => n + 1))"
                >
                  +
                </button>
              </template>
            </div>
          </template>
        </section>
        <section class="box">
          <p class="big">
            <b>{{ counted }}</b> of {{ wanted }} in the box
          </p>
          <svg viewBox="0 0 280 240" aria-hidden="true">
            <path d="M6 6 24 18V232H256V18L274 6" fill="none" stroke="var(--ink)" stroke-width="2.5" />
            <rect
              v-for="(p, n) in boxed"
              :key="n"
              :x="n % 2 ? 144 : 30"
              :y="228 - (Math.floor(n / 2) + 1) * tall"
              width="106"
              :height="Math.max(1, tall - 1)"
              :fill="p.in ? p.cloth : 'none'"
              stroke="var(--ink)"
              stroke-width=".5"
            />
          </svg>
          <p v-if="counting && counted < wanted" class="next">
            Next
            <b
              >{{ several ? `${rows[at]?.line?.style?.name} ` : '' }}{{ rows[at]?.size }},
              {{ (rows[at]?.wanted ?? 0) - (rows[at]?.counted ?? 0) }} more</b
            >
          </p>
          <p v-if="canPart && sending" class="small">
            Only these now: {{ money(sending.balance.now, f) }} to take, {{ money(sending.balance.later, f) }} with the
            rest.
            <button class="plain-button" @click="give(true)">Deliver this part <kbd>D</kbd></button>
          </p>
          <p v-for="part in sending?.parts" :key="part" class="small go">{{ part }}</p>
          <ul v-if="sending && sending.choices.length > 0" class="choices" aria-label="Packing">
            <li v-for="(w, n) in sending.choices.slice(0, 3)" :key="w.packaging.name" :class="{ ink: n === 0 }">
              <button @click="explain(n === 0 || w.postage.value === 0 ? w.material : w.postage)">
                <b>{{ w.parcels }} × {{ w.packaging.name.toLowerCase() }}</b>
                {{ (w.gramsEach / 1000).toFixed(1) }} kg{{ w.parcels > 1 ? ' each' : '' }},
                {{ money(w.material.value, f)
                }}<template v-if="w.postage.value > 0">, postage {{ money(w.postage.value, f) }}</template>
              </button>
            </li>
          </ul>
          <p v-if="sending" class="papers">
            <a v-if="counted > 0" class="plain-button" :href="paper('packing-slip')" target="_blank"
              >Packing slip <kbd>P</kbd></a
            >
            <a class="plain-button" :href="paper('care-card')" target="_blank">Care card</a>
            <template v-if="order.ask.shipping">
              <a v-if="order.customer?.address" class="plain-button" :href="paper('label')" target="_blank">Label</a>
              <span v-else class="small quiet">the label waits: their address, on the customer's card (C)</span>
            </template>
            <button class="plain-button" :disabled="sending.waits !== ''" @click="copyMessage">
              Copy a message <kbd>M</kbd>
            </button>
            <span v-if="counted === 0" class="small quiet">the packing slip waits: nothing is counted</span>
            <span v-if="sending.waits" class="small quiet">the message waits: {{ sending.waits }}</span>
          </p>
          <label v-if="byHand && sending" class="field"
            >Copy it from here<textarea
              readonly
              rows="6"
              :value="sending.message"
              @focus="($event.target as HTMLTextAreaElement).select()"
            ></textarea>
          </label>
          <p>
            <button v-if="order.station === 'learn'" class="plain-button" @click="back">Take the hand-over back</button>
          </p>
          <p class="small quiet" style="margin-top: 8px">
            Put in: care card (inside out, cold, never iron on the print), the packing slip, no spoiled piece.
          </p>
        </section>
      </div>
    </template>
    <Keys
      :hints="[
        ['Space', 'one in'],
        ['Backspace', 'one out'],
        ['1 2', 'then Enter: the whole size', 'here'],
        ['↑ ↓', 'size'],
        ['P', 'packing slip'],
        ['D', 'deliver a part'],
        ['Ctrl Enter', 'hand over'],
      ]"
    />
    <Dialog
      v-model:visible="giving"
      modal
      :header="partly ? 'Deliver this part' : 'Hand it over'"
      :style="{ width: '460px', maxWidth: '94vw' }"
    >
      <form @submit.prevent="handOver">
        <p>{{ shop.order?.slip.hero }} {{ shop.order?.slip.heroNote.split(';')[0] }}.</p>
        <label class="field" style="padding-top: 10px"
          >Who takes it?<input v-model="to" autofocus maxlength="200"
        /></label>
        <p v-for="p in shop.problems" :key="p.code" class="problem" role="alert">{{ p.sentence }} {{ p.remedy }}</p>
        <p style="padding-top: 12px"><button class="go-button" type="submit">Handed over, now</button></p>
      </form>
    </Dialog>
  </div>
</template>

<style scoped>
.size.long {
  font-size: 22px;
  line-height: 1.05;
}
.box svg {
  max-height: 170px;
}
.choices {
  list-style: none;
  padding: 4px 0;
}
.choices li {
  padding: 3px 10px;
  font-size: 14px;
}
.choices li.ink {
  background: var(--ink);
  color: var(--bleach);
}
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 4px 0;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 40px;
  padding: 12px 4px;
}
.row {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) 130px;
  align-items: center;
  width: 100%;
  border-bottom: 1px solid var(--rule);
  padding: 9px 8px;
  max-height: 70px;
}
.row > svg {
  height: 42px;
  width: 100%;
}
.size,
.of b {
  font-size: 38px;
}
.of {
  font-size: 20px;
  text-align: right;
  white-space: nowrap;
}
.big {
  font-size: 22px;
}
.big b {
  font-size: 84px;
  letter-spacing: -0.03em;
  line-height: 1;
}
.next {
  font-size: 20px;
  padding-bottom: 8px;
}
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 40px;
  text-align: center;
}
.counted {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 6px;
}
@media (max-width: 1099px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 800px) {
  .row {
    grid-template-columns: 72px minmax(0, 1fr) 110px;
  }
}
.one {
  text-align: center;
  width: 52px;
  min-height: 48px;
  border: 1px solid var(--rule-strong);
  font-size: 26px;
  align-self: center;
}
.one:disabled {
  color: var(--ink-3);
}
</style>
