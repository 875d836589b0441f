<script setup lang="ts">
import { nextTick, reactive, ref } from 'vue'
import { makeId, type Schemas } from '../../api/client'
import { number } from '../../kit/shown'
import { placeWord } from '../../kit/words'
import { format } from '../../shell/state'

/** One decoration of the sentence, described by numbers. */
type Body = Schemas['PlacementBody']
const props = defineProps<{ placement: Body | null; taken: string[] }>()
const emit = defineEmits<{ commit: [placement: Body]; remove: [] }>()
const open = ref(false)
const first = ref<HTMLSelectElement>()
const button = ref<HTMLButtonElement>()
const draft = reactive<Body>({
  id: '',
  place: 'front',
  widthIn: 10,
  heightIn: 10,
  coveragePercent: 60,
  colours: 1,
  gradient: false,
  thinnestLinePt: 5,
  designId: null,
})
const unit = () => (format().metric ? 2.54 : 1)

function begin(): void {
  Object.assign(
    draft,
    props.placement ?? {
      id: makeId(),
      place: Object.keys(placeWord).find((p) => !props.taken.includes(p)),
      widthIn: 10,
      heightIn: 10,
      coveragePercent: 60,
      colours: 1,
      gradient: false,
      thinnestLinePt: 5,
      designId: null,
    },
  )
  draft.widthIn = Number((draft.widthIn * unit()).toFixed(3))
  draft.heightIn = Number((draft.heightIn * unit()).toFixed(3))
  open.value = true
  void nextTick(() => first.value?.focus())
}
function commit(): void {
  open.value = false
  emit('commit', { ...draft, widthIn: draft.widthIn / unit(), heightIn: draft.heightIn / unit() })
  void nextTick(() => button.value?.focus())
}
function restore(): void {
  open.value = false
  void nextTick(() => button.value?.focus())
}
const said = (p: Body) => {
  const f = format()
  const size = `${number(p.widthIn * unit(), 2, f)} × ${number(p.heightIn * unit(), 2, f)} ${f.metric ? 'cm' : 'in'}`
  return `${placeWord[p.place]} ${size}, ${p.gradient ? 'full colour' : p.colours === 1 ? 'one colour' : `${p.colours} colours`}`
}
defineExpose({ begin })
</script>

<template>
  <button v-if="!open" ref="button" class="part" :class="{ unsaid: !placement }" @mousedown.prevent @click="begin">
    {{ placement ? said(placement) : taken.length > 0 ? 'another print?' : 'printed where?' }}
  </button>
  <form v-else class="panel" @submit.prevent="commit" @keydown.esc.stop="restore">
    <label class="field"
      >Where<select ref="first" v-model="draft.place" aria-label="Where">
        <option v-for="(word, id) in placeWord" :key="id" :value="id" :disabled="taken.includes(String(id))">
          {{ word }}
        </option>
      </select></label
    >
    <label class="field"
      >Width, {{ format().metric ? 'cm' : 'in' }}<input v-model.number="draft.widthIn" type="number" step="any"
    /></label>
    <label v-if="draft.designId === null" class="field"
      >Height<input v-model.number="draft.heightIn" type="number" step="any"
    /></label>
    <template v-if="draft.designId === null"
      ><label class="field">Painted, %<input v-model.number="draft.coveragePercent" type="number" step="any" /></label>
      <label class="field">Colours<input v-model.number="draft.colours" type="number" step="any" /></label>
      <label class="field"
        >Thinnest line, pt<input v-model.number="draft.thinnestLinePt" type="number" step="any"
      /></label>
      <label class="check"><input v-model="draft.gradient" type="checkbox" /> gradients</label></template
    ><span v-else class="small quiet">the rest is measured on its picture</span>
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
