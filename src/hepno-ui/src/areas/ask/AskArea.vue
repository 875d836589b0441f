<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { api, ask, seen } from '../../api/client'
import { detailsRead } from '../../kit/described'
import Garment from '../../kit/Garment.vue'
import Keys from '../../kit/Keys.vue'
import { length, number } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { placeName } from '../../words/words'
import { typing } from '../../shell/keys'
import { askBody, attempt, format, lineInHand, reading, refresh, saveAsk, shop } from '../../state/state'
import ArtworkPart from './ArtworkPart.vue'
import Attachments from './Attachments.vue'
import OrderDetails from './OrderDetails.vue'
import Templates from './Templates.vue'
import AskSentence from './AskSentence.vue'

// asked for beside the order, not after it
void reading(detailsRead)
const order = computed(() => shop.order)
const line = computed(() => lineInHand.value)
const several = computed(() => (order.value?.lines.length ?? 0) > 1)
const piles = computed(() => {
  const sizes = line.value?.asked.sizes ?? []
  const most = Math.max(12, ...sizes.map((s) => s.pieces))
  return sizes.map((s, i) => ({ ...s, x: 10 + i * Math.min(92, 470 / sizes.length), stripe: Math.min(7, 110 / most) }))
})
const pileWidth = computed(() => Math.min(64, 380 / Math.max(1, piles.value.length)))
// with many sizes the count stands under its size, not beside it
const crowded = computed(() => piles.value.length > 5)
/** The size that is drawn; the one with the most pieces until another is chosen. */
const size = ref('')
const drawn = computed(() => {
  const all = line.value?.drawn ?? []
  return all.find((d) => d.size === size.value) ?? [...all].sort((a, b) => b.pieces - a.pieces)[0]
})
const most = computed(() => (line.value?.drawn ?? []).reduce((n, d) => Math.max(n, d.scale), 0) || 1)
const sides = computed(() => {
  const prints = drawn.value?.prints ?? []
  return [false, true].filter((back) => prints.some((p) => p.onBack === back) || (!back && prints.length === 0))
})
function step(by: number): void {
  const all = line.value?.drawn ?? []
  const at = all.findIndex((d) => d === drawn.value)
  size.value = all[Math.min(all.length - 1, Math.max(0, at + by))]?.size ?? ''
}
const sentence = ref<InstanceType<typeof AskSentence>>()
const deeds: Record<string, () => void> = {
  '[': () => step(-1),
  ']': () => step(1),
  l: () => void sentence.value?.addLine(),
  p: () => sentence.value?.addPrint(),
}
function onKey(event: KeyboardEvent): void {
  const deed = deeds[event.key.toLowerCase()]
  if (!deed || typing(event) || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  deed()
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))
const cloth = computed(() => line.value?.colourway?.hex ?? 'var(--calico)')
const bad = computed(() => {
  const l = line.value
  return l
    ? l.problems.map((p) => l.asked.placements[Number(/placements\[(\d+)/.exec(p.where)?.[1] ?? -1)]?.id ?? '')
    : []
})
/** True while the ask says no garment, size or print. */
const untold = computed(() =>
  (order.value?.ask.lines ?? []).every((l) => !l.styleId && l.sizes.length === 0 && l.placements.length === 0),
)
/** A print is described by a picture, or by typed numbers again. */
async function describe(placementId: string, designId: string | null): Promise<void> {
  const [o, l] = [order.value, line.value]
  if (!o || !l) return
  const body = askBody(o)
  const lines = body.lines.map((x) =>
    x.id !== l.id ? x : { ...x, placements: x.placements.map((p) => (p.id === placementId ? { ...p, designId } : p)) },
  )
  await attempt(() => saveAsk(o.id, { ...body, lines }, o.version))
}
// a pasted picture goes to the first print without one, else it takes the last one's place
const arts = ref<InstanceType<typeof ArtworkPart>[]>([])
function pasted(event: ClipboardEvent): void {
  const file = [...(event.clipboardData?.files ?? [])].find((f) => f.type.startsWith('image/'))
  const placements = line.value?.asked.placements ?? []
  if (!file || placements.length === 0) return
  event.preventDefault()
  const bare = placements.findIndex((p) => p.designId === null)
  void arts.value[bare < 0 ? placements.length - 1 : bare]?.take(file)
}
onMounted(() => window.addEventListener('paste', pasted))
onUnmounted(() => window.removeEventListener('paste', pasted))
async function withdraw(): Promise<void> {
  const o = order.value
  if (!o) return
  await attempt(async () => {
    await ask(api.POST('/api/orders/{id}/withdraw', { params: { path: { id: o.id } }, ...seen(o.version) }))
    await refresh()
  }, 'The quote is withdrawn.')
}
</script>

<template>
  <div class="area">
    <div v-if="!order" class="drawing empty">
      <Garment :kind="null" hex="#fff" :placements="[]" tape class="plain" />
      <p>Who is asking? <kbd>N</kbd> begins an ask.</p>
    </div>
    <template v-else>
      <h1 class="sr">Ask {{ order.code }}</h1>
      <AskSentence ref="sentence" :key="order.id" />
      <Templates v-if="!order.quoteSent" :key="order.id" :order="order" :empty="untold" />
      <p v-if="order.quoteSent" class="small caution">
        The quote is sent: the ask stands as quoted.
        <button class="plain-button" @click="withdraw">Withdraw the quote</button>
      </p>
      <div class="drawing">
        <div class="two">
          <section aria-label="Pieces by size">
            <svg viewBox="0 0 500 172" class="piles" aria-hidden="true">
              <path d="M0 128H490" stroke="var(--ink)" stroke-width="1.5" />
              <g v-for="p in piles" :key="p.size" :transform="`translate(${p.x} 0)`">
                <rect
                  v-for="n in p.pieces > 40 ? Math.ceil(p.pieces / 12) : p.pieces"
                  :key="n"
                  x="0"
                  :y="126 - n * p.stripe"
                  :width="pileWidth"
                  :height="Math.max(1, p.stripe - 1)"
                  :fill="cloth"
                  stroke="var(--ink)"
                  stroke-width=".6"
                />
                <text x="0" y="148" font-size="15" font-weight="620">{{ p.size }}</text>
                <text
                  :x="crowded ? 0 : pileWidth"
                  :y="crowded ? 166 : 148"
                  font-size="15"
                  :text-anchor="crowded ? 'start' : 'end'"
                >
                  {{ p.pieces }}
                </text>
              </g>
              <text v-if="piles.length === 0" x="0" y="110" font-size="14" fill="var(--ink-2)">
                Sizes as they say them: S 4, M 10, L 8, 2XL 2 — or pasted from a spreadsheet.
              </text>
            </svg>
            <p v-if="line && line.asked.pieces > 0">
              <b class="big">{{ line.asked.pieces }}</b> <Sign kind="go" /> as said<template v-if="several"
                >, line {{ (line?.at ?? 0) + 1 }} of {{ order.lines.length }}; {{ order.ask.pieces }} in all</template
              ><span v-if="piles.some((p) => p.pieces > 40)" class="quiet small"
                >, a stripe is a dozen where a size has over 40</span
              >
            </p>
            <table v-if="line && line.asked.placements.length > 0" class="prints">
              <thead>
                <tr>
                  <th>Print</th>
                  <th class="fig">Size</th>
                  <th class="fig">Painted</th>
                  <th class="fig">Colours</th>
                  <th class="fig">Thinnest line</th>
                </tr>
              </thead>
              <tbody>
                <template v-for="p in line.asked.placements" :key="p.id">
                  <tr>
                    <td>{{ placeName(line.places, p.place) }}</td>
                    <td class="fig">{{ length(p.widthIn, format()) }} × {{ length(p.heightIn, format()) }}</td>
                    <td class="fig">{{ p.coveragePercent }}%</td>
                    <td class="fig">{{ p.gradient ? 'gradient' : p.colours }}</td>
                    <td class="fig">{{ p.thinnestLinePt }} pt</td>
                  </tr>
                  <tr v-for="s in line.prints.filter((x) => x.placementId === p.id)" :key="s.sizes[0]" class="onsize">
                    <td colspan="5">
                      <b>{{ s.sizes.join(', ') }}</b> {{ length(s.widthIn, format()) }} ×
                      {{ length(s.heightIn, format()) }}, {{ length(s.fromSeamIn, format()) }} {{ s.where }} (about
                      {{ number(s.fingers, 1, format()) }} {{ s.fingers === 1 ? 'finger' : 'fingers' }})
                    </td>
                  </tr>
                </template>
              </tbody>
            </table>
            <p v-for="problem in order.lines.flatMap((l) => l.problems)" :key="problem.where" class="problem">
              <Sign kind="heat" /> {{ problem.sentence }} {{ problem.remedy }}
            </p>
            <details v-if="line && line.labels.length > 0" class="list">
              <summary>Neck labels, a print for each size</summary>
              <p v-for="l in line.labels" :key="l.size" class="small">
                <b>{{ l.pieces }} × {{ l.size }}</b> {{ l.lines.slice(1).join(' / ') }}
              </p>
            </details>
            <p v-for="notice in line?.notices ?? []" :key="notice" class="small">
              <Sign kind="caution" /> {{ notice }}
            </p>
            <details v-if="line?.asked.names.length" class="list">
              <summary>{{ line.asked.names.length }} names and numbers</summary>
              <p class="small">
                <a :href="`/api/orders/${order.id}/names.csv`">the list as a table, for who cuts or prints them</a>
              </p>
              <ol class="names">
                <li v-for="(n, i) in line.asked.names" :key="i">
                  <b>{{ n.size }}</b> {{ n.name }} {{ n.number }}
                </li>
              </ol>
            </details>
            <OrderDetails :order="order"><Attachments :order="order" /></OrderDetails>
          </section>
          <section aria-label="Where the prints lie">
            <div class="sides">
              <Garment
                v-for="(back, i) in sides"
                :key="String(back)"
                :kind="line?.style?.kind ?? null"
                :hex="cloth"
                :drawn="drawn"
                :back="back"
                :most="most"
                :placements="line?.asked.placements ?? []"
                :bad="bad"
                :tape="i === 0"
                measured
                class="garment"
              />
            </div>
            <p v-if="drawn && drawn.prints.length > 0" class="which small">
              <template v-if="line && line.drawn.length > 1"
                >drawn on
                <button
                  v-for="d in line.drawn"
                  :key="d.size"
                  :aria-pressed="d.size === drawn.size"
                  class="size"
                  @click="size = d.size"
                >
                  {{ d.size }}
                </button> </template
              ><a class="paper" :href="`/api/orders/${order.id}/placement.pdf`" target="_blank"
                >placement on paper, true size</a
              >
            </p>
          </section>
        </div>
        <section v-if="line && line.asked.placements.length > 0" class="arts" aria-label="Artwork">
          <ArtworkPart
            v-for="p in line.asked.placements"
            ref="arts"
            :key="p.id"
            :placement="p"
            :places="line.places"
            :line="line.asked"
            :cloth="cloth"
            :colourways="line.style?.colourways ?? []"
            :locked="order.quoteSent !== null"
            @design="(id) => describe(p.id, id)"
          />
          <p class="note quiet">
            May the shop use this artwork? Ask who owns it and write down who said so. Hepno reminds; you decide.
          </p>
        </section>
      </div>
    </template>
    <Keys
      :hints="[
        ['Enter', 'open a part, and the next thing unsaid', 'here'],
        ['Esc', 'as it was', 'here'],
        ['Ctrl V', 'sizes, a picture', 'here'],
        ['L P', 'another garment, print'],
        ['[ ]', 'another size drawn'],
        ['C', 'customer'],
        [', .', 'another order'],
        ['Z', 'take back'],
        ['?', 'all keys'],
      ]"
    />
  </div>
