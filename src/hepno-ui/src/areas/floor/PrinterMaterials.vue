<script setup lang="ts">
import { computed, reactive } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { keepOpen } from '../../kit/drafts'
import { readCell } from '../../kit/fields'
import { readNumber, unread } from '../../words/numbers'
import Sign from '../../kit/Sign.vue'
import { supplyWord } from '../../words/words'
import { attempt, refresh } from '../../state/state'

/** What is in a printer: levels with their low line, lots, refills, and what it takes. */
const props = defineProps<{
  view: Schemas['SuppliesView'] | undefined
  kept: { value: Schemas['PrinterSupplies']; version: number } | undefined
  name: string
}>()
const emit = defineEmits<{ changed: [] }>()
const wrong = computed(() => (props.view?.slots ?? []).filter((s) => s.mismatch !== ''))
const low = computed(() => (props.view?.slots ?? []).filter((s) => s.low))
const sign = computed(() => {
  if (props.view?.version === 0) return 'assumed'
  if (wrong.value.length > 0) return 'no'
  return low.value.length > 0 || !props.view?.enough ? 'caution' : 'go'
})
const said = computed(() => {
  if (!props.view || props.view.version === 0) return 'not noted yet'
  if (wrong.value.length > 0)
    return `${wrong.value.map((s) => s.name).join(', ')} does not match: its method is refused`
  const words = [
    low.value.length > 0 ? `low on ${low.value.map((s) => s.name).join(', ')}` : '',
    props.view.workLeft,
  ].filter((w) => w !== '')
  return words.join('; ') || (props.view.slots.every((s) => s.share === null) ? 'nothing loaded yet' : 'enough in it')
})

const put = (slots: Schemas['SupplySlot'][], then: string) =>
  attempt(async () => {
    await ask(
      api.PUT('/api/supplies/{id}', {
        params: { path: { id: props.view!.printerId } },
        body: { id: props.view!.printerId, slots, loadings: props.kept?.value.loadings ?? [] },
        ...seen(props.kept?.version ?? 0),
      }),
    )
    emit('changed')
    await refresh()
  }, then)

const fill = reactive({ supply: '' as Schemas['Supply'] | '', product: '', lot: '', level: '', by: '', problem: '' })
function begin(slot: Schemas['SlotView']): void {
  const last = props.kept?.value.loadings.filter((l) => l.supply === slot.supply).at(-1)
  Object.assign(fill, {
    supply: slot.supply,
    product: last?.product ?? '',
    lot: '',
    level: '',
    by: last?.by ?? '',
    problem: '',
  })
}
async function refill(): Promise<void> {
  const level = fill.level.trim() === '' ? null : readNumber(fill.level)
  fill.problem = level === null && fill.level.trim() !== '' ? unread(fill.level) : ''
  if (fill.problem) return
  const kept = await attempt(async () => {
    await ask(
      api.POST('/api/supplies/{id}/refill', {
        params: { path: { id: props.view!.printerId } },
        body: {
          supply: fill.supply as Schemas['Supply'],
          product: fill.product,
          lot: fill.lot,
          level,
          by: fill.by,
        },
        ...seen(props.view!.version),
      }),
    )
    emit('changed')
    await refresh()
  }, 'Noted, with its lot.')
  if (kept) fill.supply = ''
}

// what it takes, a line a place
const typed = reactive({ open: false, text: '', problem: '' })
const leftOpen = keepOpen(`materials ${props.name}`, typed)
function edit(): void {
  typed.text = (props.kept?.value.slots ?? [])
    .map((s) => `${supplyWord[s.supply]}; ${s.full}; ${s.lowAt}; ${s.takes.join(', ')}`)
    .join('\n')
  typed.problem = ''
  typed.open = true
}
async function save(): Promise<void> {
  const slots: Schemas['SupplySlot'][] = []
  for (const row of typed.text.split('\n').filter((l) => l.trim() !== '')) {
    const [word, full, lowAt, takes] = row.split(/[\t;]/).map((x) => x.trim())
    const supply = Object.entries(supplyWord).find(([, w]) => w === word)?.[0] as Schemas['Supply'] | undefined
    const [f, l] = [readCell(full ?? ''), readCell(lowAt ?? '')]
    if (!supply || f === null || l === null) {
      typed.problem = `"${row}" is not like "powder; 1000; 150; Marl fine, Marl coarse".`
      return
    }
    slots.push({
      supply,
      full: f,
      lowAt: l,
      takes: (takes ?? '')
        .split(',')
        .map((t) => t.trim())
        .filter((t) => t !== ''),
    })
  }
  typed.problem = ''
  if (await put(slots, 'Saved. What does not match refuses its method.')) typed.open = false
}
</script>

