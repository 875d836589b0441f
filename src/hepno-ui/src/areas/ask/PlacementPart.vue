<script setup lang="ts">
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { makeId, type Schemas } from '../../api/client'
import NumberInput from '../../kit/NumberInput.vue'
import { number } from '../../words/shown'
import { finishWord, ownWord, placeName } from '../../words/words'
import { format } from '../../state/state'

/** One decoration of the sentence, described by numbers. */
type Body = Schemas['PlacementBody']
/** Beneath: prints of the line that this one may be laid over. */
const props = defineProps<{
  placement: Body | null
  taken: string[]
  places: Schemas['PlaceView'][]
  beneath: Body[]
  /** Keeps the print; says whether it is kept. */
  onCommit: (placement: Body) => Promise<boolean>
}>()
const emit = defineEmits<{ remove: [] }>()
const open = ref(false)
const first = ref<HTMLSelectElement>()
const button = ref<HTMLButtonElement>()
const offered = computed(() => props.places.filter((p) => p.offered))
const fresh = (): Body => ({
  id: makeId(),
  place: offered.value.find((p) => !props.taken.includes(p.id))?.id ?? props.beneath.at(-1)?.place ?? 'front',
  widthIn: 10,
  heightIn: 10,
  coveragePercent: 60,
  colours: 1,
  gradient: false,
  thinnestLinePt: 5,
  designId: null,
  bySize: false,
  own: 'none',
  cuts: null,
  stitches: null,
  finish: 'plain',
  // where every place has its print, another lies on one of them
  onTopOf: offered.value.every((p) => props.taken.includes(p.id)) ? (props.beneath.at(-1)?.id ?? null) : null,
})
const draft = reactive<Body>(fresh())
/** What the print may be moved to, and where it is. */
const choice = computed(() => props.places.filter((p) => p.offered || p.id === draft.place))
const unit = () => (format().metric ? 2.54 : 1)

function begin(): void {
  Object.assign(draft, props.placement ?? fresh())
  if (!props.placement) customary()
  draft.widthIn = Number((draft.widthIn * unit()).toFixed(3))
  draft.heightIn = Number((draft.heightIn * unit()).toFixed(3))
  open.value = true
  void nextTick(() => first.value?.focus())
}
/** The customary size of the place, on sizes as large as each takes. */
function customary(): void {
  const place = props.places.find((p) => p.id === draft.place)
  if (!place) return
  draft.widthIn = place.widestIn
  draft.heightIn = place.heightIn
  draft.bySize = place.widestIn > place.widthIn
}
// another place of a new print takes that place's customary size
watch(
  () => draft.place,
  () => {
    if (!open.value || props.placement) return
    customary()
    draft.widthIn = Number((draft.widthIn * unit()).toFixed(3))
    draft.heightIn = Number((draft.heightIn * unit()).toFixed(3))
  },
)
// what lies on a print is at its place, and no larger until it is said
watch(
  () => draft.onTopOf,
  (id) => {
    const under = props.beneath.find((p) => p.id === id)
    if (!open.value || !under) return
    draft.place = under.place
    if (props.placement) return
    void nextTick(() => {
      draft.widthIn = Number((under.widthIn * unit()).toFixed(3))
      draft.heightIn = Number((under.heightIn * unit()).toFixed(3))
      draft.bySize = under.bySize
    })
  },
)
/** Enter in a list keeps the print as Enter in a field does: what is no number is said first. */
const submit = (e: Event) => (e.target as HTMLSelectElement).form?.requestSubmit()
async function commit(): Promise<void> {
  open.value = false
  void nextTick(() => button.value?.focus())
  const typed = { ...draft, widthIn: draft.widthIn / unit(), heightIn: draft.heightIn / unit() }
  // what was refused stays open as it was typed
  if (!(await props.onCommit(typed))) open.value = true
}
function restore(): void {
  open.value = false
  void nextTick(() => button.value?.focus())
}
const said = (p: Body) => {
  const f = format()
  if (p.place === 'all-over')
    return `${placeName(props.places, p.place)}, ${p.gradient ? 'full colour' : `${p.colours} colours`}`
  const size = `${number(p.widthIn * unit(), 2, f)} × ${number(p.heightIn * unit(), 2, f)} ${f.metric ? 'cm' : 'in'}`
  const own = p.own === 'none' ? '' : `, ${ownWord[p.own]}`
  const finish = p.finish === 'plain' ? '' : `, ${finishWord[p.finish]}`
  const counted = p.colours === 1 ? 'one colour' : `${p.colours} colours`
  return `${placeName(props.places, p.place)} ${p.bySize ? 'up to ' : ''}${size}, ${p.gradient ? 'full colour' : counted}${own}${finish}${p.onTopOf ? ', on top of it' : ''}`
}
defineExpose({ begin })
</script>

