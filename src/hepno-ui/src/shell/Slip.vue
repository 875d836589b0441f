<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { link } from '../sending/link'
import Garment from '../kit/Garment.vue'
import LongName from '../kit/LongName.vue'
import { stations, stationWord } from '../words/words'
import { atPress, shop } from '../state/state'

/** Away: where the next deed is done, when that is not what is looked at. */
const props = defineProps<{ away: string }>()
const emit = defineEmits<{ act: []; customer: []; end: [] }>()
const slip = computed(() => shop.held?.slip ?? null)
/** The side that is printed: the front, where anything is. */
const onBack = computed(() => {
  const prints = shop.held?.lines[0]?.drawn[0]?.prints ?? []
  return prints.length > 0 && prints.every((p) => p.onBack)
})
/** What the folded slip of a narrow screen shows. */
const folded = computed(() => slip.value?.rows.filter((r) => ['Price', 'Due'].includes(r.label)) ?? [])
const narrowest = matchMedia('(max-width: 1099px)')
const narrow = ref(narrowest.matches)
const turned = () => (narrow.value = narrowest.matches)
onMounted(() => narrowest.addEventListener('change', turned))
onUnmounted(() => narrowest.removeEventListener('change', turned))
const from = ref(0)
const swipe = 40
/** A finger that goes up opens the slip, one that goes down folds it. */
function swiped(by: number): void {
  if (Math.abs(by) > swipe) shop.slipOpen = by < 0
}
/** Until it is handed over it may come to nothing. */
const mayEnd = computed(() => !atPress.value && !['learn', 'closed'].includes(shop.held?.station ?? 'closed'))
const label = computed(() => {
  const to = stations.find((s) => `/${s}` === props.away)
  if (to) return `On to ${stationWord[to]}`
  const takes = slip.value?.action.code === 'choose' && !slip.value.action.waits && shop.opened
  return takes ? `Take ${takes[0]!.toLowerCase()}${takes.slice(1)}` : (slip.value?.action.label ?? '')
})
const run = computed(() => (slip.value?.sizes.length ?? 0) > 0)
</script>

<template>
  <aside class="slip" :class="{ lost: link.lostAt, open: shop.slipOpen }" aria-label="Order in hand">
    <button
      v-if="slip && shop.held && narrow"
      class="fold"
      :aria-expanded="shop.slipOpen"
      @click="shop.slipOpen = !shop.slipOpen"
      @touchstart.passive="from = $event.touches[0]!.clientY"
      @touchend="swiped($event.changedTouches[0]!.clientY - from)"
    >
      <b class="mono">{{ slip.code }}</b><LongName class="whose" :text="slip.customer" /><span
        v-for="row in folded"
        :key="row.label"
        >{{ row.label.toLowerCase() }} <b>{{ row.figure }}</b></span
      ><span v-if="slip.hero"
        ><b>{{ slip.hero }}</b> {{ slip.heroNote.startsWith('profit') ? 'an hour' : 'to take' }}</span
      ><span v-if="slip.missing[0]">missing: {{ slip.missing[0].text }}</span
      ><span class="more">{{ shop.slipOpen ? 'fold' : 'open' }}</span>
    </button>
    <template v-if="slip && shop.held">
      <div class="top">
        <div>
          <div class="no">{{ slip.code }}</div>
          <h2 :title="slip.customer" :class="{ long: slip.customer.length > 26 }">
            <button
              v-if="slip.customer && !atPress"
              class="who"
              title="The customer: past orders (C)"
              @click="emit('customer')"
            >
              {{ slip.customer }}
            </button>
            <template v-else>{{ slip.customer || 'who is asking?' }}</template>
          </h2>
        </div>
        <Garment
          class="garment"
          :kind="slip.kind"
          :hex="slip.hex"
          :drawn="shop.held.lines[0]?.drawn[0]"
          :back="onBack"
          :placements="shop.held.ask.lines[0]!.placements"
        />
      </div>
      <dl>
        <template v-for="row in slip.rows" :key="row.label">
          <dt>{{ row.label }}</dt>
          <dd>
            {{ row.figure }}<small v-if="row.note">{{ row.note }}</small>
          </dd>
          <dt v-if="row.label === 'Pieces' && run" class="sr">Sizes</dt>
          <dd v-if="row.label === 'Pieces' && run" class="sz">
            <span v-for="s in slip.sizes" :key="s.size"
              ><i>{{ s.size }}</i
              ><b>{{ s.pieces }}</b></span
            >
          </dd>
        </template>
      </dl>
      <div class="hero">
        <div v-if="slip.hero" class="f">{{ slip.hero }}</div>
        <div class="note">{{ slip.heroNote }}</div>
      </div>
      <template v-if="slip.missing.length > 0">
        <h3 class="small">{{ slip.missingTitle }}</h3>
        <ul>
          <li v-for="(m, i) in slip.missing" :key="`${m.code}${i}`" :class="{ bad: m.blocks }">{{ m.text }}</li>
        </ul>
      </template>
    </template>
    <p v-else class="none">No order in hand. <kbd>N</kbd> begins one.</p>
    <div class="foot">
      <p v-if="link.lostAt" class="problem" role="alert">No answer since {{ link.lostAt }}</p>
      <div v-for="p in shop.problems" :key="p.code + p.where" class="said bad" role="alert">
        <b>{{ p.sentence }}</b> {{ p.remedy }}
      </div>
      <button v-if="shop.sure" class="plain-button" @click="shop.sure()">It is so: keep it</button>
      <div v-if="shop.said && shop.problems.length === 0" class="said" role="status">{{ shop.said }}</div>
      <button v-if="slip && mayEnd" class="end small" @click="emit('end')">It comes to nothing…</button>
      <p v-if="slip && slip.action.waits" class="note">waits: {{ slip.action.waits }}</p>
      <button v-if="slip" class="act" :disabled="slip.action.waits !== ''" :title="label" @click="emit('act')">
        <span class="label">{{ label }}</span><span class="caps"><kbd>Ctrl</kbd><kbd>Enter</kbd></span>
      </button>
    </div>
  </aside>
