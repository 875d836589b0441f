<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { format, shop } from '../state/state'
import { onCloth, outlines } from './garment'
import { length, number } from '../words/shown'

/** One side of a garment at true scale, with what is printed there. Where things lie is worked out by the server. */
const props = defineProps<{
  kind: string | null
  hex: string
  drawn?: Schemas['SizeDrawn'] | undefined
  back?: boolean
  placements: Schemas['PlacementBody'][]
  /** The largest size beside which this one is drawn: all then have one scale. */
  most?: number
  /** A tape hung from the collar beside it. */
  tape?: boolean
  /** Distances and sizes written on it. */
  measured?: boolean
  bad?: string[]
}>()
const outline = computed(() => outlines[props.kind ?? 'tee'] ?? outlines.tee!)
const side = computed(() => (props.back ? outline.value.back : outline.value.front))
const scale = computed(() => props.drawn?.scale ?? 1)
const cloth = computed(() => (props.kind ? props.hex : 'none'))
const line = computed(() => (props.kind ? onCloth(props.hex) : 'var(--ink)'))
const frame = computed(() => {
  const most = props.most ?? scale.value
  const [left, top, width, height] = outline.value.box.map((n) => n * most) as [number, number, number, number]
  return props.tape ? { left: left - 4.5, top, width: width + 4.5, height } : { left, top, width, height }
})
const ticks = computed(() => Math.max(1, Math.floor((frame.value.top + frame.value.height) / 5)))
/** Where words beside a point begin so that they stay in the frame. */
function edge(x: number): { at: number; anchor: 'start' | 'middle' | 'end' } {
  const room = 6
  const [left, right] = [frame.value.left + (props.tape ? 4.5 : 0), frame.value.left + frame.value.width]
  if (right - x < room) return { at: right - 0.3, anchor: 'end' }
  if (x - left < room) return { at: left + 0.3, anchor: 'start' }
  return { at: x, anchor: 'middle' }
}
const prints = computed(() =>
  (props.drawn?.prints ?? [])
    .filter((p) => p.onBack === (props.back ?? false))
    .map((p) => {
      const placement = props.placements.find((x) => x.id === p.placementId)
      const below = p.print.y >= p.seamY
      return {
        ...p,
        designId: placement?.designId ?? null,
        bad: props.bad?.includes(p.placementId) ?? false,
        middle: p.print.x + p.print.width / 2,
        below,
        // a small print has all its words under or over it; near the edge they run inwards
        large: p.print.width > 8,
        // what lies on another says its size in its middle; the one beneath, under its own edge
        layer: !!placement?.onTopOf,
        carries: props.placements.some((x) => x.onTopOf === p.placementId),
        at: edge(p.print.x + p.print.width / 2).at,
        anchor: edge(p.print.x + p.print.width / 2).anchor,
        near: below ? p.print.y : p.print.y + p.print.height,
      }
    }),
)
const scaled = (inches: number) => number(format().metric ? inches * 2.54 : inches, 1, format())
</script>

<template>
  <svg
    :viewBox="`${frame.left} ${frame.top} ${frame.width} ${frame.height}`"
    aria-hidden="true"
    :style="{ flexGrow: frame.width }"
  >
    <template v-if="tape">
      <rect
        :x="frame.left + 1"
        y="0"
        width="2.2"
        :height="ticks * 5"
        fill="#f3e3b8"
        stroke="var(--ink)"
        stroke-width=".08"
      />
      <g v-for="i in ticks" :key="i">
        <path :d="`M${frame.left + 1} ${i * 5} h2.2`" stroke="var(--ink)" stroke-width=".1" />
        <text :x="frame.left + 0.9" :y="i * 5 - 0.4" font-size="1.5" fill="var(--ink)" text-anchor="start">
          {{ scaled(i * 5) }}
        </text>
      </g>
    </template>
    <g :transform="`scale(${scale})`">
      <path v-if="side.straps" :d="side.straps" fill="none" stroke="var(--ink)" stroke-width=".5" />
      <path :d="side.path" :fill="cloth" stroke="var(--ink)" stroke-width=".22" stroke-linejoin="round" />
      <path
        :d="side.seams"
        fill="none"
        :stroke="line"
        stroke-width=".14"
        stroke-linecap="round"
        stroke-linejoin="round"
        opacity=".55"
      />
    </g>
    <g v-for="p in prints" :key="p.placementId">
      <rect
        v-if="measured"
        :x="p.zone.x"
        :y="p.zone.y"
        :width="p.zone.width"
        :height="p.zone.height"
        fill="none"
        :stroke="line"
        stroke-width=".1"
        stroke-dasharray=".15 .45"
        opacity=".7"
      />
      <image
        v-if="p.designId"
        :href="`/api/artwork/${p.designId}/picture.png?side=400&painted=true&of=${shop.order?.version ?? 0}`"
        :x="p.print.x"
        :y="p.print.y"
        :width="p.print.width"
        :height="p.print.height"
        preserveAspectRatio="none"
      />
      <rect
        :x="p.print.x"
        :y="p.print.y"
        :width="p.print.width"
        :height="p.print.height"
        fill="none"
        :stroke="p.bad ? 'var(--heat)' : line"
        :stroke-width="p.bad ? 0.5 : 0.2"
        stroke-dasharray=".7 .4"
      />
      <template v-if="measured">
        <path
          v-if="!p.layer"
          :d="`M${p.middle - 0.9} ${p.seamY} h1.8 M${p.middle} ${p.seamY} V${p.near} M${p.middle - 0.9} ${p.near} h1.8`"
          fill="none"
          :stroke="line"
          stroke-width=".16"
        />
        <text
          v-if="p.large && !p.layer"
          class="said"
          :x="p.middle + 0.6"
          :y="(p.seamY + p.near) / 2 + 0.6"
          :fill="line"
          :stroke="cloth"
        >
          {{ length(p.fromSeamIn, format()) }}
        </text>
        <text
          v-if="!p.large || !p.designId"
          class="said"
          :x="p.at"
          :y="
            p.layer || (p.large && !p.carries)
              ? p.print.y + p.print.height / 2 + 0.6
              : p.below
                ? p.print.y + p.print.height + 1.9
                : p.print.y - 0.6
          "
          :text-anchor="p.anchor"
          :fill="line"
          :stroke="cloth"
        >
          {{ scaled(p.print.width) }} × {{ length(p.print.height, format())
          }}{{ p.large || p.layer ? '' : `, at ${length(p.fromSeamIn, format())}` }}
        </text>
      </template>
    </g>
  </svg>
</template>

<style scoped>
.said {
  font-size: 1.7px;
  font-weight: 620;
  paint-order: stroke;
  stroke-width: 0.55px;
  stroke-linejoin: round;
}
</style>
