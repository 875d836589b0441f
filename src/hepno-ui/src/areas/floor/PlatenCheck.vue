<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import NumberInput from '../../kit/NumberInput.vue'
import { keepOpen } from '../../kit/drafts'
import { fromFahrenheit, toFahrenheit } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { attempt, format, reading, refresh, shop } from '../../state/state'

/** A press's platen as it was measured: nine points, what is set by them, when it is looked at again; and measuring it. */
const props = defineProps<{ press: Schemas['Press']; version: number }>()
const emit = defineEmits<{ measured: [] }>()
const view = ref<Schemas['PlatenView'] | null>(null)
const load = () =>
  reading(async () => {
    view.value = await ask(api.GET('/api/presses/{id}/platen', { params: { path: { id: props.press.id } } }))
  })
watch(
  () => [props.press.id, props.version],
  () => void load(),
  { immediate: true },
)

const unit = computed(() => (format().celsius ? '°C' : '°F'))
const toF = (shown: number) => toFahrenheit(shown, format())
const fromF = (f: number) => fromFahrenheit(f, format())
const names = [
  'far left',
  'far middle',
  'far right',
  'middle left',
  'middle',
  'middle right',
  'near left',
  'near middle',
  'near right',
]
const draft = reactive({ open: false, set: 0, points: [] as (number | '')[], doubtful: false, by: '' })
const leftOpen = keepOpen(`platen ${props.press.id}`, draft)
function begin(): void {
  draft.open = true
  draft.set = Math.round(fromF(310))
  draft.points = Array.from({ length: 9 }, () => '')
  draft.doubtful = false
}
const busy = ref(false)
async function read(): Promise<void> {
  busy.value = true
  await attempt(async () => {
    for (let point = 0; point < 9; point++) {
      const got = await ask(
        api.GET('/api/presses/{id}/thermometer', {
          params: { path: { id: props.press.id }, query: { point, setPointF: toF(draft.set) } },
        }),
      )
      draft.points[point] = Math.round(fromF(got.readingF) * 10) / 10
    }
  })
  busy.value = false
}
const whole = computed(() => draft.points.every((p) => typeof p === 'number'))
async function keep(): Promise<void> {
  if (
    await attempt(
      async () =>
        void (await ask(
          api.POST('/api/presses/{id}/maps', {
            params: { path: { id: props.press.id } },
            body: {
              day: shop.line!.today,
              setPointF: toF(draft.set),
              pointsF: draft.points.map((p) => toF(Number(p))),
              doubtful: draft.doubtful,
              by: draft.by,
            },
            ...seen(props.version),
          }),
        )),
      'Measured. Every run sheet shows the new set-point.',
    )
  ) {
    draft.open = false
    emit('measured')
    await Promise.all([load(), refresh()])
  }
}
</script>

