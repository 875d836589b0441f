<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { named, type Run } from './run'
import LongName from '../../kit/LongName.vue'
import SizeRows from './SizeRows.vue'
import { type RunState, waitingTally } from './tasks'
import { tap } from './tap'

/** What waits meanwhile, what comes then, and how many pieces stand where. */
const props = defineProps<{ run: Run; view: Schemas['RunView']; state: RunState }>()
/** Verdicts that wait on this device count as they will: a piece is good with its last pass. */
const unsent = computed(() => waitingTally(props.run.box.waiting, props.state, props.view.lines))
</script>

<template>
  <section class="side" aria-label="Pieces">
    <div v-if="!run.pass?.work" class="mean">
      <span>Meanwhile</span><b v-if="run.rack[0]">Peel {{ named(run.rack[0].task) }}</b
      ><b v-else>Rack empty</b
      ><span v-if="run.rack[0]" :class="{ go: run.coldIn <= 0 }">{{
        run.coldIn > 0
          ? `in ${run.coldIn} s`
          : run.pass?.secondPressSeconds && !run.rack[0].again
            ? `then A: ${run.pass.secondPressSeconds} s again`
            : "it's ready"
      }}</span>
    </div>
    <div class="mean">
      <span>Then</span><b v-if="run.closed && run.current">Lift {{ named(run.current) }}</b
      ><b v-else-if="run.after">{{ run.pass?.work || 'Lay' }} {{ named(run.after) }}</b
      ><b v-else>Count</b><span v-if="run.fromEnd">from the end</span>
    </div>
    <div v-if="view.lines.length > 1" class="mean line">
      <span>Line</span><b><LongName :text="run.line?.what ?? ''" /></b
      ><span>{{ view.lines.findIndex((l) => l === run.line) + 1 }} of {{ view.lines.length }}</span>
    </div>
    <ol
      v-if="(run.line?.passes.length ?? 0) > 1"
      class="passes"
      aria-label="Prints of a piece, in the order of pressing"
    >
      <li
        v-for="p in run.line!.passes"
        :key="p.pass"
        :aria-current="p.pass === run.pass?.pass ? 'step' : undefined"
        :class="{ go: p.pass < (run.pass?.pass ?? 1) }"
      >
        {{ p.pass }} {{ p.place }}
      </li>
    </ol>
    <div class="of" :class="{ close: view.lines.length > 1 }">
      <b data-test="piece" :class="{ twice: ((run.current ?? run.judged)?.attempt ?? 1) > 1 }">{{
        run.current ? named(run.current) : run.judged ? named(run.judged) : view.pieces
      }}</b>
      of {{ view.pieces
      }}<span class="tally"
        ><span data-test="good">{{ state.good + unsent.good }} good</span
        ><span class="heat" data-test="spoiled">{{ state.spoiled + unsent.spoiled }} spoiled</span
        ><span v-if="run.box.lost && run.box.waiting.length > 0" class="small"
          >{{ run.box.waiting.length }} of them kept here</span
        ></span
      >
    </div>
    <SizeRows
      class="sizes"
      :state="state"
      :line="run.line"
      :waiting="run.box.waiting"
      :racked="run.rack.map((r) => r.task)"
      :current="run.phase === 'press' ? run.current : undefined"
      :size="(run.current ?? run.judged)?.size"
    />
    <p v-if="state.notCounted.length > 0" class="caution twice" role="status">
      Judged twice, kept, not counted:
      {{
        state.notCounted
          .map((e) => `${e.pieceNo} (${e.verdict})`)
          .slice(0, 4)
          .join(', ')
      }}
    </p>
    <p v-if="run.box.refused" class="heat twice" role="alert">{{ run.box.refused }}</p>
    <p v-if="run.box.waits" class="heat twice" role="alert">Kept here and tried again: {{ run.box.waits }}</p>
    <p class="deeds">
      <button :disabled="run.mine.length === 0" @pointerup="tap($event, () => run.takeBack())">
        Take back{{ run.mine.length > 0 ? ` ${named(run.mine.at(-1)!.task)}` : '' }} <kbd>Z</kbd>
      </button>
      <button :aria-pressed="run.fromEnd" @pointerup="tap($event, run.turnRound)">Other end <kbd>O</kbd></button>
      <a :href="`/api/runs/${run.id}/sheet.pdf`" target="_blank">Run sheet <kbd>P</kbd></a>
    </p>
  </section>
</template>

<style scoped>
.of > b.twice {
  font-size: 56px;
}
.passes {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 0;
  font-size: 20px;
}
.passes [aria-current] {
  font-weight: var(--w-strong);
  border-bottom: 4px solid var(--ink);
}
.side {
  padding: 10px 24px;
  overflow: hidden auto;
  display: flex;
  flex-direction: column;
}
.mean {
  display: grid;
  grid-template-columns: minmax(70px, 128px) minmax(0, 1fr) auto;
  gap: 8px;
  align-items: baseline;
  border-bottom: 1px solid var(--rule-strong);
  font-size: 26px;
  padding: 4px 0;
  white-space: nowrap;
}
.mean b {
  font-size: clamp(22px, 3vw, 40px);
  overflow: hidden;
  text-overflow: ellipsis;
}
.mean.line b {
  font-size: clamp(16px, 1.8vw, 24px);
}
.mean > span:first-child {
  font-size: 22px;
  color: var(--ink-2);
}
.of {
  font-size: clamp(24px, 3vw, 40px);
  display: flex;
  align-items: baseline;
  gap: 12px;
  white-space: nowrap;
}
.of > b {
  font-size: clamp(60px, 8vw, 104px);
  line-height: 1.1;
  letter-spacing: -0.04em;
}
.of.close > b {
  font-size: 60px;
}
.tally {
  margin-left: auto;
  font-size: clamp(18px, 2.2vw, 28px);
  font-weight: var(--w-strong);
  text-align: right;
  display: grid;
}
.twice {
  font-size: 20px;
}
.sizes {
  flex: 0 1 250px;
  min-height: 40px;
}
.deeds {
  margin-top: auto;
  flex: none;
  display: flex;
  gap: 10px;
}
.deeds > * {
  flex: 1 1 0;
  min-height: 56px;
  display: grid;
  place-content: center;
  grid-auto-flow: column;
  gap: 6px;
  overflow: hidden;
  border: 1px solid var(--rule-strong);
  font-size: 18px;
  text-decoration: none;
  white-space: nowrap;
}
@media (max-width: 1279px) and (orientation: landscape) {
  .side {
    padding: 6px 12px;
  }
  .mean {
    font-size: 18px;
  }
  .mean.line b {
    font-size: clamp(16px, 1.8vw, 24px);
  }
  .mean > span:first-child {
    font-size: 16px;
  }
  .deeds > * {
    font-size: 15px;
  }
  .deeds kbd {
    display: none;
  }
}
.deeds [aria-pressed='true'] {
  background: var(--ink);
  color: var(--bleach);
}
.deeds :disabled {
  color: var(--ink-3);
}
</style>
