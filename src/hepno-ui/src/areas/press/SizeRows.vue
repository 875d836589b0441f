<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import type { Waiting } from './outbox'
import { keyOf, pendingVerdicts, type Task } from './tasks'

/** Pieces by size: teal good, hatched on the rack, cross spoiled, vermilion in the press. */
const props = defineProps<{
  state: Schemas['RunState']
  line: Schemas['RunLineView'] | undefined
  waiting: Waiting[]
  racked: Task[]
  current: Task | undefined
  /** The size in hand. */
  size: string | undefined
}>()
/** How a piece is drawn: as the server counted it, and as this device judged it and has not yet sent. */
function kindOf(p: Schemas['PieceState'], pending: ReturnType<typeof pendingVerdicts>, rack: Set<number>): string {
  const mine = pending.get(keyOf({ pieceNo: p.pieceNo, attempt: p.attempt, pass: p.passes + 1 }))
  const good = mine?.body.verdict === 'good'
  if (p.standing === 'good' || (good && p.passes + 1 === props.line?.passes.length)) return 'good'
  if (p.pieceNo === props.current?.pieceNo) return 'press'
  if (rack.has(p.pieceNo)) return 'rack'
  return p.standing === 'between' || good ? 'between' : 'todo'
}
const rows = computed(() => {
  const pending = pendingVerdicts(props.waiting)
  const rack = new Set(props.racked.map((t) => t.pieceNo))
  const of = <T extends { lineId: string }>(all: T[]) => all.filter((t) => t.lineId === props.line?.lineId)
  const pieces = of(props.state.pieces)
  const mine = new Set(pieces.map((p) => p.pieceNo))
  return of(props.state.sizes).map((s) => ({
    size: s.size,
    spoiled:
      s.spoiled +
      [...pending.values()].filter(
        (w) => w.body.verdict === 'spoiled' && w.body.size === s.size && mine.has(w.body.pieceNo),
      ).length,
    pieces: pieces.filter((p) => p.size === s.size).map((p) => ({ no: p.pieceNo, kind: kindOf(p, pending, rack) })),
  }))
})
const most = computed(() => Math.max(12, ...rows.value.map((r) => r.pieces.length + r.spoiled)))
/** More sizes than have room as rows of pieces stand as words. */
const many = computed(() => rows.value.length > 6)
const side = computed(() => Math.max(5, Math.min(27, 340 / most.value - 2)))
const rowHeight = computed(() => Math.min(37, 220 / Math.max(1, rows.value.length)))
const good = (r: { pieces: { kind: string }[] }) => r.pieces.filter((p) => p.kind === 'good').length
</script>

<template>
  <ul v-if="many" class="words" aria-label="Good pieces by size">
    <li v-for="r in rows" :key="r.size" :class="{ go: good(r) === r.pieces.length, now: r.size === size }">
      <b>{{ r.size }}</b> {{ good(r) }}/{{ r.pieces.length
      }}<span v-if="r.spoiled > 0" class="heat"> +{{ r.spoiled }}</span>
    </li>
  </ul>
  <svg
    v-else
    :viewBox="`0 0 420 ${rows.length * rowHeight}`"
    class="rows"
    role="img"
    :aria-label="rows.map((r) => `${r.size}: ${good(r)} of ${r.pieces.length} good, ${r.spoiled} spoiled`).join('; ')"
  >
    <g v-for="(r, i) in rows" :key="r.size" :transform="`translate(0 ${i * rowHeight})`">
      <text y="24" font-size="26" font-weight="640">{{ r.size }}</text>
      <g v-for="n in r.spoiled" :key="`s${n}`" :transform="`translate(${66 + (n - 1) * (side + 2)} 2)`">
        <rect :width="side" :height="side" fill="var(--bleach)" stroke="var(--ink)" />
        <path
          :d="`M${side * 0.25} ${side * 0.25} ${side * 0.75} ${side * 0.75}M${side * 0.75} ${side * 0.25} ${side * 0.25} ${side * 0.75}`"
          stroke="var(--heat)"
          stroke-width="3"
        />
      </g>
      <g v-for="(p, n) in r.pieces" :key="p.no" :transform="`translate(${66 + (n + r.spoiled) * (side + 2)} 2)`">
        <rect
          :width="side"
          :height="side"
          :fill="
            { good: 'var(--go)', press: 'var(--heat)', rack: 'url(#hatch)', between: 'var(--go-wash)', todo: 'none' }[
              p.kind
            ]
          "
          :stroke="p.kind === 'todo' ? 'var(--rule-strong)' : 'var(--ink)'"
        />
      </g>
    </g>
  </svg>
</template>

<style scoped>
.words {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(78px, 1fr));
  gap: 0 10px;
  align-content: start;
  font-size: 17px;
  overflow: auto;
}
.words .now {
  border-bottom: 3px solid var(--ink);
}
.rows {
  width: 100%;
  max-height: 250px;
}
</style>
