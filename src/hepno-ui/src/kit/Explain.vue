<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { format } from '../state/state'
import { explained } from './explain'
import ExplainRow from './ExplainRow.vue'
import { figure } from '../words/shown'
</script>

<template>
  <Dialog
    :visible="explained.figure !== null"
    modal
    :header="
      explained.figure
        ? `${explained.figure.label}: ${figure(explained.figure.value, explained.figure.unit, format())}`
        : ''
    "
    :style="{ width: '720px', maxWidth: '94vw' }"
    @update:visible="explained.figure = null"
  >
    <ul v-if="explained.figure" class="explain" tabindex="0" aria-label="How the figure came about">
      <ExplainRow :figure="explained.figure" :depth="0" />
    </ul>
  </Dialog>
</template>

<style scoped>
.explain {
  list-style: none;
  padding: 0;
  max-height: 60vh;
  overflow: auto;
}
</style>
