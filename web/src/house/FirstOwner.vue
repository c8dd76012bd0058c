<script setup lang="ts">
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { Problem, post } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'

/** Behind the one-time link that the server prints: the first person of a new nursery. */
const route = useRoute()
const router = useRouter()
const session = useSession()
const name = ref('')
const fullName = ref('')
const password = ref('')
const problem = ref<unknown>(null)
const error = (field: string) => (problem.value instanceof Problem ? problem.value.of(field) : undefined)

async function submit(): Promise<void> {
  problem.value = null
  try {
    await post('/api/v1/first-owner', {
      body: {
        token: String(route.query.token ?? ''),
        name: name.value.trim(),
        fullName: fullName.value.trim(),
        password: password.value,
      },
    })
    await session.signIn(name.value.trim(), password.value)
    await router.replace({ name: 'house' })
  } catch (failure) {
    problem.value = failure
  }
}
</script>

<template>
  <main class="mx-auto grid min-h-screen max-w-sm content-center gap-4 p-6">
    <h1 class="text-3xl">Welcome</h1>
    <p>You are the first: the owner, who may do everything here, and add others.</p>
    <form class="grid gap-4" @submit.prevent="submit">
      <Field v-model="fullName" label="Your name" :error="error('fullName')" />
      <Field v-model="name" label="Name for signing in" :error="error('name')" />
      <Field
        v-model="password"
        label="Password"
        type="password"
        :error="error('password')"
        hint="10 to 64 characters"
      />
      <ProblemNote :problem="problem" />
      <button class="btn btn-main">Begin</button>
    </form>
  </main>
</template>
