<script setup lang="ts">
import { api, ask, type Schemas, seen } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import Garment from '../../kit/Garment.vue'
import OtherBoards from '../../kit/OtherBoards.vue'
import Keys from '../../kit/Keys.vue'
import { length, money } from '../../words/shown'
import { settled, things, useThings } from '../../kit/things'
import { attempt, format, refresh } from '../../state/state'
import DrawerBoards from './DrawerBoards.vue'
import RemnantBoards from './RemnantBoards.vue'
import RecostQuotes from '../../kit/RecostQuotes.vue'
import SentOutBoards from './SentOutBoards.vue'
import { filmFields } from './filmFields'
import { freshScreen, freshStyle, screenFields, styleFields } from './fields'

const styles = things<Schemas['Style']>('styles')
const films = things<Schemas['TransferPriceList']>('films')
const vinyls = things<Schemas['VinylFilm']>('vinyls')
const screens = things<Schemas['ScreenTransferList']>('screens')
const load = useThings({ style: styles, film: films, vinyl: vinyls, screen: screens })

async function retire(kept: { value: Schemas['Style']; version: number }): Promise<void> {
  await attempt(async () => {
    await ask(api.DELETE('/api/styles/{id}', { params: { path: { id: kept.value.id } }, ...seen(kept.version) }))
    await Promise.all([load(), refresh()])
  }, `${kept.value.name} is off the Shelf. Z takes it back.`)
}
const lowest = (s: Schemas['ScreenSheet']) => Math.min(...s.prices.flatMap((p) => p.breaks.map((b) => b.price)))
const days = (n: number) => (n === 1 ? '1 day' : `${n} days`)
</script>

<template>
  <div class="area">
    <h1>The shelf</h1>
    <div class="drawing">
      <Boards
        title="Blanks"
        noun="styles"
        add="Add a style"
        columns="160px minmax(0, 1.4fr) minmax(0, 1fr) 210px"
        :kept="styles.all.value.filter((k) => !k.value.retired)"
        :fields="styleFields"
        :save="styles.save"
        :fresh="freshStyle"
        :named="(s) => s.name"
      >
        <template #face="{ value: s }">
          <span class="rail"
            ><Garment
              v-for="c in s.colourways.slice(0, 4)"
              :key="c.id"
              :kind="s.kind"
              :hex="c.hex"
              :placements="[]"
              class="hang"
          /></span>
          <span
            ><b>{{ s.name }}</b
            >{{ ' '
            }}<span class="quiet small"
              >{{ s.fabric.map((x) => `${x.percent}% ${x.fibre}`).join(', ') }}, {{ s.weightGsm }} g;
              {{ s.colourways.map((c) => c.name.toLowerCase()).join(', ') }}</span
            ></span
          >
          <span class="small"
            >{{ s.sizes.map((z) => (z.surcharge ? `${z.name} +${z.surcharge}` : z.name)).join(' ')
            }}<template v-if="s.onHand.length"
              >; {{ s.onHand.reduce((n, o) => n + o.pieces, 0) }} on hand</template
            ></span
          >
          <span class="fig"
            ><b>{{ money(s.unitPrice, format()) }}</b
            >{{ ' ' }}<span class="small quiet">{{ s.supplier }}, {{ days(s.leadDays) }}</span></span
          >
        </template>
        <template #deeds="{ kept }">
          <button class="plain-button" type="button" @click="retire(kept)">Take off the Shelf</button>
        </template>
        <template #none>One bare board. Add the style you sell most.</template>
      </Boards>
      <Boards
        title="Film, bought in"
        noun="films"
        add="Add a film price list"
        :kept="films.all.value"
        :fields="filmFields"
        :save="films.save"
        :fresh="
          () => ({
            supplier: '',
            product: '',
            sizes: [],
            freightPerOrder: 0,
            leadDays: 3,
            byLayout: null,
            kind: 'film' as const,
            soldBelow: false,
          })
        "
        :named="(x) => x.product"
      >
        <template #face="{ value: x }">
          <span
            ><b>{{ x.product }}</b
            >{{ ' ' }}<span class="quiet small">{{ x.supplier }}</span></span
          >
          <span class="small">{{
            [
              ...x.sizes.map((s) => `${s.name} ${money(s.breaks[0]?.price ?? 0, format())}`),
              ...(x.byLayout?.roll ? [`roll ${length(x.byLayout.roll.widthIn, format())} wide`] : []),
              ...(x.byLayout?.sheets ?? []).map((s) => `sheets ${s.name}`),
            ].join(' · ')
          }}</span>
          <span class="fig small quiet">freight {{ money(x.freightPerOrder, format()) }}, {{ days(x.leadDays) }}</span>
        </template>
        <template #none>No film prices yet: type the supplier's list.</template>
      </Boards>
      <DrawerBoards :films="films.all.value" />
      <Boards
        title="Screened transfers"
        noun="screens"
        add="Add a transfer price list"
        :kept="screens.all.value"
        :fields="screenFields"
        :save="screens.save"
        :fresh="freshScreen"
        :named="(x) => x.product"
      >
        <template #face="{ value: x }">
          <span
            ><b>{{ x.product }}</b
            >{{ ' ' }}<span class="quiet small">{{ x.supplier }}</span></span
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
      <Boards v-bind="vinyls.board">
        <template #face="{ value: x }">
          <span
            ><b>{{ x.product }}</b
            >{{ ' ' }}<span class="quiet small">{{ x.supplier }}</span></span
          >
          <span class="small"
            >{{ length(x.usableWidthIn, format()) }} usable, margin {{ length(x.weedingMarginIn, format()) }}</span
          >
          <span class="fig"
            ><b>{{ money(x.pricePerFoot, format()) }}</b
            >{{ ' ' }}<span class="small quiet">a foot, {{ days(x.leadDays) }}</span></span
          >
        </template>
      </Boards>
      <RemnantBoards :vinyls="vinyls.all.value" />
      <SentOutBoards />
      <OtherBoards area="shelf" :shown="['vinyls', 'papers', 'cloths', 'outside-printers', 'pod-services']" />
      <template v-if="settled">
        <h2 class="head">Quotes at the prices of today</h2>
        <RecostQuotes />
      </template>
    </div>
    <Keys
      :hints="[
        ['Tab', 'next board', 'here'],
        ['Enter', 'open it, or save', 'here'],
        ['Esc', 'as it was', 'here'],
        ['Z', 'take back'],
      ]"
    />
  </div>
</template>

<style scoped>
.head {
  margin-top: 18px;
}
.rail {
  display: flex;
  gap: 4px;
}
.hang {
  width: 38px;
  height: 38px;
}
</style>
