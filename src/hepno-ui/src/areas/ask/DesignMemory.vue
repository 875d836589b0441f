<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { reading } from '../../state/state'
import type { Design } from './artwork'

/** What the shop remembers of an artwork: its earlier pictures, how it was pressed, what to do otherwise. */
const props = defineProps<{ design: Design }>()
const emit = defineEmits<{ next: [text: string] }>()
// what is being typed stays while something else of the artwork is saved
const nextTime = ref(props.design.nextTime)
watch(
  () => props.design.nextTime,
  (text) => (nextTime.value = text),
)
const memory = ref<Schemas['DesignMemory'] | null>(null)
watch(
  () => [props.design.id, props.design.print],
  () =>
    void reading(async () => {
      memory.value = await ask(api.GET('/api/artwork/{id}/memory', { params: { path: { id: props.design.id } } }))
    }),
  { immediate: true },
)
</script>

<template>
  <div v-if="memory" class="memory">
    <label class="field"
      >Next time<input
        v-model="nextTime"
        maxlength="500"
        placeholder="thicker outline; two seconds less on black"
        @change="emit('next', nextTime.trim())"
    /></label>
    <ul v-if="memory.pressed.length > 0">
      <li v-for="p in memory.pressed" :key="p.orderId + p.where">
        <b>{{ p.code }}</b> {{ p.when }}: {{ p.where }} on {{ p.on }}, {{ p.with }}: {{ p.settings }};
        {{ p.good }} good<template v-if="p.spoiled > 0"
          >, {{ p.spoiled }} spoiled<template v-if="p.reasons.length > 0">
            ({{ p.reasons.join(', ') }})</template
          ></template
        >
      </li>
    </ul>
    <p v-if="memory.versions.length > 1" class="quiet">
      Its picture:
      <template v-for="(v, i) in memory.versions" :key="i"
        >{{ i > 0 ? '; before ' : '' }}{{ v.widthPx }} × {{ v.heightPx }} since {{ v.since
        }}{{ v.colours.length > 0 ? ` (${v.colours.join(' ')})` : '' }}</template
      >.
    </p>
  </div>
</template>

<style scoped>
.memory {
  font-size: 13px;
  padding: 6px 0;
}
.memory ul {
  list-style: none;
  padding: 4px 0;
  margin: 0;
}
</style>
