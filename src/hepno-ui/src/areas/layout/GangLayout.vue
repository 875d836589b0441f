<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { explain } from '../../kit/explain'
import Keys from '../../kit/Keys.vue'
import { length, money, number, rollLength } from '../../words/shown'
import { typing } from '../../shell/keys'
import { format, lineInHand, shop } from '../../state/state'
import { along, type Copy, reach, sizeOf, small, useGang } from './gang'
import GangClose from './GangClose.vue'
import GangOffers from './GangOffers.vue'
import GangSearch from './GangSearch.vue'
import GangShares from './GangShares.vue'
import GangStrip from './GangStrip.vue'

/** A line's prints on a roll or sheets of film: the whole of it, an arm's length large, what it costs and what else could be done. */
const gang = useGang()
const { view, figures, drawn, copies, chosen, held, tried, proposal, search } = gang
const f = computed(() => format())
const cloth = computed(() => lineInHand.value?.colourway?.hex ?? 'var(--ink-2)')
const from = ref(0)
const window_ = computed(() => Math.min(54, Math.max(view.value ? reach(view.value, figures.value) : 54, 24)))
const furthest = computed(() => {
  const [v, c] = [view.value, copies.value[held.value?.index ?? -1]]
  const end = v && c ? along(v, c) + sizeOf(v, c).h : 0
  return Math.max(0, Math.max(v ? reach(v, figures.value) : 0, end) - window_.value)
})
const lookAt = (at: number) => (from.value = Math.max(0, Math.min(furthest.value, at)))
watch(furthest, () => lookAt(from.value))

// what is proposed is looked at
watch(proposal, (p) => {
  const added = p?.tried.copies[copies.value.length]
  if (view.value && added) lookAt(along(view.value, added) - window_.value / 2)
})

const key = computed(() => copies.value[chosen.value]?.key ?? '')
const nameOf = (k: string) => view.value?.designs.find((d) => d.key === k)?.name ?? ''
const sentence = computed(() => {
  const v = view.value
  if (!v) return ''
  return `${v.designs
    .filter((d) => d.needed + d.extra > 0)
    .map((d) => `${d.needed + d.extra} × ${small(d.name)}`)
    .join(' and ')} on ${v.text}`
})
const label = computed(() => {
  const c = copies.value[chosen.value]
  const v = view.value
  if (!v || !c) return 'Nothing is laid'
  const where = `${length(along(v, c), f.value)} along, ${length(c.x, f.value)} across${c.turned ? ', turned' : ''}${c.pinned ? ', pinned' : ''}`
  return `${v.copies.length} prints laid. Chosen: ${nameOf(c.key)}, ${where}`
})
const extra = computed(() => (view.value?.designs ?? []).reduce((n, d) => n + d.extra, 0))
/** What a proposal adds. */
const added = computed(() => small(nameOf(proposal.value?.tried.copies[copies.value.length]?.key ?? '')))
/** Money a proposal saves; negative where it costs more. */
const saving = computed(() => -(proposal.value?.tried.more ?? 0))

/** The chosen copy stays in sight. */
function follow(): void {
  const [v, c] = [view.value, copies.value[chosen.value]]
  if (v && c && (along(v, c) < from.value || along(v, c) + sizeOf(v, c).h > from.value + window_.value))
    lookAt(along(v, c) - window_.value / 3)
}
/** The next copy in the order it is cut: along the roll, then across. */
function next(by: number): void {
  const v = view.value
  if (!v || copies.value.length === 0) return
  const order = copies.value
    .map((c, i) => ({ i, a: along(v, c), x: c.x }))
    .sort((p, q) => p.a - q.a || p.x - q.x)
    .map((p) => p.i)
  const at = order.indexOf(chosen.value)
  chosen.value = order[(at + by + order.length) % order.length] ?? 0
  follow()
}
const step = 0.25
/** Arrows move the held copy as it is seen: the roll lies, its beginning at the left. */
function nudge(alongBy: number, acrossBy: number): void {
  const c = copies.value[held.value?.index ?? -1]
  if (c) void gang.hold({ y: Math.max(0, c.y + alongBy * step), x: Math.max(0, c.x + acrossBy * step) })
  follow()
}
function joining(): void {
  const j = view.value?.joins.find((x) => !x.waits)
  if (j) void gang.together(j)
}
const letters: Record<string, () => unknown> = {
  m: () => (held.value ? gang.drop() : gang.pick()),
  t: () => gang.turn(),
  k: () => gang.pin(),
  d: () => gang.oneMore(),
  f: () => gang.fillRoom(),
  '+': () => gang.fillNext(),
  s: () => gang.searching(2),
  j: () => joining(),
  o: () => gang.outlines(),
  delete: () => gang.remove(),
  backspace: () => gang.remove(),
  escape: () => gang.back(),
}
function onKey(event: KeyboardEvent): void {
  if (typing(event) || event.ctrlKey || event.metaKey || event.altKey || !view.value) return
  const pressed = event.key.toLowerCase()
  const arrows: Record<string, [number, number]> = {
    arrowleft: [-1, 0],
    arrowright: [1, 0],
    arrowup: [0, 1],
    arrowdown: [0, -1],
  }
  const arrow = arrows[pressed]
  if (arrow && held.value) nudge(...arrow)
  else if (arrow && event.shiftKey) lookAt(from.value + arrow[0] * 12)
  else if (arrow) next(arrow[0] || -arrow[1])
  else if (pressed === 'enter' && held.value) void gang.drop()
  else if (pressed === 'enter' && proposal.value && !(event.target as Element).closest('button, a')) void gang.keep()
  else if (letters[pressed]) letters[pressed]()
  else if (/^[1-9]$/.test(pressed) && view.value.choices[Number(pressed) - 1]?.cost) choose(Number(pressed) - 1)
  else return
  event.preventDefault()
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))

