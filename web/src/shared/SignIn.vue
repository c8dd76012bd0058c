<script setup lang="ts">
import { ref } from 'vue'
import { Problem } from './api/client'
import { useSession } from './session'

const session = useSession()
const name = ref('')
const password = ref('')
const problem = ref('')
const busy = ref(false)

async function submit(): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    await session.signIn(name.value.trim(), password.value)
  } catch (error) {
    problem.value = error instanceof Problem ? error.detail : String(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="mx-auto grid min-h-screen max-w-sm content-center p-6">
    <img src="/icon.svg" alt="" class="mb-4 size-16" />
    <h1 class="text-3xl">Kind Girdle</h1>
    <p class="mt-1 mb-6 text-muted">Air layers, from the mother to the released plant.</p>
    <p v-if="session.session?.needsOwner" class="mb-4 border-l-4 border-sap bg-sap-pale p-3">
      Nobody can sign in yet. Open the link that the server printed when it started: it makes the first owner.
    </p>
    <form class="grid gap-4" @submit.prevent="submit">
      <label class="grid gap-1">
        Name
        <input
          v-model="name"
          class="input"
          name="name"
          autocomplete="username"
          autocapitalize="none"
          required
        />
      </label>
      <label class="grid gap-1">
        Password
        <input
          v-model="password"
          class="input"
          name="password"
          type="password"
          autocomplete="current-password"
          required
        />
      </label>
      <p v-if="problem" role="alert" class="border-l-4 border-rust bg-rust-pale p-3">{{ problem }}</p>
      <button class="btn btn-main" :disabled="busy">Sign in</button>
    </form>
    <p v-if="session.session?.demo" class="mt-6 text-sm text-muted">
      This is the demo: sign in as <b>maren</b> (owner), <b>ivo</b> (grower) or <b>pell</b> (viewer) with
      <b>moss-and-knife</b>.
    </p>
  </main>
</template>
