<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, ask, type Schemas, seen } from '../../api/client'
import Keys from '../../kit/Keys.vue'
import { moment } from '../../words/shown'
import { typing } from '../../shell/keys'
import LinePicker from '../../shell/LinePicker.vue'
import { attempt, format, lineInHand, reading, refresh, shop } from '../../state/state'
import OtherWays from './OtherWays.vue'
import SayPrice from './SayPrice.vue'

const router = useRouter()
const view = ref<Schemas['QuoteView'] | null>(null)
const sending = ref(false)
const doc = computed(() => view.value?.quote.document)
/** Sizes in columns where one line has few of them, as on the page; else each line's stand under its garment. */
const beside = computed(() => {
  const lines = doc.value?.lines ?? []
  return lines.length === 1 && lines[0]!.sizes.length <= 7 ? lines[0]!.sizes : []
})
const figures = computed(() => view.value?.quote.lines.find((l) => l.lineId === lineInHand.value?.id)?.band)
/** What is noted of the whole order and of the line that is looked at. */
const notes = computed(
  () => view.value?.notes.filter((n) => n.lineId === '' || n.lineId === lineInHand.value?.id) ?? [],
)
const undecided = computed(() => shop.order?.lines.some((l) => l.methodId === null) ?? true)
watch(
  () => [shop.order?.id, shop.order?.version],
  async () => {
    view.value = null
    const id = shop.order?.id
    if (!id || (undecided.value && !shop.order?.quoteSent)) return
    await reading(async () => {
      view.value = await ask(api.GET('/api/orders/{id}/quote', { params: { path: { id } } }))
    })
  },
  { immediate: true },
)

async function send(): Promise<void> {
  sending.value = false
  const order = shop.order
  if (!order) return
  if (
    await attempt(
      async () =>
        void (await ask(
          api.POST('/api/orders/{id}/send', { params: { path: { id: order.id } }, ...seen(order.version) }),
        )),
      `Quote ${order.code} is sent and frozen. Print it or save its page for them.`,
    )
  ) {
    await refresh()
    await router.push('/gather')
  }
}
async function withdraw(): Promise<void> {
  const order = shop.order
  if (!order) return
  if (
    await attempt(
      async () =>
        void (await ask(
          api.POST('/api/orders/{id}/withdraw', { params: { path: { id: order.id } }, ...seen(order.version) }),
        )),
      'The quote is withdrawn.',
    )
  )
    await refresh()
}
const paper = (name: string) => `/api/orders/${shop.order?.id}/${name}.pdf`
const page = () => window.open(paper('quote'), '_blank')
function onKey(event: KeyboardEvent): void {
  if (typing(event) || !view.value || event.ctrlKey) return
  if (event.key.toLowerCase() === 'o' && shop.order?.facts.gathering.approval) {
    event.preventDefault()
    window.open(paper('confirmation'), '_blank')
  } else if (event.key.toLowerCase() === 'p') {
    event.preventDefault()
    page()
  }
}
const begin = () => (sending.value = true)
onMounted(() => {
  window.addEventListener('keydown', onKey)
  window.addEventListener('hepno-act', begin)
})
onUnmounted(() => {
  window.removeEventListener('keydown', onKey)
  window.removeEventListener('hepno-act', begin)
})
</script>