</template>

<style scoped>
.who {
  font: inherit;
  line-height: inherit;
}
.end {
  min-height: 26px;
  color: var(--ink-2);
}
.end:hover,
.who:hover {
  text-decoration: underline;
}
.slip {
  position: relative;
  padding: 6px 20px 0 24px;
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow: hidden;
}
.slip::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0;
  bottom: 0;
  width: 3px;
  background: radial-gradient(circle at 1.5px 4px, var(--rule-strong) 1.4px, transparent 1.7px) 0 0 / 3px 8px;
}
.lost::before {
  background: var(--heat);
}
.top,
dl,
.hero {
  flex: none;
}
.top {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  min-height: 84px;
}
.no {
  font: 640 26px/1 var(--mono);
  letter-spacing: -0.03em;
}
h2 {
  font-size: 17px;
  margin-top: 3px;
  overflow-wrap: anywhere;
}
h2.long {
  font-size: 14px;
  line-height: 1.15;
}
h2,
.who {
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 4;
  -webkit-box-orient: vertical;
}
.garment {
  width: 92px;
  height: 84px;
  flex: none;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
}
dt {
  font-size: 13px;
  color: var(--ink-2);
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
dd {
  margin: 0;
  text-align: right;
  padding: 6px 0;
  border-top: 1px solid var(--rule);
  font-weight: var(--w-strong);
}
dd small {
  display: block;
  font-weight: var(--w-text);
  font-size: 12px;
  color: var(--ink-2);
}
dd.sz {
  grid-column: 1 / -1;
  border: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(30px, 1fr));
  margin-bottom: 6px;
}
.sz span {
  border: 1px solid var(--ink);
  margin-left: -1px;
  text-align: center;
  padding: 3px 0 2px;
  background: var(--bleach);
}
.sz i {
  font-style: normal;
  font-size: 12px;
  color: var(--ink-2);
  display: block;
  line-height: 1.1;
}
.sz b {
  font-size: 17px;
  line-height: 1.1;
}
.hero {
  border-top: 2.5px solid var(--ink);
  padding-top: 8px;
}
.f {
  font-size: 46px;
  font-weight: var(--w-figure);
  letter-spacing: -0.03em;
  line-height: 1;
}
h3 {
  margin: 14px 0 4px;
}
ul {
  list-style: none;
  padding: 0;
  font-size: 13px;
  line-height: 1.3;
  overflow: auto;
}
li {
  padding: 5px 0 5px 18px;
  position: relative;
  border-top: 1px solid var(--rule);
}
li::before {
  content: '';
  position: absolute;
  left: 1px;
  top: 9px;
  width: 8px;
  height: 8px;
  border: 1.5px solid var(--ink-2);
  border-radius: 50%;
}
li.bad::before {
  border-color: var(--heat);
  background: var(--heat);
}
.none {
  padding-top: 24px;
}
.foot {
  margin-top: auto;
  padding-bottom: 12px;
  background: var(--cotton);
}
.said {
  border-left: 6px solid var(--go);
  background: var(--go-wash);
  padding: 8px 10px;
  font-size: 13px;
  margin-bottom: 6px;
  max-height: 190px;
  overflow: auto;
}
.said.bad {
  border-color: var(--heat);
  background: var(--heat-wash);
}
.act {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 6px;
  width: 100%;
  background: var(--go);
  color: var(--bleach);
  font-weight: var(--w-strong);
  padding: 0 12px;
  height: 48px;
  white-space: nowrap;
  margin-top: 4px;
}
.label {
  font-size: 15px;
  overflow: hidden;
  white-space: normal;
  line-height: 1.1;
  max-height: 2.2em;
}
.caps {
  display: grid;
  justify-items: stretch;
  flex: none;
}
.caps kbd {
  height: 17px;
}
.act kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
.act[disabled] {
  background: var(--calico);
  color: var(--ink-2);
  cursor: default;
}
@media (max-width: 1279px) {
  .garment {
    display: none;
  }
}
@media (max-width: 1099px) {
  .slip {
    padding: 0 20px;
    max-height: 70vh;
    overflow: auto;
  }
  .slip::before {
    inset: 0 0 auto;
    width: auto;
    height: 3px;
    background: var(--ink);
  }
  .lost::before {
    background: var(--heat);
  }
  .fold {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 16px;
    min-height: 44px;
    padding: 8px 0 2px;
    flex: none;
    touch-action: none;
  }
  .whose {
    max-width: 16em;
  }
  .more {
    margin-left: auto;
    text-decoration: underline;
  }
  .slip:not(.open) :is(.top, dl, .hero, ul, h3, .end) {
    display: none;
  }
  .foot {
    position: sticky;
    bottom: 0;
  }
}
</style>