<template>
  <details v-if="view" class="platen" :open="leftOpen || undefined">
    <summary>
      <Sign :kind="view.points.length === 0 || view.overdue ? 'caution' : 'tested'" /> Platen: {{ view.sentence
      }}<template v-if="view.due">; {{ view.overdue ? 'was to be checked by' : 'next check' }} {{ view.due }}</template>
    </summary>
    <div class="inside">
      <svg v-if="view.points.length > 0" viewBox="0 0 240 170" role="img" aria-label="Nine points of the platen">
        <rect x="4" y="4" width="232" height="162" fill="var(--bleach)" stroke="var(--ink)" stroke-width="2" />
        <g
          v-for="(p, i) in view.points"
          :key="p.name"
          :transform="`translate(${44 + (i % 3) * 76} ${30 + Math.floor(i / 3) * 49})`"
        >
          <circle r="21" :fill="p.cold ? 'url(#hatch)' : 'none'" stroke="var(--ink)" :stroke-width="p.cold ? 2.5 : 1" />
          <text y="5" text-anchor="middle" font-size="11" font-weight="620" fill="var(--ink)">{{ p.reading }}</text>
        </g>
        <text x="120" y="164" font-size="10" text-anchor="middle" fill="var(--ink-2)">you stand here</text>
      </svg>
      <table v-if="view.points.length > 0">
        <thead>
          <tr>
            <th>On the cloth</th>
            <th>Set</th>
            <th>Hottest point</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in view.sets" :key="s.recipeF">
            <td class="fig">{{ s.recipe }}</td>
            <td class="fig">
              <b>{{ s.setPoint || 'not yet tested there' }}</b>
            </td>
            <td class="fig">{{ s.hottest }}</td>
          </tr>
        </tbody>
      </table>
      <ul v-if="view.wear.length > 0" class="wear small">
        <li v-for="w in view.wear" :key="w.name">
          <b>{{ w.name }}</b>
          <span v-if="w.share !== null" class="bar" :class="{ near: w.isNearlyWorn }"
            ><span :style="{ width: `${w.share * 100}%` }"
          /></span>
          <span class="quiet">{{ w.said }}</span>
        </li>
      </ul>
      <ul v-if="view.history.length > 1" class="small quiet">
        <li v-for="h in view.history" :key="h">{{ h }}</li>
      </ul>
      <div v-if="view.pressed.pieces > 0" class="since">
        <p :class="{ heat: view.pressed.setAside }">
          <Sign v-if="view.pressed.setAside" kind="heat" />
          {{ view.pressed.pieces }} good pieces went over it since it was last found right
          <span class="quiet small">({{ view.pressed.since }})</span
          >{{ view.pressed.setAside ? ': look at them, and tell whom they went to' : '' }}
        </p>
        <ul v-if="view.pressed.setAside" class="small">
          <li v-for="l in view.pressed.lines" :key="l">{{ l }}</li>
        </ul>
      </div>
      <button v-if="!draft.open" class="plain-button" @click="begin">Measure the platen</button>
      <form
        v-else
        class="measured"
        aria-label="Nine readings"
        @submit.prevent="keep"
        @keydown.esc.stop="draft.open = false"
      >
        <p class="small caution wide">
          <Sign kind="heat" /> The platen burns: gloves, thermometer by its handle. Let it stand ten minutes at the heat
          you press with.
        </p>
        <label class="field">Set to, {{ unit }}<NumberInput v-model="draft.set" /></label>
        <label class="field">Who measures<input v-model="draft.by" maxlength="100" /></label>
        <button class="plain-button" type="button" :disabled="busy" @click="read">
          {{ busy ? 'Reading...' : 'Read all nine (simulated thermometer)' }}
        </button>
        <label v-for="(name, i) in names" :key="name" class="field point"
          >{{ name }}<NumberInput v-model="draft.points[i]"
        /></label>
        <label class="check wide"
          ><input v-model="draft.doubtful" type="checkbox" /> read by infrared on bare metal: keep it, set nothing by
          it</label
        >
        <p class="wide">
          <button class="plain-button" type="submit" :disabled="!whole">Keep the map</button>
          <button class="plain-button" type="button" @click="draft.open = false">Not now</button>
        </p>
      </form>
    </div>
  </details>
  <!-- its line is there before it is known: what stands under it does not jump away from a finger -->
  <p v-else class="platen"><Sign kind="assumed" /> Platen: ...</p>
</template>

<style scoped>
.platen {
  padding: 0 0 8px 16px;
}
.inside {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: start;
  padding: 10px 0;
}
.inside > svg {
  width: 300px;
}
.inside td,
.inside th {
  padding: 3px 16px 3px 0;
  border-bottom: 1px solid var(--rule);
}
.since {
  flex-basis: 100%;
}
.wear {
  list-style: none;
  padding: 0;
}
.wear li {
  display: flex;
  gap: 8px;
  align-items: center;
}
.bar {
  width: 90px;
  height: 8px;
  background: var(--calico);
}
.bar span {
  display: block;
  height: 8px;
  background: var(--ink);
}
.bar.near span {
  background: var(--caution);
}
</style>
