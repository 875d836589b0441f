<script setup lang="ts">
import { ref } from 'vue'
import { api, ask, makeId, type Schemas, seen } from '../../api/client'
import { number } from '../../words/shown'
import { attempt, format, refresh } from '../../state/state'

/** Files kept with the order: their letter, a sketch, a photograph of the box. */
const props = defineProps<{ order: Schemas['OrderView'] }>()
const busy = ref('')

async function add(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  for (const file of files) {
    busy.value = file.name
    await attempt(async () => {
      await ask(
        api.PUT('/api/orders/{id}/attachments/{attachmentId}', {
          params: { path: { id: props.order.id, attachmentId: makeId() }, query: { name: file.name } },
          body: file as never,
          bodySerializer: (bytes: unknown) => bytes as File,
          headers: { 'Content-Type': 'application/octet-stream', ...seen(props.order.version).headers },
        }),
      )
      await refresh()
    })
  }
  busy.value = ''
}
async function remove(attachmentId: string): Promise<void> {
  await attempt(async () => {
    await ask(
      api.DELETE('/api/orders/{id}/attachments/{attachmentId}', {
        params: { path: { id: props.order.id, attachmentId } },
        ...seen(props.order.version),
      }),
    )
    await refresh()
  }, 'Taken off. Z brings it back.')
}
const size = (bytes: number) =>
  bytes < 100_000 ? `${number(bytes / 1000, 0, format())} kB` : `${number(bytes / 1_000_000, 1, format())} MB`
</script>

<template>
  <section class="files" aria-label="Files with the order">
    <span v-for="a in order.facts.attached" :key="a.id" class="file"
      ><a :href="`/api/orders/${order.id}/attachments/${a.id}`" download>{{ a.name }}</a>
      <span class="small quiet">{{ size(a.bytes) }}</span><button
        class="out"
        :aria-label="`Take ${a.name} off`"
        @click="remove(a.id)"
      >
        ×
      </button></span
    >
    <label class="add"
      >{{ busy ? `keeping ${busy}...` : 'attach a file'
      }}<input type="file" multiple class="sr" aria-label="Attach a file" @change="add"
    /></label>
  </section>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  padding-top: 8px;
  align-items: baseline;
}
.file a {
  overflow-wrap: anywhere;
}
.out {
  min-width: 28px;
  min-height: 28px;
}
.add {
  cursor: pointer;
  border-bottom: 1.5px dashed var(--rule-strong);
  color: var(--ink-2);
}
.add:focus-within {
  outline: 3px solid var(--focus, currentcolor);
}
</style>
