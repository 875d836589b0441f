<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas, seen } from '../api/client'
import { explain } from '../kit/explain'
import { readNumber, unread } from '../words/numbers'
import { money } from '../words/shown'
import { attempt, format, reading, refresh, shop } from '../state/state'

/** An order that comes to nothing: declined, lost, cancelled, or an empty ask thrown away. */
const visible = defineModel<boolean>({ required: true })
type Kind = NonNullable<Schemas['EndKind']>
const view = ref<Schemas['EndingView']>()
const kind = ref<Kind>()
const why = ref('')
const toWhom = ref('')
const theirPrice = ref('')
const settled = ref('')
const wrong = ref('')
const word: Record<Kind, [name: string, what: string, deed: string]> = {
  'thrown-away': ['Empty', 'Nothing was asked.', 'Throw it away'],
  declined: ['Declined', 'You do not want to make it.', 'Decline it'],
  lost: ['Lost', 'They did not take it, or went elsewhere.', 'Note it as lost'],
  cancelled: ['Cancelled', 'They had said yes and call it off.', 'Cancel it'],
}
const open = computed(() => view.value?.choices.filter((c) => c.hindrance === '') ?? [])
async function look(): Promise<void> {
  await reading(async () => {
    view.value = await ask(api.GET('/api/orders/{id}/ending', { params: { path: { id: shop.held!.id } } }))
  })
  kind.value = open.value.find((c) => c.kind === kind.value)?.kind ?? open.value[0]?.kind
}
watch(visible, async (now) => {
  if (!now || !shop.held) return
  view.value = kind.value = undefined
  why.value = toWhom.value = theirPrice.value = settled.value = wrong.value = ''
  await look()
})
// what was ticked just before, or on another device, counts
watch(
  () => `${shop.held?.id} ${shop.held?.version}`,
  () => visible.value && shop.held && void look(),
)
function amount(typed: string, what: string): number | null | undefined {
  if (typed.trim() === '') return null
  const read = readNumber(typed.replace(format().sign, ''))
  if (read === null) wrong.value = `${what}: ${unread(typed)}`
  return read ?? undefined
}
async function end(): Promise<void> {
  const [order, how] = [shop.held, kind.value]
  if (!order || !how) return
  wrong.value = ''
  const price = how === 'lost' ? amount(theirPrice.value, 'Their price') : null
  const agreed = how === 'cancelled' ? amount(settled.value, 'Agreed') : null
  if (price === undefined || agreed === undefined) return
  const body = {
    kind: how,
    why: why.value,
    toWhom: how === 'lost' ? toWhom.value : '',
    theirPrice: price,
    settled: agreed ?? 0,
  }
  await attempt(async () => {
    await ask(api.POST('/api/orders/{id}/end', { params: { path: { id: order.id } }, body, ...seen(order.version) }))
    visible.value = false
    await refresh()
  }, `${order.code} is off the line. Find and the customer's card still have it; Z takes it back.`)
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`${shop.held?.code ?? ''} comes to nothing`"
    :style="{ width: '560px', maxWidth: '94vw' }"
  >
    <form v-if="view && kind" class="end" @submit.prevent="end">
      <div role="radiogroup" aria-label="How it ends" class="kinds">
        <label v-for="c in open" :key="c.kind">
          <input v-model="kind" type="radio" name="end-kind" :value="c.kind" /> <b>{{ word[c.kind][0] }}</b>
          <span class="quiet">{{ word[c.kind][1] }}</span>
        </label>
      </div>
      <label v-if="kind !== 'thrown-away'" class="field"
        >Why<input
          v-model="why"
          type="text"
          maxlength="300"
          autofocus
          placeholder="too dear, too late, no longer needed"
      /></label>
      <template v-if="kind === 'lost'">
        <label class="field">To whom, if you know<input v-model="toWhom" type="text" maxlength="200" /></label>
        <label class="field"
          >At which price for all of it, if you know<input
            v-model="theirPrice"
            type="text"
            inputmode="decimal"
            class="fig"
        /></label>
      </template>
      <template v-if="kind === 'cancelled'">
        <p>
          Bought or prepared and here:
          <button type="button" class="figure" @click="explain(view.bill.spent)">
            {{ money(view.bill.spent.value, format()) }}</button>. Paid:
          <button type="button" class="figure" @click="explain(view.bill.paid)">
            {{ money(view.bill.paid.value, format()) }}</button>.
          <template v-if="view.bill.left > 0"
            >{{ money(view.bill.left, format()) }} more was spent than is paid.</template
          ><template v-else-if="view.bill.left < 0"
            >{{ money(-view.bill.left, format()) }} more is paid than was spent.</template
          >
          <template v-if="view.bill.onTheWay.parts.length > 0">
            Bought and not here yet, ask whether it can be stopped:
            <button type="button" class="figure" @click="explain(view.bill.onTheWay)">
              {{ money(view.bill.onTheWay.value, format()) }}</button>.
          </template>
        </p>
        <label class="field"
          >Agreed: they still pay; with a minus, you give back<input
            v-model="settled"
            type="text"
            inputmode="decimal"
            class="fig"
        /></label>
        <p class="note quiet">What may be charged or must be given back is your terms' and the law's to say.</p>
      </template>
      <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
      <p v-for="p in shop.problems" :key="p.code + p.where" class="problem" role="alert">
        {{ p.sentence }} {{ p.remedy }}
      </p>
      <p class="deeds">
        <button class="go-button" type="submit">{{ word[kind][2] }}</button><button
          class="plain-button"
          type="button"
          @click="visible = false"
        >
          It goes on
        </button>
      </p>
    </form>
    <p v-else-if="view">{{ view.choices.find((c) => c.kind === 'lost')?.hindrance }}</p>
  </Dialog>
</template>

<style scoped>
.end,
.kinds {
  display: grid;
  gap: 10px;
}
.figure {
  font-weight: var(--w-strong);
  text-decoration: underline;
}
.deeds {
  display: flex;
  gap: 12px;
  padding-top: 6px;
}
</style>
