<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { bare } from '../../words/shown'
import { format, lineInHand } from '../../state/state'

/** Pieces on a logarithmic scale; the cost of each method above it. */
const props = defineProps<{ comparison: Schemas['Comparison']; ribbon: Schemas['QuantityRibbon'] | null }>()
const emit = defineEmits<{ quantity: [pieces: number] }>()
const width = 880
const most = computed(() => Math.max(288, props.comparison.pieces))
const x = (q: number) => (Math.log(Math.max(1, q)) / Math.log(most.value)) * width
const marks = [1, 2, 3, 6, 12, 24, 36, 48, 72, 144, 288]
/** As many lines as can be told apart: the first in rank, and the cheapest here. */
const drawn = computed(() => {
  const first = props.comparison.bands.slice(0, 4)
  const cheapest = [...props.comparison.bands].sort((a, b) => a.costShown - b.costShown)[0]
  return cheapest && !first.includes(cheapest) ? [...first, cheapest] : props.comparison.bands.slice(0, 5)
})
const costs = computed(() => drawn.value.flatMap((b) => b.curve.map((p) => p.cost)))
const top = computed(() => Math.max(1, ...costs.value.filter((c) => c < 4 * Math.min(...costs.value))))
const y = (cost: number) => 54 - Math.min(1, cost / top.value) * 50
const dash = ['', '7 4', '2 3', '12 4 2 4', '1 5']
const least = (id: string) => props.ribbon?.lines.find((l) => l.methodId === id)?.from ?? 1
const lines = computed(() =>
  drawn.value.map((b, i) => ({
    // a way that begins at a least number says so: its line begins there
    name: `${b.name}${least(b.methodId) > 1 ? `, from ${least(b.methodId)}` : ''}`,
    dash: dash[i],
    d: b.curve.map((p, n) => `${n ? 'L' : 'M'}${x(p.pieces).toFixed(1)} ${y(p.cost).toFixed(1)}`).join(' '),
    last: b.curve.at(-1)?.cost ?? 0,
  })),
)
/** Names at the lines' ends, pushed apart so that none covers another. */
const names = computed(() => {
  const apart = 13
  const placed: { name: string; y: number }[] = []
  for (const line of [...lines.value].sort((a, b) => y(a.last) - y(b.last)))
    placed.push({ name: line.name, y: Math.max(10, y(line.last) - 4, (placed.at(-1)?.y ?? 0) + apart) })
  const over = Math.max(0, (placed.at(-1)?.y ?? 0) - 58)
  return placed.map((p) => ({ ...p, y: p.y - over }))
})
/** The two ribbons: which way is cheapest, and which is best for the shop, from count to count. */
const ribbons = computed(() =>
  props.ribbon === null
    ? []
    : [
        { name: 'cheapest', at: 84, of: props.ribbon.cheapest },
        { name: 'best for us', at: 100, of: props.ribbon.best },
      ].map((r) => ({
        ...r,
        parts: r.of
          .filter((s) => s.from <= most.value)
          .map((s) => {
            const [from, to] = [x(s.from), x(Math.min(s.to + 1, most.value))]
            return {
              ...s,
              x: from,
              width: Math.max(1, to - from),
              word: nameOf(s.methodId),
              fits: to - from > 6 * nameOf(s.methodId).length,
            }
          }),
      })),
)
const nameOf = (id: string) => props.ribbon?.lines.find((l) => l.methodId === id)?.name ?? ''
/** Least numbers: from which count on a way can at all, one mark for all that begin there. */
const begins = computed(() => {
  const at = new Map<number, string[]>()
  for (const l of props.ribbon?.lines ?? [])
    if (l.from && l.from > 1 && l.from <= most.value)
      at.set(l.from, [...(at.get(l.from) ?? []), l.name.split(',')[0]!.toLowerCase()])
  return [...at.entries()].sort(([a], [b]) => a - b).map(([from, names]) => ({ from, names }))
})
/** Ways are told apart by their tone along the ribbon: equal tone, equal way. */
const tones = ['var(--calico)', 'var(--bleach)', 'var(--rule)', 'var(--cotton)']
const tone = (id: string) =>
  id === '' ? 'none' : tones[props.ribbon!.lines.findIndex((l) => l.methodId === id) % tones.length]
