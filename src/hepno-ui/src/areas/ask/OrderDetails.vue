<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { orderDetails } from '../../kit/described'
import type { Field } from '../../kit/fields'
import { askBody, attempt, saveAsk } from '../../state/state'

/** What is said of an order beside its lines and its day: a box for each that is described, kept as it is left.
 * What follows comes with them, so that nothing moves under a finger. */
const props = defineProps<{ order: Schemas['OrderView'] }>()
type Details = Schemas['AskDetails']
const kept = (): Details => props.order.ask.details ?? {}
async function keep(field: Field<Details>, event: Event): Promise<void> {
  const details = { ...kept() }
  field.set(details, (event.target as HTMLInputElement).value)
  if (field.get(details) === field.get(kept())) return
  const { id, version } = props.order
  await attempt(() => saveAsk(id, { ...askBody(props.order), details }, version))
}
</script>

<template>
  <label
    v-for="f in orderDetails()"
    :key="f.label"
    class="field"
    :class="{ short: !f.lines }"
    :title="f.help || undefined"
    ><span>{{ f.label }}</span
    ><textarea
      v-if="f.lines"
      :rows="f.lines"
      :maxlength="f.longest"
      :value="f.get(kept())"
      @change="keep(f, $event)"
    ></textarea>
    <input v-else :maxlength="f.longest" :value="f.get(kept())" @change="keep(f, $event)" />
  </label>
  <slot v-if="orderDetails().length > 0" />
</template>

<style scoped>
.field {
  margin-top: 12px;
}
.field > span {
  color: var(--ink-2);
}
/* what takes a word stands beside its name: the note below it stays in sight */
.short {
  grid-template-columns: auto minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
</style>
