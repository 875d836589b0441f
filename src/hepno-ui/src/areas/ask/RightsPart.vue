<script setup lang="ts">
import { reactive, watch } from 'vue'
import { rightsWord } from '../../words/words'
import type { Design } from './artwork'

/** Whose an artwork is, who said so, and under which licence. Each field is saved by itself. */
type Rights = Design['rights']
const props = defineProps<{ rights: Rights }>()
const emit = defineEmits<{ change: [part: Partial<Rights>] }>()
const licence = () => props.rights.kind === 'stock-licence' || props.rights.kind === 'font-licence'
// what is being typed stays while another field's answer arrives
const draft = reactive({ whose: props.rights.whose, saidBy: props.rights.saidBy, proof: props.rights.proof })
for (const field of ['whose', 'saidBy', 'proof'] as const)
  watch(
    () => props.rights[field],
    (text) => (draft[field] = text),
  )
const value = (event: Event) => (event.target as HTMLInputElement).value.trim()
</script>

<template>
  <div class="rights">
    <label class="field"
      >What gives the right?<select
        :value="rights.kind"
        @change="emit('change', { kind: value($event) as Rights['kind'] })"
      >
        <option v-for="(word, kind) in rightsWord" :key="kind" :value="kind">{{ word }}</option>
      </select></label
    >
    <label class="field"
      >Whose is it?<input v-model="draft.whose" maxlength="500" @change="emit('change', { whose: draft.whose.trim() })"
    /></label>
    <label class="field"
      >Who said so<input
        v-model="draft.saidBy"
        maxlength="500"
        @change="emit('change', { saidBy: draft.saidBy.trim() })"
    /></label>
    <label class="field"
      >What proves it<input
        v-model="draft.proof"
        maxlength="500"
        @change="emit('change', { proof: draft.proof.trim() })"
    /></label>
    <template v-if="licence()">
      <label class="field"
        >Licence until<input
          type="date"
          :value="rights.until ?? ''"
          @change="emit('change', { until: value($event) || null })"
      /></label>
      <label class="field"
        >For how many computers<input
          type="number"
          min="1"
          :value="rights.seats ?? ''"
          @change="emit('change', { seats: value($event) === '' ? null : Number(value($event)) })"
      /></label>
      <label class="check"
        ><input
          type="checkbox"
          :checked="rights.soldGoods"
          @change="emit('change', { soldGoods: ($event.target as HTMLInputElement).checked })"
        />
        covers goods that are sold</label
      >
    </template>
  </div>
</template>

<style scoped>
.rights {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  padding: 8px 0;
  align-items: end;
}
.rights select {
  width: 100%;
}
.check {
  font-size: 13px;
  padding-bottom: 8px;
}
</style>
