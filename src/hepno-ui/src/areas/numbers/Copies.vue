<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, onMounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import { number } from '../../words/shown'
import Sign from '../../kit/Sign.vue'
import { attempt, format, reading, refreshLine, shop } from '../../state/state'

/** Copies of everything: those that are made by themselves, one made now, one put back. */
const view = ref<Schemas['CopiesView']>()
const folder = ref('')
const busy = ref('')
/** What a copy would put back, to be said yes to. */
const back = ref<Schemas['CopyChecked'] | null>(null)
const here = computed(() => shop.line?.caller === 'machine')
const size = (bytes: number) => `${number(bytes / 1_000_000, 1, format())} MB`

function show(now: Schemas['CopiesView']): void {
  // what is typed and not yet said stays
  if (folder.value.trim() === (view.value?.secondFolder ?? '')) folder.value = now.secondFolder
  view.value = now
}
onMounted(() => void reading(async () => show(await ask(api.GET('/api/copies')))))

async function work(doing: string, what: () => Promise<void>, said = ''): Promise<void> {
  if (busy.value) return
  busy.value = doing
  await attempt(what, said)
  // what is told on every screen may have changed by it
  await reading(refreshLine)
  busy.value = ''
}
const make = () => work('Copying...', async () => show(await ask(api.POST('/api/copies'))), 'A copy is made.')
const second = (path: string | null) =>
  work(
    'Copying there...',
    async () => show(await ask(api.PUT('/api/copies/second-folder', { body: { folder: path } }))),
    path ? 'Copies go there too.' : 'Copies go to the data folder alone.',
  )
const months = ref('')
const keepHistory = () =>
  work(
    'Keeping...',
    async () => {
      show(await ask(api.PUT('/api/copies/history', { body: { months: Number(months.value) } })))
      months.value = ''
    },
    'Kept.',
  )
const check = (name: string) =>
  work('Checking every part of it...', async () => {
    back.value = await ask(api.POST('/api/copies/{name}/check', { params: { path: { name } } }))
  })
const upload = (file: File | undefined) =>
  file &&
  work('Checking every part of it...', async () => {
    back.value = await ask(
      api.POST('/api/copies/archive', {
        body: file as never,
        bodySerializer: (archive: unknown) => archive as File,
        headers: { 'Content-Type': 'application/gzip' },
      }),
    )
  })
const restore = (name: string) =>
  work('Putting it back...', async () => {
    await ask(api.POST('/api/copies/{name}/restore', { params: { path: { name } } }))
    location.reload()
  })
</script>

<template>
  <section v-if="view" class="held-copies">
    <p>
      A copy of everything is made each day something changed: the data, artwork and attachments, checked part by part.
      Days, weeks and months are kept.
    </p>
    <p v-if="view.trouble" class="problem" role="alert">{{ view.trouble }}</p>
    <p v-if="view.trial" :class="view.trialWell ? 'quiet' : 'problem'">{{ view.trial }}</p>
    <p class="deeds">
      <button class="plain-button" :disabled="busy !== ''" @click="make">Make a copy now</button>
      <a class="plain-button" href="/api/copies/archive" download>All of it as one archive</a>
      <label v-if="here" class="plain-button file"
        >Look at an archive to put back<input
          type="file"
          class="sr"
          accept=".gz,.tgz,application/gzip"
          @change="upload(($event.target as HTMLInputElement).files?.[0])"
      /></label>
      <span role="status" class="quiet">{{ busy }}</span>
    </p>
    <form v-if="here" class="deeds" @submit.prevent="second(folder.trim() || null)">
      <label class="field"
        >A second folder that gets copies too (a stick, another disk)<input
          v-model="folder"
          class="mono"
          placeholder="/media/stick/hepno"
      /></label>
      <button class="plain-button" :disabled="busy !== '' || folder.trim() === view.secondFolder">
        {{ folder.trim() ? 'Copy there too' : 'No second folder' }}
      </button>
      <span v-if="view.secondTrouble" class="problem">{{ view.secondTrouble }}</span>
    </form>
    <form class="deeds" @submit.prevent="keepHistory">
      <label class="field"
        >Months that earlier states of orders are kept; 0 for ever<input
          v-model="months"
          class="months"
          inputmode="numeric"
          :placeholder="String(view.historyMonths)"
      /></label>
      <button class="plain-button" :disabled="busy !== '' || !/^\d+$/.test(months.trim())">Keep them so long</button>
      <span class="note quiet">Quotes as sent, what was done and when stay for ever.</span>
    </form>
    <p v-if="view.copies.length === 0" class="quiet">No copy yet: the first is made a few seconds after the start.</p>
    <table v-else>
      <thead>
        <tr>
          <th>Copy</th>
          <th>Made</th>
          <th>Holds</th>
          <th class="fig">On the disk</th>
          <th><span class="sr">Put back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in view.copies" :key="c.name">
          <td class="mono">{{ c.name }}</td>
          <td>{{ c.madeAt }}</td>
          <td><Sign v-if="!c.isWhole" kind="caution" /> {{ c.said }}</td>
          <td class="fig">{{ size(c.bytes) }}</td>
          <td>
            <button v-if="c.isWhole && here" class="plain-button" :disabled="busy !== ''" @click="check(c.name)">
              Look, to put it back
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <Dialog
      :visible="back !== null"
      modal
      header="Put this copy back"
      :style="{ width: '520px', maxWidth: '94vw' }"
      @update:visible="back = null"
    >
      <template v-if="back">
        <p>
          It holds {{ back.said }}<template v-if="back.lastDay">, last changed {{ back.lastDay }}</template
          >. Every part of it was checked. The shop has {{ back.ordersNow }} orders now.
        </p>
        <p>What is there now is copied first, and can be put back in the same way. Every open screen begins anew.</p>
        <p class="deeds">
          <button class="go-button" :disabled="busy !== ''" @click="restore(back.name)">Put it back</button>
          <button class="plain-button" autofocus @click="back = null">Leave it</button>
        </p>
      </template>
    </Dialog>
  </section>
</template>

<style scoped>
.held-copies {
  display: grid;
  gap: 10px;
  padding: 8px 0;
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 12px;
}
.field input {
  width: 320px;
}
.field .months {
  width: 90px;
}
.file {
  cursor: pointer;
}
.file:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
th {
  text-align: left;
}
td,
th {
  padding: 6px 18px 6px 0;
}
td {
  border-top: 1px solid var(--rule);
}
.fig {
  text-align: right;
}
</style>
