<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { explain } from '../../kit/explain'
import { anHour, bare, duration, moment, money } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { sourceWord } from '../../words/words'
import { format } from '../../state/state'
import { beside } from './bands'
import LaunchFacts from './LaunchFacts.vue'

/** What is known of a method at a glance; opened, its strata, cares, price break and what is left out. */
defineProps<{
  b: Schemas['Band']
  open: boolean
  /** It is what the comparison recommends. */
  advised: boolean
  /** The one price at which ways are ranked. */
  atPrice: number
  /** Its price break may be taken: nothing is sent yet and the ask's own count is looked at. */
  mayGrow: boolean
}>()
const emit = defineEmits<{ larger: [] }>()
const f = computed(() => format())
/** What would make it work, as a sentence of its own. */
const would = ({ wouldWork: w }: Schemas['Reason']) => (w ? ` ${w[0]!.toUpperCase()}${w.slice(1)}.` : '')
</script>

<template>
  <div class="facts">
    <template v-if="open">
      <button
        v-for="s in b.strata"
        :key="s.code"
        class="stratum"
        :data-figure="s.code"
        :data-band="b.methodId"
        @click="explain(b.cost.parts.find((p) => p.code === s.code))"
      >
        <svg width="14" height="14" aria-hidden="true">
          <rect width="14" height="14" :fill="`url(#st-${s.code})`" stroke="var(--ink)" /></svg
        >{{ s.label }} <b>{{ bare(s.shown, f) }}</b>
      </button>
    </template>
    <div class="line">
      <button data-figure="hands" :data-band="b.methodId" @click="explain(b.hands)">
        <b>{{ (b.hands.value / 60).toFixed(1) }}</b> min hands
      </button>
      <span
        ><b>{{ (b.clockSeconds / 60).toFixed(1) }}</b> min clock</span
      >
      <span v-if="b.promise" :class="{ heat: b.lateMinutes > 0 }"
        ><b>{{ moment(b.promise.at, f) }}</b> ready</span
      >
      <span v-if="b.isPressed" class="quiet"
        ><Sign
          :kind="
            b.recipeSource === 'own-test'
              ? 'tested'
              : b.recipeSource === 'maker' || b.recipeSource === 'learned'
                ? 'maker'
                : 'assumed'
          "
        />
        {{ sourceWord[b.recipeSource] }}</span
      >
      <span v-if="b.overMark > 0" class="caution vd"
        ><Sign kind="caution" /> {{ bare(b.overMark, f) }} over their mark</span
      >
      <span v-if="b.lateMinutes > 0" class="heat vd"><Sign kind="heat" /> {{ duration(b.lateMinutes * 60) }} late</span>
      <span v-if="advised" class="go vd"><Sign kind="go" /> recommended</span>
    </div>
    <template v-if="open">
      <p v-for="(r, i) in b.verdict.reasons" :key="i" class="caution small">
        <Sign kind="caution" /> with care: {{ r.sentence }}.{{ would(r) }}
      </p>
      <p class="line small">
        <button data-figure="profit" @click="explain(b.outcome.profit, ...beside(b))">
          profit a piece <b>{{ money(b.outcome.profit.value, f) }}</b>
        </button>
        <button data-figure="home" @click="explain(b.outcome.takeHomeAnHour, ...beside(b))">
          take-home <b>{{ anHour(b.outcome.takeHomeAnHour.value, f) }}</b> an hour
        </button>
        <span
          >in all <b>{{ money(b.total, f) }}</b></span
        >
        <button v-if="b.leftInAll" data-figure="left" @click="explain(b.leftInAll.left, ...beside(b))">
          left of it <b>{{ money(b.leftInAll.left.value, f) }}</b>{{
            atPrice === b.outcome.price ? '' : ` at ${money(atPrice, f)} a piece`
          }}
        </button>
        <span>cost {{ bare(b.costLow, f) }} to {{ bare(b.costHigh, f) }} as 0 to 6 in 100 are spoiled</span>
      </p>
      <p v-if="b.thumb" class="small">
        <button @click="explain(b.thumb.price)">{{ b.thumb.sentence }}.</button>
      </p>
      <p v-if="b.mixing.length > 0" class="small">Mixed: {{ b.mixing.join('; ') }}.</p>
      <p class="line small">
        <span>feels: {{ b.character.feel }}</span
        ><span>wears: {{ b.character.wear }}</span
        ><span>{{ b.character.stretch }}</span
        ><span>{{ b.character.look }}</span>
      </p>
      <LaunchFacts :method="b.methodId" />
      <p v-if="b.cliff" class="note caution">
        {{ b.cliff.pieces }} pieces come to {{ money(b.cliff.total, f)
        }}{{ b.cliff.total < b.total ? `, ${money(b.cliff.saves, f)} less in all` : '; these are charged no dearer' }}:
        a price break.
        <button v-if="mayGrow" class="plain-button" @click="emit('larger')">Make it {{ b.cliff.pieces }}</button>
      </p>
      <p class="note quiet">{{ b.priceHow }}. Left out: {{ b.leavesOut.join('; ') }}.</p>
      <p v-if="b.notUsed?.length" class="note quiet">Not used: {{ b.notUsed.join('; ') }}.</p>
    </template>
  </div>
</template>

<style scoped>
.facts {
  grid-column: 2 / -1;
}
.stratum {
  font-size: 13px;
  margin-right: 12px;
  white-space: nowrap;
}
.stratum svg {
  vertical-align: -2px;
  margin-right: 4px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 16px;
  padding-top: 4px;
}
.vd {
  font-weight: var(--w-strong);
  font-size: 13px;
}
</style>
