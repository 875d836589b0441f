<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, ask, seen } from '../../api/client'
import { readNumber, unread } from '../../words/numbers'
import { bare, money } from '../../words/shown'
import { attempt, format, lineInHand, refresh, shop } from '../../state/state'

/** The price of a piece: as the policy makes it, until the owner says another. Emptied, it is the policy's again. */
const props = defineProps<{ price: number; how: string }>()
const typed = computed(
  () => shop.order?.facts.choice.decisions.find((d) => d.lineId === lineInHand.value?.id)?.typedPrice ?? null,
)
const draft = ref('')
/** A price as it is typed: without marks between thousands. */
const written = (price: number) => bare(price, { ...format(), groupMark: '' })
watch(
  () => [props.price, typed.value],
  () => (draft.value = written(props.price)),
  { immediate: true },
)
const last = computed(() => lineInHand.value?.last)
const moved = computed(() => last.value && written(last.value.each) !== written(props.price))
async function asLast(): Promise<void> {
  draft.value = written(last.value!.each)
  await say()
}
async function say(): Promise<void> {
  const order = shop.order
  if (!order || draft.value === written(props.price)) return
  const text = draft.value.trim()
  const each = text === '' ? null : readNumber(text)
  if (text !== '' && each === null) {
    shop.problems = [
      { code: 'number', where: 'each', sentence: unread(text), remedy: `Type it like ${written(16.5)}.` },
    ]
    return
  }
  const done = await attempt(
    async () => {
      await ask(
        api.POST('/api/orders/{id}/price', {
          params: { path: { id: order.id } },
          body: { each, lineId: lineInHand.value?.id ?? null },
          ...seen(order.version),
        }),
      )
      await refresh()
    },
    each === null ? 'The price is the policy’s again.' : 'The price is as you said.',
  )
  if (!done) draft.value = text
}
</script>

<template>
  <form class="say" @submit.prevent="say">
    <label class="field">
      Price each
      <input v-model="draft" class="fig" inputmode="decimal" @change="say" @keydown.esc="draft = written(price)" />
    </label>
    <p v-if="last" class="note">
      {{ last.said }}.
      <button v-if="moved" type="button" class="go" @click="asLast">Ask {{ money(last.each, format()) }} again</button>
    </p>
    <p class="note quiet">{{ how }}.<template v-if="typed !== null"> Empty it to go back to the policy.</template></p>
  </form>
</template>

<style scoped>
.say {
  padding-top: 12px;
}
input {
  font-size: 20px;
  font-weight: var(--w-figure);
  width: 100%;
}
</style>