</template>

<style scoped>
.paper {
  display: inline-block;
  min-height: 24px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 0.85fr) minmax(0, 1.15fr);
  gap: 28px;
}
.piles {
  width: 100%;
  max-height: 190px;
}
/* beside each other they share the width by what they enclose, so that an inch is an inch on both */
.garment {
  flex-basis: 0;
  height: 100%;
  max-height: 520px;
}
.sides {
  display: flex;
  align-items: start;
  gap: 12px;
}
.which {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px;
}

.which a {
  margin-left: auto;
}
.size {
  padding: 2px 8px;
  border-bottom: 1.5px solid transparent;
}
.size[aria-pressed='true'] {
  border-bottom-color: var(--ink);
  font-weight: var(--w-strong);
}
.sides > * {
  min-width: 0;
}
.big {
  font-size: 30px;
}
.prints {
  width: 100%;
  margin-top: 12px;
}
.prints td,
.prints th {
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid var(--rule);
}
.prints td.fig {
  white-space: nowrap;
}
.onsize td {
  color: var(--ink-2);
  font-size: 13px;
  padding-left: 12px;
}
.list {
  margin-top: 10px;
}
.names {
  columns: 3 120px;
  font-size: 13px;
  padding-left: 22px;
}
.empty {
  display: grid;
  place-items: center;
}
.plain {
  height: 380px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
