<script setup lang="ts">
import { computed } from 'vue'
import { kindsOn } from './described'
import KindBoards from './KindBoards.vue'
import type { Noun } from './things'

/** Boards of every kind of a screen that the screen itself does not show: who describes a new kind need not draw it. */
const props = defineProps<{ area: 'shelf' | 'floor'; shown: readonly Noun[] }>()
const others = computed(() => kindsOn(props.area).filter((k) => !props.shown.includes(k.noun as Noun)))
</script>

<template>
  <KindBoards v-for="k in others" :key="k.name" :kind="k.name" :noun="k.noun as Noun">
    <template #below="{ value }"><slot name="below" :value="value" /></template>
  </KindBoards>
</template>
