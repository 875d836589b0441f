<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'

/**
 * A part of the sentence that opens in place: Enter commits, Esc restores.
 * Pressing the pointer on another part must not close the open one yet: the sentence would move under the click.
 */
const props = defineProps<{
  label: string
  text: string
  value: string
  type?: string
  options?: { value: string; label: string }[]
  suggestions?: string[]
  width?: string
  /** Keeps what was typed; says whether it is kept. */
  onCommit: (text: string) => Promise<boolean>
}>()
const emit = defineEmits<{ typed: [text: string] }>()
const open = ref(false)
const draft = ref('')
const field = ref<HTMLInputElement | HTMLSelectElement>()
const button = ref<HTMLButtonElement>()
/** What was typed and is not kept yet: on its way, or refused and to be mended. */
const unkept = ref<string | null>(null)
const shown = computed(() =>
  unkept.value === null ? props.text : (props.options?.find((o) => o.value === unkept.value)?.label ?? unkept.value),
)

function begin(): void {
  draft.value = unkept.value ?? props.value
  open.value = true
  void nextTick(() => {
    field.value?.focus()
    if (field.value instanceof HTMLInputElement && field.value.type === 'text') field.value.select()
  })
}
function commit(): void {
  if (!open.value) return
  open.value = false
  if (draft.value !== props.value || props.text === '') void keep(draft.value)
  void nextTick(() => button.value?.focus())
}
async function keep(typed: string): Promise<void> {
  unkept.value = typed === '' ? null : typed
  // typed again meanwhile, the newer one is what is shown
  if ((await props.onCommit(typed)) && unkept.value === typed) unkept.value = null
}
/** Going elsewhere keeps what was typed; with nothing typed it only closes, and takes no focus back. */
function leave(): void {
  if (draft.value !== props.value) commit()
  else open.value = false
}
function restore(): void {
  unkept.value = null
  open.value = false
  void nextTick(() => button.value?.focus())
}
defineExpose({ begin })
</script>

<template>
  <span v-if="open" class="open">
    <select
      v-if="options"
      ref="field"
      v-model="draft"
      :aria-label="label"
      @keydown.enter.prevent="commit"
      @keydown.esc.stop="restore"
      @blur="leave"
    >
      <option value="" disabled>{{ label }}</option>
      <option v-for="o in options" :key="o.value" :value="o.value">{{ o.label }}</option>
    </select>
    <template v-else>
      <input
        ref="field"
        v-model="draft"
        :type="type ?? 'text'"
        :aria-label="label"
        :style="{ width: width ?? '9em' }"
        :list="suggestions ? `list-${label}` : undefined"
        @input="emit('typed', draft)"
        @keydown.enter.prevent="commit"
        @keydown.esc.stop="restore"
        @blur="leave"
      />
      <datalist v-if="suggestions" :id="`list-${label}`">
        <option v-for="s in suggestions" :key="s" :value="s" />
      </datalist>
    </template>
  </span>
  <button
    v-else
    ref="button"
    class="part"
    :class="{ unsaid: shown === '', unkept: unkept !== null }"
    :aria-label="`${label}: ${shown || 'not said yet'}${unkept === null ? '' : ', not kept yet'}`"
    @mousedown.prevent
    @click="begin"
  >
    {{ shown || label }}
  </button>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.open input,
.open select {
  font-weight: var(--w-strong);
  padding: 1px 6px;
  border: 1.5px solid var(--ink);
}
</style>
