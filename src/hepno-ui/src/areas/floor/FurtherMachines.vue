<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { things, useThings } from '../../kit/things'
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
  <MachineBoards :board="stitchers.board" :views="views" :upkeep="upkeep" @changed="emit('changed')">
    <template #face="{ x }">
      <span class="small"
        >{{ x.stitchesPerMinute }} stitches a minute, {{ x.heads === 1 ? 'one head' : `${x.heads} heads` }},
        {{ x.needles }} colours; hoop {{ x.hoopWidthIn }} × {{ x.hoopHeightIn }} in</span
      >
      <span class="fig small quiet">{{ x.takesCaps ? 'with a cap frame' : 'no cap frame' }}</span>
    </template>
  </MachineBoards>
  <MachineBoards :board="paperPrinters.board" :views="views" :upkeep="upkeep" @changed="emit('changed')">
    <template #face="{ x }">
      <span class="small">paper up to {{ x.widestIn }} in wide, {{ x.speedIn2PerMinute }} in² a minute</span>
      <span class="fig small quiet">ink {{ x.inkMlPerIn2 }} ml an in²</span>
    </template>
  </MachineBoards>
  <MachineBoards :board="garmentPrinters.board" :views="views" :upkeep="upkeep" @changed="emit('changed')">
    <template #face="{ x }">
      <span class="small"
        >up to {{ x.mostWidthIn }} × {{ x.mostHeightIn }} in, {{ x.speedIn2PerMinute }} in² a minute; colour
        {{ x.colourMlPerIn2 }} and white {{ x.whiteMlPerIn2 }} ml an in²</span
      >
      <span class="fig small quiet">pretreats mid and dark cloth</span>
    </template>
  </MachineBoards>
  <MachineBoards :board="calenders.board" :views="views" :upkeep="upkeep" @changed="emit('changed')">
    <template #face="{ x }">
      <span class="small"
        >paper {{ x.paperWidthIn }} in wide, printed {{ x.printIn2PerMinute }} in² a minute; drum {{ x.inPerMinute }} in
        a minute</span
      >
      <span class="fig small quiet">ink {{ x.inkMlPerIn2 }} ml an in²</span>
    </template>
  </MachineBoards>
</template>