const said = computed(() => {
  const cheapest = [...props.comparison.bands].sort((a, b) => a.costShown - b.costShown)[0]
  return `${props.comparison.pieces} pieces${cheapest ? `, ${cheapest.name} cheapest at ${bare(cheapest.costShown, format())}` : ''}`
})
/** Where the answer changes, nearest to the count in hand first. */
const changes = computed(() => {
  const r = props.ribbon
  if (!r) return ''
  if (r.cheapest.length === 0) return 'No way can do it at any of these numbers.'
  const now = props.comparison.pieces
  const nearest = (of: typeof r.crossings, most: number) =>
    [...of].sort((a, b) => Math.abs(a.pieces - now) - Math.abs(b.pieces - now)).slice(0, most)
  const near = nearest(r.crossings, 2)
  const close = r.close.find((c) => c.from <= now && now <= c.to)
  return [
    'Upper ribbon: cheapest; lower: best for us.',
    ...near.sort((a, b) => a.pieces - b.pieces).map((c) => `${c.sentence[0]!.toUpperCase()}${c.sentence.slice(1)}.`),
    ...(near.length === 0
      ? [
          r.cheapest.length > 1
            ? 'But for a few pieces one way is the cheapest throughout.'
            : 'One way is the cheapest throughout.',
        ]
      : []),
    ...nearest(r.overtakings, 1).map((c) => `${c.sentence[0]!.toUpperCase()}${c.sentence.slice(1)}.`),
    ...(begins.value.length > 0
      ? [`Least numbers: ${begins.value.map((b) => `${b.names.join(' and ')} from ${b.from}`).join(', ')}.`]
      : []),
    ...(close
      ? [
          `Here ${nameOf(close.methodId).toLowerCase()} and ${nameOf(close.otherId).toLowerCase()} cost within 3%: time and feel decide.`,
        ]
      : []),
  ].join(' ')
})
function set(q: number): void {
  emit('quantity', Math.max(1, Math.min(2000, Math.round(q))))
}
function onKey(event: KeyboardEvent): void {
  const now = props.comparison.pieces
  const next = marks.find((m) => m > now) ?? most.value
  const last = [...marks].reverse().find((m) => m < now) ?? 1
  const to: Record<string, number> = {
    ArrowRight: event.shiftKey ? next : now + 1,
    ArrowUp: now + 1,
    ArrowLeft: event.shiftKey ? last : now - 1,
    ArrowDown: now - 1,
    PageUp: next,
    PageDown: last,
    Home: 1,
    End: most.value,
  }
  const q = to[event.key]
  if (q === undefined) return
  event.preventDefault()
  set(q)
}
function drag(event: PointerEvent): void {
  if (event.type === 'pointermove' && event.buttons === 0) return
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const at = ((event.clientX - box.left) / box.width) * (width + 40) - 20
  set(Math.exp((at / width) * Math.log(most.value)))
}
</script>

<template>
  <div class="scrubber">
    <span class="small quiet">cost a piece</span>
    <svg
      :viewBox="`-20 0 ${width + 40} ${ribbon ? 132 : 104}`"
      class="drawn"
      :class="{ tall: ribbon }"
      role="slider"
      tabindex="0"
      aria-label="Pieces"
      :aria-valuenow="comparison.pieces"
      aria-valuemin="1"
      :aria-valuemax="2000"
      :aria-valuetext="said"
      @keydown="onKey"
      @pointerdown="drag"
      @pointermove="drag"
    >
      <path
        v-for="line in lines"
        :key="line.name"
        :d="line.d"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.8"
        :stroke-dasharray="line.dash"
      />
      <text
        v-for="line in names"
        :key="`n${line.name}`"
        class="named"
        :x="width"
        :y="line.y"
        font-size="12"
        text-anchor="end"
        fill="var(--ink-2)"
      >
        {{ line.name }}
      </text>
      <path :d="`M0 62H${width}`" stroke="var(--rule-strong)" />
      <g v-for="m in marks" :key="m">
        <path :d="`M${x(m)} 58v8`" stroke="var(--rule-strong)" />
        <!-- the flag says the count it stands at -->
        <text
          v-if="Math.abs(x(m) - x(comparison.pieces)) > 40"
          :x="x(m)"
          y="80"
          font-size="13"
          text-anchor="middle"
          fill="var(--ink-2)"
        >
          {{ m }}
        </text>
      </g>
      <g v-for="r in ribbons" :key="r.name" :transform="`translate(0 ${r.at + 14})`">
        <g v-for="p in r.parts" :key="p.from">
          <rect
            :x="p.x"
            :width="p.width"
            height="14"
            :fill="tone(p.methodId)"
            stroke="var(--rule-strong)"
            stroke-width="0.6"
          />
          <text v-if="p.fits" :x="p.x + 4" y="11" font-size="11">{{ p.word }}</text>
        </g>
      </g>
      <path
        v-for="b in begins"
        :key="`b${b.from}`"
        :d="`M${x(b.from) - 5} 88h10l-5 9z`"
        fill="var(--ink)"
        stroke="var(--cotton)"
        stroke-width="1"
      />
      <path :d="`M${x(comparison.pieces)} 0V66`" stroke="var(--ink)" stroke-width="2.5" />
      <g :transform="`translate(${Math.min(x(comparison.pieces), width - 10)} 68)`">
        <rect x="-28" width="56" height="28" fill="var(--ink)" />
        <text y="21" text-anchor="middle" font-size="19" font-weight="680" fill="var(--bleach)">
          {{ comparison.pieces }}
        </text>
      </g>
    </svg>
    <span class="small quiet">{{ comparison.pieces === lineInHand?.asked.pieces ? 'as asked' : 'what if' }}</span>
    <p v-if="ribbon" class="note quiet changes" :title="`Assumed for other counts: ${ribbon.assumes.join('; ')}.`">
      {{ changes }}
    </p>
  </div>
</template>

<style scoped>
.scrubber {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) 56px;
  align-items: center;
  flex: none;
  padding-top: 6px;
}
.drawn.tall {
  height: 132px;
}
.changes {
  grid-column: 2;
}
.named {
  paint-order: stroke;
  stroke: var(--cotton);
  stroke-width: 4px;
}
.drawn {
  width: 100%;
  height: 104px;
  cursor: ew-resize;
  touch-action: none;
}
</style>
