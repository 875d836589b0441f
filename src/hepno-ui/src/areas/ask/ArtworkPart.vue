<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { makeId, type Schemas } from '../../api/client'
import { length, number } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { placeName } from '../../words/words'
import { onChange } from '../../state/live'
import { attempt, format, reading, refresh, shop } from '../../state/state'
import ColourwayTrial from './ColourwayTrial.vue'
import DesignMemory from './DesignMemory.vue'
import InkMeasured from './InkMeasured.vue'
import RightsPart from './RightsPart.vue'
import {
  type Design,
  kinds,
  knockOut,
  lookAt,
  type Looked,
  makeCode,
  saveRights,
  sendPicture,
  stopPicture,
} from './artwork'

/** One print's picture on the cloth it is for: what would spoil it, marked where it is; and whose it is. */
const props = defineProps<{
  placement: Schemas['PlacementBody']
  places: Schemas['PlaceView'][]
  line: { styleId: string | null; colourwayId: string | null }
  cloth: string
  colourways: Schemas['Colourway'][]
  locked: boolean
}>()
const emit = defineEmits<{ design: [id: string | null] }>()
const design = ref<Design | null>(null)
const looked = ref<Looked | null>(null)
const busy = ref('')
const over = ref(false)
/** Share of the measuring that is done. */
const done = ref(0)
let reads = 0

async function load(): Promise<void> {
  const id = props.placement.designId
  if (!id) {
    design.value = looked.value = null
    return
  }
  const asked = ++reads
  await reading(async () => {
    const got = await lookAt(id, props.placement.widthIn, props.line.styleId, props.line.colourwayId)
    // an older answer that comes late must not bring back what was there before
    if (id !== props.placement.designId) return
    if (design.value?.id !== id || got.design.version >= design.value.version) design.value = got.design
    if (asked === reads) looked.value = got.looked
  })
}
watch(
  () => [props.placement.designId, props.placement.widthIn, props.line.styleId, props.line.colourwayId],
  () => void load(),
  { immediate: true },
)
let stop = () => {}
onMounted(() => (stop = onChange((kind, id) => void (kind === 'artwork' && id === props.placement.designId && load()))))
onUnmounted(() => stop())

/** The artwork whose picture is being measured; empty when none is. */
const measuring = ref('')
async function take(file: File | undefined): Promise<void> {
  if (!file || props.locked) return
  done.value = 0
  busy.value = `Looking at ${file.name}...`
  measuring.value = design.value?.id ?? makeId()
  await attempt(async () => {
    const d = await sendPicture(
      measuring.value,
      file,
      props.placement.widthIn,
      design.value ?? undefined,
      (share) => (done.value = share),
    )
    if (d.id === props.placement.designId) await Promise.all([load(), refresh()])
    else emit('design', d.id)
  })
  measuring.value = ''
  busy.value = ''
}
function drop(event: DragEvent): void {
  over.value = false
  void take(event.dataTransfer?.files[0])
}
const link = ref('')
/** A square code of a link instead of a picture. */
async function code(): Promise<void> {
  const text = link.value.trim()
  if (!text) return
  await attempt(async () => {
    const made = await makeCode(text)
    emit('design', made.design.id)
    shop.said = made.sentence
    link.value = ''
  })
}
async function mend(): Promise<void> {
  const d = design.value
  if (!d) return
  busy.value = 'Knocking the ground out...'
  await attempt(async () => {
    await knockOut(d)
    await Promise.all([load(), refresh()])
  }, 'The ground is clear now. Z takes it back; the file as it came is kept.')
  busy.value = ''
}
// typed fast, one field is saved after the other: each from the version the one before made
let saved: Promise<unknown> = Promise.resolve()
function say(part: Partial<Design['rights']>): void {
  saved = saved.then(async () => {
    const d = design.value
    if (!d) return
    const saidOn = d.rights.saidOn ?? shop.line?.today ?? null
    await attempt(async () => {
      await saveRights(d, { ...d.rights, saidOn, ...part })
      await load()
    }, 'Written down.')
  })
}
function next(nextTime: string): void {
  saved = saved.then(async () => {
    const d = design.value
    if (!d || nextTime === d.nextTime) return
    await attempt(async () => {
      await saveRights(d, d.rights, nextTime)
      await load()
    }, 'Written down for next time.')
  })
}
const marks = computed(() =>
  (looked.value?.faults ?? []).flatMap((fault, n) => fault.marks.map((box) => ({ box, n: n + 1, kind: fault.kind }))),
)
const facts = computed(() => {
  const [d, l, f] = [design.value, looked.value, format()]
  if (!d || !l) return []
  return [
    `${number(f.metric ? props.placement.widthIn * 2.54 : props.placement.widthIn, 2, f)} × ${length(l.heightIn, f)}`,
    d.kind === 'svg' ? 'drawn in lines' : `${number(l.dpi, 0, f)} pixels an inch`,
    `${number(d.coveragePercent, 1, f)}% painted`,
    l.thinnestLinePt === null ? 'no thin line' : `thinnest line ${number(l.thinnestLinePt, 2, f)} pt`,
    l.thinnestGapPt === null ? 'no thin gap' : `thinnest gap ${number(l.thinnestGapPt, 2, f)} pt`,
  ]
})
/** Small amounts of ink, to the hundredth. */
const ml = (amount: number) => number(amount, 2, format())
/** Another ground than the cloth, as long as it is looked at; and the picture as large as the page. */
const ground = ref('')
const large = ref(false)
const spots = computed(() => (design.value?.colours.spots ?? []).filter((s) => !s.stray).slice(0, 12))
const edge = computed(() => Math.max(design.value?.widthPx ?? 1, design.value?.heightPx ?? 1) / 150)
defineExpose({ take })
</script>

