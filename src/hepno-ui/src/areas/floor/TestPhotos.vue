<script setup lang="ts">
import { ref } from 'vue'
import { api, ask, makeId, type Schemas, seen } from '../../api/client'
import { attempt, refresh } from '../../state/state'

/** Photographs of a test: as it was pressed, and after washes. */
const props = defineProps<{ test: Schemas['SpotTest']; version: number }>()
const emit = defineEmits<{ changed: [] }>()
const busy = ref(false)
async function add(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  busy.value = true
  await attempt(async () => {
    await ask(
      api.PUT('/api/spot-tests/{id}/photos/{photoId}', {
        params: {
          path: { id: props.test.id, photoId: makeId() },
          query: { washes: props.test.washes.at(-1)?.washes ?? 0 },
        },
        body: file as never,
        bodySerializer: (bytes: unknown) => bytes as File,
        headers: { 'Content-Type': file.type || 'application/octet-stream', ...seen(props.version).headers },
      }),
    )
    emit('changed')
    await refresh()
  }, 'Kept with the test.')
  busy.value = false
}
const remove = (photoId: string) =>
  attempt(async () => {
    await ask(
      api.DELETE('/api/spot-tests/{id}/photos/{photoId}', {
        params: { path: { id: props.test.id, photoId } },
        ...seen(props.version),
      }),
    )
    emit('changed')
    await refresh()
  }, 'Taken off. Z brings it back.')
const said = (p: Schemas['TestPhoto']) => (p.washes === 0 ? 'as pressed' : `after ${p.washes} washes`)
</script>

<template>
  <div class="photos">
    <figure v-for="p in test.photos" :key="p.id">
      <a :href="`/api/spot-tests/${test.id}/photos/${p.id}`" target="_blank" rel="noopener"
        ><img :src="`/api/spot-tests/${test.id}/photos/${p.id}`" :alt="`The test ${said(p)}`" loading="lazy"
      /></a>
      <figcaption class="small quiet">
        {{ said(p) }}
        <button class="out" :aria-label="`Take the photograph off, ${said(p)}`" @click="remove(p.id)">×</button>
      </figcaption>
    </figure>
    <label class="add"
      >{{ busy ? 'keeping it...' : 'add a photograph'
      }}<input type="file" accept="image/png,image/jpeg" class="sr" aria-label="Add a photograph" @change="add"
    /></label>
  </div>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px;
  padding: 0 0 8px 16px;
}
figure {
  margin: 0;
}
img {
  display: block;
  height: 84px;
  max-width: 140px;
  object-fit: cover;
  border: 1px solid var(--ink);
}
.out {
  border: 0;
  background: none;
  min-width: 24px;
  min-height: 24px;
  cursor: pointer;
}
.add {
  text-decoration: underline;
  cursor: pointer;
}
.add:focus-within {
  outline: 2px solid var(--ink);
}
</style>
