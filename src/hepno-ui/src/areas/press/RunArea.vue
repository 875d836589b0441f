<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, ask, makeId, Refusal, type Schemas } from '../../api/client'
import { onChange } from '../../shell/live'
import { refresh, take } from '../../shell/state'
import { outbox } from './outbox'
import SizeRows from './SizeRows.vue'
import { sound } from './sound'
import { keyOf, newest, type Task, tasksLeft } from './tasks'

const route = useRoute()
const router = useRouter()
const id = String(route.params.order)
const view = ref<Schemas['RunView'] | null>(null)
const state = ref<Schemas['RunState'] | null>(null)
const trouble = ref('')
const box = outbox(id, (folded) => (state.value = newest(state.value, folded)))

// the clock of this page; wall-clock times of other machines are never used
const now = ref(performance.now())
const phase = ref<'lay' | 'press'>('lay')
const closedAt = ref(0)
const rack = ref<{ task: Task; cold: number }[]>([])
const held = ref(false)
const fromEnd = ref(sessionStorage.getItem(`hepno-end-${id}`) === '1')
const choosing = ref(false)
const leaving = ref(false)
const lastReason = ref<string | null>(null)
const mine = ref<{ eventId: string; task: Task; at: number }[]>([])
let sinceVerdict = performance.now()
let heldAt = 0
let lastTap = { key: '', at: -1000 }
let reasonTimer: ReturnType<typeof setTimeout> | undefined

const passes = computed(() => view.value?.passes ?? [])
const left = computed(() => tasksLeft(state.value?.todo ?? [], box.waiting.value, fromEnd.value))
const racked = computed(() => new Set(rack.value.map((r) => keyOf(r.task))))
const current = computed(() => left.value.find((t) => !racked.value.has(keyOf(t))))
const pass = computed(
  () =>
    passes.value[
      (current.value ?? rack.value[0]?.task)?.pass === undefined ? 0 : (current.value ?? rack.value[0]!.task).pass - 1
    ],
)
/** The piece the verdict keys judge: the oldest on the rack, else the one in hand. */
const judged = computed(() => rack.value[0]?.task ?? current.value)
const seconds = computed(() =>
  phase.value === 'press' && pass.value ? pass.value.dwellSeconds - (now.value - closedAt.value) / 1000 : 0,
)
const over = computed(
  () => phase.value === 'press' && pass.value !== undefined && seconds.value < -pass.value.slackSeconds,
)
const level = computed(() =>
  phase.value === 'press' && pass.value ? Math.max(0, Math.min(1, seconds.value / pass.value.dwellSeconds)) : 0,
)
const name = (t: Task) => `${t.pieceNo}${t.attempt > 1 ? ` again` : ''}`
const done = computed(() => view.value !== null && state.value !== null && left.value.length === 0)
const verb = computed(() =>
  held.value
    ? 'Held'
    : done.value
      ? 'Done'
      : phase.value === 'lay'
        ? current.value
          ? 'Lay'
          : 'Peel'
        : over.value
          ? 'Lift now'
          : seconds.value <= 0
            ? 'Lift'
            : 'Press',
)
const count = computed(() => {
  if (held.value || phase.value === 'lay') return ''
  return seconds.value >= 0 ? String(Math.ceil(seconds.value)) : `+${Math.floor(-seconds.value)}`
})
const said = computed(() =>
  phase.value === 'press' && [10, 5, 0].includes(Math.ceil(seconds.value)) ? `${Math.ceil(seconds.value)} seconds` : '',
)
const caution = computed(() => [pass.value?.caution, view.value?.pressCautions].filter(Boolean)[0] ?? '')
const coldIn = computed(() => (rack.value[0] ? Math.ceil((rack.value[0].cold - now.value) / 1000) : 0))

async function load(): Promise<void> {
  try {
    view.value = await ask(api.GET('/api/runs/{id}', { params: { path: { id } } }))
    state.value = newest(state.value, view.value.state)
    trouble.value = ''
  } catch (refused) {
    if (!(refused instanceof Refusal)) throw refused
    if (refused.status !== 0) trouble.value = `${refused.problems[0]?.sentence} ${refused.problems[0]?.remedy}`
    else if (!view.value) setTimeout(() => void load(), 500)
  }
}