<template>
  <details v-if="view" class="under-board" :open="leftOpen || undefined">
    <summary><Sign :kind="sign" /> Materials: {{ said }}</summary>
    <div class="inside">
      <template v-if="view.version === 0">
        <p class="small quiet">
          Which ink, film, powder or paper it takes is its maker's word. Noted here, a wrong one refuses the method, and
          every batch knows its lots.
        </p>
        <button class="plain-button" @click="put(view.usual, 'Begun. Note what is in it.')">
          Begin with the usual places
        </button>
      </template>
      <ul v-else class="slots">
        <li v-for="s in view.slots" :key="s.supply">
          <svg
            viewBox="0 0 34 60"
            width="34"
            role="img"
            :aria-label="s.share === null ? `${s.name}, not known` : `${s.name}, ${s.left}`"
          >
            <rect x="1" y="1" width="32" height="58" fill="var(--bleach)" stroke="var(--ink)" stroke-width="1.5" />
            <rect
              v-if="s.share !== null"
              x="3"
              :y="3 + 54 * (1 - Math.min(1, s.share))"
              width="28"
              :height="54 * Math.min(1, s.share)"
              :fill="s.low ? 'var(--caution)' : 'var(--ink-3)'"
            />
            <path
              :d="`M0 ${3 + 54 * (1 - s.lowShare)}h34`"
              stroke="var(--caution-text)"
              stroke-width="2"
              stroke-dasharray="4 3"
            />
          </svg>
          <span class="what"
            ><b>{{ s.name }}</b> {{ s.left }}
            <span class="small quiet">{{ s.said }}</span>
            <span v-if="s.mismatch" class="heat small"><Sign kind="no" /> {{ s.mismatch }}</span></span
          >
          <button class="plain-button" :aria-label="`Refilled: ${s.name}`" @click="begin(s)">Refilled</button>
        </li>
      </ul>
      <form
        v-if="fill.supply"
        class="measured"
        :aria-label="`Refill of ${name}`"
        @submit.prevent="refill"
        @keydown.esc.stop="fill.supply = ''"
      >
        <b class="wide">{{ supplyWord[fill.supply] }}</b>
        <label class="field">Product<input v-model="fill.product" maxlength="100" required /></label>
        <label class="field">Lot<input v-model="fill.lot" maxlength="60" /></label>
        <label class="field">In it now; empty: full<input v-model="fill.level" inputmode="decimal" /></label>
        <label class="field">Who<input v-model="fill.by" maxlength="100" /></label>
        <p v-if="fill.problem" class="wide heat small">{{ fill.problem }}</p>
        <span class="wide deeds-row"
          ><button class="plain-button" type="submit">Note it</button>
          <button class="plain-button" type="button" @click="fill.supply = ''">Not now</button></span
        >
      </form>
      <ul v-if="view.log.length > 0" class="small quiet">
        <li v-for="(l, i) in view.log" :key="i">{{ l }}</li>
      </ul>
      <form v-if="typed.open" :aria-label="`What ${name} takes`" @submit.prevent="save">
        <label class="field"
          >A line each: what; how much when full; low from; products it takes<textarea v-model="typed.text" rows="4" />
        </label>
        <p v-if="typed.problem" class="heat small">{{ typed.problem }}</p>
        <button class="plain-button" type="submit">Keep these</button>
        <button class="plain-button" type="button" @click="typed.open = false">Not now</button>
      </form>
      <button v-else-if="view.version > 0" class="plain-button" @click="edit">Change what it takes</button>
    </div>
  </details>
  <!-- its line is there before it is known: what stands under it does not jump away from a finger -->
  <p v-else class="under-board"><Sign kind="assumed" /> Materials: ...</p>
</template>

<style scoped>
.slots {
  list-style: none;
  padding: 0;
  width: 100%;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(215px, 1fr));
  gap: 8px 16px;
}
.slots li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr);
  align-items: start;
  gap: 8px 10px;
}
.slots svg {
  grid-row: span 2;
}
.slots .plain-button {
  justify-self: start;
}
.what .small {
  display: block;
  margin: 0;
}
form:not(.measured),
textarea {
  width: 100%;
}
</style>
