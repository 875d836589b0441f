<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import OtherBoards from '../../kit/OtherBoards.vue'
import Keys from '../../kit/Keys.vue'
import Sign from '../../kit/Sign.vue'
import FurtherMachines from './FurtherMachines.vue'
import MachineBoards from './MachineBoards.vue'
import FloorSimulation from './FloorSimulation.vue'
import PaperPull from './PaperPull.vue'
import PlatenCheck from './PlatenCheck.vue'
import PressDrawing from './PressDrawing.vue'
import RecipesAndTests from './RecipesAndTests.vue'
import SimulatedPress from './SimulatedPress.vue'
import CureBatches from './CureBatches.vue'
import FilmQueue from './FilmQueue.vue'
import PrinterMaterials from './PrinterMaterials.vue'
import UpkeepPart from './UpkeepPart.vue'
import { isKind, nameOf } from '../../kit/described'
import { things, useThings } from '../../kit/things'
import { onChange } from '../../state/live'
import { format, reading } from '../../state/state'
import { freshPress, pressFields } from './pressFields'

const presses = things<Schemas['Press']>('presses')
const upkeep = things<Schemas['MachineUpkeep']>('upkeep')
const supplies = things<Schemas['PrinterSupplies']>('supplies')
const filmPrinters = things<Schemas['FilmPrinter']>('film-printers')
const dyePrinters = things<Schemas['DyePrinter']>('dye-printers')
const cutters = things<Schemas['Cutter']>('cutters')
/** Machines this screen has boards of. */
const drawn = [
  'film-printers',
  'dye-printers',
  'cutters',
  'stitch-machines',
  'paper-printers',
  'garment-printers',
  'calenders',
  'test-garments',
] as const
const setAside = ref<string[]>([])
const pressesAndOffsets = {
  load: async () => {
    await presses.load()
    setAside.value = await ask(api.GET('/api/presses/set-aside'))
  },
}
const kinds = {
  cutter: cutters,
  press: pressesAndOffsets,
  upkeep,
  supplies,
  'film-printer': filmPrinters,
  'dye-printer': dyePrinters,
}
const load = useThings(kinds)
const productList = ref<Schemas['RecipeProduct'][]>([])
const readProducts = () =>
  reading(async () => {
    productList.value = await ask(api.GET('/api/recipe-products'))
  })
const products = computed(() => Object.fromEntries(productList.value.map((p) => [p.id, p.name])))
/** Film that is made here, otherwise than on a film printer: those have boards of their own. */
const curesFilm = (id: string) => productList.value.some((p) => p.id === id && p.isCuredHere)
let stop = () => {}
onMounted(() => {
  void readProducts()
  stop = onChange((kind) => void (isKind(kind) && readProducts()))
})
onUnmounted(() => stop())
const curesOnly = (p: Schemas['Press']) => p.kind === 'oven' || p.kind === 'conveyor'
/** What is pressed with first. */
const standing = computed(() =>
  [...presses.all.value].sort((a, b) => Number(curesOnly(a.value)) - Number(curesOnly(b.value))),
)
/** A difference of degrees, in the shop's unit. */
const degrees = (f: number) =>
  `${Math.round(format().celsius ? (f * 5) / 9 : f)} °${format().celsius ? 'C' : 'F'}`.replace('-', '−')
/** What each machine wants done, as the core has it today. */
const upkeepViews = ref<Record<string, Schemas['UpkeepView']>>({})
watch(
  () => [upkeep.all.value, presses.all.value, filmPrinters.all.value, dyePrinters.all.value, cutters.all.value],
  () =>
    void reading(async () => {
      const all = await ask(api.GET('/api/upkeep/view'))
      upkeepViews.value = Object.fromEntries(all.map((u) => [u.machineId, u]))
    }),
)
/** What is in the printers, how much is left, how far it goes. */
const materials = ref<Record<string, Schemas['SuppliesView']>>({})
const looked = () =>
  reading(async () => {
    const all = await ask(api.GET('/api/supplies/view'))
    materials.value = Object.fromEntries(all.map((m) => [m.printerId, m]))
  })
watch(() => [supplies.all.value, filmPrinters.all.value, dyePrinters.all.value], looked)
const upkeepOf = (id: string) => upkeep.all.value.find((k) => k.value.id === id)
</script>