// a piece that another device judged leaves this rack
watch(left, (tasks) => {
  const open = new Set(tasks.map(keyOf))
  rack.value = rack.value.filter((r) => open.has(keyOf(r.task)))
})
watch(now, (_, before) => {
  if (phase.value !== 'press' || held.value || !pass.value) return
  const was = pass.value.dwellSeconds - (before - closedAt.value) / 1000
  if (was > 0 && seconds.value <= 0) sound.ready()
  else if (seconds.value < 0 && Math.floor(-was) !== Math.floor(-seconds.value)) sound.late()
})

function step(): void {
  if (held.value) return hold()
  if (!current.value || !pass.value) return
  if (phase.value === 'lay') {
    closedAt.value = performance.now()
    phase.value = 'press'
    return
  }
  phase.value = 'lay'
  if (pass.value.peel !== 'hot')
    rack.value = [...rack.value, { task: current.value, cold: performance.now() + pass.value.peelAfterSeconds * 1000 }]
}
function back(): void {
  if (phase.value === 'press') phase.value = 'lay'
  else rack.value = rack.value.slice(0, -1)
}
function hold(): void {
  held.value = !held.value
  if (held.value) heldAt = performance.now()
  else {
    sinceVerdict += performance.now() - heldAt
    if (phase.value === 'press') closedAt.value += performance.now() - heldAt
  }
}

async function verdict(kind: 'good' | 'spoiled', reason: string | null = null): Promise<void> {
  const task = judged.value
  if (!task || held.value) return
  const at = performance.now()
  // a key that bounces must not judge the next piece
  if (at - lastTap.at < 400 && lastTap.key === keyOf(task)) return
  lastTap = { key: keyOf(task), at }
  const eventId = makeId()
  const secondsOnPiece = Math.round((at - sinceVerdict) / 100) / 10
  sinceVerdict = at
  if (keyOf(task) === keyOf(current.value ?? task)) phase.value = 'lay'
  await box.add(eventId, {
    pieceNo: task.pieceNo,
    attempt: task.attempt,
    pass: task.pass,
    size: task.size,
    verdict: kind,
    reason,
    takesBack: null,
    secondsOnPiece,
  })
  mine.value = [...mine.value, { eventId, task, at }]
}
function spoil(): void {
  if (!judged.value || held.value) return
  if (choosing.value) return finish(lastReason.value)
  choosing.value = true
  reasonTimer = setTimeout(() => finish(null), 5000)
}
function finish(reason: string | null): void {
  clearTimeout(reasonTimer)
  if (!choosing.value) return
  choosing.value = false
  if (reason) lastReason.value = reason
  void verdict('spoiled', reason)
}
async function takeBack(): Promise<void> {
  const last = mine.value.at(-1)
  if (!last) return
  mine.value = mine.value.slice(0, -1)
  const { pieceNo, attempt, pass: p, size } = last.task
  await box.add(makeId(), {
    pieceNo,
    attempt,
    pass: p,
    size,
    verdict: 'taken-back',
    reason: null,
    takesBack: last.eventId,
    secondsOnPiece: 0,
  })
}
async function leave(sure: boolean): Promise<void> {
  if (phase.value === 'press' && !sure) {
    leaving.value = true
    return
  }
  await take(id).catch(() => undefined)
  await refresh().catch(() => undefined)
  await router.push(done.value ? '/send' : '/press')
}

// one handler in the capture phase owns the keyboard of the run
function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey || event.key === 'Tab') return
  event.preventDefault()
  event.stopPropagation()
  if (event.repeat) return
  sound.unlock()
  const key = event.key.toLowerCase()
  if (leaving.value) {
    if (key === 'enter') void leave(true)
    else leaving.value = false
    return
  }
  if (choosing.value && /^[1-9]$/.test(key)) return finish(view.value?.reasons[Number(key) - 1] ?? null)
  if (choosing.value && key === 'escape') {
    clearTimeout(reasonTimer)
    choosing.value = false
    return
  }
  switch (key) {
    case ' ':
      return void verdict('good')
    case 'x':
      return spoil()
    case 'enter':
      return step()
    case 'b':
      return back()
    case 'h':
      return hold()
    case 'z':
      return void takeBack()
    case 'o':
      fromEnd.value = !fromEnd.value
      sessionStorage.setItem(`hepno-end-${id}`, fromEnd.value ? '1' : '0')
      return
    case 'escape':
      return void leave(false)
  }
}
/** Touch: taken on release inside the key, and the key keeps no focus. */
function tap(event: PointerEvent, deed: () => void): void {
  sound.unlock()
  const key = event.currentTarget as HTMLElement
  const under = document.elementFromPoint(event.clientX, event.clientY)
  key.blur()
  if (under && key.contains(under)) deed()
}

