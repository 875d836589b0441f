<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { things, useThings } from '../../kit/things'
import {
  calenderFields,
  freshCalender,
  freshGarmentPrinter,
  freshPaperPrinter,
  freshStitchMachine,
  garmentPrinterFields,
  paperPrinterFields,
  stitchMachineFields,
} from './furtherFields'
import MachineBoards from './MachineBoards.vue'

/** Machines that print paper, print on garments, stitch, or dye cloth by the roll. */
defineProps<{
  views: Record<string, Schemas['UpkeepView']>
  upkeep: { value: Schemas['MachineUpkeep']; version: number }[]
}>()
const emit = defineEmits<{ changed: [] }>()
const stitchers = things<Schemas['StitchMachine']>('stitch-machines')
const paperPrinters = things<Schemas['PaperPrinter']>('paper-printers')
const garmentPrinters = things<Schemas['GarmentPrinter']>('garment-printers')
const calenders = things<Schemas['Calender']>('calenders')
useThings({
  calender: calenders,
  'stitch-machine': stitchers,
  'paper-printer': paperPrinters,
  'garment-printer': garmentPrinters,
})
</script>

<template>
  <MachineBoards
    title="Embroidery machines"
    add="Add an embroidery machine"
    none="No embroidery machine: stitching stays folded."
    noun="stitch-machines"
    :kept="stitchers.all.value"
    :fields="stitchMachineFields"
    :save="stitchers.save"
    :fresh="freshStitchMachine"
    :views="views"
    :upkeep="upkeep"
    @changed="emit('changed')"
  >
    <template #face="{ x }">
      <span class="small"
        >{{ x.stitchesPerMinute }} stitches a minute, {{ x.heads === 1 ? 'one head' : `${x.heads} heads` }},
        {{ x.needles }} colours; hoop {{ x.hoopWidthIn }} × {{ x.hoopHeightIn }} in</span
      >
      <span class="fig small quiet">{{ x.takesCaps ? 'with a cap frame' : 'no cap frame' }}</span>
    </template>
  </MachineBoards>
  <MachineBoards
    title="Inkjet printers for paper"
    add="Add an inkjet printer"
    none="No inkjet printer: transfer papers stay folded."
    noun="paper-printers"
    :kept="paperPrinters.all.value"
    :fields="paperPrinterFields"
    :save="paperPrinters.save"
    :fresh="freshPaperPrinter"
    :views="views"
    :upkeep="upkeep"
    @changed="emit('changed')"
  >
    <template #face="{ x }">
      <span class="small">paper up to {{ x.widestIn }} in wide, {{ x.speedIn2PerMinute }} in² a minute</span>
      <span class="fig small quiet">ink {{ x.inkMlPerIn2 }} ml an in²</span>
    </template>
  </MachineBoards>
  <MachineBoards
    title="Direct-to-garment printers"
    add="Add a garment printer"
    none="No garment printer: direct printing stays folded."
    noun="garment-printers"
    :kept="garmentPrinters.all.value"
    :fields="garmentPrinterFields"
    :save="garmentPrinters.save"
    :fresh="freshGarmentPrinter"
    :views="views"
    :upkeep="upkeep"
    @changed="emit('changed')"
  >
    <template #face="{ x }">
      <span class="small"
        >up to {{ x.mostWidthIn }} × {{ x.mostHeightIn }} in, {{ x.speedIn2PerMinute }} in² a minute; colour
        {{ x.colourMlPerIn2 }} and white {{ x.whiteMlPerIn2 }} ml an in²</span
      >
      <span class="fig small quiet">pretreats mid and dark cloth</span>
    </template>
  </MachineBoards>
  <MachineBoards
    title="Calenders, for cut and sew"
    add="Add a calender"
    none="No calender: cut and sew stays folded."
    noun="calenders"
    :kept="calenders.all.value"
    :fields="calenderFields"
    :save="calenders.save"
    :fresh="freshCalender"
    :views="views"
    :upkeep="upkeep"
    @changed="emit('changed')"
  >
    <template #face="{ x }">
      <span class="small"
        >paper {{ x.paperWidthIn }} in wide, printed {{ x.printIn2PerMinute }} in² a minute; drum {{ x.inPerMinute }} in
        a minute</span
      >
      <span class="fig small quiet">ink {{ x.inkMlPerIn2 }} ml an in²</span>
    </template>
  </MachineBoards>
</template>