<template>
  <div class="area">
    <h1>The floor</h1>
    <div class="drawing">
      <Boards
        title="Presses"
        add="Add a press"
        columns="130px minmax(0, 1fr) minmax(0, 1fr)"
        :kept="standing"
        :fields="pressFields"
        :save="presses.save"
        :fresh="freshPress"
        :named="(p) => p.name"
      >
        <template #face="{ value: p }">
          <PressDrawing :kind="p.kind" />
          <span class="stack"
            ><b class="name">{{ p.name }}</b
            ><span class="quiet">{{ p.kind }}, {{ p.platenWidthIn }} × {{ p.platenHeightIn }} in</span></span
          >
          <span v-if="curesOnly(p)" class="quiet">cures film; nothing is pressed with it</span>
          <span v-else-if="p.offsetF === null" class="caution"
            ><Sign kind="caution" /> not yet tested: pressing at the dial's word</span
          >
          <span v-else-if="setAside.includes(p.id)" class="heat"
            ><Sign kind="heat" /> off by {{ degrees(p.offsetF) }}: set aside</span
          >
          <span v-else class="stack"
            >offset <b class="name">{{ degrees(p.offsetF) }}</b><span class="small quiet">{{
              p.maps.length ? 'by nine points, below' : 'as typed: measure its platen below'
            }}</span></span
          >
        </template>
        <template #below="{ value: p, version }">
          <template v-if="!curesOnly(p)">
            <PlatenCheck :press="p" :version="version" @measured="load" />
            <PaperPull v-if="p.kind !== 'handheld'" :press="p" :version="version" @noted="load" />
            <p v-else class="hang small">
              <Sign kind="caution" /> Held by hand: its pressure is yours, and a guess. Both hands are bound while it
              presses.
            </p>
            <SimulatedPress :press="p" />
          </template>
          <UpkeepPart :view="upkeepViews[p.id]" :kept="upkeepOf(p.id)" :name="p.name" @changed="upkeep.load" />
          <p v-if="p.cautions" class="hang small"><Sign kind="caution" /> {{ p.cautions }}</p>
        </template>
        <template #none>Add your first press: its platen, its dial, one thermometer.</template>
      </Boards>
      <FloorSimulation />
      <MachineBoards :board="filmPrinters.board" :views="upkeepViews" :upkeep="upkeep.all.value" @changed="upkeep.load">
        <template #face="{ x }">
          <span class="small"
            >{{ x.rollWidthIn }} in film, {{ x.speedIn2PerMinute }} in² a minute; colour {{ x.colourMlPerIn2 }} and
            white {{ x.whiteMlPerIn2 }} ml an in², powder {{ x.powderGPerIn2 }} g</span
          >
          <span class="fig small quiet">cured {{ x.cure === 'oven' ? 'in the oven' : 'under the press' }}</span>
        </template>
        <template #below="{ x }">
          <PrinterMaterials
            :view="materials[x.id]"
            :kept="supplies.all.value.find((k) => k.value.id === x.id)"
            :name="x.name"
            @changed="supplies.load"
          />
          <FilmQueue :printer="x" @changed="looked" />
          <CureBatches :printer="x" :presses="presses.all.value.map((k) => k.value)" @changed="looked" />
        </template>
      </MachineBoards>
      <MachineBoards :board="dyePrinters.board" :views="upkeepViews" :upkeep="upkeep.all.value" @changed="upkeep.load">
        <template #face="{ x }">
          <span class="small"
            >{{ x.sheetWidthIn }} × {{ x.sheetHeightIn }} in sheets, {{ x.speedIn2PerMinute }} in² a minute, ink
            {{ x.inkMlPerIn2 }} ml an in²</span
          >
          <span class="fig small quiet">{{ x.tapeInPerPrint }} in of tape a print</span>
        </template>
        <template #below="{ x }">
          <PrinterMaterials
            :view="materials[x.id]"
            :kept="supplies.all.value.find((k) => k.value.id === x.id)"
            :name="x.name"
            @changed="supplies.load"
          />
        </template>
      </MachineBoards>
      <MachineBoards :board="cutters.board" :views="upkeepViews" :upkeep="upkeep.all.value" @changed="upkeep.load">
        <template #face="{ x }">
          <span class="small">cuts {{ x.cutWidthIn }} in wide, {{ x.speedIn2PerMinute }} in² a minute</span>
          <span class="fig small quiet"></span>
        </template>
      </MachineBoards>
      <FurtherMachines :views="upkeepViews" :upkeep="upkeep.all.value" @changed="upkeep.load" />
      <OtherBoards area="floor" :shown="drawn">
        <template #below="{ value }">
          <CureBatches
            v-if="curesFilm(value.id)"
            :printer="{ id: value.id, name: nameOf(value) }"
            :presses="presses.all.value.map((k) => k.value)"
            @changed="looked"
          />
        </template>
      </OtherBoards>
      <RecipesAndTests :products="products" />
    </div>
    <Keys
      :hints="[
        ['Tab', 'next machine or recipe', 'here'],
        ['Enter', 'open it, or save', 'here'],
        ['Esc', 'as it was', 'here'],
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
