<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import Sign from '../../kit/Sign.vue'
import { attempt, reading } from '../../state/state'

/** The simulated film printer that ships with the program: what waits is sent to it, its queue prints. */
const props = defineProps<{ printer: Schemas['FilmPrinter'] }>()
const emit = defineEmits<{ changed: [] }>()
const read = ref<Schemas['PrinterReadoutView'] | null>(null)
const waiting = ref<Schemas['WaitingPrints'][]>([])
const path = { params: { path: { id: props.printer.id } } }
const going = () => read.value?.queue.some((q) => q.done < 100) ?? false
const load = async () => {
  read.value = await ask(api.GET('/api/film-printers/{id}/readout', path))
}
let timer = 0
onMounted(() => {
  void reading(load)
  timer = window.setInterval(() => {
    if (going())
      void load().then(
        () => emit('changed'),
        () => {},
      )
  }, 1000)
})
onUnmounted(() => window.clearInterval(timer))
const look = () =>
  attempt(async () => {
    await load()
    const all = await ask(api.GET('/api/cures/waiting', { params: { query: { printerId: props.printer.id } } }))
    waiting.value = all.flatMap((p) => (p.made || p.queued >= p.prints ? [] : [{ ...p, prints: p.prints - p.queued }]))
  })
const send = (p: Schemas['WaitingPrints']) =>
  attempt(async () => {
    const { orderId, lineId, placementId, prints, whiteOnly } = p
    read.value = await ask(
      api.POST('/api/film-printers/{id}/queue', {
        ...path,
        body: { prints: [{ orderId, lineId, placementId, prints, whiteOnly }] },
      }),
    )
    await look()
    emit('changed')
  })
const clear = () =>
  attempt(async () => {
    await ask(api.DELETE('/api/film-printers/{id}/queue', path))
    await look()
    emit('changed')
  })
</script>

<template>
  <details class="under-board" @toggle="look">
    <summary><Sign :kind="going() ? 'go' : 'assumed'" /> Simulated printer: {{ read?.said }}</summary>
    <div class="inside">
      <ul class="jobs">
        <li v-for="(q, i) in read?.queue ?? []" :key="i">
          <span>{{ q.name }}</span>
          <progress :value="q.done" max="100" :aria-label="q.name" />
          <span class="fig">{{ q.done }}%</span>
        </li>
        <li v-for="p in waiting" :key="p.orderId + p.lineId + p.placementId">
          <span
            >{{ p.prints }} × {{ p.name }}{{ ' ' }}<span class="small quiet">{{ p.customer }}</span></span
          >
          <span class="small quiet">waits</span>
          <button class="plain-button" :aria-label="`Print ${p.name}`" @click="send(p)">Print</button>
        </li>
      </ul>
      <p v-if="waiting.length === 0 && (read?.queue.length ?? 0) === 0" class="small quiet">
        Nothing waits for {{ printer.name }}: no open order with a yes has film of it.
      </p>
      <button v-if="(read?.queue.length ?? 0) > 0" class="plain-button" @click="clear">Stop and empty it</button>
      <p class="small quiet">
        Made up: it prints nothing, a minute in a second. Its levels fall as it prints; noting the cure keeps them.
      </p>
    </div>
  </details>
</template>

<style scoped>
.jobs {
  list-style: none;
  padding: 0;
  width: 100%;
}
.jobs li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 200px 70px;
  align-items: center;
  gap: 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.fig {
  text-align: right;
}
progress {
  width: 100%;
  accent-color: var(--go);
}
</style>