<template>
  <button v-if="!open" ref="button" class="part" :class="{ unsaid: !placement }" @mousedown.prevent @click="begin">
    {{ placement ? said(placement) : taken.length > 0 ? 'another print?' : 'printed where?' }}
  </button>
  <form v-else class="panel" @submit.prevent="commit" @keydown.esc.stop="restore">
    <label class="field"
      >Where<select
        ref="first"
        v-model="draft.place"
        aria-label="Where"
        :disabled="!!draft.onTopOf"
        @keydown.enter.prevent="submit"
      >
        <option v-for="p in choice" :key="p.id" :value="p.id" :disabled="taken.includes(p.id)">{{ p.name }}</option>
      </select></label
    >
    <label v-if="beneath.length > 0" class="field"
      >Lies on<select v-model="draft.onTopOf" aria-label="Lies on" @keydown.enter.prevent="submit">
        <option :value="null">the cloth</option>
        <option v-for="u in beneath" :key="u.id" :value="u.id">{{ said(u) }}</option>
      </select></label
    >
    <label class="field"
      >On the pieces<select v-model="draft.own" aria-label="On the pieces" @keydown.enter.prevent="submit">
        <option v-for="(word, id) in ownWord" :key="id" :value="id">{{ word }}</option>
      </select></label
    >
    <label v-if="draft.place !== 'all-over'" class="field"
      >Width, {{ format().metric ? 'cm' : 'in' }}<NumberInput v-model="draft.widthIn"
    /></label>
    <label v-if="draft.designId === null && draft.place !== 'all-over'" class="field"
      >Height<NumberInput v-model="draft.heightIn"
    /></label>
    <template v-if="draft.designId === null"
      ><label class="field">Painted, %<NumberInput v-model="draft.coveragePercent" /></label>
      <label class="field">Colours<NumberInput v-model="draft.colours" /></label>
      <label class="field">Thinnest line, pt<NumberInput v-model="draft.thinnestLinePt" /></label>
      <label class="check"><input v-model="draft.gradient" type="checkbox" /> gradients</label></template
    ><span v-else class="small quiet">the rest is measured on its picture</span>
    <label class="field"
      >Stitches, if its file is there<input
        :value="draft.stitches ?? ''"
        type="number"
        step="1"
        @input="(e) => (draft.stitches = Number((e.target as HTMLInputElement).value) || null)"
    /></label>
    <label class="field"
      >Finish<select v-model="draft.finish">
        <option v-for="(word, finish) in finishWord" :key="finish" :value="finish">{{ word }}</option>
      </select></label
    >
    <label class="check"><input v-model="draft.bySize" type="checkbox" /> smaller on smaller sizes</label>
    <button class="plain-button" type="submit">Keep</button>
    <button v-if="placement" class="plain-button" type="button" @click="((open = false), emit('remove'))">
      Remove
    </button>
  </form>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.panel {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  background: var(--bleach);
  border: 1.5px solid var(--ink);
  padding: 8px 10px;
  font-size: 15px;
  width: 100%;
}
.panel input[type='number'] {
  width: 84px;
}
.check {
  font-size: 13px;
  padding-bottom: 8px;
}
</style>
