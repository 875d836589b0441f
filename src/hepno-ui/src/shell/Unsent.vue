<script setup lang="ts">
import { computed } from 'vue'
import Sign from '../kit/Sign.vue'
import { answered, edits, type Refused } from '../sending/edits'

/** What was typed on this device and has not reached the program. */
const unsent = computed(() => (edits.waiting.some((e) => e.tried) ? edits.waiting.length : 0))
function throwAway(refused: Refused): void {
  answered(refused.edit)
  edits.refused = edits.refused.filter((r) => r !== refused)
}
</script>

<template>
  <p v-if="unsent > 0" class="notice" role="status">
    <Sign kind="caution" /><b
      >{{ unsent === 1 ? 'One change is' : `${unsent} changes are` }} kept on this device, not sent yet.</b
    >
    {{ unsent === 1 ? 'It goes' : 'They go' }} out by {{ unsent === 1 ? 'itself' : 'themselves' }} when Hepno answers.
  </p>
  <p v-for="r in edits.refused" :key="r.edit.id" class="notice" role="alert">
    <Sign kind="caution" /><b>Something typed here earlier was refused: {{ r.sentence }}</b>
    <button class="plain-button" @click="throwAway(r)">Let it go</button>
  </p>
</template>
