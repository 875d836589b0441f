<script setup lang="ts">
import { computed } from 'vue'
import { api, ask } from '../../api/client'
import { explain } from '../../kit/explain'
import { day, money } from '../../words/shown'
import { attempt, format, lineInHand, shop } from '../../state/state'
import { type Gang, type Layout, small } from './gang'

/** What else could be done with a layout: use what lies in the drawer, fill its room, take the next step, give it away, buy it with another order's. */
const props = defineProps<{ gang: Gang; layout: Layout; chosenKey: string }>()
const f = computed(() => format())
const name = computed(() => props.layout.designs.find((d) => d.key === props.chosenKey)?.name ?? '')
const room = computed(() => props.layout.room.find((r) => r.key === props.chosenKey))
/** What the shop keeps on hand, has too few of, and has room for. */
const fillers = computed(() => props.layout.room.filter((r) => r.wanted !== null && r.wanted > 0 && r.free > 0))
const file = (kind: string) =>
  `/api/orders/${shop.order?.id ?? ''}/lines/${lineInHand.value?.id ?? ''}/layout/${kind}?filmId=${encodeURIComponent(props.layout.filmId)}&on=${encodeURIComponent(props.layout.on)}&byOutline=${props.layout.isByOutline}`
async function copyText(): Promise<void> {
  const { filmId, on, isByOutline: byOutline } = props.layout
  await attempt(async () => {
    const text = await ask(
      api.GET('/api/orders/{id}/lines/{line}/layout/order-text', {
        params: {
          path: { id: shop.order?.id ?? '', line: lineInHand.value?.id ?? '' },
          query: { filmId, on, byOutline },
        },
        parseAs: 'text',
      }),
    )
    await navigator.clipboard.writeText(text)
  }, 'The order text is copied.')
}
async function bring(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const text = await input.files?.[0]?.text()
  input.value = ''
  if (text !== undefined) await props.gang.bring(text)
}
</script>

<template>
  <div>
    <p v-for="l in layout.lying" :key="l.keptId + l.key" class="lying">
      <b>{{ l.count }} {{ l.name }}</b> lie in the drawer{{ l.oldest ? `, the oldest of ${day(l.oldest, f)}` : ''
      }}{{ l.isOld ? ': older than they keep, press one on a rag first' : '' }}.
      <template v-if="l.used > 0">{{ l.used }} are used for this order.</template>
      <template v-if="!layout.isLocked">
        <button
          v-if="l.used < l.canUse"
          class="plain-button"
          type="button"
          @click="gang.fromDrawer(l.key, l.keptId, l.canUse)"
        >
          Use {{ l.canUse }}, print fewer
        </button>
        <button v-if="l.used > 0" class="plain-button" type="button" @click="gang.fromDrawer(l.key, l.keptId, 0)">
          Use none
        </button>
      </template>
    </p>
    <div v-if="!layout.isLocked" class="offers">
      <div v-if="fillers.length > 0" class="fillers">
        <span><b>Fill with what you keep</b></span>
        <span v-for="r in fillers" :key="r.key" class="small">
          <button class="plain-button" type="button" @click="gang.fillWith(r.key, r.name)">
            {{ r.fills }} {{ r.name }}
          </button>
          no more film; {{ r.onHand }} lie here, {{ r.wanted }} wanted</span
        >
      </div>
      <button type="button" :disabled="!room?.free" @click="gang.fillRoom()">
        <span><kbd>F</kbd>{{ ' ' }} <b>Fill the room</b></span>
        <span class="small">{{
          room?.free
            ? `${room.free} more ${small(name)} ${room.free === 1 ? 'goes' : 'go'} where film is paid for already: no more film.`
            : `No room for another ${small(name)} in what is paid for.`
        }}</span>
      </button>
      <button v-if="layout.next" type="button" @click="gang.fillNext()">
        <span
          ><kbd>+</kbd>{{ ' ' }}
          <b
            >{{ layout.next.text }}, {{ money(layout.next.more.value, f) }}
            {{ layout.next.more.value < 0 ? 'less' : 'more' }}</b
          ></span
        >
        <span class="small"
          >It would hold
          {{
            layout.room
              .filter((r) => r.wanted === null)
              .map((r) => `${r.next} ${small(r.name)}`)
              .join(' or ')
          }}
          more, for stock.</span
        >
      </button>
      <div class="files">
        <span
          ><b>{{ layout.isOwn ? 'Print it' : 'Give it away' }}</b></span
        >
        <span class="small"
          ><a :href="file('layout.pdf')">PDF</a> <a :href="file('layout.svg')">SVG</a>
          <a :href="file('layout.png')">PNG, 300 DPI</a> <a :href="file('layout.csv')">table</a>
          <button v-if="!layout.isOwn" class="plain-button" type="button" @click="copyText()">order text</button></span
        >
        <label class="small"
          >or bring your own:
          <input type="file" accept=".svg,.csv,.txt" aria-label="A layout of your own, SVG or table" @change="bring"
        /></label>
      </div>
      <div v-for="(j, i) in layout.joins" :key="j.orderId + j.lineId">
        <span
          ><kbd v-if="i === 0">J</kbd>{{ ' ' }}<b>With {{ j.code }}</b
          >, {{ j.prints }} prints</span
        >
        <span class="small">
          <button @click="explain(j.saves)">{{ money(j.asOne, f) }}</button> as one, {{ money(j.apart, f) }} apart:
          saves <b>{{ money(j.saves.value, f) }}</b>, {{ money(j.mine, f) }} here, {{ money(j.theirs, f) }} for
          {{ j.customer || j.code }}.</span
        >
        <span v-if="j.waits" class="small quiet">Waits for {{ j.waits }}.</span>
        <button v-else class="plain-button" type="button" @click="gang.together(j)">Buy them as one</button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.lying {
  margin: 4px 0;
}
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  border-top: 1px solid var(--ink);
  margin-top: 8px;
}
.offers > * {
  display: grid;
  gap: 2px;
  align-content: start;
  text-align: left;
  padding: 8px 14px 8px 0;
}
.offers button:disabled {
  color: var(--ink-2);
}
.files a {
  margin-right: 10px;
}
.files input {
  font-size: 12px;
  max-width: 200px;
}
.small a {
  display: inline-block;
  min-width: 28px;
  line-height: 26px;
}
</style>
