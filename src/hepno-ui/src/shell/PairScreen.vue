<script setup lang="ts">
import { ref } from 'vue'
import { api, ask, type Problem, Refusal } from '../api/client'

/** What a device sees that was not let in yet: the six digits of the counter, and what the shop will call it. */
const code = ref('')
const name = ref('')
const problem = ref<Problem>()
async function pair(): Promise<void> {
  problem.value = undefined
  try {
    await ask(api.POST('/api/devices/pair', { body: { code: code.value, name: name.value } }))
    location.reload()
  } catch (refused) {
    if (!(refused instanceof Refusal)) throw refused
    problem.value = refused.problems[0]
  }
}
</script>

<template>
  <main class="pair">
    <form @submit.prevent="pair">
      <h1>Let this device in</h1>
      <p>At the counter, open Numbers and choose <b>Let a device in</b>. Type its six digits here.</p>
      <label class="field">
        Six digits
        <input
          v-model="code"
          class="mono code"
          inputmode="numeric"
          autocomplete="one-time-code"
          maxlength="7"
          autofocus
        />
      </label>
      <label class="field">
        What the shop calls this device
        <input v-model="name" maxlength="60" placeholder="Tablet at press 1" />
      </label>
      <p class="small quiet">
        At a press: set this tablet itself to keep its screen on while it is plugged in. Hepno keeps it awake in a run
        as far as the browser lets it.
      </p>
      <p v-if="problem" class="problem" role="alert">{{ problem.sentence }} {{ problem.remedy }}</p>
      <button class="go-button" :disabled="code.trim().length < 6 || name.trim() === ''">Let in</button>
    </form>
  </main>
</template>

<style scoped>
.pair {
  height: 100%;
  display: grid;
  place-items: center;
  padding: 20px;
}
form {
  display: grid;
  gap: 16px;
  max-width: 420px;
}
.code {
  font-size: 32px;
  letter-spacing: 0.2em;
}
</style>
