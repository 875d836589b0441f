<script setup lang="ts">
import { computed, onMounted, reactive, ref } from 'vue'
import { api, ask, makeId, type Schemas, seen } from '../../api/client'
import NumberInput from '../../kit/NumberInput.vue'
import { keepOpen } from '../../kit/drafts'
import { explain } from '../../kit/explain'
import { fromFahrenheit, money, toFahrenheit } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { cureSignWord, patchWord } from '../../words/words'
import { attempt, format, reading } from '../../state/state'
import CureDrawing from './CureDrawing.vue'

/** Film cured together: noted with its control patches, judged, and called back when it was bad. */
const props = defineProps<{ printer: { id: string; name: string }; presses: Schemas['Press'][] }>()
const emit = defineEmits<{ changed: [] }>()
const all = ref<Schemas['CureView'][]>([])
const load = async () => {
  all.value = (await ask(api.GET('/api/cures'))).filter((b) => b.batch.printerId === props.printer.id)
}
onMounted(() => reading(load))
const held = computed(() => all.value.filter((b) => b.holds !== ''))
const stations = computed(() => props.presses.map((p) => ({ id: p.id, name: p.name })))

const note = reactive({
  open: false,
  stationId: '',
  heat: 0,
  minutes: 2,
  by: '',
  sign: 'glossy' as Schemas['CureSign'],
  before: 'not-yet' as Schemas['ControlPrint'],
  after: 'not-yet' as Schemas['ControlPrint'],
  prints: [] as (Schemas['WaitingPrints'] & { count: number })[],
})
const leftOpen = keepOpen(`cure ${props.printer.id}`, note)
const celsius = computed(() => format().celsius)
async function begin(): Promise<void> {
  await attempt(async () => {
    const waiting = await ask(api.GET('/api/cures/waiting', { params: { query: { printerId: props.printer.id } } }))
    const last = all.value[0]?.batch
    Object.assign(note, {
      open: true,
      stationId: last?.stationId ?? '',
      heat: Math.round(fromFahrenheit(last?.temperatureF ?? 250, format())),
      minutes: last?.minutes ?? 2,
      by: last?.by ?? '',
      sign: 'glossy',
      before: 'not-yet',
      after: 'not-yet',
      prints: waiting.map((w) => ({ ...w, count: w.prints })),
    })
  })
}
async function keep(): Promise<void> {
  const kept = await attempt(async () => {
    await ask(
      api.PUT('/api/cures/{id}', {
        params: { path: { id: makeId() } },
        body: {
          printerId: props.printer.id,
          stationId: note.stationId,
          temperatureF: toFahrenheit(note.heat, format()),
          minutes: note.minutes,
          by: note.by,
          sign: note.sign,
          before: note.before,
          after: note.after,
          verdict: 'open',
          why: '',
          prints: note.prints
            .filter((p) => p.count > 0)
            .map(({ orderId, lineId, placementId, count, whiteOnly }) => ({
              orderId,
              lineId,
              placementId,
              prints: count,
              whiteOnly,
            })),
        },
      }),
    )
    await load()
    emit('changed')
  }, 'Noted: the prints know their heat and their lots.')
  if (kept) note.open = false
}
const change = (b: Schemas['CureView'], more: Partial<Schemas['CureBody']>, said: string) =>
  attempt(async () => {
    const { id, number: _, at: __, lots: ___, use: ____, ...body } = b.batch
    await ask(api.PUT('/api/cures/{id}', { params: { path: { id } }, body: { ...body, ...more }, ...seen(b.version) }))
    await load()
    emit('changed')
  }, said)

const judged = reactive({ id: '', why: '' })
const recall = ref<{ id: string; view: Schemas['RecallView'] } | null>(null)
const list = (id: string) =>
  reading(async () => {
    if (recall.value?.id === id) return void (recall.value = null)
    recall.value = { id, view: await ask(api.GET('/api/cures/{id}/recall', { params: { path: { id } } })) }
  })
async function bad(b: Schemas['CureView']): Promise<void> {
  if (!(await change(b, { verdict: 'bad', why: judged.why }, `${b.code} is called back.`))) return
  judged.id = ''
  recall.value = null
  await list(b.batch.id)
}
const signOf = (b: Schemas['CureView']) => {
  if (b.batch.verdict === 'bad') return 'no'
  if (b.holds || b.doubt) return 'caution'
  return b.batch.after === 'holds' ? 'go' : 'assumed'
}
</script>

