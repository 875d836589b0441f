<script setup lang="ts">
import { ref, useTemplateRef, watch } from 'vue'
import { readNumber, unread, writeNumber } from '../words/numbers'

/** A plain number field: shows the shop's decimal mark, reads by it, and says where what is typed is no number or could be two. */
const value = defineModel<number | '' | null | undefined>({ required: true })
const write = (n: number | '' | null | undefined) => (typeof n === 'number' ? writeNumber(n) : '')
const typed = ref(write(value.value))
const field = useTemplateRef('field')
watch(value, (now) => {
  // what is being typed stays as it is: 1,50 is not made 1,5 under the hand
  if ((readNumber(typed.value) ?? '') === (now ?? '')) return
  typed.value = write(now)
  field.value?.setCustomValidity('')
})
function read(): void {
  const n = typed.value.trim() === '' ? '' : readNumber(typed.value)
  field.value?.setCustomValidity(n === null ? unread(typed.value) : '')
  if (n !== null) value.value = n
}
</script>

<template>
  <input ref="field" v-model="typed" inputmode="decimal" autocomplete="off" @input="read" />
</template>
