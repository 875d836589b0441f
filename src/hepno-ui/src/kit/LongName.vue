<script setup lang="ts">
import { computed } from 'vue'

/** A name in one line: where it is too long it is shortened in its middle, for names are told apart by both ends. */
const props = defineProps<{ text: string }>()
const short = 24
const tail = 12
const end = computed(() => (props.text.length > short ? props.text.slice(-tail) : ''))
const head = computed(() => (end.value ? props.text.slice(0, -tail) : props.text))
</script>

<template>
  <span class="name" :title="text"
    ><span class="head">{{ head }}</span
    ><span v-if="end" class="end">{{ end }}</span></span
  >
</template>

<style scoped>
.name {
  display: inline-flex;
  min-width: 0;
  max-width: 100%;
  white-space: pre;
}
.head {
  overflow: hidden;
  text-overflow: ellipsis;
  flex: 0 1000 auto;
}
.end {
  overflow: hidden;
  text-overflow: ellipsis;
  min-width: 0;
}
</style>
