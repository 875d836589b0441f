<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { shop, take } from '../state/state'

/** The orders of the station shown, while the order in hand stands elsewhere. */
const route = useRoute()
const pegs = computed(() => {
  const station = route.path === '/' ? 'ask' : route.path.slice(1)
  const here = shop.line?.stations.find((s) => s.station === station)
  return here && here.pegs.every((p) => p.id !== shop.inHand) ? here.pegs : []
})
</script>

<template>
  <div v-if="pegs.length > 0" class="slips" role="group" aria-label="Orders at this station">
    <button
      v-for="p in pegs"
      :key="p.id"
      :class="p.urgency"
      :aria-current="p.id === shop.order?.id"
      :title="`Take ${p.code} in hand`"
      @click="take(p.id)"
    >
      <b class="mono">{{ p.code }}</b> {{ p.customer
      }}<span class="quiet small">{{ p.pieces }} pieces{{ p.due ? `, ${p.due}` : '' }}</span>
    </button>
    <p v-if="shop.held && shop.order && shop.order.id !== shop.held.id" class="note quiet">
      {{ shop.order.code }} to read; in hand stays {{ shop.held.code }}. Take one by its slip.
    </p>
  </div>
</template>

<style scoped>
.slips {
  display: flex;
  gap: 8px;
  padding: 8px 20px 4px;
  overflow-x: auto;
  flex: none;
}
button {
  border: 1px solid var(--rule-strong);
  border-left: 4px solid var(--ink);
  background: var(--bleach);
  padding: 4px 10px;
  white-space: nowrap;
  flex: none;
}
button[aria-current='true'] {
  outline: 2px solid var(--ink);
}
p {
  align-self: center;
  flex: none;
}
button.late {
  border-left-color: var(--heat);
}
button.soon {
  border-left-color: var(--caution);
}
span {
  display: block;
}
</style>
