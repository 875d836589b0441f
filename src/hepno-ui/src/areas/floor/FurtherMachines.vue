<script setup lang="ts">
import type { Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import PriceHistory from '../../kit/PriceHistory.vue'
import Sign from '../../kit/Sign.vue'
import { things, useThings } from '../../kit/things'
import {
  freshGarmentPrinter,
  freshPaperPrinter,
  freshStitchMachine,
  garmentPrinterFields,
  paperPrinterFields,
  stitchMachineFields,
} from './furtherFields'
import UpkeepPart from './UpkeepPart.vue'

/** Machines that print paper, print on garments, or stitch. */
defineProps<{
  views: Record<string, Schemas['UpkeepView']>
  upkeep: { value: Schemas['MachineUpkeep']; version: number }[]
}>()
const emit = defineEmits<{ changed: [] }>()
const stitchers = things<Schemas['StitchMachine']>('stitch-machines')
const paperPrinters = things<Schemas['PaperPrinter']>('paper-printers')
const garmentPrinters = things<Schemas['GarmentPrinter']>('garment-printers')
useThings({ 'stitch-machine': stitchers, 'paper-printer': paperPrinters, 'garment-printer': garmentPrinters })
</script>

<template>
  <Boards
    title="Embroidery machines"
    add="Add an embroidery machine"
    :kept="stitchers.all.value"
    :fields="stitchMachineFields"
    :save="stitchers.save"
    :fresh="freshStitchMachine"
    :named="(x) => x.name"
  >
    <template #face="{ value: x }">
      <b class="name">{{ x.name }}</b>
      <span class="small"
        >{{ x.stitchesPerMinute }} stitches a minute, {{ x.heads === 1 ? 'one head' : `${x.heads} heads` }},
        {{ x.needles }} colours; hoop {{ x.hoopWidthIn }} × {{ x.hoopHeightIn }} in</span
      >
      <span class="fig small quiet">{{ x.takesCaps ? 'with a cap frame' : 'no cap frame' }}</span>
    </template>
    <template #below="{ value: x }">
      <UpkeepPart
        :view="views[x.id]"
        :kept="upkeep.find((k) => k.value.id === x.id)"
        :name="x.name"
        @changed="emit('changed')"
      />
      <p v-if="x.cautions" class="hang small"><Sign kind="caution" /> {{ x.cautions }}</p>
    </template>
    <template #deeds="{ kept }"
      ><PriceHistory :id="kept.value.id" noun="stitch-machines" :version="kept.version"
    /></template>
    <template #none>No embroidery machine: stitching stays folded.</template>
  </Boards>
  <Boards
    title="Inkjet printers for paper"
    add="Add an inkjet printer"
    :kept="paperPrinters.all.value"
    :fields="paperPrinterFields"
    :save="paperPrinters.save"
    :fresh="freshPaperPrinter"
    :named="(x) => x.name"
  >
    <template #face="{ value: x }">
      <b class="name">{{ x.name }}</b>
      <span class="small"
        >paper up to {{ x.widestIn }} in wide, {{ x.speedIn2PerMinute }} in² a minute, ink {{ x.inkMlPerIn2 }} ml an
        in²</span
      >
      <span class="fig small quiet"></span>
    </template>
    <template #below="{ value: x }">
      <UpkeepPart
        :view="views[x.id]"
        :kept="upkeep.find((k) => k.value.id === x.id)"
        :name="x.name"
        @changed="emit('changed')"
      />
      <p v-if="x.cautions" class="hang small"><Sign kind="caution" /> {{ x.cautions }}</p>
    </template>
    <template #deeds="{ kept }"
      ><PriceHistory :id="kept.value.id" noun="paper-printers" :version="kept.version"
    /></template>
    <template #none>No inkjet printer: transfer papers stay folded.</template>
  </Boards>
  <Boards
    title="Direct-to-garment printers"
    add="Add a garment printer"
    :kept="garmentPrinters.all.value"
    :fields="garmentPrinterFields"
    :save="garmentPrinters.save"
    :fresh="freshGarmentPrinter"
    :named="(x) => x.name"
  >
    <template #face="{ value: x }">
      <b class="name">{{ x.name }}</b>
      <span class="small"
        >up to {{ x.mostWidthIn }} × {{ x.mostHeightIn }} in, {{ x.speedIn2PerMinute }} in² a minute; colour
        {{ x.colourMlPerIn2 }} and white {{ x.whiteMlPerIn2 }} ml an in²</span
      >
      <span class="fig small quiet">pretreats mid and dark cloth</span>
    </template>
    <template #below="{ value: x }">
      <UpkeepPart
        :view="views[x.id]"
        :kept="upkeep.find((k) => k.value.id === x.id)"
        :name="x.name"
        @changed="emit('changed')"
      />
      <p v-if="x.cautions" class="hang small"><Sign kind="caution" /> {{ x.cautions }}</p>
    </template>
    <template #deeds="{ kept }"
      ><PriceHistory :id="kept.value.id" noun="garment-printers" :version="kept.version"
    /></template>
    <template #none>No garment printer: direct printing stays folded.</template>
  </Boards>
</template>
