<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { attempt } from '../../state/state'

/** The list of names and numbers of a line, a piece a row: typed, pasted from a spreadsheet, or from a file. */
const props = defineProps<{
  line: Schemas['AskLine']
  /** Keeps the list; says whether it is kept. */
  onCommit: (part: Pick<Schemas['LineBody'], 'names' | 'sizes'>) => Promise<boolean>
}>()
const emit = defineEmits<{ clear: [] }>()
const open = ref(false)
const text = ref('')
const field = ref<HTMLTextAreaElement>()
const button = ref<HTMLButtonElement>()
const names = computed(() => props.line.names ?? [])

function begin(): void {
  text.value = names.value.map((n) => [n.size, n.name, n.number].join('\t')).join('\n')
  open.value = true
  void nextTick(() => field.value?.focus())
}
function close(): void {
  open.value = false
  void nextTick(() => button.value?.focus())
}
async function keep(): Promise<void> {
  const styleId = props.line.styleId
  if (!styleId) return
  if (text.value.trim() === '') {
    emit('clear')
    return close()
  }
  // a list that cannot be read stays open as it was typed
  await attempt(async () => {
    const read = await ask(api.POST('/api/compute/names', { body: { styleId, text: text.value } }))
    close()
    if (!(await props.onCommit({ names: read.names, sizes: read.sizes }))) open.value = true
  })
}
async function takeFile(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) text.value = await file.text()
}
defineExpose({ begin })
</script>

<template>
  <button
    v-if="!open"
    ref="button"
    class="part"
    :class="{ unsaid: names.length === 0 }"
    @mousedown.prevent
    @click="begin"
  >
    {{ names.length === 0 ? 'which names and numbers?' : `${names.length} on the list` }}
  </button>
  <form v-else class="names" @submit.prevent="keep" @keydown.ctrl.enter.prevent.stop="keep" @keydown.esc.stop="close">
    <label class="field"
      >A piece a row: size, name, number<textarea
        ref="field"
        v-model="text"
        rows="8"
        spellcheck="false"
        placeholder="M, FENNER, 7"
      ></textarea>
    </label>
    <div class="deeds">
      <button class="plain-button" type="submit">Keep the list <kbd>Ctrl Enter</kbd></button>
      <label class="file"
        >from a file<input type="file" accept=".csv,.tsv,.txt,text/csv" class="sr" @change="takeFile"
      /></label>
      <span class="small quiet">The sizes are counted from it.</span>
    </div>
  </form>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.names {
  display: block;
  background: var(--bleach);
  border: 1.5px solid var(--ink);
  padding: 8px 10px;
  font-size: 15px;
}
.names textarea {
  width: 100%;
  font-family: var(--mono, monospace);
  line-height: 1.4;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
  padding-top: 6px;
}
.file {
  cursor: pointer;
  text-decoration: underline;
}
.file:focus-within {
  outline: 3px solid var(--focus, currentcolor);
}
</style>
