<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { api, type Schemas } from '../../api/client'
import { bare, money } from '../../words/shown'
import { triedWord } from '../../words/words'
import { format, lineInHand, shop } from '../../state/state'
import { type Tried, tries } from './comparing'

/** Inputs tried at other levels, each beside what it alone does to the cost of a piece; the strongest first. */
const props = defineProps<{ band: Schemas['Band']; tried: Tried }>()
const emit = defineEmits<{ tried: [to: Tried] }>()
const f = computed(() => format())
const swings = ref<Schemas['Swing'][]>([])
watch(
  [() => props.band.methodId, () => lineInHand.value?.id, () => shop.order?.version],
  async ([method]) => {
    const [id, line] = [shop.order?.id, lineInHand.value?.id]
    if (!id || !line) return
    const got = await api.GET('/api/orders/{id}/swing', {
      params: { path: { id }, query: { line, method: String(method) } },
    })
    if (got.data && props.band.methodId === method) swings.value = got.data
  },
  { immediate: true },
)
const key = (s: Schemas['Swing']) => tries.find((t) => t.toLowerCase() === s.input.replaceAll('-', ''))!
/** Those that move this way's cost, the strongest first; the others after them. */
const rows = computed(() => {
  const moved = swings.value.map((s) => ({ input: key(s), swing: s as Schemas['Swing'] | null }))
  const rest = tries.filter((t) => moved.every((m) => m.input !== t)).map((input) => ({ input, swing: null }))
  return [...moved, ...rest]
})
const low = computed(() => Math.min(...swings.value.map((s) => s.low)))
const high = computed(() => Math.max(...swings.value.map((s) => s.high)))
const width = 260
const x = (cost: number) => ((cost - low.value) / Math.max(0.01, high.value - low.value)) * width
const set = (input: (typeof tries)[number], percent: number) => emit('tried', { ...props.tried, [input]: percent })
const percent = (input: (typeof tries)[number]) => props.tried[input] ?? 0
const any = computed(() => tries.some((t) => percent(t) !== 0))
const first = ref<HTMLInputElement[]>([])
onMounted(() => first.value[0]?.focus())
</script>

<template>
  <div class="tried" role="group" aria-label="What if the figures change">
    <p class="small head">
      <b>What if</b> <span class="quiet">nothing of it is kept</span>
      <button v-if="any" class="go" @click="emit('tried', {})"><kbd>0</kbd> as it is</button>
      <span class="quiet right"
        >what each alone does to the cost of {{ band.name.toLowerCase() }}, a fifth less to a fifth more; spoilage 0 to
        6 in 100</span
      >
    </p>
    <div v-for="r in rows" :key="r.input" class="row">
      <label :for="`try-${r.input}`">{{ triedWord[r.input] }}</label>
      <input
        :id="`try-${r.input}`"
        ref="first"
        type="range"
        :min="r.input === 'spoilage' ? -100 : -50"
        :max="r.input === 'spoilage' ? 300 : 100"
        step="5"
        :value="percent(r.input)"
        :aria-valuetext="percent(r.input) === 0 ? 'as it is' : `${percent(r.input)} per cent`"
        @input="(e) => set(r.input, Number((e.target as HTMLInputElement).value))"
      />
      <b class="mono" :class="{ quiet: percent(r.input) === 0 }"
        >{{ percent(r.input) > 0 ? '+' : '' }}{{ percent(r.input) }}%</b
      >
      <svg
        v-if="r.swing"
        :width="width + 110"
        height="16"
        role="img"
        :aria-label="`${r.swing.name}: ${money(r.swing.low, f)} to ${money(r.swing.high, f)}, ${r.swing.levels}`"
      >
        <rect
          :x="Math.min(x(r.swing.low), x(r.swing.high)) + 40"
          y="3"
          :width="Math.max(1.5, Math.abs(x(r.swing.high) - x(r.swing.low)))"
          height="10"
          fill="var(--rule)"
          stroke="var(--ink)"
        />
        <path :d="`M${x(r.swing.now) + 40} 0V16`" stroke="var(--ink)" stroke-width="2" />
        <text :x="x(r.swing.low) + 36" y="13" font-size="12" text-anchor="end" fill="var(--ink-2)">
          {{ bare(r.swing.low, f) }}
        </text>
        <text :x="x(r.swing.high) + 44" y="13" font-size="12" fill="var(--ink-2)">{{ bare(r.swing.high, f) }}</text>
      </svg>
      <span v-else class="small quiet">not in it</span>
    </div>
  </div>
</template>

<style scoped>
.tried {
  flex: none;
  padding: 6px 0 2px;
  border-top: 1px solid var(--rule-strong);
}
.head {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.right {
  margin-left: auto;
}
.row {
  display: grid;
  grid-template-columns: 200px minmax(120px, 1fr) 56px 372px;
  gap: 10px;
  align-items: center;
  font-size: var(--t-small);
  height: 25px;
}
.row b {
  text-align: right;
}
input[type='range'] {
  accent-color: var(--ink);
  width: 100%;
  margin: 0;
  height: 24px;
}
</style>