<template>
  <details class="under-board" :open="leftOpen || undefined">
    <summary>
      <Sign :kind="all[0] ? signOf(held[0] ?? all[0]) : 'assumed'" /> Cured:
      {{ all[0] ? `${all[0].code}, ${held[0]?.holds || all[0].said}` : 'no batch noted yet' }}
    </summary>
    <div class="inside">
      <button v-if="!note.open" class="plain-button" @click="begin">Note a cure</button>
      <form
        v-else
        class="measured note"
        :aria-label="`Cure of ${printer.name}`"
        @submit.prevent="keep"
        @keydown.esc.stop="note.open = false"
      >
        <p class="wide small caution">
          <Sign kind="caution" /> Fumes and fine powder: extraction on, mask on. The powder's data sheet names heat and
          time.
        </p>
        <label class="field"
          >Where<select v-model="note.stationId">
            <option value="">an oven not on the Floor</option>
            <option v-for="s in stations" :key="s.id" :value="s.id">{{ s.name }}</option>
          </select></label
        >
        <label class="field">Heat, {{ celsius ? '°C' : '°F' }}<NumberInput v-model="note.heat" /></label>
        <label class="field">Minutes<NumberInput v-model="note.minutes" /></label>
        <label class="field"
          >The powder came out<select v-model="note.sign">
            <option v-for="(w, k) in cureSignWord" :key="k" :value="k">{{ w }}</option>
          </select></label
        >
        <label class="field"
          >First colour patch<select v-model="note.before">
            <option v-for="(w, k) in patchWord" :key="k" :value="k">{{ w }}</option>
          </select></label
        >
        <label class="field"
          >Last colour patch<select v-model="note.after">
            <option v-for="(w, k) in patchWord" :key="k" :value="k">{{ w }}</option>
          </select></label
        >
        <label class="field">Who<input v-model="note.by" maxlength="100" /></label>
        <p v-if="note.prints.length === 0" class="wide small quiet">
          No open order waits for film of {{ printer.name }}: there is nothing to note.
        </p>
        <template v-for="p in note.prints" :key="p.orderId + p.lineId + p.placementId">
          <label class="field prints">{{ p.name }}, prints<NumberInput v-model="p.count" /></label>
          <label class="small white"
            ><input v-model="p.whiteOnly" type="checkbox" :aria-label="`${p.name} is white alone`" /> white alone,
            {{ p.customer }}</label
          >
        </template>
        <span class="wide deeds-row"
          ><button class="plain-button" type="submit" :disabled="note.prints.length === 0">Keep it</button>
          <button class="plain-button" type="button" @click="note.open = false">Not now</button></span
        >
      </form>
      <ul class="batches">
        <li v-for="b in all.slice(0, 12)" :key="b.batch.id">
          <CureDrawing :batch="b.batch" />
          <span class="what"
            ><Sign :kind="signOf(b)" /> <b>{{ b.code }}</b>
            <span class="small quiet">{{ b.said }}, {{ cureSignWord[b.batch.sign] }}</span>
            <span class="small">{{ b.prints.join('; ') }}</span>
            <span v-if="b.holds" class="small caution">{{ b.holds }}</span>
            <span v-if="b.doubt && b.batch.verdict === 'open'" class="small caution"
              >{{ b.doubt }}: press a scrap, stretch and wash it before these go out</span
            >
            <span v-if="b.batch.verdict === 'bad'" class="small heat">called back: {{ b.batch.why }}</span></span
          >
          <span class="deeds">
            <template v-if="b.batch.verdict !== 'bad'">
              <button
                v-if="b.batch.before === 'not-yet'"
                class="plain-button"
                @click="change(b, { before: 'holds' }, `The first patch of ${b.code} holds.`)"
              >
                First patch holds
              </button>
              <button
                v-if="b.batch.after === 'not-yet'"
                class="plain-button"
                @click="change(b, { after: 'holds' }, `The last patch of ${b.code} holds.`)"
              >
                Last patch holds
              </button>
              <button
                v-if="b.batch.before === 'not-yet' || b.batch.after === 'not-yet'"
                class="plain-button"
                @click="
                  change(
                    b,
                    b.batch.before === 'not-yet' ? { before: 'lifts' } : { after: 'lifts' },
                    `A patch of ${b.code} lifts.`,
                  )
                "
              >
                A patch lifts
              </button>
              <button class="plain-button" @click="Object.assign(judged, { id: b.batch.id, why: b.doubt })">
                It was bad
              </button>
            </template>
            <button class="plain-button" :aria-expanded="recall?.id === b.batch.id" @click="list(b.batch.id)">
              Its pieces
            </button>
          </span>
          <form
            v-if="judged.id === b.batch.id"
            class="below"
            @submit.prevent="bad(b)"
            @keydown.esc.stop="judged.id = ''"
          >
            <label class="field">What was found<input v-model="judged.why" maxlength="500" required /></label>
            <button class="plain-button" type="submit">Call {{ b.code }} back</button>
            <button class="plain-button" type="button" @click="judged.id = ''">Not now</button>
          </form>
          <div v-if="recall?.id === b.batch.id" class="below">
            <p class="small quiet">{{ recall.view.lots.join('; ') || 'no lots were noted' }}</p>
            <table class="recall" :aria-label="`What ${b.code} calls back`">
              <tbody>
                <tr v-for="l in recall.view.lines" :key="l.orderId + l.name">
                  <th scope="row">{{ l.name }}</th>
                  <td>{{ l.customer }}</td>
                  <td>
                    {{ l.said }}<span class="small quiet block">{{ l.tell }}</span>
                  </td>
                  <td class="fig">
                    <button class="plain-button" @click="explain(l.cost)">{{ money(l.cost.value, format()) }}</button>
                  </td>
                </tr>
                <tr>
                  <th scope="row">Made anew</th>
                  <td></td>
                  <td class="small quiet">at the most</td>
                  <td class="fig">
                    <button class="plain-button" @click="explain(recall.view.cost)">
                      {{ money(recall.view.cost.value, format()) }}
                    </button>
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </li>
      </ul>
      <p v-if="all.length > 12" class="small quiet">and {{ all.length - 12 }} older ones</p>
    </div>
  </details>
</template>

<style scoped>
.caution {
  color: var(--caution-text);
}
.note .prints {
  grid-column: 1;
}
.note .white {
  grid-column: 2 / -1;
  padding-bottom: 8px;
}
.batches {
  list-style: none;
  padding: 0;
  width: 100%;
}
.batches li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.what .small,
.block {
  display: block;
  margin: 0;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 6px;
  max-width: 360px;
}
.below {
  grid-column: 1 / -1;
  padding: 4px 0 4px 12px;
}
form.below {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
form.below .field {
  flex: 1 1 300px;
}
.recall {
  width: 100%;
  border-collapse: collapse;
}
.recall th,
.recall td {
  text-align: left;
  vertical-align: top;
  padding: 4px 10px 4px 0;
  border-top: 1px solid var(--rule);
}
.recall .fig {
  text-align: right;
  padding-right: 0;
}
</style>
