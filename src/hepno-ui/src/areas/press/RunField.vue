<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { named, type Run } from './run'
import type { RunState } from './tasks'
import { wake } from './wake'

/** What to do now, large enough for two metres; while the press is closed the field drains like a tank. */
const props = defineProps<{ run: Run; view: Schemas['RunView']; state: RunState }>()
/** The print as it is on the size in hand. */
const onSize = computed(() => props.run.pass?.onSizes.find((s) => s.garment === props.run.current?.size))
/** The piece's own name, where this print shows it. */
const own = computed(() => (props.run.pass?.own ? props.run.current?.says : ''))
const film = ref<HTMLVideoElement | null>(null)
onMounted(() => wake.shows(film.value))
onUnmounted(() => wake.shows(null))
</script>

<template>
  <section
    class="field"
    :class="{ wait: run.held, over: run.over }"
    :aria-label="`${run.verb} piece ${run.current ? named(run.current) : ''}`"
  >
    <video ref="film" src="/wake.webm" class="film" loop playsinline aria-hidden="true" tabindex="-1"></video>
    <div
      v-for="layer in ['paper', 'hot']"
      :key="layer"
      class="layer"
      :class="layer"
      :aria-hidden="layer === 'hot'"
      :style="layer === 'hot' ? { clipPath: `inset(${run.over ? 0 : (1 - run.level) * 100}% 0 0 0)` } : undefined"
    >
      <div class="verb">
        {{ run.verb
        }}<span class="what" :class="{ less: run.pass?.work }">{{
          run.done
            ? `${state.good} good`
            : run.current && run.pass
              ? `${run.pass.place}, size ${run.current.size}${run.first ? ', the first' : ''}`
              : run.rack[0]
                ? `piece ${named(run.rack[0].task)}`
                : ''
        }}</span>
      </div>
      <div v-if="run.count" class="count">{{ run.count }}<small>s</small></div>
      <div v-else-if="!run.done && run.current && run.pass" class="lay" :class="{ tight: own && run.pass.under }">
        <p>
          piece <b>{{ named(run.current) }}</b>, {{ onSize?.size ?? run.pass.size }}
        </p>
        <p v-if="own" class="own">{{ own }}</p>
        <p v-if="onSize">{{ onSize.where }}</p>
        <p>{{ run.pass.side }}</p>
        <p v-if="run.pass.under">{{ run.pass.under }}</p>
        <p v-if="run.pass.work" class="key"><kbd>Space</kbd> good <kbd>X</kbd> spoiled</p>
        <p v-else class="key"><kbd>Enter</kbd> closed</p>
      </div>
      <div v-else-if="!run.done && run.first && run.rack[0]" class="lay">
        <p>
          The first of this print: piece <b>{{ named(run.rack[0].task) }}</b>
        </p>
        <p>Look at it by daylight. Good lets the rest begin.</p>
        <p v-for="check in run.pass?.checks" :key="check" class="check">{{ check }}</p>
        <p class="key"><kbd>Space</kbd> good <kbd>X</kbd> spoiled</p>
      </div>
      <div v-else-if="run.waits && run.elsewhere.size > 0" class="lay">
        <p>
          What is left is in other hands: {{ run.elsewhere.size }} {{ run.elsewhere.size === 1 ? 'piece' : 'pieces' }}.
        </p>
        <p>What they leave comes here by itself.</p>
      </div>
      <div v-else-if="run.done" class="lay">
        <p v-if="run.pass?.work">All {{ view.pieces }} are good.</p>
        <p v-else>All {{ view.pieces }} are good. Rack empty, press off and unplugged.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.field {
  position: relative;
  overflow: hidden;
  background: var(--bleach);
  border-right: 1.5px solid var(--ink);
}
.film {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: fill;
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
  font-size: clamp(48px, 7.5vw, 96px);
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
  font-size: clamp(26px, 3.6vw, 52px);
  white-space: normal;
  text-align: right;
  letter-spacing: -0.02em;
}
.what.less {
  font-size: clamp(24px, 2.8vw, 36px);
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
.own {
  font-size: 84px;
  font-weight: 640;
  letter-spacing: -0.02em;
  line-height: 1.1;
  overflow-wrap: anywhere;
}
/* a name of its own and something to lay under: one line more than fits at full size */
.lay.tight {
  font-size: 34px;
  padding-top: 24px;
}
.lay.tight .own {
  font-size: 64px;
}
.lay .check {
  font-size: 26px;
}
.lay .key {
  padding-top: 20px;
}
.lay kbd {
  font-size: 20px;
  height: 34px;
  padding: 2px 10px;
}
</style>
