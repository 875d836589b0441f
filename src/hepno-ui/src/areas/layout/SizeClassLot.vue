<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { bare, length } from '../../kit/shown'
import { placeWord } from '../../kit/words'
import { format, lineInHand } from '../../shell/state'
import PurchaseFacts from './PurchaseFacts.vue'

/** Bought transfers of one size class or sheet: what is paid for, and how much of it is empty. */
const props = defineProps<{ plan: Schemas['DecorationPlan'] }>()
const f = computed(() => format())
const bought = computed(() => props.plan.purchases[0]!)
const sheet = computed(() => bought.value.sizeClass!)
const upright = computed(() => props.plan.placement.widthIn <= sheet.value.widthIn)
const cloth = computed(() => lineInHand.value?.colourway?.hex ?? 'var(--calico)')
// one scale for all of them, so that a small sheet looks small
const scale = 8
</script>

<template>
  <section class="lot">
    <div>
      <h2>{{ placeWord[plan.placement.place] }}: {{ bought.quantity }} {{ bought.unit }} of {{ sheet.name }}</h2>
      <p class="small quiet">
        artwork {{ length(plan.placement.widthIn, f) }} × {{ length(plan.placement.heightIn, f) }} in the smallest size
        that holds it, {{ length(sheet.widthIn, f) }} × {{ length(sheet.heightIn, f) }};
        {{ plan.bought - (lineInHand?.asked.pieces ?? 0) }} spare
      </p>
      <PurchaseFacts :purchase="bought">{{ bare(plan.material.value, f) }} a piece with freight</PurchaseFacts>
    </div>
    <svg class="class" viewBox="0 0 340 170" aria-hidden="true">
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
            :width="(upright ? plan.placement.widthIn : plan.placement.heightIn) * scale"
            :height="(upright ? plan.placement.heightIn : plan.placement.widthIn) * scale"
            :fill="cloth"
            stroke="var(--ink)"
          />
        </template>
      </g>
      <text x="130" y="160" font-size="13" fill="var(--ink-2)">× {{ plan.bought }}, hatched is paid for and empty</text>
    </svg>
  </section>
</template>

<style scoped src="./lot.css"></style>
