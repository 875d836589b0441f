<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, makeId, seen } from '../../api/client'
import { formFor } from '../../kit/described'
import { num, text, type Field } from '../../kit/fields'
import ThingEditor from '../../kit/ThingEditor.vue'
import { attempt, beginAsk, refresh } from '../../state/state'
import { freshPress } from '../floor/pressFields'
import { type Numbers, numbersStore } from '../numbers/store'

/** The first day: what nobody can price without. Everything else has a starting value. */
const router = useRouter()
const store = numbersStore()
type FirstDay = Numbers & { pressName: string; pressKind: string; platenWidth: number; platenDepth: number }
const value = computed<FirstDay | null>(() =>
  store.kept.value
    ? { ...store.kept.value.value, pressName: 'Press 1', pressKind: 'clamshell', platenWidth: 15, platenDepth: 15 }
    : null,
)
const wanted = [
  'identity.name',
  'identity.paper',
  'identity.format.sign',
  'identity.format.metric',
  'identity.format.celsius',
  'rates.wage',
  'rates.overheadPerHour',
  ...[1, 2, 3, 4, 5, 6, 0].map((day) => `week.days.${day}`),
]
const typed = computed(() => {
  const all = (store.form.value?.sections ?? []).flatMap((s) => s.fields)
  return wanted.flatMap((key) => all.filter((f) => f.key === key))
})
const fields = computed<Field<FirstDay>[]>(() => [
  ...formFor(typed.value, value.value!),
  text<FirstDay>('Your press', 'pressName'),
  text<FirstDay>('Kind of press', 'pressKind', {
    options: ['clamshell', 'swing-away', 'drawer', 'auto-open'].map((k) => ({ value: k, label: k })),
  }),
  num<FirstDay>('Platen width, in', 'platenWidth'),
  num<FirstDay>('Platen depth, in', 'platenDepth'),
])
onMounted(() => attempt(() => store.load()))

const bringing = ref(false)
async function bring(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  bringing.value = true
  const done = await attempt(async () => {
    await ask(
      api.PUT('/api/archive', {
        body: file as never,
        bodySerializer: (archive: unknown) => archive as File,
        headers: { 'Content-Type': 'application/zip' },
      }),
    )
    await refresh()
  }, `${file.name} is in: the shop is as it was.`)
  bringing.value = false
  input.value = ''
  if (done) await router.push('/ask')
}

// one press, however often the set-up is tried
const press = { id: makeId(), version: 0 }
async function save(first: FirstDay, version: number): Promise<boolean> {
  const { pressName, pressKind, platenWidth, platenDepth, ...numbers } = first
  // the press first: a refusal there leaves the set-up open with everything typed
  const done = await attempt(async () => {
    const kept = await ask(
      api.PUT('/api/presses/{id}', {
        params: { path: { id: press.id } },
        ...seen(press.version),
        body: {
          id: press.id,
          ...freshPress(),
          name: pressName,
          kind: pressKind,
          platenWidthIn: platenWidth,
          platenHeightIn: platenDepth,
          equipment: { ...freshPress().equipment, priceNew: 600, resale: 100 },
        },
      }),
    )
    press.version = kept.version
  })
  if (!done || !(await store.save(numbers, version))) return false
  await attempt(async () => {
    const order = await beginAsk()
    await router.push({ path: '/ask', query: { begin: order } })
  })
  return true
}
</script>

<template>
  <div class="area">
    <h1>The first day</h1>
    <p class="quiet">Five minutes. Every figure can be changed later under Numbers and Floor. Then the first ask.</p>
    <div class="drawing">
      <label class="field bring">
        {{ bringing ? 'Bringing the shop along…' : 'Or bring a shop along: the file that Numbers gives (ZIP)' }}
        <input type="file" accept=".zip,application/zip" :disabled="bringing" @change="bring" />
      </label>
      <ThingEditor
        v-if="value"
        :value="value"
        :version="store.kept.value!.version"
        :fields="fields"
        :save="save"
        as-it-stands
        title="The first day"
      />
      <p class="note">
        A price needs three more things when you come to them: a style and a film or vinyl on the Shelf, and the maker's
        recipe on the Floor.
      </p>
    </div>
  </div>
</template>

<style scoped>
.bring {
  max-width: 420px;
  padding: 6px 0 12px;
}
</style>
