import { computed, reactive, ref, watch } from 'vue'
import { api, ask, makeId, Refusal, type Schemas } from '../../api/client'
import { onChange } from '../../state/live'
import { useInHand } from './inHand'
import { forget, keep, offset, recall } from './kept'
import { outbox } from './outbox'
import { sound } from './sound'
import { stepClock } from './stepClock'
import { approved, keyOf, newest, type Task, tasksLeft } from './tasks'
import { verbOf } from './verb'

/** A piece as it is called across the room. */
export const named = (t: Task): string => `${t.pieceNo}${t.attempt > 1 ? ` again` : ''}`

/** One run on this device: the plan it plays, the clock, the rack, and the verdicts on their way. */
export function useRun(id: string) {
  const view = ref<Schemas['RunView'] | null>(null)
  const state = ref<Schemas['RunState'] | null>(null)
  const trouble = ref('')
  const box = outbox(id, (folded) => (state.value = newest(state.value, folded)))

  // the clock of this page; wall-clock times of other machines are never used
  const now = ref(performance.now())
  const phase = ref<'lay' | 'press' | 'again'>('lay')
  const closedAt = ref(0)
  const rack = ref<{ task: Task; cold: number; again: boolean }[]>([])
  const held = ref(false)
  const fromEnd = ref(sessionStorage.getItem(`hepno-end-${id}`) === '1')
  /** The piece that is being spoiled: it stays the one, whatever is offered while a reason is chosen. */
  const spoiling = ref<Task | null>(null)
  const lastReason = ref<string | null>(null)
  const mine = ref<{ eventId: string; task: Task }[]>([])
  const steps = stepClock()
  let heldAt = 0
  let lastTap = { key: '', at: -1000 }

  const left = computed(() => tasksLeft(state.value?.todo ?? [], box.waiting.value, fromEnd.value))
  const racked = computed(() => new Set(rack.value.map((r) => keyOf(r.task))))
  const hands = useInHand(id, left, racked)
  const next = hands.next
  /** Until a piece of this pass is good, one piece is out and the rest waits for the yes to it. */
  const first = computed(() => next.value !== undefined && !approved(state.value, box.waiting.value, next.value))
  const current = computed(() => (first.value && rack.value.length > 0 ? undefined : next.value))
  /** The line being pressed, and of it the pass. */
  const line = computed(() => {
    const lines = view.value?.lines ?? []
    const task = current.value ?? rack.value[0]?.task
    return lines.find((l) => l.lineId === task?.lineId) ?? lines.at(-1)
  })
  const pass = computed(() => line.value?.passes[((current.value ?? rack.value[0]?.task)?.pass ?? 1) - 1])
  /** The piece the verdict keys judge: the oldest on the rack, else the one in hand. */
  const judged = computed(() => rack.value[0]?.task ?? current.value)
  const closed = computed(() => phase.value !== 'lay')
  /** Seconds the press is closed for: the press, or the second one after peeling. */
  const dwell = computed(() =>
    phase.value === 'again' ? (pass.value?.secondPressSeconds ?? 0) : (pass.value?.dwellSeconds ?? 0),
  )
  const seconds = computed(() => (closed.value ? dwell.value - (now.value - closedAt.value) / 1000 : 0))
  const over = computed(() => closed.value && pass.value !== undefined && seconds.value < -pass.value.slackSeconds)
  const level = computed(() =>
    closed.value && dwell.value > 0 ? Math.max(0, Math.min(1, seconds.value / dwell.value)) : 0,
  )
  const done = computed(() => view.value !== null && state.value !== null && left.value.length === 0)
  /** Nothing to lay and nothing to judge here: what is left is in other hands. */
  const waits = computed(() => !done.value && !current.value && rack.value.length === 0)
  const verb = computed(() =>
    verbOf({
      held: held.value,
      done: done.value,
      waits: waits.value,
      phase: phase.value,
      hasPiece: current.value !== undefined,
      work: pass.value?.work ?? '',
      first: first.value,
      seconds: seconds.value,
      over: over.value,
    }),
  )
  const count = computed(() => {
    if (held.value || phase.value === 'lay') return ''
    return seconds.value >= 0 ? String(Math.ceil(seconds.value)) : `+${Math.floor(-seconds.value)}`
  })
  const said = computed(() =>
    closed.value && [10, 5, 0].includes(Math.ceil(seconds.value)) ? `${Math.ceil(seconds.value)} seconds` : '',
  )
  const caution = computed(() => [pass.value?.caution, line.value?.pressCautions].filter(Boolean)[0] ?? '')
  const coldIn = computed(() => (rack.value[0] ? Math.ceil((rack.value[0].cold - now.value) / 1000) : 0))

  async function load(): Promise<void> {
    try {
      const got = await ask(api.GET('/api/runs/{id}', { params: { path: { id } } }))
      state.value = newest(state.value, got.state)
      // shown once it is known which piece is this device's
      if (!view.value) await hands.begin()
      view.value = got
      trouble.value = ''
    } catch (refused) {
      if (!(refused instanceof Refusal)) throw refused
      if (refused.status !== 0) trouble.value = `${refused.problems[0]?.sentence} ${refused.problems[0]?.remedy}`
      else if (!view.value) setTimeout(() => void load(), 500)
    }
  }

  // a piece that another device judged leaves this rack
  watch(left, (tasks) => {
    if (!state.value) return
    const open = new Set(tasks.map(keyOf))
    rack.value = rack.value.filter((r) => open.has(keyOf(r.task)))
  })
  watch(now, (_, before) => {
    if (!closed.value || held.value || !pass.value) return
    const was = dwell.value - (before - closedAt.value) / 1000
    if (was > 0 && seconds.value <= 0) sound.ready()
    else if (seconds.value < 0 && Math.floor(-was) !== Math.floor(-seconds.value)) sound.late()
  })

  function step(): void {
    if (held.value) return hold()
    if (phase.value === 'again') {
      steps.lap(rack.value[0]?.task, 'again')
      phase.value = 'lay'
      rack.value = rack.value.map((r, i) => (i === 0 ? { ...r, again: true } : r))
      return
    }
    // where nothing is pressed there is only the verdict
    if (!current.value || !pass.value || pass.value.work) return
    if (phase.value === 'lay') {
      steps.lap(current.value, 'lay')
      closedAt.value = performance.now()
      phase.value = 'press'
      return
    }
    steps.lap(current.value, 'press')
    phase.value = 'lay'
    if (pass.value.peel !== 'hot')
      rack.value = [
        ...rack.value,
        { task: current.value, cold: performance.now() + pass.value.peelAfterSeconds * 1000, again: false },
      ]
  }
  function back(): void {
    if (closed.value) phase.value = 'lay'
    else rack.value = rack.value.slice(0, -1)
  }
  /** True when the oldest piece on the rack is to be pressed a second time now. */
  const canAgain = computed(
    () =>
      !held.value &&
      !closed.value &&
      coldIn.value <= 0 &&
      rack.value[0]?.again === false &&
      (pass.value?.secondPressSeconds ?? 0) > 0,
  )
  /** The second press of the oldest piece on the rack, once it is peeled. */
  function pressAgain(): void {
    if (held.value || closed.value || !rack.value[0] || !pass.value?.secondPressSeconds) return
    steps.lap(rack.value[0].task, 'peel')
    closedAt.value = performance.now()
    phase.value = 'again'
  }
  function hold(): void {
    held.value = !held.value
    if (held.value) heldAt = performance.now()
    else {
      steps.paused(performance.now() - heldAt)
      if (closed.value) closedAt.value += performance.now() - heldAt
    }
  }

  function good(): void {
    if (judged.value && !held.value) void verdict(judged.value, 'good', null)
  }
  async function verdict(task: Task, kind: 'good' | 'spoiled', reason: string | null): Promise<void> {
    const at = performance.now()
    // a key that bounces must not judge the next piece
    if (at - lastTap.at < 400 && lastTap.key === keyOf(task)) return
    lastTap = { key: keyOf(task), at }
    const eventId = makeId()
    const took = steps.judged(task)
    if (keyOf(task) === keyOf(current.value ?? task)) phase.value = 'lay'
    await box.add(eventId, {
      pieceNo: task.pieceNo,
      attempt: task.attempt,
      pass: task.pass,
      size: task.size,
      verdict: kind,
      reason,
      takesBack: null,
      ...took,
    })
    mine.value = [...mine.value, { eventId, task }].slice(-50)
  }
  function spoil(): void {
    if (spoiling.value) return finish(lastReason.value)
    if (judged.value && !held.value) spoiling.value = judged.value
  }
  function finish(reason: string | null): void {
    const task = spoiling.value
    if (!task) return
    spoiling.value = null
    if (reason) lastReason.value = reason
    void verdict(task, 'spoiled', reason)
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
      laps: null,
    })
  }

  /** The other end of the list: two pairs of hands meet in the middle. */
  function turnRound(): void {
    fromEnd.value = !fromEnd.value
    sessionStorage.setItem(`hepno-end-${id}`, fromEnd.value ? '1' : '0')
  }
  /** Nothing is spoiled after all. */
  function keepPiece(): void {
    spoiling.value = null
  }

  // what this device has in hand outlives the page
  watch([phase, closedAt, held, rack, mine, done], () => {
    if (done.value && rack.value.length === 0) return forget(id)
    const by = offset()
    keep(id, {
      phase: phase.value,
      closedAt: closedAt.value + by,
      held: held.value,
      heldAt: heldAt + by,
      rack: rack.value.map((r) => ({ ...r, cold: r.cold + by })),
      mine: mine.value,
      ...steps.kept(by),
    })
  })
  function restore(): void {
    const kept = recall(id)
    if (!kept) return
    const by = offset()
    phase.value = kept.phase
    closedAt.value = kept.closedAt - by
    held.value = kept.held
    heldAt = kept.heldAt - by
    rack.value = kept.rack.map((r) => ({ ...r, cold: r.cold - by }))
    mine.value = kept.mine
    steps.restore(kept, by)
  }

  let timer: ReturnType<typeof setInterval> | undefined
  let stop = () => {}
  async function begin(): Promise<void> {
    restore()
    await box.open()
    await load()
    timer = setInterval(
      () => (now.value = performance.now()),
      matchMedia('(prefers-reduced-motion: reduce)').matches ? 1000 : 100,
    )
    stop = onChange((kind, changed) => void (changed === id && (kind === 'run' || kind === 'order') && load()))
  }
  function end(): void {
    clearInterval(timer)
    box.close()
    hands.end()
    stop()
  }

  return reactive({
    id,
    box,
    view,
    state,
    trouble,
    phase,
    rack,
    held,
    fromEnd,
    spoiling,
    mine,
    line,
    left,
    current,
    pass,
    judged,
    over,
    level,
    done,
    waits,
    elsewhere: hands.elsewhere,
    after: hands.after,
    verb,
    count,
    said,
    caution,
    coldIn,
    racked,
    load,
    step,
    back,
    first,
    next,
    closed,
    pressAgain,
    canAgain,
    hold,
    good,
    spoil,
    finish,
    keepPiece,
    takeBack,
    turnRound,
    begin,
    end,
  })
}

export type Run = ReturnType<typeof useRun>
