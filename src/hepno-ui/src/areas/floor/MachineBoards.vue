<script setup lang="ts" generic="T extends { id: string; name: string; cautions: string }">
import type { Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import Sign from '../../kit/Sign.vue'
import type { Board } from '../../kit/things'
import UpkeepPart from './UpkeepPart.vue'

/** Boards of one kind of machine: what it is on the face, then its upkeep and its cautions. */
defineProps<{
  board: Board<T>
  views: Record<string, Schemas['UpkeepView']>
  upkeep: { value: Schemas['MachineUpkeep']; version: number }[]
}>()
const emit = defineEmits<{ changed: [] }>()
</script>

<template>
  <Boards v-bind="board">
    <template #face="{ value: x }">
      <b class="name">{{ x.name }}</b>
      <slot name="face" :x="x" />
    </template>
    <template #below="{ value: x }">
      <slot name="below" :x="x" />
      <UpkeepPart
        :view="views[x.id]"
        :kept="upkeep.find((k) => k.value.id === x.id)"
        :name="x.name"
        @changed="emit('changed')"
      />
      <p v-if="x.cautions" class="hang small"><Sign kind="caution" /> {{ x.cautions }}</p>
    </template>
  </Boards>
</template>

<style scoped>
.name {
  font-size: 24px;
  display: block;
}
.hang {
  padding: 0 0 6px;
  color: var(--caution-text);
}
</style>
