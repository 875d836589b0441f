<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { api, ask, makeId, type Schemas, seen } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import Garment from '../../kit/Garment.vue'
import Keys from '../../kit/Keys.vue'
import { length, money } from '../../kit/shown'
import ThingEditor from '../../kit/ThingEditor.vue'
import { things } from '../../kit/things'
import { onChange } from '../../shell/live'
import { attempt, format, refresh } from '../../shell/state'
import { filmFields, freshScreen, screenFields, styleFields, vinylFields } from './fields'

const styles = things<Schemas['Style']>('styles')
const films = things<Schemas['TransferPriceList']>('films')
const vinyls = things<Schemas['VinylFilm']>('vinyls')
const screens = things<Schemas['ScreenTransferList']>('screens')
const open = ref('')
const load = () =>
  attempt(async () => void (await Promise.all([styles.load(), films.load(), vinyls.load(), screens.load()])))
let stop = () => {}
onMounted(() => {
  void load()
  stop = onChange((kind) => void (['style', 'film', 'vinyl', 'screen'].includes(kind) && load()))
})
onUnmounted(() => stop())

function add(): void {
  const id = makeId()
  styles.all.value.push({
    version: 0,
    value: {
      id,
      name: '',
      supplier: '',
      kind: 'tee',
      fabric: [{ fibre: 'cotton', percent: 100 }],
      weightGsm: 160,
      heatCeilingF: 350,
      unitPrice: 0,
      freightPerOrder: 0,
      leadDays: 2,
      colourways: [],
      sizes: ['S', 'M', 'L', 'XL'].map((name) => ({ name, surcharge: 0 })),
      retired: false,
    },
  })
  open.value = id
}
async function retire(kept: { value: Schemas['Style']; version: number }): Promise<void> {
  await attempt(async () => {
    await ask(api.DELETE('/api/styles/{id}', { params: { path: { id: kept.value.id } }, ...seen(kept.version) }))
    await Promise.all([load(), refresh()])
  }, `${kept.value.name} is off the Shelf. Z takes it back.`)
}
const lowest = (s: Schemas['ScreenSheet']) => Math.min(...s.prices.flatMap((p) => p.breaks.map((b) => b.price)))
const days = (n: number) => (n === 1 ? '1 day' : `${n} days`)
const toggle = (id: string) => (open.value = open.value === id ? '' : id)
</script>

