<script setup lang="ts">
/** A press, iron, oven or conveyor as it stands on the floor. */
defineProps<{ kind: string }>()
</script>

<template>
  <svg viewBox="0 0 120 90" width="120" aria-hidden="true">
    <path d="M8 84H112" stroke="var(--ink)" stroke-width="3" />
    <g v-if="kind === 'oven'" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2">
      <rect x="22" y="26" width="76" height="58" />
      <rect x="32" y="44" width="56" height="30" />
      <path d="M36 54h48M36 64h48" />
      <path d="M32 36h20" stroke-width="4" />
    </g>
    <g v-else-if="kind === 'conveyor'" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2">
      <path d="M14 66h92M22 84V66M98 84V66" />
      <rect x="36" y="36" width="48" height="30" />
      <circle cx="14" cy="62" r="5" />
      <circle cx="106" cy="62" r="5" />
    </g>
    <g v-else-if="kind === 'handheld'" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2">
      <rect x="30" y="66" width="60" height="16" />
      <path d="M42 66V50q18-16 36 0v16" fill="none" stroke-width="5" />
    </g>
    <template v-else>
      <rect x="24" y="66" width="70" height="10" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2" />
      <path v-if="kind === 'cap'" d="M28 52q31-26 62 0" fill="none" stroke="var(--ink)" stroke-width="8" />
      <rect v-else x="24" y="40" width="70" height="12" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2" />
      <path d="M59 40V26H100V84M59 26 26 10" fill="none" stroke="var(--ink)" stroke-width="4" />
      <circle cx="26" cy="10" r="5" fill="var(--ink)" />
    </template>
  </svg>
</template>
