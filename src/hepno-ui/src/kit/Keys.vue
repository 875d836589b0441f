<script setup lang="ts">
/** Key hints, always the last row: "keys what" pairs. */
defineProps<{ hints: [keys: string, what: string][] }>()
</script>

<template>
  <div class="hints">
    <span v-for="[keys, what] in hints" :key="keys"
      ><kbd v-for="key in keys.split(' ')" :key="key" style="margin-right: 4px">{{ key }}</kbd
      >{{ what }}</span
    >
    <slot />
  </div>
</template>