<template>
  <section class="art" :aria-label="`Artwork, ${placeName(places, placement.place).toLowerCase()}`">
    <div
      class="sheet"
      :class="{ over, none: !design, large, checked: ground === 'checked', dye: ground.startsWith('dye') }"
      :style="{ backgroundColor: design && ground !== 'checked' ? ground.replace('dye ', '') || cloth : undefined }"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="drop"
    >
      <svg v-if="design" :viewBox="`0 0 ${design.widthPx} ${design.heightPx}`" role="img" :aria-label="design.name">
        <image
          :href="`/api/artwork/${design.id}/picture.png?side=${large ? 2000 : 800}&print=${design.print.slice(0, 12)}`"
          :width="design.widthPx"
          :height="design.heightPx"
        />
        <g v-for="(m, i) in marks" :key="i" :class="m.kind" class="mark">
          <rect
            :x="m.box.left - edge"
            :y="m.box.top - edge"
            :width="m.box.width + 2 * edge"
            :height="m.box.height + 2 * edge"
            fill="none"
            :stroke-width="edge"
          />
          <circle :cx="m.box.left - edge" :cy="m.box.top - edge" :r="edge * 6" />
          <text :x="m.box.left - edge" :y="m.box.top + edge * 1.6" :font-size="edge * 8" text-anchor="middle">
            {{ m.n }}
          </text>
        </g>
      </svg>
      <p v-if="design?.halved" class="small quiet">
        Measured at half its pixels each way: it has more than 40 million, and at print size they tell nothing more.
      </p>
      <button v-if="design" class="zoom" :aria-pressed="large" @click="large = !large">
        {{ large ? 'smaller' : 'larger' }}
      </button>
      <p v-if="busy" role="status" class="busy">
        {{ busy }} <progress v-if="done > 0" :value="done" max="1"></progress>
        <button v-if="measuring" class="plain-button" @click="stopPicture(measuring)">Stop</button>
      </p>
      <label v-else-if="!locked" class="choose" :class="{ small: design }"
        >{{
          design
            ? 'another picture'
            : `picture for the ${placeName(places, placement.place).toLowerCase()}? drop, paste or choose a PNG, JPEG or SVG`
        }}<input type="file" class="sr" :accept="kinds" @change="take(($event.target as HTMLInputElement).files?.[0])"
      /></label>
    </div>
    <form v-if="!design && !locked" class="link" @submit.prevent="code">
      <label class="field">or a link, as a square code<input v-model="link" maxlength="300" inputmode="url" /></label>
      <button class="plain-button" :disabled="link.trim() === ''">Make the code</button>
    </form>
    <div v-if="design && looked">
      <p class="name">
        <b>{{ design.name }}</b>
        <span class="small quiet">{{ facts.join(', ') }}</span>
      </p>
      <p class="small inks">
        <span v-if="design.colours.looksGradient">gradients or a photograph</span>
        <template v-else>
          <i v-for="s in spots" :key="s.hex" :style="{ background: s.hex }" :title="s.hex"></i>
          {{ spots.length === 1 ? 'one colour' : `${spots.length} colours` }}
        </template>
      </p>
      <p v-if="design.code" class="small code">
        The code in it reads <b>{{ design.code }}</b>. Read it aloud to them.
        <template v-for="r in looked.codeReads" :key="r.way"
          ><Sign :kind="r.reads ? 'go' : 'no'" /> {{ r.way }} {{ r.reads ? 'still reads' : 'blurs it'
          }}{{ ' ' }}</template
        >
      </p>
      <ol class="faults">
        <li v-for="(fault, n) in looked.faults" :key="fault.code" :class="fault.kind">
          <b class="no">{{ n + 1 }}</b> <Sign :kind="fault.kind === 'bad' ? 'heat' : 'caution'" /> {{ fault.sentence }}.
          <span class="go">{{ fault.remedy }}</span>
          <button v-if="fault.code === 'ground' && !locked" class="plain-button" @click="mend">Knock it out</button>
        </li>
        <li v-if="looked.faults.length === 0"><Sign kind="go" /> nothing in it would spoil the print</li>
      </ol>
      <p v-if="looked.ink" class="small quiet">
        Ink of one print on {{ looked.printer }}: cyan {{ ml(looked.ink.cyan) }}, magenta {{ ml(looked.ink.magenta) }},
        yellow {{ ml(looked.ink.yellow) }}, black {{ ml(looked.ink.black) }}, white {{ ml(looked.ink.white) }} ml.
      </p>
      <InkMeasured
        v-if="looked.ink"
        :design="design"
        :width-in="placement.widthIn"
        :printer="looked.printer"
        @measured="load"
      />
      <RightsPart :rights="design.rights" @change="say" />
      <DesignMemory :design="design" @next="next" />
      <button v-if="!locked" class="plain-button" @click="emit('design', null)">Without a picture</button>
    </div>
    <ColourwayTrial
      v-if="design && colourways.length > 0"
      :design="design"
      :colourways="colourways"
      :ground="ground"
      @ground="(g) => (ground = g)"
    />
  </section>
