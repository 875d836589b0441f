<script setup lang="ts">
import Boards from './Boards.vue'
import { formOf, kindOf, nameOf } from './described'
import Sign from './Sign.vue'
import { type Noun, things, useThings } from './things'

/** Boards of a kind that no screen has a drawing of: its name and its first figures on the face, its described form behind it. */
const props = defineProps<{ kind: string; noun: Noun }>()
const kept = things<{ id: string }>(props.noun)
useThings({ [props.kind]: kept })
/** Its first figures; the first words of its rows where it has none. */
function figures(value: { id: string }): string {
  const numbers = formOf<{ id: string }>(kindOf(props.noun)).filter((f) => f.number)
  const rows = kindOf(props.noun)?.fields.find((f) => f.rows)
  return numbers.length > 0 || !rows
    ? numbers
        .slice(0, 4)
        .map((f) => `${f.label}: ${f.get(value)}`)
        .join(' · ')
    : (value as unknown as Record<string, Record<string, string>[]>)
        [rows.key]!.map((r) => r[rows.rows!.cells[0]!.key])
        .join(' · ')
}
/** What its data sheets warn of, where it has any. */
const cautionsOf = (value: object) => (value as { cautions?: string }).cautions
</script>

<template>
  <Boards v-bind="kept.board">
    <template #face="{ value }">
      <b>{{ nameOf(value) }}</b>
      <span class="small">{{ figures(value) }}</span>
    </template>
    <template #below="{ value }">
      <slot name="below" :value="value" />
      <p v-if="cautionsOf(value)" class="hang small"><Sign kind="caution" /> {{ cautionsOf(value) }}</p>
    </template>
  </Boards>
</template>

<style scoped>
.hang {
  padding: 0 0 6px;
  color: var(--caution-text);
}
</style>
