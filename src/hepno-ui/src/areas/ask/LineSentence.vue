<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { readNumber, unread, writeNumber } from '../../words/numbers'
import { day, money } from '../../words/shown'
import { kindWord } from '../../words/words'
import { draftOf, dropDraft, keepDraft } from '../../kit/drafts'
import { attempt, format, shop } from '../../state/state'
import EditPart from './EditPart.vue'
import NamesPart from './NamesPart.vue'
import PlacementPart from './PlacementPart.vue'

/** One line of the ask as a sentence: how many of which garment, printed where, at most for how much. */
type Line = Schemas['AskLine']
const props = defineProps<{
  line: Line
  said: Schemas['OrderLineView']
  /** Garments on the Shelf; null while they are read. */
  styles: Schemas['Style'][] | null
  /** On Compare only one print may be offered at a time. */
  short?: boolean
  /** One of several lines: each may have a day of its own. */
  several?: boolean
  /** Keeps a part of the line; says whether it is kept. */
  change: (part: Partial<Schemas['LineBody']>) => Promise<boolean>
}>()
/** How many, as said before there is a garment that says which sizes there are. */
const early = computed(() => `sizes ${props.line.id}`)
const sizeText = ref('')
watch(early, (of) => (sizeText.value = draftOf<string>(of) ?? ''), { immediate: true })

const style = ref<InstanceType<typeof EditPart>>()
const colour = ref<InstanceType<typeof EditPart>>()
const sizes = ref<InstanceType<typeof EditPart>>()
const mark = ref<InstanceType<typeof EditPart>>()
const extra = ref<InstanceType<typeof PlacementPart>>()
const names = ref<InstanceType<typeof NamesPart>>()

/** As many as the server keeps. */
const mostPlacements = 6
const run = computed(() => props.line.sizes.map((s) => `${s.size} ${s.pieces}`).join(', '))
const taken = computed(() => props.line.placements.filter((p) => !p.onTopOf).map((p) => p.place))
/** Prints that one may be laid over: those before it. */
const beneath = (before: number) =>
  props.line.placements.slice(0, before).filter((p) => props.said.places.find((x) => x.id === p.place)?.takesLayers)
const colours = computed(() =>
  ((props.styles ?? []).find((s) => s.id === props.line.styleId)?.colourways ?? []).map((c) => ({
    value: c.id,
    label: c.name,
  })),
)

const own = computed(() => props.line.placements.some((p) => p.own !== 'none'))

// a print that is each piece's own wants its list next
watch(own, (is) => {
  if (is && !props.line.names?.length) void nextTick(() => names.value?.begin())
})

/** Parts not yet said, in the order they are asked for. */
function unsaid(): { begin: () => void }[] {
  const parts: [boolean, { begin: () => void } | undefined][] = [
    [props.line.styleId === null, style.value],
    [props.line.colourwayId === null, colour.value],
    // where each piece has its own name the list brings the sizes
    [props.line.sizes.length === 0 && !own.value, sizes.value],
    [props.line.placements.length === 0, extra.value],
    [own.value && !props.line.names?.length, names.value],
    [props.line.mark === null, mark.value],
  ]
  return parts.flatMap(([open, part]) => (open && part ? [part] : []))
}
/** The mark may stay unsaid: it is asked for last. */
const open = (withMark: boolean) => unsaid().find((p) => withMark || p !== mark.value)
defineExpose({ open, another: () => extra.value?.begin() })