<template>
  <div class="area">
    <h1>The shelf</h1>
    <div class="drawing">
      <section>
        <h2 class="head">Blanks <button class="plain-button" @click="add">Add a style</button></h2>
        <p v-if="styles.all.value.length === 0" class="frame">One bare board. Add the style you sell most.</p>
        <div v-for="s in styles.all.value.filter((k) => !k.value.retired)" :key="s.value.id" class="board">
          <button class="face" :aria-expanded="open === s.value.id" @click="toggle(s.value.id)">
            <span class="rail"
              ><Garment
                v-for="c in s.value.colourways.slice(0, 4)"
                :key="c.id"
                :kind="s.value.kind"
                :hex="c.hex"
                :placements="[]"
                class="hang"
            /></span>
            <span
              ><b>{{ s.value.name || 'new style' }}</b>
              <span class="quiet small"
                >{{ s.value.fabric.map((x) => `${x.percent}% ${x.fibre}`).join(', ') }}, {{ s.value.weightGsm }} g;
                {{ s.value.colourways.map((c) => c.name.toLowerCase()).join(', ') }}</span
              ></span
            >
            <span class="small">{{
              s.value.sizes.map((z) => (z.surcharge ? `${z.name} +${z.surcharge}` : z.name)).join(' ')
            }}</span>
            <span class="fig"
              ><b>{{ money(s.value.unitPrice, format()) }}</b>
              <span class="small quiet">{{ s.value.supplier }}, {{ days(s.value.leadDays) }}</span></span
            >
          </button>
          <ThingEditor
            v-if="open === s.value.id"
            :value="s.value"
            :fields="styleFields"
            :save="styles.save"
            :title="s.value.name"
            ><button v-if="s.version > 0" class="plain-button" type="button" @click="retire(s)">
              Take off the Shelf
            </button></ThingEditor
          >
        </div>
      </section>
      <Boards
        title="Film, bought in"
        add="Add a film price list"
        :kept="films.all.value"
        :fields="filmFields"
        :save="films.save"
        :fresh="() => ({ supplier: '', product: '', sizes: [], freightPerOrder: 0, leadDays: 3 })"
        :named="(x) => x.product"
      >
        <template #face="{ value: x }">
          <span
            ><b>{{ x.product }}</b> <span class="quiet small">{{ x.supplier }}</span></span
          >
          <span class="small">{{
            x.sizes.map((s) => `${s.name} ${money(s.breaks[0]?.price ?? 0, format())}`).join(' · ')
          }}</span>
          <span class="fig small quiet">freight {{ money(x.freightPerOrder, format()) }}, {{ days(x.leadDays) }}</span>
        </template>
        <template #none>No film prices yet: type the supplier's list.</template>
      </Boards>
      <Boards
        title="Screened transfers"
        add="Add a transfer price list"
        :kept="screens.all.value"
        :fields="screenFields"
        :save="screens.save"
        :fresh="freshScreen"
        :named="(x) => x.product"
      >
        <template #face="{ value: x }">
          <span
            ><b>{{ x.product }}</b> <span class="quiet small">{{ x.supplier }}</span></span
          >
          <span class="small">{{
            x.sheets
              .map((s) => `${s.name} in ${s.prices[0]?.colours ?? 1} from ${money(lowest(s), format())}`)
              .join(' · ')
          }}</span>
          <span class="fig small quiet"
            >a colour {{ money(x.setUpPerColour, format()) }}, {{ x.leastSheets }} sheets at least,
            {{ days(x.leadDays) }}</span
          >
        </template>
        <template #none>No screened transfers: add a supplier's list to compare them.</template>
      </Boards>
      <Boards
        title="Vinyl"
        add="Add a roll"
        :kept="vinyls.all.value"
        :fields="vinylFields"
        :save="vinyls.save"
        :fresh="
          () => ({
            supplier: '',
            product: '',
            usableWidthIn: 19.5,
            pricePerFoot: 0,
            weedingMarginIn: 0.25,
            freightPerOrder: 0,
            leadDays: 3,
          })
        "
        :named="(x) => x.product"
      >
        <template #face="{ value: x }">
          <span
            ><b>{{ x.product }}</b> <span class="quiet small">{{ x.supplier }}</span></span
          >
          <span class="small"
            >{{ length(x.usableWidthIn, format()) }} usable, margin {{ length(x.weedingMarginIn, format()) }}</span
          >
          <span class="fig"
            ><b>{{ money(x.pricePerFoot, format()) }}</b>
            <span class="small quiet">a foot, {{ days(x.leadDays) }}</span></span
          >
        </template>
        <template #none>No vinyl yet.</template>
      </Boards>
    </div>
    <Keys
      :hints="[
        ['Tab', 'next board'],
        ['Enter', 'open it, or save'],
        ['Esc', 'as it was'],
        ['Z', 'take back'],
      ]"
    />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 16px;
  border-bottom: 2.5px solid var(--ink);
  padding: 14px 0 6px;
}
.head .plain-button {
  padding: 3px 10px;
  font-size: 13px;
}
.board {
  border-bottom: 1px solid var(--rule-strong);
}
.face {
  display: grid;
  grid-template-columns: 160px minmax(0, 1.4fr) minmax(0, 1fr) 210px;
  gap: 14px;
  align-items: center;
  width: 100%;
  padding: 8px 0;
}
.rail {
  display: flex;
  gap: 4px;
}
.hang {
  width: 38px;
  height: 38px;
}
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 30px;
  text-align: center;
}
</style>
