<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { api, ask, makeId, type Schemas, seen } from '../../api/client'
import { attempt, reading, refresh } from '../../state/state'

/** Asks that come often: an empty ask begins from one, a full one is kept as one. */
const props = defineProps<{ order: Schemas['OrderView']; empty: boolean }>()
const all = ref<Schemas['TemplateView'][]>([])
const name = ref('')
const naming = ref(false)
const load = () =>
  reading(async () => {
    all.value = await ask(api.GET('/api/templates'))
  })
onMounted(load)
async function begin(templateId: string): Promise<void> {
  await attempt(async () => {
    await ask(
      api.POST('/api/orders/{id}/begin', {
        params: { path: { id: props.order.id } },
        body: { templateId },
        ...seen(props.order.version),
      }),
    )
    await refresh()
  })
}
async function keep(): Promise<void> {
  if (
    await attempt(
      async () =>
        void (await ask(
          api.PUT('/api/templates/{id}', {
            params: { path: { id: makeId() } },
            body: { name: name.value, orderId: props.order.id },
          }),
        )),
      `Kept as "${name.value}": a new ask can begin from it.`,
    )
  ) {
    naming.value = false
    name.value = ''
    await load()
  }
}
async function retire(t: Schemas['TemplateView']): Promise<void> {
  await attempt(async () => {
    await ask(api.POST('/api/templates/{id}/retire', { params: { path: { id: t.id } }, ...seen(t.version) }))
    await load()
  }, `"${t.name}" is taken out. Z brings it back.`)
}
</script>

<template>
  <p v-if="empty && all.length > 0" class="templates">
    or begin from
    <span v-for="t in all" :key="t.id"
      ><button class="part" :title="t.what.join('; ')" @click="begin(t.id)">{{ t.name }}</button
      ><button class="out" :aria-label="`Take the template ${t.name} out`" @click="retire(t)">×</button></span
    >
  </p>
  <form v-else-if="naming" class="templates" @submit.prevent="keep" @keydown.esc.stop="naming = false">
    <label class="field">What do you call it?<input v-model="name" maxlength="100" autofocus /></label>
    <button class="plain-button" type="submit">Keep it</button>
  </form>
  <p v-else-if="!empty"><button class="part unsaid" @click="naming = true">keep as a template</button></p>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.templates {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
}
.out {
  min-width: 28px;
  min-height: 28px;
}
.unsaid {
  font-size: 14px;
}
</style>
