<script setup lang="ts">
/**
 * Key hints, always the last row: "keys what" pairs. Each key is a button that does what it says, for who has no keyboard at hand.
 * Keys that act on the field in focus alone say so by a third word and stay words.
 */
defineProps<{ hints: [keys: string, what: string, only?: 'here'][] }>()

const named: Record<string, string> = {
  '←': 'ArrowLeft',
  '→': 'ArrowRight',
  '↑': 'ArrowUp',
  '↓': 'ArrowDown',
  Esc: 'Escape',
  Space: ' ',
}
/** "Ctrl Enter" is one chord, "L P" are two keys. */
const chords = (keys: string): string[] => (/^(Ctrl|Shift) /.test(keys) ? [keys] : keys.split(' '))
function press(chord: string): void {
  const held = chord.split(' ')
  const key = held.at(-1)!
  window.dispatchEvent(
    new KeyboardEvent('keydown', {
      key: named[key] ?? (key.length === 1 ? key.toLowerCase() : key),
      ctrlKey: held[0] === 'Ctrl',
      shiftKey: held[0] === 'Shift',
    }),
  )
}
</script>

<template>
  <div class="hints">
    <template v-for="[keys, what, only] in hints" :key="keys">
      <span v-if="only"
        ><kbd v-for="key in keys.split(' ')" :key="key">{{ key }}</kbd
        >{{ what }}</span
      >
      <span v-else data-again class="pair"
        ><button
          v-for="chord in chords(keys)"
          :key="chord"
          :aria-label="`Key ${chord}`"
          :title="what"
          @mousedown.prevent
          @click="press(chord)"
        >
          <kbd v-for="key in chord.split(' ')" :key="key">{{ key }}</kbd></button
        ><span @mousedown.prevent @click="press(chords(keys).at(-1)!)">{{ what }}</span></span
      >
    </template>
    <slot />
  </div>
</template>

<style scoped>
button {
  min-height: 28px;
  min-width: 24px;
}
kbd {
  margin-right: 4px;
}
.pair > span {
  cursor: pointer;
}
</style>
