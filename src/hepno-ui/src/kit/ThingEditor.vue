<script setup lang="ts" generic="T extends object">
import { computed, nextTick, ref, watch } from 'vue'
import { marks } from '../words/numbers'
import { link } from '../sending/link'
import { draftOf, dropDraft, keepDraft } from './drafts'
import type { Field } from './fields'

/**
 * A plain editable thing: labelled fields, saved together, restored by Esc. What was typed stays after a refusal, and when the board is left.
 * It is saved as changed from the version it was typed on, even when another device's change arrives meanwhile.
 */
const props = defineProps<{
  value: T
  version: number
  fields: Field<T>[]
  save: (value: T, version: number) => Promise<boolean>
  title: string
  /** It may be saved with nothing changed: its starting values are an answer. */
  asItStands?: boolean
}>()
interface Draft {
  text: string
  version: number
  drafts: string[]
}
let base = { text: '', version: 0 }
const drafts = ref<string[]>([])
const wrong = ref('')
const dirty = ref(false)
const saved = ref(false)
/** A new thing has an id of its own each time it is begun: its draft goes by what is added. */
const name = computed(() =>
  props.version > 0 && 'id' in props.value ? `${props.title} ${String(props.value.id)}` : props.title,
)
function restore(): void {
  base = { text: JSON.stringify(props.value), version: props.version }
  drafts.value = props.fields.map((field) => field.get(props.value))
  dirty.value = false
  wrong.value = ''
}
function begin(): void {
  restore()
  const left = draftOf<Draft>(name.value)
  if (left?.drafts.length !== props.fields.length) return
  base = { text: left.text, version: left.version }
  drafts.value = left.drafts
  dirty.value = true
}
begin()
watch(
  () => JSON.stringify([props.value, props.version, marks.decimal]),
  () => {
    if (!dirty.value) restore()
  },
)
function typed(): void {
  dirty.value = true
  saved.value = false
  keepDraft(name.value, { ...base, drafts: drafts.value } satisfies Draft)
}
function throwAway(): void {
  dropDraft(name.value)
  restore()
}

/** What was typed while a save was on its way is a change of what that save made, not of what stood before it. */
async function goOn(sent: string[]): Promise<void> {
  await nextTick()
  if (props.version === base.version) return
  base = { text: JSON.stringify(props.value), version: props.version }
  drafts.value = props.fields.map((field, i) => {
    const draft = drafts.value[i] ?? ''
    return draft === sent[i] ? field.get(props.value) : draft
  })
  keepDraft(name.value, { ...base, drafts: drafts.value } satisfies Draft)
}

/** Nothing to save. The button stays where the focus is: a disabled one would lose it. */
const idle = computed(() => !dirty.value && props.version > 0 && !props.asItStands)
let sending = false
let again = false
/** One save after another: the next begins from what the last one made. While nothing answers each is kept on the device at once. */
async function commit(): Promise<void> {
  again = sending && !link.lostAt
  if (again || idle.value) return
  sending = true
  try {
    await commitOnce()
  } finally {
    sending = false
  }
  if (again) await commit()
}
watch(
  () => link.lostAt,
  () => void (again && commit()),
)
async function commitOnce(): Promise<void> {
  const copy = JSON.parse(base.text) as T
  for (const [i, field] of props.fields.entries()) {
    const draft = drafts.value[i] ?? ''
    // what is chosen stands as it is: a blank may part thousands
    const problem = field.set(copy, field.options ? draft : draft.trim())
    if (problem) {
      wrong.value = `${field.label}: ${problem}`
      return
    }
  }
  wrong.value = ''
  const sent = [...drafts.value]
  const of = name.value
  if (!(await props.save(copy, base.version))) return
  if (drafts.value.some((draft, i) => draft !== sent[i])) return goOn(sent)
  dropDraft(of)
  restore()
  saved.value = true
}
</script>

<template>
  <form class="thing" :aria-label="title" @submit.prevent="commit" @input="typed" @keydown.esc.stop="throwAway">
    <label
      v-for="(field, i) in fields"
      :key="field.label"
      class="field"
      :class="{ wide: field.wide, broad: field.broad }"
      :title="field.help || undefined"
    >
      {{ field.label }}
      <select v-if="field.options" v-model="drafts[i]">
        <option v-for="o in field.options" :key="o.value" :value="o.value">{{ o.label }}</option>
      </select>
      <textarea v-else-if="field.lines" v-model="drafts[i]" :rows="field.lines"></textarea>
      <input
        v-else
        v-model="drafts[i]"
        :type="field.type ?? 'text'"
        :inputmode="field.number ? 'decimal' : undefined"
        :class="{ fig: field.number }"
      />
    </label>
    <p v-if="wrong" class="problem wide" role="alert">{{ wrong }}</p>
    <p class="buttons wide">
      <button class="plain-button" type="submit" :aria-disabled="idle || undefined">
        {{ saved && !dirty ? 'Saved' : 'Save' }}</button><button
        v-if="dirty"
        class="plain-button"
        type="button"
        @click="throwAway"
      >
        As it was</button
      ><slot />
    </p>
  </form>
</template>

<style scoped>
.thing {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 14px;
  align-items: end;
  padding: 8px 0 14px;
}
.wide {
  grid-column: 1 / -1;
}
.broad {
  grid-column: span 2;
}
.buttons {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
