<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { named, type Run } from './run'
import { tap } from './tap'

/** The run's keys as large as a hot hand needs them; while a piece is being spoiled, the reasons. */
defineProps<{ run: Run; view: Schemas['RunView'] }>()
</script>

<template>
  <footer v-if="run.spoiling" class="reasons" role="group" :aria-label="`Why is piece ${named(run.spoiling)} spoiled?`">
    <button class="not" @pointerup="tap($event, run.keepPiece)">
      <kbd>Esc</kbd> {{ named(run.spoiling) }} not spoiled
    </button>
    <button v-for="(r, i) in view.reasons" :key="r" @pointerup="tap($event, () => run.finish(r))">
      <kbd>{{ i + 1 }}</kbd> {{ r }}
    </button>
    <button @pointerup="tap($event, () => run.finish(null))"><kbd>0</kbd> no reason</button>
  </footer>
  <footer v-else>
    <button class="spoiled" :disabled="!run.judged" @pointerup="tap($event, run.spoil)">
      <b>Spoiled</b><span v-if="run.judged">piece {{ named(run.judged) }} <kbd>X</kbd></span>
    </button>
    <button v-if="run.canAgain" @pointerup="tap($event, run.pressAgain)">
      <b>Again</b><span><kbd>A</kbd></span>
    </button>
    <button v-else @pointerup="tap($event, run.back)">
      <b>Back</b><span><kbd>B</kbd></span>
    </button>
    <button @pointerup="tap($event, run.hold)">
      <b>{{ run.held ? 'Go on' : 'Hold' }}</b><span><kbd>H</kbd></span>
    </button>
    <button v-if="!run.pass?.work" @pointerup="tap($event, run.step)">
      <b>{{ run.closed ? 'Lift' : 'Close' }}</b><span><kbd>Enter</kbd></span>
    </button>
    <button class="good" :disabled="!run.judged" @pointerup="tap($event, run.good)">
      <b>{{ run.done ? 'All done' : 'Good' }}</b><span v-if="run.judged"
        >piece {{ named(run.judged) }} <kbd>Space</kbd></span
      >
    </button>
  </footer>
</template>

<style scoped>
footer {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 250px 150px 150px 170px 1fr;
  border-top: 1.5px solid var(--ink);
}
footer button {
  padding: 8px 22px;
  border-right: 1.5px solid var(--ink);
  font-size: 24px;
  min-height: 112px;
  white-space: nowrap;
  overflow: hidden;
}
footer kbd {
  font-size: 20px;
  height: 34px;
  padding: 2px 10px;
}
footer b {
  font-size: 44px;
  display: block;
  line-height: 1.1;
}
footer .spoiled b {
  color: var(--heat);
}
footer .good {
  background: var(--go);
  color: var(--bleach);
  display: flex;
  justify-content: space-between;
  align-items: center;
  font-size: 34px;
}
footer .good:nth-child(4) {
  grid-column: 4 / -1;
}
footer .good b {
  font-size: 66px;
}
footer .good kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
footer .good[disabled],
footer .spoiled[disabled] {
  background: var(--calico);
  color: var(--ink-2);
}
/* over the recipe for as long as it asks: each reason as tall as a verdict */
footer.reasons {
  position: absolute;
  inset: auto 0 0;
  z-index: 2;
  background: var(--cotton);
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
}
footer.reasons .not {
  background: var(--go-wash);
}
footer.reasons button {
  padding: 6px 8px;
  font-size: 24px;
  white-space: normal;
  line-height: 1.1;
  font-weight: var(--w-strong);
}
@media (max-width: 1279px) {
  footer {
    grid-template-columns: 1.2fr 0.8fr 0.8fr 0.9fr 1.6fr;
  }
  footer button {
    padding: 8px 10px;
    font-size: 20px;
  }
  footer b {
    font-size: 34px;
  }
  footer .good {
    display: grid;
    align-content: center;
    font-size: 22px;
  }
  footer .good b {
    font-size: 46px;
  }
}
@media (orientation: portrait) {
  footer {
    grid-template-columns: 1.2fr 0.8fr 0.8fr 0.9fr 2fr;
  }
  footer button {
    padding: 8px 10px;
  }
  footer b {
    font-size: 34px;
  }
}
</style>
