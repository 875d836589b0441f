<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, ask, seen } from '../../api/client'
import NumberInput from '../../kit/NumberInput.vue'
import { attempt } from '../../state/state'
import type { Design } from './artwork'

/** One measured print sets what the printer uses: the ink of this artwork as it was read off the machine. */
const props = defineProps<{ design: Design; widthIn: number; printer: string }>()
const emit = defineEmits<{ measured: [] }>()
const open = ref(false)
const used = reactive({ prints: 1, colourMl: 0, whiteMl: 0 })
async function keep(): Promise<void> {
  await attempt(async () => {
    const printers = await ask(api.GET('/api/film-printers'))
    const kept = printers.find((p) => p.value?.name === props.printer)
    if (!kept?.value) return
    await ask(
      api.POST('/api/film-printers/{id}/calibrate', {
        params: { path: { id: kept.value.id } },
        body: { designId: props.design.id, widthIn: props.widthIn, ...used },
        ...seen(kept.version),
      }),
    )
    open.value = false
    emit('measured')
  }, `What ${props.printer} uses is set by it. Z takes it back.`)
}
</script>

<template>
  <button v-if="!open" class="plain small" @click="open = true">measured on a print?</button>
  <form v-else class="used" @submit.prevent="keep" @keydown.esc.stop="open = false">
    <label class="field">Prints<NumberInput v-model="used.prints" /></label>
    <label class="field">Colour used, ml<NumberInput v-model="used.colourMl" /></label>
    <label class="field">White used, ml<NumberInput v-model="used.whiteMl" /></label>
    <button class="plain-button" type="submit">Set the printer by it</button>
  </form>
</template>

<style scoped>
.plain {
  border-bottom: 1.5px dashed var(--rule-strong);
}
.used {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  padding: 6px 0;
}
.used input {
  width: 90px;
}
</style>
