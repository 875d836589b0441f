<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { api, ask, makeId, type Schemas, seen } from '../../api/client'
import { keepOpen } from '../../kit/drafts'
import { explain } from '../../kit/explain'
import { readCell } from '../../kit/fields'
import { money } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { everyWord } from '../../words/words'
import { attempt, format, refresh, shop } from '../../state/state'

/** What one machine wants done: due, done, and what it makes an hour of it cost. */
const props = defineProps<{
  view: Schemas['UpkeepView'] | undefined
  kept: { value: Schemas['MachineUpkeep']; version: number } | undefined
  name: string
}>()
const emit = defineEmits<{ changed: [] }>()
const due = computed(() => (props.view?.tasks ?? []).filter((t) => t.due))
const put = (tasks: Schemas['UpkeepTask'][], said: string) =>
  attempt(async () => {
    await ask(
      api.PUT('/api/upkeep/{id}', {
        params: { path: { id: props.view!.machineId } },
        body: { id: props.view!.machineId, tasks, done: props.kept?.value.done ?? [] },
        ...seen(props.kept?.version ?? 0),
      }),
    )
    emit('changed')
    await refresh()
  }, said)
const by = ref('')
const note = ref('')
const done = (taskId: string) =>
  attempt(async () => {
    await ask(
      api.POST('/api/upkeep/{id}/done', {
        params: { path: { id: props.view!.machineId } },
        body: { taskId, day: shop.line!.today, by: by.value, note: note.value },
        ...seen(props.view!.version),
      }),
    )
    note.value = ''
    emit('changed')
  }, 'Noted.')

// what is wanted, a line a task
const typed = reactive({ open: false, text: '', problem: '' })
const leftOpen = keepOpen(`upkeep ${props.name}`, typed)
function edit(): void {
  typed.text = (props.kept?.value.tasks ?? [])
    .map(
      (t) =>
        `${t.name}, ${everyWord[t.every]}, ${t.minutes}, ${t.cost}${t.every === 'as-needed' ? `, ${t.timesAYear}` : ''}`,
    )
    .join('\n')
  typed.problem = ''
  typed.open = true
}
async function save(): Promise<void> {
  const all: Schemas['UpkeepTask'][] = []
  for (const row of typed.text.split('\n').filter((l) => l.trim() !== '')) {
    const [name, every, minutes, cost, times] = row.split(/[\t,;]/).map((x) => x.trim())
    const often = Object.entries(everyWord).find(([, w]) => w === every)?.[0] as keyof typeof everyWord | undefined
    const [m, c, n] = [readCell(minutes ?? ''), readCell(cost ?? ''), readCell(times ?? '0')]
    if (!name || !often || m === null || c === null || n === null) {
      typed.problem = `"${row}" is not like "Nozzle check, every day, 3, 0.15" or "New blade, as needed, 5, 9, 6".`
      return
    }
    const before = props.kept?.value.tasks.find((t) => t.name === name)
    all.push({
      id: before?.id ?? makeId(),
      name,
      every: often,
      minutes: m,
      cost: c,
      timesAYear: often === 'as-needed' ? n : 0,
    })
  }
  typed.problem = ''
  if (await put(all, 'Saved. An hour of the machine costs accordingly.')) typed.open = false
}
</script>

<template>
  <details v-if="view" class="under-board" :open="leftOpen || undefined">
    <summary>
      <Sign
        :kind="view.version === 0 ? 'assumed' : due.some((t) => t.late) ? 'heat' : due.length > 0 ? 'caution' : 'go'"
      />
      Upkeep:
      {{
        view.version === 0
          ? 'nothing listed'
          : due.length === 0
            ? 'nothing due'
            : `${due.length} due: ${due.map((t) => t.name.toLowerCase()).join(', ')}`
      }}
    </summary>
    <div class="inside">
      <template v-if="view.version === 0">
        <p class="small quiet">
          Usual for such a machine; the maker's manual decides. Its minutes and money go into the machine's hour, on top
          of the upkeep typed for it.
        </p>
        <ul class="small">
          <li v-for="t in view.usual" :key="t.id">{{ t.name }}, {{ everyWord[t.every] }}, {{ t.minutes }} min</li>
        </ul>
        <button class="plain-button" @click="put(view.usual, 'Begun with the usual.')">Begin with the usual</button>
      </template>
      <ul v-else class="tasks">
        <li v-for="t in view.tasks" :key="t.taskId">
          <span
            ><Sign :kind="t.late ? 'heat' : t.due ? 'caution' : 'go'" /> <b>{{ t.name }}</b><span class="small quiet">
              {{ t.when }}</span
            ></span
          >
          <button class="plain-button" :aria-label="`Done: ${t.name}`" @click="done(t.taskId)">Done</button>
        </li>
      </ul>
      <div v-if="view.tasks.length > 0" class="who">
        <label class="field">Who<input v-model="by" maxlength="100" /></label>
        <label class="field">What was found<input v-model="note" maxlength="500" /></label>
        <button v-if="view.anHour" class="plain-button" @click="explain(view.anHour)">
          {{ money(view.anHour.value, format()) }} an hour of {{ name }}
        </button>
      </div>
      <ul v-if="view.log.length > 0" class="small quiet">
        <li v-for="(l, i) in view.log" :key="i">{{ l }}</li>
      </ul>
      <form v-if="typed.open" :aria-label="`Upkeep of ${name}`" @submit.prevent="save">
        <label class="field"
          >A line each: what, every day, week, month or as needed, minutes, cost, times a year if as needed<textarea
            v-model="typed.text"
            rows="5"
          />
        </label>
        <p v-if="typed.problem" class="heat small">{{ typed.problem }}</p>
        <button class="plain-button" type="submit">Keep these</button>
        <button class="plain-button" type="button" @click="typed.open = false">Not now</button>
      </form>
      <button v-else class="plain-button" @click="edit">Change what is done</button>
    </div>
  </details>
  <!-- its line is there before it is known: what stands under it does not jump away from a finger -->
  <p v-else class="under-board"><Sign kind="assumed" /> Upkeep: ...</p>
</template>

<style scoped>
.tasks {
  list-style: none;
  padding: 0;
  width: 100%;
}
.tasks li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
}
.who {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
form {
  width: 100%;
}
textarea {
  width: 100%;
}
</style>
