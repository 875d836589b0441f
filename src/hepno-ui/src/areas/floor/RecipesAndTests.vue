<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import { day, fromFahrenheit } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { things, useThings } from '../../kit/things'
import { sourceWord } from '../../words/words'
import { atPress, format, reading, shop } from '../../state/state'
import { freshRecipe, recipeFields } from './recipeFields'
import { freshSpotTest, spotTestFields } from './testFields'
import TestPhotos from './TestPhotos.vue'

/** How products are pressed, what tests made of it, and the garments kept for tests. */
const props = defineProps<{ products: Record<string, string> }>()
const recipes = things<Schemas['Recipe']>('recipes')
const spotTests = things<Schemas['SpotTest']>('spot-tests')
const garments = things<Schemas['TestGarment']>('test-garments')
const styles = things<Schemas['Style']>('styles')
const kinds = { recipe: recipes, 'spot-test': spotTests, 'test-garment': garments }
// what the shop sells is the counter's
useThings(atPress.value ? kinds : { ...kinds, style: styles })
const blanks = computed(() => styles.all.value.filter((k) => !k.value.retired).map((k) => k.value))
const testFields = computed(() =>
  spotTestFields(
    props.products,
    blanks.value,
    garments.all.value.map((g) => g.value),
  ),
)
const blankOf = (t: Schemas['SpotTest']) => {
  const style = blanks.value.find((s) => s.id === t.styleId)
  return `${style?.name ?? 'a blank no longer kept'}${t.colourwayId ? `, ${style?.colourways.find((c) => c.id === t.colourwayId)?.name ?? ''}` : ''}`
}
const shownT = (t: number) => `${Math.round(fromFahrenheit(t, format()))} °${format().celsius ? 'C' : 'F'}`
const along = (t: number) => ((t - 240) / 180) * 260
/** What the core says of each test, of each recipe by its tests, and of the shelf of test garments. */
const verdicts = ref<Record<string, Schemas['SpotTestSaid']>>({})
const relied = ref<Record<string, Schemas['RecipeRelied']>>({})
const left = ref<Record<string, number>>({})
watch(
  () => [spotTests.all.value, recipes.all.value, garments.all.value],
  () =>
    void reading(async () => {
      const all = await ask(api.GET('/api/spot-tests/verdicts'))
      verdicts.value = Object.fromEntries(all.tests.map((t) => [t.id, t]))
      relied.value = Object.fromEntries(all.recipes.map((r) => [r.recipeId, r]))
      left.value = Object.fromEntries(all.garments.map((g) => [g.id, g.left]))
    }),
)
const verdictSign = { passed: 'go', 'look-again': 'caution', failed: 'no' } as const
const confidenceSign = { failed: 'no', guess: 'assumed', word: 'maker', tested: 'tested', washed: 'tested' } as const
</script>

<template>
  <div>
    <Boards
      title="Recipes"
      add="Add a recipe"
      columns="minmax(0, 1.2fr) 280px minmax(0, 1fr) 150px"
      :kept="recipes.all.value"
      :fields="recipeFields(products)"
      :save="recipes.save"
      :fresh="() => freshRecipe(Object.keys(products)[0] ?? '', shop.line?.today ?? '')"
      :named="(r) => `${products[r.productId] ?? 'Recipe'} on ${r.fabric}`"
      :blocked="Object.keys(products).length === 0"
    >
      <template #beside>
        <span class="small quiet">{{
          Object.keys(products).length === 0
            ? 'add a film, vinyl or transfer on the Shelf, or a printer, first'
            : 'one a product and fabric, never one a method'
        }}</span>
      </template>
      <template #face="{ value: r }">
        <span
          ><Sign :kind="relied[r.id] ? confidenceSign[relied[r.id]!.confidence] : 'assumed'" />{{ ' '
          }}<b>{{ products[r.productId] ?? 'unknown product' }}</b
          >{{ ' ' }}<span class="quiet small">on {{ r.fabric }}, {{ r.revision }}</span></span
        >
        <svg viewBox="0 0 300 30" aria-hidden="true">
          <path d="M0 24H270" stroke="var(--rule-strong)" />
          <g v-for="t in [250, 300, 350, 400]" :key="t">
            <path :d="`M${along(t)} 20v8`" stroke="var(--rule-strong)" />
          </g>
          <path :d="`M${along(r.temperatureF)} 2V26`" stroke="var(--heat)" stroke-width="5" />
          <text :x="along(r.temperatureF) + 8" y="15" font-size="16" font-weight="640">
            {{ shownT(r.temperatureF) }}
          </text>
        </svg>
        <span class="small"
          >{{ r.dwellSeconds }} s, {{ r.pressure }}, {{ r.peel
          }}{{ r.peelAfterSeconds ? ` after ${r.peelAfterSeconds} s` : ''
          }}{{ r.secondPressSeconds ? `, then ${r.secondPressSeconds} s` : '' }}</span
        >
        <span class="small quiet"
          >{{ sourceWord[r.source] }}<span v-if="relied[r.id]" class="block">{{ relied[r.id]!.said }}</span></span
        >
      </template>
      <template #none>No recipe yet: a product is pressed only by its maker's sheet or your own test.</template>
    </Boards>
    <Boards
      title="Spot tests"
      add="Note a spot test"
      columns="minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1.2fr)"
      :kept="spotTests.all.value"
      :fields="testFields"
      :save="spotTests.save"
      :fresh="() => freshSpotTest(Object.keys(products)[0] ?? '', blanks[0]?.id ?? '', shop.line?.today ?? '')"
      :named="(t) => `Test of ${products[t.productId] ?? 'a product'} on ${blankOf(t)}`"
      :blocked="Object.keys(products).length === 0 || blanks.length === 0"
    >
      <template #beside
        ><span class="small quiet"
          >what was tested here is believed before any rule: a failed one folds its method</span
        ></template
      >
      <template #face="{ value: t }">
        <span
          ><b>{{ products[t.productId] ?? 'a product no longer kept' }}</b
          ><span class="small quiet"> on {{ blankOf(t) }}</span></span
        >
        <span class="small"
          >{{ shownT(t.temperatureF) }}, {{ t.dwellSeconds }} s, {{ t.pressure
          }}<span class="quiet">, {{ day(t.day, format()) }}{{ t.by ? `, ${t.by}` : '' }}</span></span
        >
        <span v-if="verdicts[t.id]" class="small"
          ><Sign :kind="verdictSign[verdicts[t.id]!.verdict]" /> {{ verdicts[t.id]!.said }}</span
        >
      </template>
      <template #below="{ value: t, version }">
        <TestPhotos :test="t" :version="version" @changed="spotTests.load" />
      </template>
      <template #none>Nothing tested yet: press a scrap of the cloth, look again after a day, wash it.</template>
    </Boards>
    <Boards v-bind="garments.board" columns="minmax(0, 1fr) minmax(0, 1fr) 110px">
      <template #beside
        ><span class="small quiet">misprints and samples of every cloth: each test takes one</span></template
      >
      <template #face="{ value: g }">
        <b>{{ g.name }}</b>
        <span class="small"
          >{{ g.fabric }}<span v-if="g.note" class="quiet">, {{ g.note }}</span></span
        >
        <span class="fig"
          ><Sign v-if="left[g.id] === 0" kind="caution" /> {{ left[g.id] ?? g.pieces }}
          <span class="small quiet">left</span></span
        >
      </template>
    </Boards>
  </div>
</template>

<style scoped>
.block {
  display: block;
}
</style>