<template>
  <div class="area">
    <h1 class="sr">Quote</h1>
    <LinePicker />
    <div class="drawing">
      <p v-if="!view || !doc" class="frame">
        <template v-if="shop.order && !undecided">Writing the quote of {{ shop.order.code }}…</template
        ><template v-else>
          {{ shop.order ? `${shop.order.code} has no method yet, so nothing to quote.` : 'No order in hand.' }}
          <RouterLink to="/compare">Compare</RouterLink></template
        >
      </p>
      <div v-else class="desk">
        <aside class="notes noprint" aria-label="Margin notes, yours alone">
          <h2>Margin notes</h2>
          <p class="note quiet">Yours alone. Never printed or sent.</p>
          <SayPrice v-if="!view.sent && figures" :price="figures.outcome.price" :how="figures.priceHow" />
          <OtherWays v-if="!view.sent" />
          <div v-for="v in view.before" :key="v.version">
            <b>Version {{ v.version }}, {{ v.total }}</b>
            <p class="note">Sent {{ v.sent }}, withdrawn {{ v.withdrawn }}.</p>
            <p v-for="c in v.changed" :key="c" class="note">{{ c }}</p>
          </div>
          <div v-for="n in notes" :key="n.title + n.text">
            <b>{{ n.title }}</b>
            <p class="note">{{ n.text }}</p>
          </div>
          <p v-if="view.sent" class="note">
            Sent {{ moment(view.sent, format()) }}. Its figures stand, whatever prices do.
          </p>
        </aside>
        <div class="sheet">
          <p class="papers noprint">
            <a class="plain-button" :href="paper('quote')" target="_blank">Open the page to print</a
            ><a class="plain-button" :href="paper('quote')" :download="`${doc.number}.pdf`">Save it</a
            ><a
              v-if="shop.order?.facts.gathering.approval"
              class="plain-button"
              :href="paper('confirmation')"
              target="_blank"
              >Order confirmation</a
            >
          </p>
          <article class="paper">
            <div class="head">
              <div>
                <b class="shop">{{ doc.shop }}</b><span class="note">{{ doc.shopLine }}</span>
              </div>
              <div class="fig">
                <b>Quote {{ doc.number }}</b
                ><span class="note">{{ doc.dates }}</span>
              </div>
            </div>
            <p>
              For <b>{{ doc.customer }}</b> {{ doc.customerContact }}
            </p>
            <h2 class="what">{{ doc.title }}</h2>
            <div class="heads">
              <div v-for="(h, i) in doc.heads" :key="h.label">
                <span class="note">{{ h.label }}</span><b :class="{ go: i === doc.heads.length - 1 }">{{ h.value }}</b>
              </div>
            </div>
            <table class="items">
              <thead>
                <tr>
                  <th>What</th>
                  <th v-for="s in beside" :key="s.size" class="fig">{{ s.size }}</th>
                  <th class="fig">Pieces</th>
                  <th class="fig">Each</th>
                  <th class="fig">Amount</th>
                </tr>
              </thead>
              <tbody>
                <template v-for="(l, n) in doc.lines" :key="n">
                  <tr>
                    <td>
                      <b>{{ l.what }}</b><span v-for="d in l.details" :key="d" class="note">{{ d }}</span>
                      <ul v-if="beside.length === 0" class="run" aria-label="Pieces by size">
                        <li v-for="s in l.sizes" :key="s.size">
                          {{ s.size }} <b>{{ s.pieces }}</b>
                        </li>
                      </ul>
                    </td>
                    <td v-for="s in beside" :key="s.size" class="fig">{{ s.pieces }}</td>
                    <td class="fig">{{ l.pieces }}</td>
                    <td class="fig">{{ l.each }}</td>
                    <td class="fig">{{ l.amount }}</td>
                  </tr>
                  <tr v-for="x in l.extras" :key="x.label">
                    <td :colspan="1 + beside.length">{{ x.label }}</td>
                    <td class="fig">{{ x.pieces }}</td>
                    <td class="fig">{{ x.each }}</td>
                    <td class="fig">{{ x.amount }}</td>
                  </tr>
                </template>
              </tbody>
            </table>
            <table class="totals">
              <tbody>
                <tr v-for="(t, i) in doc.totals" :key="t.label" :class="{ total: i === doc.totalIndex }">
                  <td>{{ t.label }}</td>
                  <td class="fig">{{ t.value }}</td>
                </tr>
              </tbody>
            </table>
            <template v-if="doc.others">
              <h2>Or made another way</h2>
              <table>
                <thead>
                  <tr>
                    <th>How</th>
                    <th class="fig">Each</th>
                    <th class="fig">In all</th>
                    <th class="fig">Ready</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="w in doc.others" :key="w.how" :class="{ quoted: w.quoted }">
                    <td>{{ w.how }}{{ w.quoted ? ', as quoted' : '' }}</td>
                    <td class="fig">{{ w.each }}</td>
                    <td class="fig">{{ w.inAll }}</td>
                    <td class="fig">{{ w.ready }}</td>
                  </tr>
                </tbody>
              </table>
            </template>
            <template v-if="doc.tiers.length > 0">
              <h2>If you order more, or fewer</h2>
              <table class="tiers">
                <tbody>
                  <tr>
                    <th>Pieces</th>
                    <td v-for="t in doc.tiers" :key="t.pieces" class="fig" :class="{ yours: t.yours }">
                      <b>{{ t.pieces }}</b>
                    </td>
                  </tr>
                  <tr>
                    <th>Each</th>
                    <td v-for="t in doc.tiers" :key="t.pieces" class="fig" :class="{ yours: t.yours }">{{ t.each }}</td>
                  </tr>
                  <tr>
                    <th>In all</th>
                    <td v-for="t in doc.tiers" :key="t.pieces" class="fig" :class="{ yours: t.yours }">
                      {{ t.inAll }}
                    </td>
                  </tr>
                </tbody>
              </table>
            </template>
            <div class="columns">
              <div v-for="c in doc.columns" :key="c.label">
                <h2>{{ c.label }}</h2>
                <p class="note">{{ c.value }}</p>
              </div>
            </div>
          </article>
        </div>
      </div>
    </div>
    <Keys
      :hints="[
        ['P', 'the page, to print or save'],
        ...(shop.order?.facts.gathering.approval ? ([['O', 'order confirmation']] as [string, string][]) : []),
        ['Ctrl Enter', view?.sent ? 'on to Gather' : 'send it'],
      ]"
      ><button
        v-if="view?.sent && shop.order?.station === 'gather'"
        class="plain-button"
        style="margin-left: auto; padding: 2px 10px"
        @click="withdraw"
      >
        Withdraw it
      </button></Keys
    >
    <Dialog v-model:visible="sending" modal header="Send this quote?" :style="{ width: '460px', maxWidth: '94vw' }">
      <p>{{ shop.order?.code }} is frozen as it stands. Hepno keeps the page; you print or mail it.</p>
      <p style="display: flex; gap: 12px; padding-top: 14px">
        <button class="go-button" autofocus @click="send">Send it</button
        ><button class="plain-button" @click="sending = false">Not yet</button>
      </p>
    </Dialog>
  </div>
