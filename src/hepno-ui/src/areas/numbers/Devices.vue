<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { api, ask, type Schemas } from '../../api/client'
import Sign from '../../kit/Sign.vue'
import { onChange } from '../../state/live'
import { attempt, reading } from '../../state/state'

/** Tablets and other machines of the shop: where they find Hepno, who is in, and the code that lets one more in. */
const devices = ref<Schemas['DevicesView']>()
const code = ref('')
const left = ref(0)
let ends = 0
let ticking: ReturnType<typeof setInterval> | undefined
const load = () => reading(async () => void (devices.value = await ask(api.GET('/api/devices'))))
let stop = () => {}
onMounted(() => {
  void load()
  stop = onChange((kind) => {
    if (kind !== 'device') return
    close()
    void load()
  })
})
onUnmounted(() => {
  stop()
  close()
})
const address = computed(() => devices.value?.addresses[0])
const minutes = computed(() => `${Math.floor(left.value / 60)}:${String(left.value % 60).padStart(2, '0')}`)

function close(): void {
  clearInterval(ticking)
  code.value = ''
}
const roleWord = { press: 'the press', counter: 'the counter' }
const letInFor = ref<Schemas['DeviceRole']>('press')
async function letIn(role: Schemas['DeviceRole']): Promise<void> {
  letInFor.value = role
  await attempt(async () => {
    const made = await ask(api.POST('/api/devices/code', { body: { role } }))
    code.value = made.code
    ends = performance.now() + made.seconds * 1000
    const tick = () => {
      left.value = Math.ceil((ends - performance.now()) / 1000)
      if (left.value <= 0) close()
    }
    clearInterval(ticking)
    tick()
    ticking = setInterval(tick, 1000)
  })
}
async function reach(lan: boolean): Promise<void> {
  await attempt(
    async () => {
      await ask(api.PUT('/api/devices/reach', { body: { lan } }))
      await load()
    },
    lan
      ? 'Stop Hepno and start it again: then tablets can be let in.'
      : 'From its next start on only this machine reaches Hepno.',
  )
}
async function setRole(d: Schemas['DeviceView'], role: Schemas['DeviceRole']): Promise<void> {
  await attempt(async () => {
    await ask(api.PUT('/api/devices/{id}/role', { params: { path: { id: d.id } }, body: { role } }))
    await load()
  }, `${d.name} is for ${roleWord[role]} now.`)
}
async function shutOut(id: string, name: string): Promise<void> {
  await attempt(async () => {
    await ask(api.DELETE('/api/devices/{id}', { params: { path: { id } } }))
    await load()
  }, `${name} is shut out. A new code lets it in again.`)
}
</script>

<template>
  <section v-if="devices" class="devices">
    <template v-if="!devices.lan">
      <p v-if="devices.lanNext">Only this machine reaches Hepno until it is stopped and started again.</p>
      <p v-else>Only this machine reaches Hepno: no tablet at the press, no other machine of the shop.</p>
    </template>
    <p v-else-if="!address">This machine has no address on a private network: other devices cannot reach it.</p>
    <template v-else>
      <svg
        class="qr"
        :viewBox="`0 0 ${address.qr.size} ${address.qr.size}`"
        role="img"
        :aria-label="`Square code of ${address.url}`"
        shape-rendering="crispEdges"
      >
        <path :d="address.qr.path" fill="var(--ink)" />
      </svg>
      <div>
        <p v-for="a in devices.addresses" :key="a.url" class="mono">{{ a.url }}</p>
        <template v-if="code">
          <p class="code mono" role="status">{{ code.slice(0, 3) }} {{ code.slice(3) }}</p>
          <p class="note quiet">Holds {{ minutes }} more, for one device of {{ roleWord[letInFor] }}.</p>
        </template>
        <p v-else-if="devices.atCounter" class="deeds">
          <button class="plain-button" @click="letIn('press')">Let a device in for the press</button>
          <button class="plain-button" @click="letIn('counter')">Let a device in for the counter</button>
        </p>
        <p class="note quiet">
          At the press: the day, the run, recipes, receiving and counting, without prices of orders. At the counter:
          everything but what is done on this machine alone.
        </p>
        <p class="note quiet">Plain http, for the shop's own network: never forward this port to the internet.</p>
      </div>
    </template>
    <p v-if="devices.atCounter" class="deeds">
      <button class="plain-button" @click="reach(!devices.lanNext)">
        {{ devices.lanNext ? 'Keep it to this machine' : 'Let other devices of the shop reach it' }}
      </button>
    </p>
    <table v-if="devices.devices.length > 0">
      <thead>
        <tr>
          <th>Device</th>
          <th>Let in</th>
          <th>For</th>
          <th><span class="sr">Shut out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="d in devices.devices" :key="d.id">
          <td>{{ d.name }}</td>
          <td>{{ d.pairedAt }}</td>
          <td>
            <div class="deeds">
              {{ roleWord[d.role] }}
              <span v-if="!d.roleTold && !d.shutOut" class="caution"
                ><Sign kind="caution" /> since Hepno tells the two apart</span
              >
              <template v-if="!d.shutOut && devices.atCounter">
                <button v-if="d.role === 'press'" class="plain-button" @click="setRole(d, 'counter')">
                  Let it do everything of the counter
                </button>
                <button v-if="d.role === 'counter' || !d.roleTold" class="plain-button" @click="setRole(d, 'press')">
                  {{ d.role === 'press' ? 'Leave it at the press' : 'Only the press' }}
                </button>
              </template>
            </div>
          </td>
          <td>
            <span v-if="d.shutOut" class="quiet">shut out</span>
            <button v-else-if="devices.atCounter" class="plain-button" @click="shutOut(d.id, d.name)">Shut out</button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.devices {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px 18px;
  padding: 8px 0;
}
.devices > p,
.devices > table {
  grid-column: 1 / -1;
}
.devices > div {
  display: grid;
  gap: 8px;
  align-content: start;
}
.qr {
  width: 150px;
  height: 150px;
  background: var(--bleach);
}
.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.code {
  font-size: 40px;
  font-weight: var(--w-strong);
}
td {
  padding: 6px 18px 6px 0;
  border-top: 1px solid var(--rule);
}
</style>
