<script setup lang="ts">
import { computed } from 'vue'
import { along, type Copy, type Layout, sizeOf } from './gang'

/** A copy on film that is drawn lying: its beginning at the left, its left edge below. */
const props = defineProps<{ layout: Layout; copy: Copy; scale: number; from: number; wide: number; cloth: string }>()
const size = computed(() => sizeOf(props.layout, props.copy))
const box = computed(() => ({
  x: (along(props.layout, props.copy) - props.from) * props.scale,
  y: (props.wide - props.copy.x - size.value.w) * props.scale,
  width: size.value.h * props.scale,
  height: size.value.w * props.scale,
}))
const design = computed(() => props.layout.designs.find((d) => d.key === props.copy.key))
/** Its own outline as it is drawn: upright pictures lie with their top to the left, turned ones stand. */
const outline = computed(() =>
  props.layout.isByOutline && design.value?.outline
    ? design.value.outline
        .map((p) => (props.copy.turned ? p : { x: p.y, y: 1 - p.x - p.width, width: p.height, height: p.width }))
        .map(
          (p) =>
            `M${box.value.x + p.x * box.value.width} ${box.value.y + p.y * box.value.height}h${p.width * box.value.width}v${p.height * box.value.height}h${-p.width * box.value.width}z`,
        )
        .join('')
    : '',
)
// a picture narrower than this says nothing: a flat block instead
const least = 14
const picture = computed(() =>
  design.value?.designId && Math.min(box.value.width, box.value.height) >= least
    ? `/api/artwork/${design.value.designId}/picture.png?side=160&painted=true&of=${design.value.print}`
    : '',
)
</script>

<template>
  <g>
    <path v-if="outline" :d="outline" :fill="cloth" />
    <rect v-else v-bind="box" :fill="cloth" stroke="var(--bleach)" :stroke-width="scale > 6 ? 1 : 0.6" />
    <image
      v-if="picture"
      :href="picture"
      preserveAspectRatio="none"
      v-bind="
        copy.turned
          ? box
          : {
              width: box.height,
              height: box.width,
              transform: `translate(${box.x} ${box.y + box.height}) rotate(-90)`,
            }
      "
    />
    <text
      v-else-if="scale > 6"
      :x="box.x + box.width / 2"
      :y="box.y + box.height / 2 + 5"
      text-anchor="middle"
      font-size="13"
      fill="var(--bleach)"
    >
      {{ box.width > 70 ? design?.name : '' }}
    </text>
    <slot :box="box" />
  </g>
</template>