function choose(i: number): void {
  const c = view.value?.choices[i]
  if (c) void gang.load(c.filmId, c.on, view.value?.isByOutline)
}
const isHere = (c: { filmId: string; on: string }) => c.filmId === view.value?.filmId && c.on === view.value.on
const sent = computed(() => !['ask', 'compare', 'layout', 'quote'].includes(shop.order?.station ?? ''))
const settleNow = () =>
  gang.settle(copies.value as Copy[], 'This layout is settled: estimate and quote use it.', view.value?.figures.steps)
</script>

<template>
  <section v-if="view && figures" class="gang" aria-label="Layout on film">
    <h1 class="title">
      <span
        >{{ sentence }}.
        <span class="quiet"
          >Gap {{ length(view.ground.gapIn, f) }}, edge {{ length(view.ground.marginIn, f) }}.</span
        ></span
      >
      <span class="sum"
        ><b v-if="view.ground.lengthIn === null">{{ rollLength(figures.billedIn, f) }}</b
        ><b v-else>{{ figures.bought }} {{ figures.bought === 1 ? 'sheet' : 'sheets' }}</b> {{ ' '
        }}<button v-if="figures.cost" @click="explain(figures.cost)">{{ money(figures.cost.value, f) }}</button>
        <span v-else>no length is long enough</span></span
      >
    </h1>
    <p v-if="view.stale" class="stale">{{ view.stale }}</p>
    <p v-if="view.joinedTo" class="stale">
      Its film is bought on the layout of <b>{{ view.joinedTo }}</b>.
    </p>
    <p v-if="view.together.length > 0" class="stale">
      Bought as one with <b>{{ view.together.join(', ') }}</b>.
      <button v-if="!view.isLocked" class="plain-button" type="button" @click="gang.together(null)">
        Buy apart again
      </button>
    </p>
    <GangStrip
      :layout="view"
      :copies="drawn"
      :figures="proposal?.tried.figures ?? figures"
      :from="from"
      :window="window_"
      :cloth="cloth"
      @look="lookAt"
    />
    <div class="middle">
      <div>
        <GangClose :gang="gang" :layout="view" :from="from" :window="window_" :cloth="cloth" :label="label" />
        <p v-if="held" class="small hand" role="status">
          <b>{{ nameOf(key) }}</b> in hand:
          <span v-if="tried && tried.problems.length > 0" class="bad">{{ tried.problems[0]!.sentence }}</span>
          <span v-else-if="tried"
            >goes there{{ tried.figures.cost ? `, ${money(tried.figures.cost.value, f)}` : '' }}.</span
          >
          Enter puts it down, Esc back.
        </p>
        <div v-else-if="proposal" class="proposal" role="status">
          <b>{{
            proposal.tried.copies.length - copies.length > 0
              ? `${proposal.tried.copies.length - copies.length} more ${added}`
              : rollLength(proposal.tried.figures.usedIn, f)
          }}</b>
          <span v-if="proposal.tried.problems.length > 0" class="bad">{{ proposal.tried.problems[0]!.sentence }}</span>
          <span v-else-if="proposal.tried.figures.cost"
            >{{ money(proposal.tried.figures.cost.value, f) }},
            <b :class="{ go: saving > 0 }">{{
              saving > 0 ? `${money(saving, f)} less` : saving < 0 ? `${money(-saving, f)} more` : 'no dearer'
            }}</b><template v-if="proposal.tried.cutRound"
              >; cutting round takes
              <button type="button" @click="explain(proposal.tried.cutRound)">
                {{ money(proposal.tried.cutRound.value, f) }}
              </button>
              of work<template v-if="proposal.tried.inAll !== null"
                >: in all
                <b :class="{ go: proposal.tried.inAll < 0 }"
                  >{{ money(Math.abs(proposal.tried.inAll), f) }} {{ proposal.tried.inAll < 0 ? 'less' : 'more' }}</b
                ></template
              ></template
            ></span
          >
          <button class="go-button" type="button" @click="gang.keep()">Keep it <kbd>Enter</kbd></button>
          <button class="plain-button" type="button" @click="gang.back()">Leave it <kbd>Esc</kbd></button>
        </div>
        <p v-else-if="copies[chosen]" class="small hand">
          <b>{{ nameOf(key) }}</b> chosen<template v-if="!view.isLocked"
            >:
            <button class="plain-button" type="button" @click="gang.turn()">turn it</button>
            <button class="plain-button" type="button" @click="gang.pin()">
              {{ copies[chosen]!.pinned ? 'let it go' : 'pin it' }}
            </button>
            <button
              v-if="view.designs.find((d) => d.key === key)?.extra"
              class="plain-button"
              type="button"
              @click="gang.remove()"
            >
              take it off
            </button>
          </template>
          <span v-else class="quiet">: its layout stands as it is.</span>
        </p>
      </div>
      <div class="side">
        <GangSearch :gang="gang" :layout="view" @search="gang.searching" />
        <GangShares :layout="view" />
        <p class="waste">
          <b>{{ money(figures.waste, f) }}</b>
          <span
            >of it wasted, {{ number(figures.wasteShare * 100, 1, f) }}%: hatched.<template v-if="extra > 0">
              {{ extra }} extra go to stock; the order pays {{ money(figures.forOrder, f) }}.</template
            ></span
          >
        </p>
        <p v-if="view.hasOutlines && !view.isLocked" class="small">
          <template v-if="view.isByOutline"
            >Laid by outline: prints may lie in one another's corners.
            <template v-if="view.cutRound"
              >Cutting round takes
              <button type="button" @click="explain(view.cutRound)">{{ money(view.cutRound.value, f) }}</button> of
              work.</template
            ></template
          >
          <template v-else>Laid as boxes; some prints leave corners empty.</template>
          {{ ' '
          }}<button class="plain-button" type="button" @click="gang.outlines()">
            <kbd>O</kbd> {{ view.isByOutline ? 'as boxes' : 'by outline' }}
          </button>
        </p>
        <p v-if="!view.isLocked" class="small">
          <template v-if="sent"
            >Its quote stands; what is {{ view.isOwn ? 'printed' : 'bought' }} follows this layout until the film is
            {{ view.isOwn ? 'printed' : 'here' }}.</template
          >
          <template v-else-if="view.isSettled"
            >Settled: estimate and quote use it.
            <button class="plain-button" type="button" @click="gang.forget()">The usual one again</button></template
          >
          <button v-else class="plain-button" type="button" @click="settleNow()">Settle this layout</button>
        </p>
      </div>
    </div>
    <GangOffers :gang="gang" :layout="view" :chosen-key="key" />
    <ol class="choices" aria-label="What it could be laid on">
      <li v-for="(c, i) in view.choices" :key="c.filmId + c.on" :class="{ here: isHere(c) }">
        <button type="button" :disabled="!c.cost || isHere(c)" @click="choose(i)">
          <kbd>{{ i + 1 }}</kbd> {{ c.text }} <b v-if="c.cost">{{ money(c.cost.value, f) }}</b><span
            v-else
            class="quiet"
            >{{ c.whyNot }}</span
          >
        </button>
      </li>
    </ol>
    <Keys
      :hints="[
        ['← →', 'next print'],
        ['Shift →', 'along the roll'],
        ['M', held ? 'put it down' : 'pick it up'],
        ['T', 'turn'],
        ['K', 'pin'],
        ['D', 'one more'],
        ['S', search && !search.isDone ? 'stop' : 'search'],
      ]"
    />
  </section>
