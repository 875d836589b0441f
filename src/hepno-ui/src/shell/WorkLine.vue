<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { type StationName, stationWord } from '../words/words'
import { atPress, shop } from '../state/state'

defineProps<{ waiting: boolean }>()
defineEmits<{ ask: []; find: [] }>()
const route = useRoute()
const router = useRouter()
const stations = computed(() => shop.line?.stations ?? [])
const at = computed(() => (route.path === '/' ? 'ask' : route.path.slice(1)))
const most = 8
const places = computed(() =>
  [
    { path: '/shelf', word: 'Shelf', state: shop.line?.shelf ?? '', key: 'S' },
    { path: '/floor', word: 'Floor', state: shop.line?.floor ?? '', key: 'F' },
    { path: '/numbers', word: 'Numbers', state: shop.line?.numbers ?? '', key: 'N' },
  ].filter((p) => open(p.path)),
)
/** Whether this device may go there. */
const open = (path: string) => !atPress.value || router.resolve(path).meta.atPress === true
type Peg = (typeof stations.value)[number]['pegs'][number]
const label = (word: string, pegs: Peg[]) =>
  `${word}: ${pegs.length} ${pegs.length === 1 ? 'order' : 'orders'}${pegs.some((p) => p.urgency === 'late') ? ', one late' : ''}`
// with more than eight pegs: seven, and the rest counted
const shown = (pegs: Peg[]) => (pegs.length > most ? pegs.slice(0, most - 1) : pegs)
const go = (station: string) => void router.push(`/${station}`)
</script>

<template>
  <header class="line">
    <div class="word">
      Hepno<i>{{ shop.line?.now }}</i>
    </div>
    <nav aria-label="Work line">
      <button
        v-for="(s, i) in stations"
        :key="s.station"
        class="st"
        :class="{ on: at === s.station }"
        :aria-label="label(stationWord[s.station as StationName], s.pegs)"
        :aria-current="at === s.station ? 'page' : undefined"
        :disabled="!open(`/${s.station}`)"
        :title="open(`/${s.station}`) ? undefined : 'At the counter'"
        @click="go(s.station)"
      >
        <b class="c">{{ s.pegs.length }}</b><span class="w">{{ stationWord[s.station as StationName] }}</span
        ><kbd v-if="waiting" class="wait">{{ i + 1 }}</kbd>
        <svg width="100%" height="26" aria-hidden="true">
          <path d="M0 2H400" :stroke="at === s.station ? 'var(--bleach)' : 'var(--ink)'" stroke-width="1.5" />
          <g v-for="(peg, n) in shown(s.pegs)" :key="peg.id" :transform="`translate(${10 + n * 9} 2)`">
            <path
              v-if="peg.id === shop.inHand"
              d="M-1 0h7v12l-3.5-3.5L-1 12Z"
              :fill="at === s.station ? 'var(--bleach)' : 'var(--ink)'"
            />
            <rect
              v-else-if="peg.urgency === 'late'"
              width="4.5"
              height="17"
              :fill="at === s.station ? 'var(--heat-on-ink)' : 'var(--heat)'"
            />
            <path v-else-if="peg.urgency === 'soon'" d="M0 0h5v5l-2 1.5 2 1.5v4H0Z" fill="var(--caution)" />
            <rect v-else width="2.5" height="10" :fill="at === s.station ? 'var(--bleach)' : 'var(--ink)'" />
          </g>
          <text
            v-if="s.pegs.length > most"
            x="74"
            y="15"
            font-size="12"
            :fill="at === s.station ? 'var(--bleach)' : 'var(--ink-2)'"
          >
            +{{ s.pegs.length - most + 1 }}
          </text>
        </svg>
      </button>
      <svg class="knot" width="12" height="12" aria-hidden="true">
        <circle cx="6" cy="6" r="3.4" fill="var(--cotton)" stroke="var(--ink)" stroke-width="1.5" />
      </svg>
    </nav>
    <div v-if="!atPress" class="keys">
      <button @click="$emit('ask')"><kbd>N</kbd> new ask</button>
      <button @click="$emit('find')"><kbd>/</kbd> find</button>
    </div>
    <nav class="shopwide" aria-label="Shop-wide places">
      <RouterLink v-for="p in places" :key="p.path" :to="p.path" :class="{ on: route.path === p.path }"
        >{{ p.word }}<kbd v-if="waiting" class="wait">{{ p.key }}</kbd
        ><i>{{ p.state }}</i></RouterLink
      >
    </nav>
  </header>
