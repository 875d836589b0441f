<script setup lang="ts">
import { onMounted, onUnmounted } from 'vue'
import { typing } from './keys'
import { lineInHand, shop } from '../state/state'

/** The lines of the order in hand, one of them looked at; nothing when there is only one. */
function step(by: number): void {
  const lines = shop.order?.lines ?? []
  const at = lineInHand.value?.at ?? 0
  shop.lineId = lines[(at + by + lines.length) % lines.length]?.id ?? ''
}
function onKey(event: KeyboardEvent): void {
  if (typing(event) || (shop.order?.lines.length ?? 0) < 2 || !['[', ']'].includes(event.key)) return
  event.preventDefault()
  step(event.key === ']' ? 1 : -1)
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <nav v-if="shop.order && shop.order.lines.length > 1" class="lines" aria-label="Lines of the order">
    <kbd>[</kbd>
    <button
      v-for="(l, i) in shop.order.lines"
      :key="l.id"
      :aria-current="l.id === lineInHand?.id ? 'true' : undefined"
      @click="shop.lineId = l.id"
    >
      <b>{{ i + 1 }}</b> {{ l.what }}<span v-if="l.methodId" class="go" aria-label="method chosen"> ✓</span>
    </button>
    <kbd>]</kbd>
  </nav>
</template>

<style scoped>
.lines {
  display: flex;
  align-items: center;
  gap: 4px;
  overflow-x: auto;
  padding: 2px 0 6px;
}
.lines button {
  flex: none;
  min-height: 34px;
  padding: 2px 12px;
  border-bottom: 3px solid transparent;
}
.lines button[aria-current] {
  border-bottom-color: var(--ink);
  font-weight: var(--w-strong);
}
</style>
