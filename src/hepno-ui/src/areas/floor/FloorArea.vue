<script setup lang="ts">
import { computed, onMounted, onUnmounted } from 'vue'
import type { Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import Keys from '../../kit/Keys.vue'
import PriceHistory from '../../kit/PriceHistory.vue'
import Sign from '../../kit/Sign.vue'
import { things } from '../../kit/things'
import { sourceWord } from '../../kit/words'
import { onChange } from '../../shell/live'
import { attempt, format, shop } from '../../shell/state'
import {
  cutterFields,
  dyePrinterFields,
  filmPrinterFields,
  freshCutter,
  freshDyePrinter,
  freshFilmPrinter,
  freshPress,
  freshRecipe,
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
const cutters = things<Schemas['Cutter']>('cutters')
const kinds = {
  cutter: cutters,
  press: presses,
  recipe: recipes,
  film: films,
  vinyl: vinyls,
  screen: screens,
  'film-printer': filmPrinters,
  'dye-printer': dyePrinters,
}
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
</script>

<template>
  <div class="area">
    <h1>The floor</h1>
    <div class="drawing">
      <Boards
        title="Presses"
        add="Add a press"
        columns="130px minmax(0, 1fr) minmax(0, 1fr)"
        :kept="presses.all.value"
        :fields="pressFields"
        :save="presses.save"
        :fresh="freshPress"
        :named="(p) => p.name"
      >
        <template #face="{ value: p }">
          <svg viewBox="0 0 120 90" width="120" aria-hidden="true">
            <path d="M8 84H112" stroke="var(--ink)" stroke-width="3" />
            <rect x="24" y="66" width="70" height="10" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2" />
            <rect x="24" y="40" width="70" height="12" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2" />
            <path d="M59 40V26H100V84M59 26 26 10" fill="none" stroke="var(--ink)" stroke-width="4" />
            <circle cx="26" cy="10" r="5" fill="var(--ink)" />
          </svg>
          <span class="stack"
            ><b class="name">{{ p.name }}</b
            ><span class="quiet">{{ p.kind }}, {{ p.platenWidthIn }} × {{ p.platenHeightIn }} in</span></span
          >
          <span v-if="p.offsetF === null" class="caution"
            ><Sign kind="caution" /> not yet tested: pressing at the dial's word</span
          >
          <span v-else-if="Math.abs(p.offsetF) > 20" class="heat"
            ><Sign kind="heat" /> off by {{ p.offsetF }} °F: set aside</span
          >
          <span v-else class="stack"
            >offset <b class="name">{{ p.offsetF }} °F</b
            ><span class="small quiet">for 310 on the cloth set {{ 310 - p.offsetF }}</span></span
          >
        </template>
        <template #below="{ value: p }">
          <p v-if="p.cautions" class="hang small"><Sign kind="caution" /> {{ p.cautions }}</p>
        </template>
        <template #none>Add your first press: its platen, its dial, one thermometer.</template>
      </Boards>
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
        <template #deeds="{ kept }"
          ><PriceHistory :id="kept.value.id" noun="film-printers" :version="kept.version"
        /></template>
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
        <template #deeds="{ kept }"
          ><PriceHistory :id="kept.value.id" noun="dye-printers" :version="kept.version"
        /></template>
        <template #none>No dye printer: dye sublimation stays folded.</template>
      </Boards>
      <Boards
        title="Cutters"
        add="Add a cutter"
        :kept="cutters.all.value"
        :fields="cutterFields"
        :save="cutters.save"
        :fresh="freshCutter"
        :named="(x) => x.name"
      >
        <template #face="{ value: x }">
          <b class="name">{{ x.name }}</b>
          <span class="small">cuts {{ x.cutWidthIn }} in wide, {{ x.speedIn2PerMinute }} in² a minute</span>
          <span class="fig small quiet"></span>
        </template>
        <template #below="{ value: x }">
          <p v-if="x.cautions" class="hang small"><Sign kind="caution" /> {{ x.cautions }}</p>
        </template>
        <template #none>No cutter: layered vinyl stays folded.</template>
      </Boards>
      <Boards
        title="Recipes"
        add="Add a recipe"
        columns="minmax(0, 1.2fr) 280px minmax(0, 1fr) 150px"
        :kept="recipes.all.value"
        :fields="fields"
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
            ><Sign :kind="signOf(r.source)" /> <b>{{ products[r.productId] ?? 'unknown product' }}</b>{{ ' '
            }}<span class="quiet small">on {{ r.fabric }}, {{ r.revision }}</span></span
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
          <span class="small quiet">{{ sourceWord[r.source] }}</span>
        </template>
        <template #none>No recipe yet: a product is pressed only by its maker's sheet or your own test.</template>
      </Boards>
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
.stack span {
  display: block;
}
.name {
  font-size: 24px;
  display: block;
}
.hang {
  padding: 0 0 6px;
  color: var(--caution-text);
}
</style>