async function setSizes(text: string): Promise<boolean> {
  const [styleId, of] = [props.line.styleId, early.value]
  if (!styleId) {
    sizeText.value = text
    keepDraft(of, text)
    return true
  }
  let kept = false
  await attempt(async () => {
    const read = await ask(api.POST('/api/compute/size-run', { body: { styleId, text } }))
    kept = await props.change({ sizes: read.sizes })
  })
  if (!kept) return false
  dropDraft(of)
  sizeText.value = ''
  return true
}
// with a garment the sizes are known: what was said of them before is read now
watch(
  () => props.line.styleId,
  (id) => void (id && sizeText.value && setSizes(sizeText.value)),
)
async function setMark(text: string): Promise<boolean> {
  const typed = text.replace(format().sign, '').trim()
  const mark = typed === '' ? null : readNumber(typed)
  if (typed !== '' && mark === null) {
    shop.problems = [{ code: 'number', where: 'mark', sentence: `At most: ${unread(typed)}`, remedy: '' }]
    return false
  }
  return props.change({ mark })
}
function keepPlacement(p: Schemas['PlacementBody']): Promise<boolean> {
  const rest = props.line.placements.map(({ areaIn2: _, ...body }) => body)
  const at = rest.findIndex((r) => r.id === p.id)
  // what lies on it, and on that, goes with it to another place: layers stand after what they lie on
  const along = new Set([p.id])
  const moved = rest.map((r) => {
    if (r.id === p.id) return p
    if (!r.onTopOf || !along.has(r.onTopOf)) return r
    along.add(r.id)
    return { ...r, place: p.place }
  })
  return props.change({ placements: at < 0 ? [...rest, p] : moved })
}
function removePlacement(id: string): Promise<boolean> {
  const gone = props.line.placements.find((p) => p.id === id)
  const rest = props.line.placements.filter((p) => p.id !== id).map(({ areaIn2: _, ...body }) => body)
  // what lay on it lies on what it lay on
  return props.change({
    placements: rest.map((p) => (p.onTopOf === id ? { ...p, onTopOf: gone?.onTopOf ?? null } : p)),
  })
}
</script>

<template>
  <span>
    <EditPart
      ref="sizes"
      :label="line.styleId ? 'how many of each size?' : 'how many?'"
      :text="run ? `${line.pieces}` : sizeText"
      :value="sizeText || run"
      width="16em"
      @commit="setSizes"
    /><span v-if="line.given > 0" class="small"> ({{ line.given }} of them given)</span>{{ ' ' }}
    <RouterLink v-if="styles?.length === 0" to="/shelf" class="part unsaid"
      >no garment on the Shelf yet: add one</RouterLink
    ><EditPart
      v-else
      ref="style"
      label="which garment?"
      :text="said.garment"
      :value="line.styleId ?? ''"
      :options="(styles ?? []).map((s) => ({ value: s.id, label: `${s.name}, ${kindWord[s.kind]?.toLowerCase()}` }))"
      @commit="(v) => change({ styleId: v, colourwayId: null })"
    />
    <template v-if="line.styleId"
      >,
      <EditPart
        ref="colour"
        label="which colour?"
        :text="said.colourway?.name.toLowerCase() ?? ''"
        :value="line.colourwayId ?? ''"
        :options="colours"
        @commit="(v) => change({ colourwayId: v })" /></template
    ><template v-if="line.styleId && !short"
      >,
      <EditPart
        label="bought, or their own?"
        :text="line.theirs ? 'their own, like it' : 'bought by us'"
        :value="line.theirs ? 'theirs' : 'ours'"
        :options="[
          { value: 'ours', label: 'bought by us' },
          { value: 'theirs', label: 'their own, like it' },
        ]"
        @commit="(v) => change({ theirs: v === 'theirs' })" /></template
    >.
    <template v-for="(p, i) in line.placements" :key="p.id"
      ><template v-if="i > 0">; </template
      ><PlacementPart
        :placement="p"
        :taken="p.onTopOf ? taken : taken.filter((t) => t !== p.place)"
        :places="said.places"
        :beneath="beneath(i)"
        @commit="keepPlacement"
        @remove="removePlacement(p.id)" /></template
    ><template v-if="line.placements.length < mostPlacements && !(short && line.placements.length > 0)"
      >{{ ' '
      }}<PlacementPart
        ref="extra"
        :placement="null"
        :taken="taken"
        :places="said.places"
        :beneath="beneath(line.placements.length)"
        @commit="keepPlacement" /></template
    ><template v-if="(own || line.names?.length) && !short"
      >{{ ' ' }}with
      <NamesPart ref="names" :line="line" @commit="(part) => change(part)" @clear="change({ names: null })" /></template
    >, at
    <EditPart
      ref="mark"
      label="the most they would pay?"
      :text="line.mark === null ? '' : money(line.mark, format())"
      :value="line.mark === null ? '' : writeNumber(line.mark)"
      width="5em"
      @commit="setMark"
    />
    or less<template v-if="several && !short"
      >,
      <EditPart
        label="this line on another day?"
        :text="line.dueDate ? `wanted ${day(line.dueDate, format())}` : 'the same day'"
        :value="line.dueDate ?? ''"
        type="date"
        @commit="(v) => change({ dueDate: v || null })" /></template
    >.
  </span>
</template>
