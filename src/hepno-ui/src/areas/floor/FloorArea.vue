<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { makeId, type Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import Keys from '../../kit/Keys.vue'
import Sign from '../../kit/Sign.vue'
import ThingEditor from '../../kit/ThingEditor.vue'
import { things } from '../../kit/things'
import { sourceWord } from '../../kit/words'
import { onChange } from '../../shell/live'
import { attempt, format, shop } from '../../shell/state'
import {
  dyePrinterFields,
  filmPrinterFields,
  freshDyePrinter,
  freshFilmPrinter,
  pressFields,
  recipeFields,
} from './fields'

const presses = things<Schemas['Press']>('presses')
const recipes = things<Schemas['Recipe']>('recipes')
const films = things<Schemas['TransferPriceList']>('films')
const vinyls = things<Schemas['VinylFilm']>('vinyls')
const screens = things<Schemas['ScreenTransferList']>('screens')
const filmPrinters = things<Schemas['FilmPrinter']>('film-printers')
const dyePrinters = things<Schemas['DyePrinter']>('dye-printers')
const kinds = {
  press: presses,
  recipe: recipes,
  film: films,
  vinyl: vinyls,
  screen: screens,
  'film-printer': filmPrinters,
  'dye-printer': dyePrinters,
}
const open = ref('')
const load = () => attempt(async () => void (await Promise.all(Object.values(kinds).map((k) => k.load()))))
let stop = () => {}
onMounted(() => {
  void load()
  stop = onChange((kind) => void (kind in kinds && load()))
})
onUnmounted(() => stop())
const products = computed<Record<string, string>>(() =>
  Object.fromEntries([
    ...[...films.all.value, ...vinyls.all.value, ...screens.all.value].map((k) => [
      k.value.id,
      `${k.value.supplier} ${k.value.product}`,
    ]),
    ...filmPrinters.all.value.map((k) => [k.value.id, `film of ${k.value.name}`]),
    ...dyePrinters.all.value.map((k) => [k.value.id, `dye of ${k.value.name}`]),
  ]),
)
const fields = computed(() => recipeFields(products.value))
const shownT = (t: number) => (format().celsius ? `${Math.round(((t - 32) * 5) / 9)} °C` : `${t} °F`)
const along = (t: number) => ((t - 240) / 180) * 260
const signOf = (s: string) =>
  ({ 'own-test': 'tested', maker: 'maker', assumed: 'assumed' })[s] as 'tested' | 'maker' | 'assumed'

function addPress(): void {
  const id = makeId()
  presses.all.value.push({
    version: 0,
    value: {
      id,
      name: '',
      kind: 'clamshell',
      platenWidthIn: 16,
      platenHeightIn: 20,
      warmUpMinutes: 15,
      riseFPerMinute: 20,
      dropFPerMinute: 5,
      offsetF: null,
      equipment: {
        priceNew: 0,
        resale: 0,
        usefulYears: 5,
        productiveHoursAYear: 600,
        powerKw: 1.8,
        dutyShare: 0.35,
        upkeepPerHour: 0.12,
      },
      cautions:
        'The platen burns: gloves, and hands clear. Never leave it closed. Into the wall socket. The maker’s manual decides.',
    },
  })
  open.value = id
}
function addRecipe(): void {
  const id = makeId()
  recipes.all.value.push({
    version: 0,
    value: {
      id,
      productId: Object.keys(products.value)[0] ?? '',
      revision: '',
      fabric: 'cotton',
      temperatureF: 310,
      dwellSeconds: 15,
      dwellSlackSeconds: 3,
      pressure: 'medium',
      prePressSeconds: 5,
      peel: 'cold',
      peelAfterSeconds: 60,
      secondPressSeconds: 8,
      side: 'film up, right-reading',
      source: 'assumed',
      asOf: shop.line?.today ?? '2026-01-01',
      caution: 'Spot-test first.',
    },
  })
  open.value = id
}
const toggle = (id: string) => (open.value = open.value === id ? '' : id)
</script>

<template>
  <div class="area">
    <h1>The floor <button class="plain-button add" @click="addPress">Add a press</button></h1>
    <div class="drawing">
      <p v-if="presses.all.value.length === 0" class="frame">
        Add your first press: its platen, its dial, one thermometer.
      </p>
      <section v-for="p in presses.all.value" :key="p.value.id" class="press">
        <button class="face" :aria-expanded="open === p.value.id" @click="toggle(p.value.id)">
          <svg viewBox="0 0 120 90" width="120" aria-hidden="true">
            <path d="M8 84H112" stroke="var(--ink)" stroke-width="3" />
            <rect x="24" y="66" width="70" height="10" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2" />
            <rect x="24" y="40" width="70" height="12" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2" />
            <path d="M59 40V26H100V84M59 26 26 10" fill="none" stroke="var(--ink)" stroke-width="4" />
            <circle cx="26" cy="10" r="5" fill="var(--ink)" />
          </svg>
          <span
            ><b class="name">{{ p.value.name || 'new press' }}</b
            ><span class="quiet"
              >{{ p.value.kind }}, {{ p.value.platenWidthIn }} × {{ p.value.platenHeightIn }} in</span
            ></span
          >
          <span v-if="p.value.offsetF === null" class="caution"
            ><Sign kind="caution" /> not yet tested: pressing at the dial's word</span
          >
          <span v-else-if="Math.abs(p.value.offsetF) > 20" class="heat"
            ><Sign kind="heat" /> off by {{ p.value.offsetF }} °F: set aside</span
          >
          <span v-else
            >offset <b class="name">{{ p.value.offsetF }} °F</b
            ><span class="small quiet">for 310 on the cloth set {{ 310 - p.value.offsetF }}</span></span
          >
        </button>
        <p v-if="p.value.cautions" class="hang small"><Sign kind="caution" /> {{ p.value.cautions }}</p>
        <ThingEditor
          v-if="open === p.value.id"
          :value="p.value"
          :fields="pressFields"
          :save="presses.save"
          :title="p.value.name"
        />
      </section>
      <Boards
        title="Film printers"
        add="Add a film printer"
        :kept="filmPrinters.all.value"
        :fields="filmPrinterFields"
        :save="filmPrinters.save"
        :fresh="freshFilmPrinter"
        :named="(x) => x.name"
      >
        <template #face="{ value: x }">
          <b class="name">{{ x.name }}</b>
          <span class="small"
            >{{ x.rollWidthIn }} in film, {{ x.speedIn2PerMinute }} in² a minute; colour {{ x.colourMlPerIn2 }} and
            white {{ x.whiteMlPerIn2 }} ml an in², powder {{ x.powderGPerIn2 }} g</span
          >
          <span class="fig small quiet">cured {{ x.cure === 'oven' ? 'in the oven' : 'under the press' }}</span>
        </template>
        <template #below="{ value: x }">
          <p v-if="x.cautions" class="hang small"><Sign kind="caution" /> {{ x.cautions }}</p>
        </template>
        <template #none>No film printer: film is bought in.</template>
      </Boards>
      <Boards
        title="Dye printers"
        add="Add a dye printer"
        :kept="dyePrinters.all.value"
        :fields="dyePrinterFields"
        :save="dyePrinters.save"
        :fresh="freshDyePrinter"
        :named="(x) => x.name"
      >
        <template #face="{ value: x }">
          <b class="name">{{ x.name }}</b>
          <span class="small"
            >{{ x.sheetWidthIn }} × {{ x.sheetHeightIn }} in sheets, {{ x.speedIn2PerMinute }} in² a minute, ink
            {{ x.inkMlPerIn2 }} ml an in²</span
          >
          <span class="fig small quiet">{{ x.tapeInPerPrint }} in of tape a print</span>
        </template>
        <template #below="{ value: x }">
          <p v-if="x.cautions" class="hang small"><Sign kind="caution" /> {{ x.cautions }}</p>
        </template>
        <template #none>No dye printer: dye sublimation stays folded.</template>
      </Boards>
      <section>
        <h2 class="head">
          Recipes <span class="quiet small">one a product and fabric, never one a method</span>
          <button class="plain-button add" :disabled="Object.keys(products).length === 0" @click="addRecipe">
            Add a recipe</button
          ><span v-if="Object.keys(products).length === 0" class="small quiet"
            >add a film, vinyl or transfer on the Shelf, or a printer, first</span
          >
        </h2>
        <div v-for="r in recipes.all.value" :key="r.value.id" class="board">
          <button class="recipe" :aria-expanded="open === r.value.id" @click="toggle(r.value.id)">
            <span
              ><Sign :kind="signOf(r.value.source)" /> <b>{{ products[r.value.productId] ?? 'unknown product' }}</b>
              <span class="quiet small">on {{ r.value.fabric }}, {{ r.value.revision }}</span></span
            >
            <svg viewBox="0 0 300 30" aria-hidden="true">
              <path d="M0 24H270" stroke="var(--rule-strong)" />
              <g v-for="t in [250, 300, 350, 400]" :key="t">
                <path :d="`M${along(t)} 20v8`" stroke="var(--rule-strong)" />
              </g>
              <path :d="`M${along(r.value.temperatureF)} 2V26`" stroke="var(--heat)" stroke-width="5" />
              <text :x="along(r.value.temperatureF) + 8" y="15" font-size="16" font-weight="640">
                {{ shownT(r.value.temperatureF) }}
              </text>
            </svg>
            <span class="small"
              >{{ r.value.dwellSeconds }} s, {{ r.value.pressure }}, {{ r.value.peel
              }}{{ r.value.peelAfterSeconds ? ` after ${r.value.peelAfterSeconds} s` : ''
              }}{{ r.value.secondPressSeconds ? `, then ${r.value.secondPressSeconds} s` : '' }}</span
            >
            <span class="small quiet">{{ sourceWord[r.value.source] }}</span>
          </button>
          <ThingEditor
            v-if="open === r.value.id"
            :value="r.value"
            :fields="fields"
            :save="recipes.save"
            title="Recipe"
          />
        </div>
      </section>
    </div>
    <Keys
      :hints="[
        ['Tab', 'next machine or recipe'],
        ['Enter', 'open it, or save'],
        ['Esc', 'as it was'],
        ['Z', 'take back'],
      ]"
      ><span style="margin-left: auto"
        ><Sign kind="tested" /> tested here <Sign kind="maker" /> maker's word <Sign kind="assumed" /> assumed</span
      ></Keys
    >
  </div>
</template>

<style scoped>
.add {
  padding: 3px 10px;
  font-size: 13px;
}
.press {
  border-bottom: 2.5px solid var(--ink);
  padding: 8px 0;
}
.face {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  align-items: center;
  width: 100%;
}
.face span span {
  display: block;
}
.name {
  font-size: 24px;
  display: block;
}
.hang {
  padding: 4px 0;
  color: var(--caution-text);
}
.head {
  display: flex;
  align-items: baseline;
  gap: 14px;
  padding: 16px 0 6px;
  border-bottom: 1px solid var(--ink);
}
.board {
  border-bottom: 1px solid var(--rule-strong);
}
.recipe {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) 280px minmax(0, 1fr) 150px;
  gap: 14px;
  align-items: center;
  width: 100%;
  padding: 6px 0;
}
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 40px;
  text-align: center;
}
</style>