</template>

<style scoped>
.art {
  display: grid;
  grid-template-columns: minmax(160px, 260px) minmax(0, 1fr);
  gap: 16px;
  padding: 10px 0;
  border-top: 1px solid var(--rule);
}
.sheet {
  position: relative;
  align-self: start;
  border: 1.5px solid var(--ink);
  min-height: 96px;
}
.sheet.none {
  border: 1.5px dashed var(--ink-2);
  grid-column: 1 / -1;
  min-height: 44px;
}
.sheet.over {
  outline: 3px solid var(--go);
}
.sheet.large {
  grid-column: 1 / -1;
}
.sheet.large svg {
  max-height: 80vh;
}
.sheet.checked {
  background: repeating-conic-gradient(var(--rule) 0 25%, var(--bleach) 0 50%) 0 0 / 16px 16px;
}
.sheet.dye image {
  mix-blend-mode: multiply;
}
.zoom {
  position: absolute;
  top: 0;
  right: 0;
  font-size: 13px;
  padding: 3px 10px;
  background: var(--cotton);
  border: 1px solid var(--ink);
}
.sheet svg {
  display: block;
  width: 100%;
  max-height: 300px;
  padding: 8px;
}
.choose {
  display: block;
  padding: 10px 12px;
  cursor: pointer;
  color: var(--ink-2);
}
.choose.small {
  background: var(--cotton);
  color: var(--ink);
  border-top: 1px solid var(--ink);
  padding: 6px 10px;
  font-size: 13px;
}
.choose:focus-within {
  outline: 3px solid var(--focus, currentcolor);
}
.busy {
  padding: 10px 12px;
  background: var(--cotton);
}
.mark rect {
  stroke: var(--caution);
}
.mark circle {
  fill: var(--caution);
}
.mark.bad rect {
  stroke: var(--heat);
}
.mark.bad circle {
  fill: var(--heat);
}
.mark text {
  fill: var(--ink);
  font-weight: 680;
}
.mark.bad text {
  fill: var(--bleach);
}
.link {
  grid-column: 1 / -1;
  display: flex;
  gap: 12px;
  align-items: end;
}
.link label {
  flex: 1;
  max-width: 420px;
}
.code b {
  overflow-wrap: anywhere;
}
.name span {
  margin-left: 8px;
}
.inks {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 4px 0;
}
.inks i {
  width: 18px;
  height: 18px;
  border: 1px solid var(--ink);
}
.faults {
  list-style: none;
  padding: 4px 0;
  margin: 0;
}
.faults li {
  padding: 3px 0;
}
.no {
  display: inline-block;
  min-width: 1em;
}
</style>
