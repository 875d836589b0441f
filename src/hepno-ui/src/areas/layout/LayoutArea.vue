<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import { bare, length, money, number } from '../../kit/shown'
import { placeWord } from '../../kit/words'
import { attempt, format, shop } from '../../shell/state'

const layout = ref<Schemas['LayoutView'] | null>(null)
const f = computed(() => format())
watch(
  () => [shop.order?.id, shop.order?.version],
  async () => {
    layout.value = null
    const id = shop.order?.id
    if (!id || !shop.order?.facts.decision) return
    await attempt(async () => {
      layout.value = await ask(api.GET('/api/orders/{id}/layout', { params: { path: { id } } }))
    }, shop.said)
  },
  { immediate: true },
)

const film = computed(() => layout.value?.band.decorations.filter((d) => d.purchases[0]?.sizeClass) ?? [])
const vinyl = computed(
  () =>
    layout.value?.band.decorations.flatMap((d) =>
      d.purchases.filter((p) => p.rows).map((p) => ({ p, d, rows: p.rows! })),
    ) ?? [],
)
const longest = computed(() => Math.max(1, ...vinyl.value.map((v) => v.rows.lengthIn)))
const total = computed(() =>
  layout.value
    ? layout.value.band.decorations.flatMap((d) => d.purchases).reduce((sum, p) => sum + p.cost.value, 0)
    : 0,
)
/** Boxes of a vinyl layer, drawn along the roll at one scale for all layers. */
function boxes(rows: Schemas['RollRows'], scale: number) {
  return Array.from({ length: Math.min(rows.count, 600) }, (_, i) => ({
    x: Math.floor(i / rows.across) * rows.boxHeightIn * scale,
    y: (i % rows.across) * rows.boxWidthIn * scale,
  }))
}
const scale = computed(() => Math.min(4, 900 / longest.value))
</script>

<template>
  <div class="area">
    <h1 v-if="layout" class="title">
      {{ layout.sentence }}<span class="sum">{{ money(total, f) }}</span>
    </h1>
    <div class="drawing">
      <p v-if="!layout" class="frame">
        {{ shop.order ? `Nothing to lay out: ${shop.order.code} has no method yet.` : 'No order in hand.' }}
        <RouterLink to="/compare">Compare</RouterLink>
      </p>
      <template v-else>
        <section v-for="d in film" :key="d.placement.id" class="lot">
          <div>
            <h2>
              {{ placeWord[d.placement.place] }}: {{ d.purchases[0]!.quantity }} transfers of
              {{ d.purchases[0]!.sizeClass!.name }}
            </h2>
            <p class="small quiet">
              artwork {{ length(d.placement.widthIn, f) }} × {{ length(d.placement.heightIn, f) }} in the smallest size
              that holds it, {{ length(d.purchases[0]!.sizeClass!.widthIn, f) }} ×
              {{ length(d.purchases[0]!.sizeClass!.heightIn, f) }}; {{ d.bought - (shop.order?.ask.pieces ?? 0) }} spare
            </p>
            <button class="figure" @click="explain(d.purchases[0]!.cost)">
              {{ money(d.purchases[0]!.cost.value, f) }} <kbd>E</kbd>
            </button>
            <p class="small">
              {{ d.purchases[0]!.supplier }}, {{ d.purchases[0]!.leadDays }} working days.
              {{ bare(d.material.value, f) }} a piece with freight.
            </p>
          </div>
          <svg class="class" viewBox="0 0 340 170" aria-hidden="true">
            <g v-for="n in 3" :key="n" :transform="`translate(${(3 - n) * 8} ${(3 - n) * 6})`">
              <rect
                :width="d.purchases[0]!.sizeClass!.widthIn * 8"
                :height="d.purchases[0]!.sizeClass!.heightIn * 8"
                fill="var(--bleach)"
                stroke="var(--ink)"
              />
              <rect
                v-if="n === 3"
                :width="d.purchases[0]!.sizeClass!.widthIn * 8"
                :height="d.purchases[0]!.sizeClass!.heightIn * 8"
                fill="url(#hatch)"
                stroke="none"
                opacity=".6"
              />
              <rect
                v-if="n === 3"
                :width="
                  (d.placement.widthIn <= d.purchases[0]!.sizeClass!.widthIn
                    ? d.placement.widthIn
                    : d.placement.heightIn) * 8
                "
                :height="
                  (d.placement.widthIn <= d.purchases[0]!.sizeClass!.widthIn
                    ? d.placement.heightIn
                    : d.placement.widthIn) * 8
                "
                :fill="shop.order?.colourway?.hex ?? 'var(--calico)'"
                stroke="var(--ink)"
              />
            </g>
            <text x="130" y="160" font-size="13" fill="var(--ink-2)">
              × {{ d.bought }}, hatched is paid for and empty
            </text>
          </svg>
        </section>
        <section v-for="v in vinyl" :key="v.p.code" class="lane">
          <h2>
            {{ v.p.text }}
            <span class="quiet small"
              >{{ v.rows.rows }} rows of {{ v.rows.across }}{{ v.rows.turned ? ', turned' : '' }}, boxes
              {{ length(v.rows.boxWidthIn, f) }} × {{ length(v.rows.boxHeightIn, f) }} with their weeding margin</span
            >
          </h2>
          <svg :viewBox="`0 0 980 ${v.rows.rollWidthIn * scale + 26}`" class="roll" aria-hidden="true">
            <rect
              :width="v.rows.lengthIn * scale"
              :height="v.rows.rollWidthIn * scale"
              fill="url(#hatch)"
              stroke="none"
              opacity=".6"
            />
            <rect
              v-for="(b, i) in boxes(v.rows, scale)"
              :key="i"
              :x="b.x"
              :y="b.y"
              :width="v.rows.boxHeightIn * scale"
              :height="v.rows.boxWidthIn * scale"
              fill="var(--bleach)"
              stroke="var(--ink)"
              stroke-width=".8"
            />
            <rect
              :width="v.rows.lengthIn * scale"
              :height="v.rows.rollWidthIn * scale"
              fill="none"
              stroke="var(--ink)"
              stroke-width="1.5"
            />
            <path
              :d="`M${v.rows.lengthIn * scale} -4V${v.rows.rollWidthIn * scale + 6}`"
              stroke="var(--ink)"
              stroke-width="3.5"
            />
            <text
              :x="Math.min(v.rows.lengthIn * scale, 860)"
              :y="v.rows.rollWidthIn * scale + 20"
              font-size="14"
              font-weight="620"
            >
              {{ length(v.rows.lengthIn, f) }}{{ f.metric ? '' : `, ${number(v.rows.lengthIn / 12, 2, f)} ft` }}
            </text>
          </svg>
          <p class="small">
            <button class="figure" @click="explain(v.p.cost)">{{ money(v.p.cost.value, f) }} <kbd>E</kbd></button>
            {{ v.p.supplier }}, {{ v.p.leadDays }} working days
          </p>
        </section>
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

<style scoped>
.title {
  font-size: 20px;
  display: flex;
  justify-content: space-between;
  gap: 20px;
  padding-bottom: 10px;
}
.lot {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 20px;
  border-top: 1px solid var(--rule);
  padding: 12px 0;
  align-items: start;
}
.lane {
  border-top: 1px solid var(--rule);
  padding: 10px 0;
}
.roll {
  width: 100%;
  margin-top: 6px;
  overflow: visible;
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
