<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import Boards from '../../kit/Boards.vue'
import { choice, type Field, num, text } from '../../kit/fields'
import { day, length } from '../../words/shown'
import { things, useThings } from '../../kit/things'
import { format, shop } from '../../state/state'

/** Pieces of vinyl that were left over, and which order each is used for. */
type Remnant = Schemas['VinylRemnant']
const props = defineProps<{ vinyls: { value: Schemas['VinylFilm'] }[] }>()
const remnants = things<Remnant>('remnants')
const uses = ref<Schemas['RemnantUseView'][]>([])
const used = {
  load: async () => {
    uses.value = await ask(api.GET('/api/remnant-uses'))
  },
}
useThings({ remnant: remnants, order: used })

const f = computed(() => format())
const here = computed(() => remnants.all.value.filter((r) => !r.value.isGone))
const product = (id: string) => props.vinyls.find((v) => v.value.id === id)?.value.product ?? 'a vinyl no longer kept'
const usedBy = (id: string) => uses.value.find((u) => u.remnantId === id)?.order
const fields = computed<Field<Remnant>[]>(() => [
  choice('Cut from', 'vinylId', Object.fromEntries(props.vinyls.map((v) => [v.value.id, v.value.product]))),
  text('Colour', 'colour'),
  num('Width, in', 'widthIn'),
  num('Length, in', 'lengthIn'),
  {
    label: 'Still here',
    get: (r) => (r.isGone ? 'no' : 'yes'),
    set: (r, t) => {
      r.isGone = t === 'no'
    },
    options: [
      { value: 'yes', label: 'yes' },
      { value: 'no', label: 'no, used up or thrown away' },
    ],
  },
])
const fresh = (): Omit<Remnant, 'id'> => ({
  vinylId: props.vinyls[0]?.value.id ?? '',
  colour: '',
  widthIn: 6,
  lengthIn: 12,
  since: shop.line?.today ?? '',
  from: '',
  isGone: false,
})
</script>

<template>
  <Boards
    title="Pieces of vinyl"
    add="Add a piece"
    :kept="here"
    :fields="fields"
    :save="remnants.save"
    :fresh="fresh"
    :named="(r) => r.colour"
    :blocked="vinyls.length === 0"
  >
    <template #face="{ value: r }">
      <span
        ><b>{{ r.colour }}</b
        >{{ ' ' }}<span class="quiet small">{{ product(r.vinylId) }}</span></span
      >
      <span class="small"
        >{{ length(r.widthIn, f) }} × {{ length(r.lengthIn, f) }}, since {{ day(r.since, f)
        }}{{ r.from ? `, of ${r.from}` : '' }}</span
      >
      <span class="fig small quiet">{{ usedBy(r.id) ? `used for ${usedBy(r.id)}` : 'free' }}</span>
    </template>
    <template #none>{{
      vinyls.length === 0
        ? 'First the vinyl they are cut from.'
        : 'No pieces kept. Lay out offers what a roll leaves beside its rows.'
    }}</template>
  </Boards>
</template>
