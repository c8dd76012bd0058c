<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, type Schemas } from '@/shared/api/client'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useCommand } from '@/shared/useCommand'

/** Who may sign in, for owners. */
const queries = useQueryClient()
const {
  data: people,
  error: loadError,
  refetch,
} = useQuery({ queryKey: ['people'], queryFn: () => api<Schemas['PersonView'][]>('GET', '/people') })
const { saving, problem, send, error } = useCommand<Schemas['PersonView']>()
const adding = ref(false)
const name = ref('')
const fullName = ref('')
const password = ref('')
const role = ref('GROWER')
const ROLES: [string, string][] = [
  ['GROWER', 'Grower: records'],
  ['VIEWER', 'Viewer: looks on'],
  ['OWNER', 'Owner: may do everything'],
]

/** Whose password is given anew: a newcomer's who came with a file, or one that was forgotten. */
const giving = ref<number | null>(null)
const given = useCommand<undefined>()

async function give(one: Schemas['PersonView']): Promise<void> {
  await given.send('PUT', `/people/${one.id}/password`, { password: password.value })
  if (given.problem.value) return
  toast(`${one.fullName} signs in with the new password now.`)
  giving.value = null
  password.value = ''
}

async function save(): Promise<void> {
  const added = await send('POST', '/people', {
    name: name.value.trim(),
    fullName: fullName.value.trim(),
    password: password.value,
    role: role.value,
  })
  if (!added) return
  toast(`${added.fullName} can sign in now.`)
  adding.value = false
  name.value = fullName.value = password.value = ''
  await queries.invalidateQueries({ queryKey: ['people'] })
}
</script>

<template>
  <section aria-labelledby="people-title">
    <div class="flex items-center justify-between border-b-2 border-ink pb-1">
      <h2 id="people-title" class="text-lg">People</h2>
      <button class="btn" @click="adding = true">Add a person</button>
    </div>
    <ProblemNote :problem="loadError" @retry="refetch()" />
    <form v-if="adding" class="panel mt-3 grid gap-4" aria-label="A new person" @submit.prevent="save">
      <div class="grid gap-4 sm:grid-cols-3">
        <Field v-model="fullName" label="Their name" :error="error('fullName')" />
        <Field v-model="name" label="Name for signing in" :error="error('name')" />
        <Field
          v-model="password"
          label="First password"
          type="password"
          :error="error('password')"
          hint="10 to 64 characters"
        />
      </div>
      <Choice v-model="role" label="May" :options="ROLES" />
      <ProblemNote :problem="problem" @retry="save" />
      <div class="flex gap-2">
        <button class="btn btn-main" :disabled="saving">Add them</button>
        <button type="button" class="btn" @click="adding = false">Back</button>
      </div>
    </form>
    <ul>
      <li
        v-for="one in people"
        :key="one.name"
        class="grid min-h-12 grid-cols-[1fr_auto_auto] items-center gap-x-3 border-b border-line sm:grid-cols-[12rem_1fr_auto_auto]"
      >
        <b>{{ one.fullName }}</b>
        <span class="text-muted">signs in as {{ one.name }}</span>
        <span>{{ { OWNER: 'Owner', GROWER: 'Grower', VIEWER: 'Viewer' }[one.role] }}</span>
        <button
          class="link min-h-12"
          :aria-label="`Give ${one.fullName} a new password`"
          @click="giving = giving === one.id ? null : one.id"
        >
          New password
        </button>
        <form
          v-if="giving === one.id"
          class="panel col-span-full my-2 grid gap-3"
          :aria-label="`A new password for ${one.fullName}`"
          @submit.prevent="give(one)"
        >
          <Field
            v-model="password"
            :label="`New password for ${one.fullName}`"
            type="password"
            :error="given.error('password')"
            hint="10 to 64 characters; tell it to nobody else"
          />
          <ProblemNote :problem="given.problem.value" @retry="give(one)" />
          <div class="flex gap-2">
            <button class="btn btn-main" :disabled="given.saving.value">Give it</button>
            <button type="button" class="btn" @click="giving = null">Back</button>
          </div>
        </form>
      </li>
    </ul>
  </section>
</template>
