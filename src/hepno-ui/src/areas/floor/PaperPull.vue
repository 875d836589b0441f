<script setup lang="ts">
import { computed, reactive } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import Sign from '../../kit/Sign.vue'
import NumberInput from '../../kit/NumberInput.vue'
import { keepOpen } from '../../kit/drafts'
import { pullWord } from '../../words/words'
import { attempt } from '../../state/state'

/** What the dial means on this press: noted pressures, and the guided pull of four strips of paper. */
const props = defineProps<{ press: Schemas['Press']; version: number }>()
const emit = defineEmits<{ noted: [] }>()
const corners = ['far left', 'far right', 'near left', 'near right']
const pull = reactive({
  open: false,
  dial: '' as number | '',
  thickness: 'thin' as Schemas['Thickness'],
  lower: '',
  pillow: '',
  corners: corners.map(() => '' as Schemas['PullFeel'] | ''),
})
const leftOpen = keepOpen(`paper ${props.press.id}`, pull)
function begin(): void {
  Object.assign(pull, { open: true, dial: '', corners: corners.map(() => '') })
}
async function keep(): Promise<void> {
  const kept = await attempt(
    async () =>
      void (await ask(
        api.POST('/api/presses/{id}/paper-pull', {
          params: { path: { id: props.press.id } },
          body: {
            dial: Number(pull.dial),
            thickness: pull.thickness,
            lower: pull.lower,
            pillow: pull.pillow,
            corners: pull.corners as Schemas['PullFeel'][],
          },
          ...seen(props.version),
        }),
      )),
    'Noted. Runs with that pressure are told this dial.',
  )
  if (kept) {
    pull.open = false
    emit('noted')
  }
}
const pillows = computed(() => props.press.accessories.filter((a) => a.kind === 'pillow' || a.kind === 'foam'))
const spoken = (d: Schemas['DialReading']) =>
  `${d.pressure} on ${d.thickness}${d.lower ? `, ${d.lower}` : ''}${d.pillow ? `, on ${d.pillow}` : ''}: ${d.dial}`
</script>

<template>
  <details class="pull" :open="leftOpen || undefined">
    <summary>
      <Sign :kind="press.dials.length ? 'tested' : 'caution'" /> Dial:
      {{ press.dials.length ? press.dials.map(spoken).join('; ') : 'not yet tested: pressures are words only' }}
    </summary>
    <button v-if="!pull.open" class="plain-button" @click="begin">Pull paper</button>
    <form
      v-else
      class="measured corners"
      :aria-label="`Paper pull on ${press.name}`"
      @submit.prevent="keep"
      @keydown.esc.stop="pull.open = false"
    >
      <p class="small caution wide">
        <Sign kind="caution" /> Cold and switched off. Lay the cloth, a strip of paper over it under each corner, close,
        pull each strip slowly.
      </p>
      <label class="field">The dial says<NumberInput v-model="pull.dial" required /></label>
      <label class="field"
        >The cloth lies
        <select v-model="pull.thickness">
          <option value="thin">thin: a tee</option>
          <option value="middle">middle: a crew</option>
          <option value="thick">thick: fleece</option>
        </select></label
      >
      <label class="field"
        >On
        <select v-model="pull.lower">
          <option value="">its own platen</option>
          <option v-for="l in press.lowers" :key="l.name" :value="l.name">{{ l.name }}</option>
        </select></label
      >
      <label class="field"
        >Under the cloth
        <select v-model="pull.pillow">
          <option value="">nothing</option>
          <option v-for="a in pillows" :key="a.name" :value="a.name">{{ a.name }}</option>
        </select></label
      >
      <label v-for="(corner, i) in corners" :key="corner" class="field"
        >{{ corner }}
        <select v-model="pull.corners[i]" required>
          <option value="" disabled>pull it</option>
          <option v-for="(words, feel) in pullWord" :key="feel" :value="feel">{{ words }}</option>
        </select></label
      >
      <p class="wide">
        <button class="plain-button" type="submit">Note the dial</button>
        <button class="plain-button" type="button" @click="pull.open = false">Not now</button>
      </p>
    </form>
  </details>
</template>

<style scoped>
.pull {
  padding: 0 0 8px 16px;
}
.corners {
  --columns: 2;
}
</style>
