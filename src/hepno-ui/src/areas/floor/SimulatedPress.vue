<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import NumberInput from '../../kit/NumberInput.vue'
import { toFahrenheit } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { attempt, format } from '../../state/state'

/** The simulated press that ships with the program: switched on, it warms as the press's own figures say. */
const props = defineProps<{ press: Schemas['Press'] }>()
const read = ref<Schemas['PressReadoutView'] | null>(null)
const celsius = computed(() => format().celsius)
const set = ref(celsius.value ? 155 : 310)
const faster = ref(1)
const path = { params: { path: { id: props.press.id } } }
const load = async () => {
  read.value = await ask(api.GET('/api/presses/{id}/readout', path))
}
let timer = 0
onMounted(() => {
  void attempt(async () => {
    await load()
    if (read.value?.on) faster.value = read.value.faster
  })
  // it is looked at once a second while it is not cold
  timer = window.setInterval(() => void ((read.value?.on || read.value?.hot) && load().catch(() => {})), 1000)
})
onUnmounted(() => window.clearInterval(timer))
const put = (setPointF: number | null) =>
  attempt(async () => {
    read.value = await ask(api.PUT('/api/presses/{id}/readout', { ...path, body: { setPointF, faster: faster.value } }))
  })
const along = (f: number) => Math.max(0, Math.min(1, (f - 70) / 380)) * 200
</script>

<template>
  <details class="simulated">
    <summary>
      <Sign :kind="read?.hot ? 'heat' : 'assumed'" /> Simulated press:
      <b :class="{ heat: read?.hot }">{{ read?.heat }}</b> {{ read?.said }}
    </summary>
    <form class="set" :aria-label="`Simulated ${press.name}`" @submit.prevent="put(toFahrenheit(set, format()))">
      <svg v-if="read" viewBox="0 0 204 30" width="204" role="img" :aria-label="`${read.heat}, ${read.said}`">
        <rect x="1" y="6" width="202" height="16" fill="var(--bleach)" stroke="var(--ink)" />
        <rect x="2" y="7" :width="along(read.heatF)" height="14" :fill="read.hot ? 'var(--heat)' : 'var(--ink-3)'" />
        <path
          v-if="read.setPointF !== null"
          :d="`M${along(read.setPointF) + 2} 1V28`"
          stroke="var(--ink)"
          stroke-width="3"
        />
      </svg>
      <label class="field">Set to, {{ celsius ? '°C' : '°F' }}<NumberInput v-model="set" /></label>
      <label class="field"
        >Its minutes
        <select v-model.number="faster">
          <option :value="1">as long as real ones</option>
          <option :value="10">ten times as fast</option>
          <option :value="60">a second each</option>
        </select></label
      >
      <button class="plain-button" type="submit">{{ read?.on ? 'Set it anew' : 'Switch it on' }}</button>
      <button v-if="read?.on" class="plain-button" type="button" @click="put(null)">Switch it off</button>
      <p class="small quiet wide">
        Made up: it heats nothing. A real press is switched on at its own wall socket, never left closed, and burns.
      </p>
    </form>
  </details>
</template>

<style scoped>
.simulated {
  padding: 0 0 8px 16px;
}
.set {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  padding: 8px 0;
}
.set input {
  width: 90px;
}
.wide {
  flex-basis: 100%;
}
</style>