</template>

<style scoped>
.title {
  font-size: 19px;
  display: flex;
  justify-content: space-between;
  gap: 20px;
  padding-bottom: 4px;
}
.title .quiet {
  font-weight: var(--w-body, 400);
}
.sum {
  white-space: nowrap;
}
.middle {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 370px;
  gap: 24px;
  align-items: start;
  padding-top: 6px;
}
.side > * + * {
  margin-top: 10px;
}
.waste {
  display: flex;
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.waste b {
  font-size: 24px;
  font-weight: var(--w-figure);
}
.hand,
.proposal {
  min-height: 46px;
  margin: 4px 0 0;
}
.bad {
  color: var(--heat);
  font-weight: var(--w-strong);
}
.go {
  color: var(--go);
}
.proposal {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  border: 2px solid var(--go);
  padding: 6px 10px;
}
.stale {
  margin: 4px 0;
}
.gang :deep(.plain-button) {
  padding: 3px 9px;
  font-size: 13px;
  min-height: 28px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  list-style: none;
  padding: 8px 0;
  margin: 0;
  border-top: 1px solid var(--rule);
  font-size: 14px;
}
.choices .here {
  box-shadow: inset 0 -3px 0 var(--ink);
}
.choices button:disabled {
  color: inherit;
  opacity: 1;
}
</style>