</template>

<style scoped>
.quoted td {
  font-weight: var(--w-strong);
}
.desk {
  display: grid;
  grid-template-columns: 170px minmax(0, 760px);
  gap: 20px;
}
.notes > div {
  border-top: 1.5px solid var(--ink);
  margin-top: 14px;
  padding-top: 4px;
}
.notes b {
  font-size: 20px;
}
.paper {
  background: var(--bleach);
  border: 1px solid var(--rule-strong);
  padding: 28px 36px;
}
.paper .note {
  display: block;
}
.head {
  display: flex;
  justify-content: space-between;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 8px;
  margin-bottom: 14px;
}
.shop {
  font-size: 20px;
}
.what {
  font-size: 26px;
  padding: 6px 0 16px;
}
.heads {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 36px;
  padding-bottom: 14px;
}
.heads b {
  font-size: 24px;
}
table {
  width: 100%;
}
td,
th {
  padding: 5px 6px;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
th.fig {
  text-align: right;
}
.run {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  list-style: none;
  padding: 4px 0 0;
}
.totals {
  width: auto;
  margin-left: auto;
  margin-bottom: 16px;
}
.totals td {
  border: 0;
  padding-left: 24px;
}
.total td {
  font-size: 20px;
  font-weight: var(--w-strong);
}
.yours {
  background: var(--calico);
}
.columns {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 20px;
  padding-top: 16px;
}
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-bottom: 10px;
}
.frame {
  border: 1.5px dashed var(--rule-strong);
  padding: 40px;
  text-align: center;
}
@media print {
  .desk {
    display: block;
  }
  .paper {
    border: 0;
    padding: 0;
  }
}
</style>
