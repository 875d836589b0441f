<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, type Schemas } from '../api/client'
import { stands } from '../words/words'
import { attempt, stationPath, take } from '../state/state'

const visible = defineModel<boolean>({ required: true })
const router = useRouter()
const text = ref('')
const found = ref<Schemas['Found'][]>([])
const chosen = ref(0)
/** What the list is the answer to. */
let answered: string | null = null
/** Enter was pressed before the answer came: it is for what was typed, not for the list before it. */
let entered = false

watch([visible, text], async () => {
  entered = false
  if (!visible.value) return
  await attempt(async () => {
    const asked = text.value
    const answer = await ask(api.GET('/api/orders', { params: { query: { find: asked } } }))
    // answers may overtake each other: only the one to what stands there now counts
    if (asked !== text.value) return
    found.value = answer
    chosen.value = 0
    answered = asked
    if (entered) await open(answer[0])
  })
})
// emptied before it opens: what is typed while it opens stays
watch(visible, (now) => now && (text.value = ''), { flush: 'sync' })
function enter(): void {
  if (answered === text.value) void open(found.value[chosen.value])
  else entered = true
}
async function open(order: Schemas['Found'] | undefined): Promise<void> {
  if (!order) return
  visible.value = false
  await take(order.id)
  await router.push(stationPath(order.station))
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Find an order" :style="{ width: '560px', maxWidth: '94vw' }">
    <input
      v-model="text"
      autofocus
      class="text"
      aria-label="Number or customer"
      placeholder="number or customer"
      @keydown.down.prevent="chosen = Math.min(chosen + 1, found.length - 1)"
      @keydown.up.prevent="chosen = Math.max(chosen - 1, 0)"
      @keydown.enter.prevent="enter"
    />
    <ul>
      <li v-for="(order, i) in found" :key="order.id">
        <button :class="{ on: i === chosen }" @click="open(order)">
          <b class="mono">{{ order.code }}</b><span
            >{{ order.customer || 'nobody yet' }}<small v-if="order.knownBy">{{ order.knownBy }}</small></span
          ><span>{{ order.pieces }} pieces</span><span>{{ order.due }}</span
          ><span>{{ stands(order) }}</span>
        </button>
      </li>
    </ul>
    <p v-if="found.length === 0" class="quiet">No order by that name or number.</p>
  </Dialog>
</template>

<style scoped>
.text {
  width: 100%;
  font-size: 18px;
}
ul {
  list-style: none;
  padding: 8px 0 0;
}
button {
  display: grid;
  grid-template-columns: 70px 1fr 80px 90px 70px;
  gap: 8px;
  width: 100%;
  padding: 8px;
  border-top: 1px solid var(--rule);
}
small {
  display: block;
  overflow-wrap: anywhere;
}
.on {
  background: var(--ink);
  color: var(--bleach);
}
</style>
