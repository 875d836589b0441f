<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, ask, type Schemas, seen } from '../../api/client'
import { anHour, bare, moment } from '../../words/shown'
import { attempt, format, lineInHand, reading, refresh, shop } from '../../state/state'

/** The other methods for the line that is looked at, side by side; one of them is taken instead with one click. */
const offered = (methodId: string) =>
  (shop.order?.facts.choice.offered ?? []).some((w) => w.lineId === lineInHand.value?.id && w.methodId === methodId)
async function offer(methodId: string): Promise<void> {
  const [order, lineId] = [shop.order, lineInHand.value?.id ?? null]
  if (!order) return
  const on = !offered(methodId)
  await attempt(
    async () => {
      await ask(
        api.POST('/api/orders/{id}/offer', {
          params: { path: { id: order.id } },
          body: { methodId, lineId, offered: on },
          ...seen(order.version),
        }),
      )
      await refresh()
    },
    on ? 'Stands on the quote too.' : 'Is not on the quote any more.',
  )
}
const bands = ref<Schemas['Band'][]>([])
watch(
  () => [shop.order?.id, shop.order?.version, lineInHand.value?.id],
  async () => {
    const [order, line] = [shop.order, lineInHand.value]
    bands.value = []
    if (!order || !line) return
    await reading(async () => {
      const query = { line: line.id }
      const got = await ask(api.GET('/api/orders/{id}/compare', { params: { path: { id: order.id }, query } }))
      bands.value = got.bands
    })
  },
  { immediate: true },
)
async function take(methodId: string): Promise<void> {
  const [order, lineId] = [shop.order, lineInHand.value?.id ?? null]
  if (!order) return
  await attempt(async () => {
    await ask(
      api.POST('/api/orders/{id}/choose', {
        params: { path: { id: order.id } },
        body: { methodId, lineId, why: 'Taken instead at the quote.' },
        ...seen(order.version),
      }),
    )
    await refresh()
  }, 'Taken instead. Settle what to buy again under Lay out.')
}
</script>

<template>
  <table v-if="bands.length > 1" class="ways">
    <caption class="small quiet">
      Side by side
    </caption>
    <tbody>
      <tr v-for="b in bands" :key="b.methodId" :class="{ taken: b.methodId === lineInHand?.methodId }">
        <th scope="row">
          <button :disabled="b.methodId === lineInHand?.methodId" @click="take(b.methodId)">
            {{ b.name }}
            <span class="small quiet"
              >{{ anHour(b.outcome.profitAnHour.value, format()) }} an hour<template v-if="b.promise"
                >, {{ moment(b.promise.at, format()) }}</template
              ></span
            >
          </button>
        </th>
        <td class="fig">
          {{ bare(b.outcome.price, format()) }}
          <button
            v-if="b.methodId !== lineInHand?.methodId"
            class="offer"
            :aria-pressed="offered(b.methodId)"
            :aria-label="`${b.name}: ${offered(b.methodId) ? 'offered to them too' : 'offer it to them too'}`"
            @click="offer(b.methodId)"
          >
            {{ offered(b.methodId) ? 'offered' : 'offer too' }}
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.ways {
  width: 100%;
  font-size: 13px;
}
caption {
  text-align: left;
  padding-top: 10px;
}
td,
th {
  padding: 4px 4px 4px 0;
  text-align: left;
  font-weight: var(--w-text);
  border-bottom: 1px solid var(--rule);
}
.fig {
  text-align: right;
}
.taken {
  font-weight: var(--w-strong);
}
.ways button span {
  display: block;
  font-weight: var(--w-text);
}
.offer {
  display: block;
  margin-left: auto;
  white-space: nowrap;
  text-decoration: underline;
}
.offer[aria-pressed='true'] {
  font-weight: var(--w-strong);
  text-decoration: none;
}
.ways button {
  text-align: left;
  min-height: 24px;
}
</style>
