<script setup lang="ts" generic="T extends { id: string; name: string; cautions: string }">
import type { Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import type { Field } from '../../kit/fields'
import PriceHistory from '../../kit/PriceHistory.vue'
import Sign from '../../kit/Sign.vue'
import type { Noun } from '../../kit/things'
import UpkeepPart from './UpkeepPart.vue'

/** Boards of one kind of machine: what it is on the face, then its upkeep, its cautions and what its materials have cost. */
defineProps<{
  title: string
  add: string
  none: string
  /** Its calls, where its materials have prices through time. */
  noun?: Noun
  kept: { value: T; version: number }[]
  fields: Field<T>[]
  save: (value: T, version: number) => Promise<boolean>
  fresh: () => Omit<T, 'id'>
  views: Record<string, Schemas['UpkeepView']>
  upkeep: { value: Schemas['MachineUpkeep']; version: number }[]
}>()
const emit = defineEmits<{ changed: [] }>()
</script>

<template>
  <Boards :title="title" :add="add" :kept="kept" :fields="fields" :save="save" :fresh="fresh" :named="(x) => x.name">
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
    <template v-if="noun" #deeds="{ kept: k }"
      ><PriceHistory :id="k.value.id" :noun="noun" :version="k.version"
    /></template>
    <template #none>{{ none }}</template>
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
