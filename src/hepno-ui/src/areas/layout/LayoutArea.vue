<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import { day, money } from '../../words/shown'
import LinePicker from '../../shell/LinePicker.vue'
import { attempt, format, lineInHand, reading, refresh, shop } from '../../state/state'
import { takeFromDrawer } from './gang'
import GangLayout from './GangLayout.vue'
import PlainLot from './PlainLot.vue'
import RollLane from './RollLane.vue'
import SheetLot from './SheetLot.vue'
import MarkerLot from './MarkerLot.vue'
import TileLot from './TileLot.vue'
import SizeClassLot from './SizeClassLot.vue'
import VinylPieces from './VinylPieces.vue'

const layout = ref<Schemas['LayoutView'] | null>(null)
const f = computed(() => format())
watch(
  () => [shop.order?.id, shop.order?.version, lineInHand.value?.id],
  async () => {
    const id = shop.order?.id
    const line = lineInHand.value
    if (layout.value?.lineId !== line?.id) layout.value = null
    if (!id || !line?.methodId) return
    await reading(async () => {
      layout.value = await ask(
        api.GET('/api/orders/{id}/layout', { params: { path: { id }, query: { line: line.id } } }),
      )
    })
  },
  { immediate: true },
)

/** Asked to see a layout though transfers by size cost less. */
const byLayout = ref(false)
watch(
  () => lineInHand.value?.id,
  () => (byLayout.value = false),
)
const onFilm = computed(
  () => byLayout.value || layout.value?.band.decorations.some((d) => d.purchases.some((p) => p.laid)) === true,
)

const bySize = computed(() => layout.value?.band.decorations.some((d) => d.purchases.some((p) => p.sizeClass)))
const allLying = computed(
  () =>
    layout.value?.band.decorations.every((d) => d.purchases.length === 0) &&
    (shop.order?.facts.layout.drawer?.length ?? 0) > 0,
)
/** Gives what the line took from the drawer back, print by print. */
async function printNew(): Promise<void> {
  const line = lineInHand.value?.id ?? ''
  for (const d of (shop.order?.facts.layout.drawer ?? []).filter((x) => x.lineId === line)) {
    const order = shop.order
    if (!order) return
    await attempt(async () => {
      await takeFromDrawer(order, line, d.key, d.keptId, 0)
      await refresh()
    }, 'They are printed new. Z takes it back.')
  }
}

const longest = computed(() =>
  Math.max(1, ...(layout.value?.band.decorations.flatMap((d) => d.purchases.map((p) => p.rows?.lengthIn ?? 0)) ?? [])),
)
const scale = computed(() => Math.min(4, 900 / longest.value))
</script>

<template>
  <div class="area" :class="{ film: onFilm }">
    <LinePicker />
    <GangLayout v-if="onFilm" />
    <h1 v-else-if="layout" class="title">
      {{ layout.sentence
      }}<button class="sum" @click="explain(layout.prints)">{{ money(layout.prints.value, f) }}</button>
    </h1>
    <div class="drawing">
      <p v-if="!layout" class="frame">
        {{ shop.order ? `Nothing to lay out: ${shop.order.code} has no method yet.` : 'No order in hand.' }}
        <RouterLink to="/compare">Compare</RouterLink>
      </p>
      <template v-else>
        <p v-if="allLying" class="small">
          Every print lies in the drawer: nothing is bought.
          <button class="plain-button" type="button" @click="printNew">Print them new</button>
        </p>
        <p v-else-if="bySize && !onFilm" class="small">
          Bought by size.
          <button class="plain-button" type="button" @click="byLayout = true">Lay it on a roll or sheets</button>
        </p>
        <template v-for="d in layout.band.decorations" :key="d.placement.id">
          <template v-for="p in d.purchases" :key="p.code">
            <SizeClassLot v-if="p.sizeClass && !onFilm" :plan="d" :purchase="p" />
            <RollLane v-else-if="p.rows" :purchase="p" :scale="scale" />
            <TileLot v-else-if="p.tiles" :purchase="p" />
            <MarkerLot v-else-if="p.markers" :purchase="p" />
            <SheetLot v-else-if="p.grid" :purchase="p" />
            <PlainLot v-else-if="!p.laid" :plan="d" :purchase="p" />
          </template>
          <PlainLot v-if="d.purchases.length === 0 && d.material.value > 0 && !onFilm && !allLying" :plan="d" />
        </template>
        <VinylPieces v-if="layout.vinyl" :line-id="layout.lineId" :vinyl="layout.vinyl" />
        <section v-if="!layout.band.decorations.some((d) => d.bringsBlank)" class="lot">
          <div>
            <h2>Blanks</h2>
            <p>
              <span v-for="s in layout.blanks" :key="s.size" class="size"
                >{{ s.size }} <b>{{ s.pieces }}</b></span
              >
            </p>
            <p class="small quiet">{{ layout.spares }}</p>
            <table v-if="layout.choices.length > 1" class="choices">
              <caption class="small">
                How to have them, least money first
              </caption>
              <thead class="sr">
                <tr>
                  <th>How</th>
                  <th>Bought</th>
                  <th>Left over</th>
                  <th>Cost</th>
                  <th>Here</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(w, i) in layout.choices" :key="`${w.code}${w.what}`" :class="{ best: i === 0 }">
                  <td>{{ w.what }}</td>
                  <td class="fig">{{ w.bought.reduce((n, s) => n + s.pieces, 0) }}</td>
                  <td class="small quiet">{{ w.left > 0 ? `${w.left} left over` : '' }}</td>
                  <td class="fig">
                    <button @click="explain(w.cost)">{{ money(w.cost.value, f) }}</button>
                  </td>
                  <td class="small">{{ w.supplier ? day(w.arrives.slice(0, 10), f) : 'here' }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <button class="figure" @click="explain(layout.blankCost)">
            {{ money(layout.blankCost.value, f) }} <kbd>E</kbd>
          </button>
        </section>
      </template>
    </div>
    <Keys
      v-if="!onFilm"
      :hints="[
        ['Tab', 'next figure', 'here'],
        ['Enter', 'explain it', 'here'],
        ['Ctrl Enter', 'quote on it'],
      ]"
    />
  </div>
</template>

<style scoped src="./lot.css"></style>
<style scoped>
.title {
  font-size: 20px;
  display: flex;
  justify-content: space-between;
  gap: 20px;
  padding-bottom: 10px;
}
/* what is bought beside the film: always there to read, however tall the layout */
.film {
  overflow-y: auto;
}
.film > * {
  flex: none;
}
.figure {
  font-size: 22px;
  font-weight: var(--w-figure);
}
.size {
  margin-right: 16px;
}
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 40px;
  text-align: center;
}
.choices {
  margin-top: 8px;
  border-collapse: collapse;
}
.choices caption {
  text-align: left;
  padding-bottom: 2px;
}
.choices td {
  padding: 3px 14px 3px 0;
  border-bottom: 1px solid var(--rule);
}
.choices .best td:first-child {
  font-weight: var(--w-strong);
}
</style>
