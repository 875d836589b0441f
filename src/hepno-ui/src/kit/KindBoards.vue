<script setup lang="ts">
import { onMounted, onUnmounted } from 'vue'
import { onChange } from '../state/live'
import { format, reading } from '../state/state'
import { day } from '../words/shown'
import Boards from './Boards.vue'
import { formOf, isKind, kindOf, namedRead, nameOf, said } from './described'
import Sign from './Sign.vue'
import { type Noun, things, useThings } from './things'

/** Boards of a kind that no screen has a drawing of: its name and its first figures on the face, its described form behind it. */
const props = defineProps<{ kind: string; noun: Noun }>()
const kept = things<{ id: string }>(props.noun)
useThings({ [props.kind]: kept })
// a machine added on the same screen can be named at once
let stop = () => {}
onMounted(() => (stop = onChange((kind) => void (isKind(kind) && reading(() => namedRead(kindOf(props.noun)))))))
onUnmounted(() => stop())
/** Its first figures; where it has none its first rows: by their names, or whole where they begin with a figure; else what its form says. */
function figures(value: { id: string }): string {
  const form = formOf<{ id: string }>(kindOf(props.noun))
  const numbers = form.filter((f) => f.number)
  if (numbers.length > 0) return listed(numbers.map((f) => `${f.label}: ${f.get(value)}`))
  const at = kindOf(props.noun)?.fields.findIndex((f) => f.rows) ?? -1
  if (at < 0)
    return listed(form.slice(1).map((f) => (f.type === 'date' ? day(f.get(value), format()) : said(f, value))))
  const { key, rows } = kindOf(props.noun)!.fields[at]!
  const first = rows!.cells[0]!
  return listed(
    first.shape === 'number'
      ? form[at]!.get(value).split('\n')
      : (value as unknown as Record<string, Record<string, string>[]>)[key]!.map((r) => r[first.key]!),
  )
}
const listed = (parts: string[]) => parts.filter(Boolean).slice(0, 4).join(' · ')
/** What its data sheets warn of, where it has any. */
const cautionsOf = (value: object) => (value as { cautions?: string }).cautions
</script>

<template>
  <Boards v-bind="kept.board">
    <template #face="{ value }">
      <b>{{ nameOf(value, kindOf(noun)) }}</b>
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