let timer: ReturnType<typeof setInterval> | undefined
let stop = () => {}
onMounted(async () => {
  window.addEventListener('keydown', onKey, { capture: true })
  await box.open()
  await load()
  timer = setInterval(
    () => (now.value = performance.now()),
    matchMedia('(prefers-reduced-motion: reduce)').matches ? 1000 : 100,
  )
  stop = onChange((kind, changed) => void (changed === id && (kind === 'run' || kind === 'order') && load()))
})
onUnmounted(() => {
  window.removeEventListener('keydown', onKey, { capture: true })
  clearInterval(timer)
  clearTimeout(reasonTimer)
  box.close()
  stop()
})
</script>

<template>
  <div class="run">
    <header>
      <button class="leave" @pointerup="tap($event, () => leave(false))"><kbd>Esc</kbd> Leave</button>
      <b class="mono">{{ view?.code }}</b><span class="who">{{ view?.customer }}</span>
      <span class="right"
        ><b>{{ view?.press }}</b
        ><span v-if="pass?.setPoint">set {{ pass.setPoint }}</span
        ><span v-else class="caution">not yet tested: at the dial's word</span
        ><span v-if="view?.ends" class="go">planned to end {{ view.ends }}</span
        ><span v-if="box.lost.value" class="heat" role="alert"
          >{{ box.waiting.value.length }} kept here, not sent yet</span
        ></span
      >
    </header>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-else-if="view && state">
      <section
        class="field"
        :class="{ wait: held, over }"
        :aria-label="`${verb} piece ${current ? name(current) : ''}`"
      >
        <div
          v-for="layer in ['paper', 'hot']"
          :key="layer"
          class="layer"
          :class="layer"
          :aria-hidden="layer === 'hot'"
          :style="layer === 'hot' ? { clipPath: `inset(${over ? 0 : (1 - level) * 100}% 0 0 0)` } : undefined"
        >
          <div class="verb">
            {{ verb
            }}<span class="what">{{
              done
                ? `${state.good} good`
                : current && pass
                  ? `${pass.place}, size ${current.size}`
                  : rack[0]
                    ? `piece ${name(rack[0].task)}`
                    : ''
            }}</span>
          </div>
          <div v-if="count" class="count">{{ count }}<small>s</small></div>
          <div v-else-if="!done && current && pass" class="lay">
            <p>
              piece <b>{{ name(current) }}</b>, {{ pass.size }}
            </p>
            <p>{{ pass.side }}</p>
            <p class="key"><kbd>Enter</kbd> closed</p>
          </div>
          <div v-else-if="done" class="lay">
            <p>All {{ view.pieces }} are good. Rack empty, press off and unplugged.</p>
          </div>
        </div>
      </section>
      <section class="side" aria-label="Pieces">
        <div class="mean">
          <span>Meanwhile</span><b v-if="rack[0]">Peel {{ name(rack[0].task) }}</b
          ><b v-else>Rack empty</b
          ><span v-if="rack[0]" :class="{ go: coldIn <= 0 }">{{ coldIn <= 0 ? "it's ready" : `in ${coldIn} s` }}</span>
        </div>
        <div class="mean">
          <span>Then</span><b v-if="phase === 'press' && current">Lift {{ name(current) }}</b
          ><b v-else-if="left[1]">Lay {{ name(left.find((t) => !racked.has(keyOf(t)) && t !== current) ?? left[1]) }}</b
          ><b v-else>Count</b><span v-if="fromEnd">from the end</span>
        </div>
        <div class="of">
          <b data-test="piece">{{ current ? name(current) : judged ? name(judged) : view.pieces }}</b> of
          {{ view.pieces
          }}<span class="tally"
            ><span data-test="good">{{ state.good }} good</span
            ><span class="heat" data-test="spoiled">{{ state.spoiled }} spoiled</span></span
          >
        </div>
        <SizeRows
          :state="state"
          :passes="passes.length"
          :waiting="box.waiting.value"
          :racked="rack.map((r) => r.task)"
          :current="phase === 'press' ? current : undefined"
        />
        <p v-if="state.notCounted.length > 0" class="caution twice" role="status">
          Judged twice, kept, not counted:
          {{
            state.notCounted
              .map((e) => `${e.pieceNo} (${e.verdict})`)
              .slice(0, 4)
              .join(', ')
          }}
        </p>
        <p v-if="box.refused.value" class="heat twice" role="alert">{{ box.refused.value }}</p>
      </section>
      <div class="recipe">
        <div>
          <b>{{ pass?.temperature }}</b> <span>{{ pass?.temperatureOther }}</span>
        </div>
        <div>
          <b>{{ pass?.dwellSeconds }} s</b>
        </div>
        <div>
          <b>{{ pass?.pressure }}</b>
        </div>
        <div>
          <b>{{ pass?.peel }} peel</b>
        </div>
      </div>
      <div class="hazard">
        <i></i><b>{{ caution }}</b>
      </div>
      <footer v-if="choosing" class="reasons" role="group" aria-label="Why is it spoiled?">
        <button v-for="(r, i) in view.reasons" :key="r" @pointerup="tap($event, () => finish(r))">
          <kbd>{{ i + 1 }}</kbd> {{ r }}
        </button>
      </footer>
      <footer v-else>
        <button class="spoiled" :disabled="!judged" @pointerup="tap($event, spoil)">
          <b>Spoiled</b><span v-if="judged">piece {{ name(judged) }} <kbd>X</kbd></span>
        </button>
        <button @pointerup="tap($event, back)">
          <b>Back</b><span><kbd>B</kbd></span>
        </button>
        <button @pointerup="tap($event, hold)">
          <b>{{ held ? 'Go on' : 'Hold' }}</b><span><kbd>H</kbd></span>
        </button>
        <button @pointerup="tap($event, step)">
          <b>{{ phase === 'lay' ? 'Close' : 'Lift' }}</b><span><kbd>Enter</kbd></span>
        </button>
        <button class="good" :disabled="!judged" @pointerup="tap($event, () => verdict('good'))">
          <b>{{ done ? 'All done' : 'Good' }}</b><span v-if="judged">piece {{ name(judged) }} <kbd>Space</kbd></span>
        </button>
      </footer>
    </template>
    <div v-if="leaving" class="ask" role="alertdialog" aria-label="The press is closed">
      <p>The press is closed. Leave all the same?</p>
      <p><kbd>Enter</kbd> leave <kbd>Esc</kbd> stay</p>
    </div>
    <span class="sr" aria-live="assertive">{{ verb }}</span><span class="sr" aria-live="polite">{{ said }}</span>
  </div>
