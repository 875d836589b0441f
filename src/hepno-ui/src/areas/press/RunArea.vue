<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import LongName from '../../kit/LongName.vue'
import { refresh, take } from '../../state/state'
import { useRun } from './run'
import RunDeeds from './RunDeeds.vue'
import RunField from './RunField.vue'
import RunSide from './RunSide.vue'
import { sound } from './sound'
import { tap } from './tap'
import { wake } from './wake'

const router = useRouter()
const id = String(useRoute().params.order)
const run = useRun(id)
const leaving = ref(false)

async function leave(sure: boolean): Promise<void> {
  if (run.closed && !sure) {
    leaving.value = true
    return
  }
  await take(id).catch(() => undefined)
  await refresh().catch(() => undefined)
  await router.push(run.done ? '/send' : '/press')
}

// one handler in the capture phase owns the keyboard of the run
function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey || event.key === 'Tab') return
  event.preventDefault()
  event.stopPropagation()
  if (event.repeat) return
  sound.unlock()
  wake.start()
  const key = event.key.toLowerCase()
  if (leaving.value) {
    if (key === 'enter') void leave(true)
    else leaving.value = false
    return
  }
  if (run.spoiling && key === '0') return run.finish(null)
  if (run.spoiling && /^[1-9]$/.test(key)) return run.finish(run.view?.reasons[Number(key) - 1] ?? null)
  if (run.spoiling && key === 'escape') {
    run.keepPiece()
    return
  }
  switch (key) {
    case ' ':
      return run.good()
    case 'x':
      return run.spoil()
    case 'enter':
      return run.step()
    case 'a':
      return run.pressAgain()
    case 'p':
      return void window.open(`/api/runs/${id}/sheet.pdf`, '_blank')
    case 'b':
      return run.back()
    case 'h':
      return run.hold()
    case 'z':
      return void run.takeBack()
    case 'o':
      return run.turnRound()
    case 'escape':
      return void leave(false)
  }
}

onMounted(async () => {
  window.addEventListener('keydown', onKey, { capture: true })
  await run.begin()
})
onUnmounted(() => {
  window.removeEventListener('keydown', onKey, { capture: true })
  run.end()
})
</script>

<template>
  <main class="run">
    <h1 class="sr">Run {{ run.view?.code }}</h1>
    <header>
      <button class="leave" @pointerup="tap($event, () => leave(false))"><kbd>Esc</kbd> Leave</button>
      <b class="mono">{{ run.view?.code }}</b><LongName class="who" :text="run.view?.customer ?? ''" />
      <span class="right"
        ><b>{{ run.pass?.at || run.line?.press }}</b
        ><span v-if="run.pass?.setPoint">set {{ run.pass.setPoint }}</span
        ><span v-else-if="!run.pass?.work" class="caution">not yet tested: at the dial's word</span
        ><span v-if="run.view?.ends" class="go">planned to end {{ run.view.ends }}</span
        ><span v-if="run.box.lost" class="heat" role="alert"
          >{{ run.box.waiting.length }} kept here, not sent yet</span
        ></span
      >
    </header>
    <p v-if="run.trouble" class="trouble" role="alert">{{ run.trouble }}</p>
    <template v-else-if="run.view && run.state">
      <RunField :run="run" :view="run.view" :state="run.state" />
      <RunSide :run="run" :view="run.view" :state="run.state" />
      <div v-if="run.pass?.work" class="recipe">
        <div>
          <b>{{ run.pass.place }}</b>
        </div>
        <div>
          <b>{{ run.pass.size }}</b>
        </div>
      </div>
      <div v-else class="recipe">
        <div>
          <b>{{ run.pass?.temperature }}</b> <span>{{ run.pass?.temperatureOther }}</span>
        </div>
        <div>
          <b>{{ run.pass?.dwellSeconds }} s</b>
          <span v-if="run.pass?.secondPressSeconds">&nbsp;+ {{ run.pass.secondPressSeconds }} s</span>
        </div>
        <div>
          <b>{{ run.pass?.pressure }}</b> <span v-if="run.pass?.dial">dial {{ run.pass.dial }}</span>
        </div>
        <div>
          <b>{{ run.pass?.peel }} peel</b>
        </div>
      </div>
      <div class="hazard" :class="{ long: run.caution.length > 70 }">
        <i></i><b>{{ run.caution }}</b>
      </div>
      <RunDeeds :run="run" :view="run.view" />
    </template>
    <div v-if="leaving" class="ask" role="alertdialog" aria-label="The press is closed">
      <p>The press is closed. Leave all the same?</p>
      <p class="answers">
        <button @pointerup="tap($event, () => leave(true))"><kbd>Enter</kbd> leave</button>
        <button @pointerup="tap($event, () => (leaving = false))"><kbd>Esc</kbd> stay</button>
      </p>
    </div>
    <span class="sr" aria-live="assertive">{{ run.verb }}</span><span class="sr" aria-live="polite">{{
      run.said
    }}</span>
  </main>
</template>

<style scoped>
.answers {
  display: flex;
  gap: 24px;
}
.answers button {
  min-height: 112px;
  min-width: 220px;
  border: 1.5px solid var(--ink);
}
.run {
  position: relative;
  height: 100%;
  display: grid;
  grid-template: 60px minmax(0, 1fr) auto 52px 116px / minmax(0, 64%) minmax(0, 36%);
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
@media (max-width: 1099px) {
  header {
    font-size: 20px;
    gap: 12px;
    padding: 0 14px;
  }
  .right {
    gap: 12px;
  }
}
@media (max-width: 699px) {
  .who {
    display: none;
  }
}
header kbd {
  font-size: 20px;
  height: 34px;
  padding: 2px 10px;
}
.leave {
  font-size: 20px;
  padding-right: 18px;
  border-right: 1px solid var(--ink);
  align-self: stretch;
  flex: none;
}
.right {
  margin-left: auto;
  flex: none;
  display: flex;
  gap: 18px;
}
.trouble {
  grid-column: 1 / -1;
  font-size: 30px;
  padding: 40px;
}
/* heat, seconds, pressure and peel: always all four, none cut or wrapped */
.recipe {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1.35fr 1.1fr 1.1fr 1fr;
  border-top: 1.5px solid var(--ink);
}
.recipe div {
  padding: 8px clamp(8px, 1.6vw, 22px);
  font-size: clamp(16px, 2.4vw, 36px);
  border-right: 1.5px solid var(--ink);
  white-space: nowrap;
}
.recipe b {
  font-size: clamp(22px, 3.6vw, 52px);
  letter-spacing: -0.02em;
}
@media (orientation: portrait) {
  .recipe {
    grid-template-columns: 1fr 1fr;
  }
  .recipe div {
    font-size: 30px;
    border-bottom: 1px solid var(--rule-strong);
  }
  .recipe b {
    font-size: 46px;
  }
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
/* two lines in the same band */
.hazard.long {
  font-size: clamp(16px, 1.7vw, 22px);
}
.hazard i {
  width: 72px;
  align-self: stretch;
  flex: none;
  margin-right: 20px;
  background: repeating-linear-gradient(-45deg, var(--ink) 0 9px, var(--caution) 9px 20px);
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
    grid-template: 60px minmax(0, 1.1fr) minmax(0, 1fr) auto 52px 116px / minmax(0, 1fr);
  }
}
</style>
