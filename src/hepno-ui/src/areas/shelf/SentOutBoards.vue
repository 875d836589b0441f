<script setup lang="ts">
import type { Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import { length, money } from '../../words/shown'
import { things, useThings } from '../../kit/things'
import { kindWord } from '../../words/words'
import { format } from '../../state/state'

/** Transfer papers, cloth by the roll, and who prints for the shop. */
const papers = things<Schemas['TransferPaper']>('papers')
const outside = things<Schemas['OutsidePrinter']>('outside-printers')
const pods = things<Schemas['PodService']>('pod-services')
const cloths = things<Schemas['RollCloth']>('cloths')
useThings({ cloth: cloths, paper: papers, 'outside-printer': outside, 'pod-service': pods })
const days = (n: number) => (n === 1 ? '1 day' : `${n} days`)
</script>

<template>
  <Boards v-bind="papers.board">
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
  </Boards>
  <Boards v-bind="cloths.board">
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
  </Boards>
  <Boards v-bind="outside.board">
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
  </Boards>
  <Boards v-bind="pods.board">
    <template #face="{ value: x }">
      <b>{{ x.supplier }}</b>
      <span class="small">{{
        x.prices.map((p) => `${(kindWord[p.kind] ?? p.kind).toLowerCase()} ${money(p.price, format())}`).join(' · ')
      }}</span>
      <span class="fig small quiet">{{ days(x.makingDays + x.transitDays) }}</span>
    </template>
  </Boards>
</template>
