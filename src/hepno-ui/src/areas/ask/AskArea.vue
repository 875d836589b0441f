<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { api, ask, seen } from '../../api/client'
import Garment from '../../kit/Garment.vue'
import Keys from '../../kit/Keys.vue'
import { length } from '../../kit/shown'
import Sign from '../../kit/Sign.vue'
import { placeWord } from '../../kit/words'
import { askBody, attempt, format, lineInHand, refresh, saveAsk, shop } from '../../shell/state'
import ArtworkPart from './ArtworkPart.vue'
import AskSentence from './AskSentence.vue'

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
const onBack = ['back', 'nape']
const sides = computed(() => {
  const all = line.value?.asked.placements ?? []
  const back = all.filter((p) => onBack.includes(p.place))
  const front = all.filter((p) => !onBack.includes(p.place))
  return [front, back].filter((side, i) => side.length > 0 || (i === 0 && back.length === 0))
})
const cloth = computed(() => line.value?.colourway?.hex ?? 'var(--calico)')
const bad = computed(() => {
  const l = line.value
  return l
    ? l.problems.map((p) => l.asked.placements[Number(/placements\[(\d+)/.exec(p.where)?.[1] ?? -1)]?.id ?? '')
    : []
})
async function keepNote(event: Event): Promise<void> {
  const o = order.value
  if (!o) return
  const note = (event.target as HTMLTextAreaElement).value || null
  if (note !== o.ask.note) await attempt(() => saveAsk(o.id, { ...askBody(o), note }, o.version))
}
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
      <AskSentence :key="order.id" />
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
                <tr v-for="p in line.asked.placements" :key="p.id">
                  <td>{{ placeWord[p.place] }}</td>
                  <td class="fig">{{ length(p.widthIn, format()) }} × {{ length(p.heightIn, format()) }}</td>
                  <td class="fig">{{ p.coveragePercent }}%</td>
                  <td class="fig">{{ p.gradient ? 'gradient' : p.colours }}</td>
                  <td class="fig">{{ p.thinnestLinePt }} pt</td>
                </tr>
              </tbody>
            </table>
            <p v-for="problem in order.lines.flatMap((l) => l.problems)" :key="problem.where" class="problem">
              <Sign kind="heat" /> {{ problem.sentence }} {{ problem.remedy }}
            </p>
            <label class="field" style="margin-top: 12px"
              >Anything else<textarea rows="3" :value="order.ask.note ?? ''" maxlength="2000" @change="keepNote" />
            </label>
          </section>
          <section aria-label="Where the prints lie" class="sides">
            <Garment
              v-for="(side, i) in sides"
              :key="i"
              :kind="line?.style?.kind ?? null"
              :hex="cloth"
              :placements="side"
              :bad="bad"
              tape
              class="garment"
            />
          </section>
        </div>
        <section v-if="line && line.asked.placements.length > 0" class="arts" aria-label="Artwork">
          <ArtworkPart
            v-for="p in line.asked.placements"
            ref="arts"
            :key="p.id"
            :placement="p"
            :line="line.asked"
            :cloth="cloth"
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
        ['Enter', 'open a part, and the next thing unsaid'],
        ['Esc', 'as it was'],
        ['Ctrl V', 'sizes from a spreadsheet, a picture'],
        ['Z', 'take back'],
        ['?', 'all keys'],
      ]"
    />
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 0.9fr);
  gap: 28px;
}
.piles {
  width: 100%;
  max-height: 190px;
}
.garment {
  width: 100%;
  height: 100%;
  max-height: 520px;
}
.sides {
  display: flex;
  align-items: start;
  gap: 12px;
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
