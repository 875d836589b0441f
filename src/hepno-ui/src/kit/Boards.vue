<script setup lang="ts" generic="T extends { id: string }">
import { nextTick, ref } from 'vue'
import { makeId } from '../api/client'
import type { Field } from './fields'
import { atPress } from '../state/state'
import PriceHistory from './PriceHistory.vue'
import ThingEditor from './ThingEditor.vue'
import type { Noun } from './things'

/** Things of one kind the shop keeps, a board each; one board opens to its editor. */
const props = defineProps<{
  title: string
  add: string
  kept: { value: T; version: number }[]
  fields: Field<T>[]
  save: (value: T, version: number) => Promise<boolean>
  /** A new one with its starting values. */
  fresh: () => Omit<T, 'id'>
  named: (value: T) => string
  /** Said while there is none. */
  none?: string
  /** Its calls, where its prices are watched. */
  noun?: Noun
  /** True while one cannot be added yet; the slot beside says why. */
  blocked?: boolean
  /** Columns of a face. */
  columns?: string
}>()
const section = ref<HTMLElement>()
const open = ref('')
const added = ref<T>()
function begin(): void {
  added.value = { ...props.fresh(), id: makeId() } as T
  open.value = ''
}
async function saveNew(value: T): Promise<boolean> {
  const done = await props.save(value, 0)
  if (!done) return false
  const typedHere = section.value?.querySelector('.new')?.contains(document.activeElement)
  // a board opened while the answer was under way stays open
  added.value = undefined
  await nextTick()
  // whoever typed goes on from the board just made
  if (typedHere) section.value?.querySelector<HTMLElement>(`[data-board="${value.id}"]`)?.focus()
  return true
}
const toggle = (id: string) => (open.value = open.value === id ? '' : id)
</script>

<template>
  <section ref="section">
    <h2 class="head">
      {{ title }}
      <button v-if="!atPress" class="plain-button add" :disabled="blocked" @click="begin">{{ add }}</button><slot
        name="beside"
      />
    </h2>
    <div v-for="k in kept" :key="k.value.id" class="board">
      <button
        class="face"
        :data-board="k.value.id"
        :style="columns ? { gridTemplateColumns: columns } : undefined"
        :aria-expanded="open === k.value.id"
        :disabled="atPress"
        @click="toggle(k.value.id)"
      >
        <slot name="face" :value="k.value" />
      </button>
      <slot name="below" :value="k.value" :version="k.version" />
      <ThingEditor
        v-if="open === k.value.id"
        :value="k.value"
        :version="k.version"
        :fields="fields"
        :save="save"
        :title="named(k.value)"
        ><slot name="deeds" :kept="k" /><PriceHistory v-if="noun" :id="k.value.id" :noun="noun" :version="k.version"
      /></ThingEditor>
    </div>
    <div v-if="added" class="board new">
      <ThingEditor :value="added" :version="0" :fields="fields" :save="saveNew" :title="add"
        ><button class="plain-button" type="button" @click="added = undefined">Not now</button></ThingEditor
      >
    </div>
    <p v-if="kept.length === 0 && !added" class="none quiet">
      <slot name="none">{{ none }}</slot>
    </p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 16px;
  border-bottom: 2.5px solid var(--ink);
  padding: 14px 0 6px;
}
.add {
  padding: 3px 10px;
  font-size: 13px;
}
.board {
  border-bottom: 1px solid var(--rule-strong);
}
.face {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) 230px;
  gap: 14px;
  align-items: center;
  width: 100%;
  padding: 8px 0;
}
.none {
  padding: 10px 0;
}
</style>