</template>

<style scoped>
.line {
  grid-column: 1 / -1;
  display: flex;
  align-items: stretch;
  padding-left: 20px;
  height: var(--line-h);
  overflow: hidden;
}
.word {
  width: 104px;
  flex: none;
  padding-top: 15px;
  font-weight: 760;
  font-size: 24px;
  letter-spacing: -0.02em;
  line-height: 1;
  white-space: nowrap;
}
i {
  font-style: normal;
  display: block;
  font-size: 12px;
  font-weight: var(--w-text);
  letter-spacing: 0;
  color: var(--ink-3);
  margin-top: 5px;
}
nav {
  display: flex;
  position: relative;
}
.st {
  width: 94px;
  position: relative;
  padding: 9px 0 0 10px;
  display: flex;
  align-items: flex-start;
  white-space: nowrap;
}
.st:disabled {
  color: var(--ink-3);
}
.st > svg {
  position: absolute;
  left: 0;
  top: 37px;
}
.st:focus-visible {
  outline-offset: -3px;
}
.c {
  font-size: 22px;
  font-weight: var(--w-figure);
  line-height: 1;
}
.w {
  margin: 2px 0 0 5px;
}
.on {
  background: var(--ink);
  color: var(--bleach);
}
.on i {
  color: var(--bleach);
}
.wait {
  position: absolute;
  right: 4px;
  top: 2px;
}
.knot {
  position: absolute;
  right: -6px;
  top: 33px;
}
.keys {
  margin-left: 26px;
  padding-top: 7px;
  font-size: 12px;
  line-height: 24px;
  color: var(--ink-2);
  display: grid;
  align-content: start;
  white-space: nowrap;
}
.shopwide {
  margin-left: auto;
  width: var(--slip-w);
}
.shopwide a {
  flex: 1;
  position: relative;
  padding: 11px 0 0 12px;
  line-height: 1.1;
  color: inherit;
  text-decoration: none;
}
.shopwide a.on {
  color: var(--bleach);
}
.shopwide a:focus-visible {
  outline-offset: -3px;
}
.shopwide i {
  margin-top: 9px;
}
@media (max-width: 1279px) {
  .line {
    display: grid;
    grid-template: 44px 60px / auto 1fr auto;
    align-items: center;
    padding-left: 16px;
  }
  .word {
    width: auto;
    padding-top: 0;
    display: flex;
    align-items: baseline;
    gap: 10px;
  }
  .word i,
  .shopwide i {
    margin-top: 0;
  }
  .keys {
    grid-area: 1 / 2;
    margin: 0 auto;
    padding: 0;
    display: flex;
    gap: 12px;
    font-size: 15px;
  }
  .keys button {
    min-height: 40px;
  }
  .shopwide {
    grid-area: 1 / 3;
    width: auto;
  }
  .shopwide a {
    padding: 6px 14px;
    min-height: 40px;
  }
  nav:not(.shopwide) {
    grid-area: 2 / 1 / 3 / 4;
    margin-left: -16px;
    align-self: stretch;
  }
  .st {
    flex: 1 1 0;
    width: auto;
    min-width: 0;
    padding-left: 6px;
    overflow: hidden;
  }
  .w {
    font-size: 14px;
  }
  .knot {
    display: none;
  }
}
@media (max-width: 640px) {
  .word i,
  .shopwide i,
  .keys kbd {
    display: none;
  }
  .shopwide a {
    padding: 6px 8px;
    font-size: 14px;
  }
  .st {
    display: block;
  }
  .w {
    display: block;
    font-size: 11px;
    margin: 0;
  }
  .st > svg {
    display: none;
  }
}
</style>
