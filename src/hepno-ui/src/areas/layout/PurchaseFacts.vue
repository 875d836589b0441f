<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { money } from '../../words/shown'
import { format } from '../../state/state'

/** What a purchase costs, opened to its parts, and where it comes from. */
const props = defineProps<{ purchase: Schemas['Purchase'] }>()
const from = computed(() =>
  props.purchase.supplier
    ? `${props.purchase.supplier}, ${props.purchase.leadDays} working ${props.purchase.leadDays === 1 ? 'day' : 'days'}`
    : "from the shop's own stock",
)
</script>

<template>
  <p class="small">
    <button class="figure" @click="explain(purchase.cost)">
      {{ money(purchase.cost.value, format()) }} <kbd>E</kbd>
    </button>
    {{ from }}<template v-if="$slots.default">. <slot /></template>
  </p>
</template>

<style scoped>
.figure {
  font-size: 22px;
  font-weight: var(--w-figure);
}
</style>
