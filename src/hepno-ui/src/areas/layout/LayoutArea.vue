<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import { money } from '../../kit/shown'
import LinePicker from '../../shell/LinePicker.vue'
import { attempt, format, lineInHand, shop } from '../../shell/state'
import RollLane from './RollLane.vue'
import SheetLot from './SheetLot.vue'
import SizeClassLot from './SizeClassLot.vue'

const layout = ref<Schemas['LayoutView'] | null>(null)
const f = computed(() => format())
watch(
  () => [shop.order?.id, shop.order?.version, lineInHand.value?.id],
  async () => {
    layout.value = null
    const id = shop.order?.id
    const line = lineInHand.value
    if (!id || !line?.methodId) return
    await attempt(async () => {
      layout.value = await ask(
        api.GET('/api/orders/{id}/layout', { params: { path: { id }, query: { line: line.id } } }),
      )
    }, shop.said)
  },
  { immediate: true },
)

const longest = computed(() =>
  Math.max(1, ...(layout.value?.band.decorations.flatMap((d) => d.purchases.map((p) => p.rows?.lengthIn ?? 0)) ?? [])),
)
const scale = computed(() => Math.min(4, 900 / longest.value))
</script>

<template>
  <div class="area">
    <LinePicker />
    <h1 v-if="layout" class="title">
      {{ layout.sentence
      }}<button class="sum" @click="explain(layout.prints)">{{ money(layout.prints.value, f) }}</button>
    </h1>
    <div class="drawing">
      <p v-if="!layout" class="frame">
        {{ shop.order ? `Nothing to lay out: ${shop.order.code} has no method yet.` : 'No order in hand.' }}
        <RouterLink to="/compare">Compare</RouterLink>
      </p>
      <template v-else>
        <template v-for="d in layout.band.decorations" :key="d.placement.id">
          <SizeClassLot v-if="d.purchases[0]?.sizeClass" :plan="d" />
          <template v-for="p in d.purchases" :key="p.code">
            <RollLane v-if="p.rows" :purchase="p" :scale="scale" />
            <SheetLot v-else-if="p.grid" :purchase="p" />
          </template>
        </template>
        <section class="lot">
          <div>
            <h2>Blanks</h2>
            <p>
              <span v-for="s in layout.blanks" :key="s.size" class="size"
                >{{ s.size }} <b>{{ s.pieces }}</b></span
              >
            </p>
            <p class="small quiet">{{ layout.spares }}</p>
          </div>
          <button class="figure" @click="explain(layout.blankCost)">
            {{ money(layout.blankCost.value, f) }} <kbd>E</kbd>
          </button>
        </section>
      </template>
    </div>
    <Keys
      :hints="[
        ['Tab', 'next figure'],
        ['Enter', 'explain it'],
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
</style>
