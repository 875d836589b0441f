<script setup lang="ts">
defineProps<{ kind: 'go' | 'caution' | 'heat' | 'no' | 'tested' | 'maker' | 'assumed' }>()
</script>

<template>
  <svg width="13" height="13" viewBox="0 0 13 13" aria-hidden="true">
    <path v-if="kind === 'go'" d="M1.5 7 5 10.5 11.5 2.5" fill="none" stroke="var(--go)" stroke-width="2.4" />
    <path v-else-if="kind === 'caution'" d="M6.5 1 12.5 12H.5Z" fill="var(--caution-text)" />
    <path
      v-else-if="kind === 'heat'"
      d="M2 1v12M2 1.5h10L9.5 4.5 12 7.5H2"
      fill="var(--heat)"
      stroke="var(--heat)"
      stroke-width="1.6"
    />
    <path v-else-if="kind === 'no'" d="M2 2 11 11M11 2 2 11" stroke="var(--ink)" stroke-width="2" />
    <circle
      v-else
      cx="6.5"
      cy="6.5"
      r="4"
      :fill="kind === 'tested' ? 'var(--ink)' : 'none'"
      stroke="var(--ink)"
      stroke-width="1.5"
      :stroke-dasharray="kind === 'assumed' ? '2 1.6' : undefined"
    />
  </svg>
</template>
