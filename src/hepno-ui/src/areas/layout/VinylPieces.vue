<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, ask, makeId, type Schemas, seen } from '../../api/client'
import { length, money } from '../../words/shown'
import { attempt, format, refresh, shop } from '../../state/state'

/** Pieces of vinyl on the Shelf that a colour can be cut from before the roll, and what the roll leaves to keep. */
const props = defineProps<{ lineId: string; vinyl: Schemas['VinylPiecesView'] }>()
type Colour = Schemas['VinylColour']
type Left = Schemas['VinylLeft']
const f = computed(() => format())
/** The strip that is being named before it is kept, and its colour in the shop's words. */
const naming = ref<Left | null>(null)
const colour = ref('')

async function use(c: Colour, remnantId: string): Promise<void> {
  const order = shop.order
  if (!order) return
  await attempt(
    async () => {
      await ask(
        api.POST('/api/orders/{id}/lines/{line}/layout/remnant', {
          params: { path: { id: order.id, line: props.lineId } },
          body: { placementId: c.placementId, layer: c.layer, remnantId },
          ...seen(order.version),
        }),
      )
      await refresh()
    },
    remnantId ? 'It is cut from the piece first. Z takes it back.' : 'All of it is cut from the roll. Z takes it back.',
  )
}
function name(left: Left): void {
  naming.value = left
  colour.value = ''
}
async function keep(): Promise<void> {
  const left = naming.value
  if (!left) return
  const id = makeId()
  const kept = await attempt(async () => {
    await ask(
      api.PUT('/api/remnants/{id}', {
        params: { path: { id } },
        body: {
          id,
          vinylId: left.vinylId,
          colour: colour.value,
          widthIn: Number(left.widthIn.toFixed(2)),
          lengthIn: Number(left.lengthIn.toFixed(2)),
          since: shop.line?.today ?? '',
          from: shop.order?.code ?? '',
          isGone: false,
        },
      }),
    )
  }, 'It lies on the Shelf, under Pieces of vinyl.')
  if (kept) naming.value = null
}
</script>

<template>
  <section v-if="vinyl.colours.length > 0 || vinyl.left.length > 0" class="pieces" aria-label="Pieces of vinyl">
    <h2>Pieces of vinyl</h2>
    <ul>
      <template v-for="c in vinyl.colours" :key="`${c.placementId} ${c.layer}`">
        <li v-if="c.used">
          <span
            >{{ c.label }}: cut from <b>{{ c.used }}</b> first.</span
          >
          <button class="plain-button" type="button" @click="use(c, '')">Put it back</button>
        </li>
        <li v-for="o in c.offers" :key="o.remnantId">
          <i v-if="c.hex" class="colour" :style="{ background: c.hex }" aria-hidden="true"></i>
          <span
            >{{ c.label }}: <b>{{ o.cuts }}</b> go on {{ o.text }}.</span
          >
          <button class="plain-button" type="button" @click="use(c, o.remnantId)">
            Use it, {{ money(o.saves, f) }} less
          </button>
        </li>
      </template>
      <li v-for="l in vinyl.left" :key="l.label">
        <span class="quiet"
          >Left beside the {{ l.label.toLowerCase() }}: {{ length(l.widthIn, f) }} × {{ length(l.lengthIn, f) }}.</span
        >
        <form v-if="naming === l" @submit.prevent="keep">
          <label>Its colour <input v-model="colour" maxlength="60" autofocus @keydown.esc="naming = null" /></label>
          <button class="plain-button" type="submit">Keep it</button>
        </form>
        <button v-else class="plain-button" type="button" @click="name(l)">Keep it on the Shelf</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.pieces {
  border-top: 1px solid var(--rule);
  padding: 10px 0;
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 3px 0;
}
form {
  display: flex;
  align-items: center;
  gap: 8px;
}
label input {
  margin-left: 6px;
}
.colour {
  width: 14px;
  height: 14px;
  border: 1px solid var(--ink);
}
</style>
