<script setup lang="ts">
import type { Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import PriceHistory from '../../kit/PriceHistory.vue'
import { length, money } from '../../words/shown'
import { things, useThings } from '../../kit/things'
import { kindWord } from '../../words/words'
import { format } from '../../state/state'
import {
  clothFields,
  freshCloth,
  freshOutside,
  freshPaper,
  freshPod,
  outsideFields,
  paperFields,
  podFields,
} from './sentOutFields'

/** Transfer papers, cloth by the roll, and who prints for the shop. */
const papers = things<Schemas['TransferPaper']>('papers')
const outside = things<Schemas['OutsidePrinter']>('outside-printers')
const pods = things<Schemas['PodService']>('pod-services')
const cloths = things<Schemas['RollCloth']>('cloths')
useThings({ cloth: cloths, paper: papers, 'outside-printer': outside, 'pod-service': pods })
const days = (n: number) => (n === 1 ? '1 day' : `${n} days`)
</script>

<template>
  <Boards
    title="Transfer paper"
    add="Add a paper"
    :kept="papers.all.value"
    :fields="paperFields"
    :save="papers.save"
    :fresh="freshPaper"
    :named="(x) => x.product"
  >
    <template #face="{ value: x }">
      <span
        ><b>{{ x.product }}</b
        >{{ ' ' }}<span class="quiet small">{{ x.supplier }}</span></span
      >
      <span class="small"
        >{{ x.kind === 'light' ? 'for white and pale cloth' : 'opaque, for any cloth' }},
        {{ length(x.sheetWidthIn, format()) }} × {{ length(x.sheetHeightIn, format()) }}</span
      >
      <span class="fig"
        ><b>{{ money(x.sheetPrice, format()) }}</b
        >{{ ' ' }}<span class="small quiet">a sheet, {{ days(x.leadDays) }}</span></span
      >
    </template>
    <template #deeds="{ kept }"><PriceHistory :id="kept.value.id" noun="papers" :version="kept.version" /></template>
    <template #none>No transfer paper yet.</template>
  </Boards>
  <Boards
    title="Cloth by the roll, for cut and sew"
    add="Add a cloth"
    :kept="cloths.all.value"
    :fields="clothFields"
    :save="cloths.save"
    :fresh="freshCloth"
    :named="(x) => x.product"
  >
    <template #face="{ value: x }">
      <span
        ><b>{{ x.product }}</b
        >{{ ' ' }}<span class="quiet small">{{ x.supplier }}</span></span
      >
      <span class="small"
        >{{ x.polyesterPercent }}% polyester, {{ x.weightGsm }} g, {{ length(x.widthIn, format()) }} wide</span
      >
      <span class="fig"
        ><b>{{ money(x.pricePerFoot, format()) }}</b
        >{{ ' ' }}<span class="small quiet">a foot, {{ days(x.leadDays) }}</span></span
      >
    </template>
    <template #deeds="{ kept }"><PriceHistory :id="kept.value.id" noun="cloths" :version="kept.version" /></template>
    <template #none>No cloth by the roll.</template>
  </Boards>
  <Boards
    title="Screen printers, sent out to"
    add="Add a printer"
    :kept="outside.all.value"
    :fields="outsideFields"
    :save="outside.save"
    :fresh="freshOutside"
    :named="(x) => x.supplier"
  >
    <template #face="{ value: x }">
      <b>{{ x.supplier }}</b>
      <span class="small">{{
        x.prices
          .map((p) => `${p.colours} from ${money(Math.min(...p.breaks.map((b) => b.price)), format())}`)
          .join(' · ')
      }}</span>
      <span class="fig small quiet"
        >a screen {{ money(x.setUpPerScreen, format())
        }}{{ x.repeatPerScreen == null ? '' : `, again ${money(x.repeatPerScreen, format())}` }},
        {{ x.leastPieces }} pieces at least, {{ days(x.leadDays) }}</span
      >
    </template>
    <template #deeds="{ kept }"
      ><PriceHistory :id="kept.value.id" noun="outside-printers" :version="kept.version"
    /></template>
    <template #none>No screen printer: add one to see from which quantity on sending out costs less.</template>
  </Boards>
  <Boards
    title="Printed on demand by others"
    add="Add a service"
    :kept="pods.all.value"
    :fields="podFields"
    :save="pods.save"
    :fresh="freshPod"
    :named="(x) => x.supplier"
  >
    <template #face="{ value: x }">
      <b>{{ x.supplier }}</b>
      <span class="small">{{
        x.prices.map((p) => `${(kindWord[p.kind] ?? p.kind).toLowerCase()} ${money(p.price, format())}`).join(' · ')
      }}</span>
      <span class="fig small quiet">{{ days(x.makingDays + x.transitDays) }}</span>
    </template>
    <template #deeds="{ kept }"
      ><PriceHistory :id="kept.value.id" noun="pod-services" :version="kept.version"
    /></template>
    <template #none>No service that prints on demand.</template>
  </Boards>
</template>
