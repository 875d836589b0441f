<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { bare, length } from '../../words/shown'
import { placeName } from '../../words/words'
import { format, lineInHand } from '../../state/state'
import PurchaseFacts from './PurchaseFacts.vue'

/** Bought transfers of one size class or sheet: what is paid for, and how much of it is empty. */
const props = defineProps<{ plan: Schemas['DecorationPlan']; purchase: Schemas['Purchase'] }>()
const f = computed(() => format())
const sheet = computed(() => props.purchase.sizeClass!)
const print = computed(() => props.purchase.for?.print ?? props.plan.placement)
const pieces = computed(() => props.purchase.for?.pieces ?? lineInHand.value?.asked.pieces ?? 0)
/** On which sizes, where it is not the same on all. */
const sizes = computed(() => {
  const mine = props.purchase.for?.sizes ?? []
  return mine.length > 0 && mine.length < (lineInHand.value?.asked.sizes.length ?? 0)
    ? ` on ${mine.map((s) => s.size).join(', ')}`
    : ''
})
const upright = computed(() => print.value.widthIn <= sheet.value.widthIn)
const cloth = computed(() => lineInHand.value?.colourway?.hex ?? 'var(--calico)')
// one scale for all of them, so that a small sheet looks small
const scale = 8
</script>

<template>
  <section class="lot">
    <div>
      <h2>
        {{ placeName(lineInHand?.places, print.place) }}{{ sizes }}: {{ purchase.quantity }} {{ purchase.unit }} of
        {{ sheet.name }}
      </h2>
      <p class="small quiet">
        artwork {{ length(print.widthIn, f) }} × {{ length(print.heightIn, f) }} in the smallest size that holds it,
        {{ length(sheet.widthIn, f) }} × {{ length(sheet.heightIn, f) }}; {{ purchase.quantity - pieces }} spare
      </p>
      <PurchaseFacts :purchase="purchase">{{ bare(plan.material.value, f) }} a piece with freight</PurchaseFacts>
    </div>
    <svg class="class" :viewBox="`0 0 340 ${sheet.heightIn * scale + 40}`" aria-hidden="true">
      <g v-for="n in 3" :key="n" :transform="`translate(${(3 - n) * 8} ${(3 - n) * 6})`">
        <rect
          :width="sheet.widthIn * scale"
          :height="sheet.heightIn * scale"
          fill="var(--bleach)"
          stroke="var(--ink)"
        />
        <template v-if="n === 3">
          <rect :width="sheet.widthIn * scale" :height="sheet.heightIn * scale" fill="url(#hatch)" opacity=".6" />
          <rect
            :width="(upright ? print.widthIn : print.heightIn) * scale"
            :height="(upright ? print.heightIn : print.widthIn) * scale"
            :fill="cloth"
            stroke="var(--ink)"
          />
        </template>
      </g>
      <text x="0" :y="sheet.heightIn * scale + 32" font-size="13" fill="var(--ink-2)">
        × {{ purchase.quantity }}, hatched is paid for and empty
      </text>
    </svg>
  </section>
</template>

<style scoped src="./lot.css"></style>