</template>

<style scoped>
.run {
  height: 100%;
  display: grid;
  grid-template: 60px minmax(0, 1fr) 84px 52px 116px / minmax(0, 64%) minmax(0, 36%);
  overflow: hidden;
  user-select: none;
}
header {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 0 24px;
  font-size: 26px;
  border-bottom: 1.5px solid var(--ink);
  white-space: nowrap;
  overflow: hidden;
}
.leave {
  font-size: 20px;
  padding-right: 18px;
  border-right: 1px solid var(--ink);
  align-self: stretch;
}
.who {
  overflow: hidden;
  text-overflow: ellipsis;
}
.right {
  margin-left: auto;
  display: flex;
  gap: 18px;
}
.trouble {
  grid-column: 1 / -1;
  font-size: 30px;
  padding: 40px;
}
.field {
  position: relative;
  overflow: hidden;
  background: var(--bleach);
  border-right: 1.5px solid var(--ink);
}
.layer {
  position: absolute;
  inset: 0;
  padding: 28px 36px;
  color: var(--ink);
}
.layer.hot {
  background: var(--heat);
  color: var(--bleach);
}
.over .layer.hot {
  border: 18px solid transparent;
  border-image: repeating-linear-gradient(45deg, var(--ink) 0 9px, var(--heat) 9px 18px) 18;
  padding: 10px 18px;
}
.wait {
  background: repeating-linear-gradient(45deg, var(--calico) 0 6px, var(--bleach) 6px 12px);
}
.verb {
  font-size: 96px;
  font-weight: 640;
  letter-spacing: -0.04em;
  line-height: 1;
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
  white-space: nowrap;
}
.what {
  font-size: 52px;
  letter-spacing: -0.02em;
}
.count {
  position: absolute;
  right: 30px;
  bottom: -30px;
  font-size: min(var(--t-far-count), 60vh);
  font-weight: 640;
  letter-spacing: -0.05em;
  line-height: 0.95;
}
.count small {
  font-size: 110px;
}
.lay {
  font-size: 44px;
  padding-top: 40px;
  line-height: 1.3;
}
.lay .key {
  padding-top: 20px;
}
.lay kbd,
header kbd,
footer kbd {
  font-size: 20px;
  height: 34px;
  padding: 2px 10px;
}
.side {
  padding: 10px 24px;
  overflow: hidden;
  display: flex;
  flex-direction: column;
}
.mean {
  display: grid;
  grid-template-columns: 128px 1fr auto;
  align-items: baseline;
  border-bottom: 1px solid var(--rule-strong);
  font-size: 26px;
  padding: 4px 0;
  white-space: nowrap;
}
.mean b {
  font-size: 40px;
}
.mean span:first-child {
  font-size: 22px;
  color: var(--ink-2);
}
.of {
  font-size: 40px;
  display: flex;
  align-items: baseline;
  gap: 12px;
  white-space: nowrap;
}
.of > b {
  font-size: clamp(60px, 8vw, 104px);
  line-height: 1.1;
  letter-spacing: -0.04em;
}
.tally {
  margin-left: auto;
  font-size: 28px;
  font-weight: var(--w-strong);
  text-align: right;
  display: grid;
}
.twice {
  font-size: 20px;
}
.recipe {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1.7fr 1fr 1fr 1.5fr;
  border-top: 1.5px solid var(--ink);
}
.recipe div {
  padding: 10px 28px;
  font-size: 42px;
  border-right: 1.5px solid var(--ink);
  white-space: nowrap;
  overflow: hidden;
}
.recipe b {
  font-size: 52px;
  letter-spacing: -0.02em;
}
.hazard {
  grid-column: 1 / -1;
  background: var(--caution);
  display: flex;
  align-items: center;
  font-size: clamp(20px, 2.4vw, 32px);
  overflow: hidden;
  line-height: 1.05;
}
.hazard i {
  width: 72px;
  align-self: stretch;
  flex: none;
  margin-right: 20px;
  background: repeating-linear-gradient(-45deg, var(--ink) 0 9px, var(--caution) 9px 20px);
}
footer {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 250px 150px 150px 170px 1fr;
  border-top: 1.5px solid var(--ink);
}
footer button {
  padding: 8px 22px;
  border-right: 1.5px solid var(--ink);
  font-size: 24px;
  min-height: 112px;
  white-space: nowrap;
  overflow: hidden;
}
footer b {
  font-size: 44px;
  display: block;
  line-height: 1.1;
}
footer .spoiled b {
  color: var(--heat);
}
footer .good {
  background: var(--go);
  color: var(--bleach);
  display: flex;
  justify-content: space-between;
  align-items: center;
  font-size: 34px;
}
footer .good b {
  font-size: 66px;
}
footer .good kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
footer .good[disabled],
footer .spoiled[disabled] {
  background: var(--calico);
  color: var(--ink-2);
}
footer.reasons {
  grid-template-columns: repeat(9, 1fr);
}
footer.reasons button {
  padding: 6px 8px;
  font-size: 24px;
  white-space: normal;
  line-height: 1.1;
  font-weight: var(--w-strong);
}
.ask {
  position: fixed;
  inset: 30% 25%;
  background: var(--bleach);
  border: 2.5px solid var(--heat);
  padding: 40px;
  font-size: 36px;
}
@media (orientation: portrait) {
  .run {
    grid-template: 60px minmax(0, 1.2fr) minmax(0, 1fr) 84px 52px 116px / minmax(0, 1fr);
  }
  .field {
    border-right: 0;
  }
  footer {
    grid-template-columns: 1.2fr 0.8fr 0.8fr 0.9fr 2fr;
  }
  footer button {
    padding: 8px 10px;
  }
  footer b {
    font-size: 34px;
  }
}
</style>
