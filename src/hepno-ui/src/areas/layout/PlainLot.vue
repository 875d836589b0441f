<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { money } from '../../words/shown'
import { format } from '../../state/state'
import PurchaseFacts from './PurchaseFacts.vue'

/** What is sent out or stitched: nothing is laid, but it is bought or set up all the same. */
defineProps<{ plan: Schemas['DecorationPlan']; purchase?: Schemas['Purchase'] }>()
</script>

<template>
  <section class="lot plain">
    <div>
      <h2>{{ purchase?.text ?? plan.material.label }}</h2>
      <PurchaseFacts v-if="purchase" :purchase="purchase" />
      <p v-else class="small">
        <button @click="explain(plan.material)">
          <b>{{ money(plan.material.value, format()) }}</b>
        </button>
        a piece
      </p>
    </div>
    <p v-if="plan.setUp && !purchase" class="small">
      {{ plan.setUp.label }}
      <button @click="explain(plan.setUp)">
        <b>{{ money(plan.setUp.value, format()) }}</b>
      </button>
      once
    </p>
  </section>
</template>

<style scoped src="./lot.css"></style>
<style scoped>
.plain b {
  font-size: 20px;
  font-weight: var(--w-figure);
}
</style>
