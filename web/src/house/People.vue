<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas, post, put } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useCommand } from '@/shared/useCommand'
import PersonForm from './PersonForm.vue'
import { allPeople } from '@/shared/api/house'

/** Who may sign in, for owners. */
const { t } = useI18n()
const session = useSession()
const { data: people, error: loadError, refetch } = useQuery(allPeople)
const { saving, problem, send, error } = useCommand<Schemas['PersonView']>()
const adding = ref(false)
const name = ref('')
const fullName = ref('')
const password = ref('')
const role = ref('GROWER')
const roles: [string, string][] = (['GROWER', 'VIEWER', 'OWNER'] as const).map((one) => [
  one,
  t(`people.roles.${one}`),
])

/** Whose password is given anew: a newcomer's who came with a file, or one that was forgotten. */
const giving = ref<number | null>(null)
const changing = ref<number | null>(null)
const given = useCommand<undefined>()

function open(what: 'password' | 'person', id: number): void {
  const which = what === 'password' ? giving : changing
  const again = which.value === id
  giving.value = changing.value = null
  password.value = ''
  if (!again) which.value = id
}

async function give(one: Schemas['PersonView']): Promise<void> {
  await given.send((commandId) =>
    put('/api/v1/people/{id}/password', {
      path: { id: one.id },
      body: { password: password.value },
      commandId,
    }),
  )
  if (given.problem.value) return
  toast(t('people.given', { name: one.fullName }))
  giving.value = null
  password.value = ''
}

function changed(one: Schemas['PersonView']): void {
  toast(t('people.changed', { name: one.fullName }))
  changing.value = null
}

async function save(): Promise<void> {
  const added = await send((commandId) =>
    post('/api/v1/people', {
      body: {
        name: name.value.trim(),
        fullName: fullName.value.trim(),
        password: password.value,
        role: role.value,
      },
      commandId,
    }),
  )
  if (!added) return
  toast(t('people.added', { name: added.fullName }))
  adding.value = false
  name.value = fullName.value = password.value = ''
}
</script>

<template>
  <section aria-labelledby="people-title">
    <div class="flex items-center justify-between border-b-2 border-ink pb-1">
      <h2 id="people-title" class="text-lg">{{ t('people.title') }}</h2>
      <button class="btn" @click="adding = true">{{ t('people.add') }}</button>
    </div>
    <ProblemNote :problem="loadError" @retry="refetch()" />
    <form v-if="adding" class="panel mt-3 grid gap-4" :aria-label="t('people.newOne')" @submit.prevent="save">
      <div class="grid gap-4 sm:grid-cols-3">
        <Field v-model="fullName" :label="t('people.theirName')" :error="error('fullName')" />
        <Field v-model="name" :label="t('people.signInName')" :error="error('name')" />
        <Field
          v-model="password"
          :label="t('people.firstPassword')"
          type="password"
          :error="error('password')"
          :hint="t('people.passwordHint')"
        />
      </div>
      <Choice v-model="role" :label="t('people.may')" :options="roles" />
      <ProblemNote :problem="problem" @retry="save" />
      <div class="flex gap-2">
        <button class="btn btn-main" :disabled="saving">{{ t('people.addThem') }}</button>
        <button type="button" class="btn" @click="adding = false">{{ t('people.back') }}</button>
      </div>
    </form>
    <ul>
      <li
        v-for="one in people"
        :key="one.name"
        class="grid min-h-12 grid-cols-[1fr_auto_auto] items-center gap-x-4 border-b border-line sm:grid-cols-[12rem_1fr_auto_auto_auto]"
      >
        <b :class="{ 'text-muted': one.disabledAt }">{{ one.fullName }}</b>
        <span class="text-muted">{{
          one.disabledAt
            ? t('people.signsInNoMore', {
                day: dayText(one.disabledAt.slice(0, 10), session.today),
              })
            : t('people.signsInAs', { name: one.name })
        }}</span>
        <span>{{ t(`people.role.${one.role}`) }}</span>
        <button
          class="link min-h-12"
          :aria-label="t('people.changeOf', { name: one.fullName })"
          :aria-expanded="changing === one.id"
          @click="open('person', one.id)"
        >
          {{ t('people.change') }}
        </button>
        <button
          class="link min-h-12"
          :aria-label="t('people.giveNew', { name: one.fullName })"
          :aria-expanded="giving === one.id"
          @click="open('password', one.id)"
        >
          {{ t('people.newPassword') }}
        </button>
        <PersonForm
          v-if="changing === one.id"
          :person="one"
          :is-me="one.id === session.person?.id"
          @saved="changed"
          @back="changing = null"
        />
        <form
          v-if="giving === one.id"
          class="panel col-span-full my-2 grid gap-3"
          :aria-label="t('people.giveNew', { name: one.fullName })"
          @submit.prevent="give(one)"
        >
          <Field
            v-model="password"
            :label="t('people.newPasswordFor', { name: one.fullName })"
            type="password"
            :error="given.error('password')"
            :hint="t('people.tellNobody')"
          />
          <ProblemNote :problem="given.problem.value" @retry="give(one)" />
          <div class="flex gap-2">
            <button class="btn btn-main" :disabled="given.saving.value">{{ t('people.give') }}</button>
            <button type="button" class="btn" @click="giving = null">{{ t('people.back') }}</button>
          </div>
        </form>
      </li>
    </ul>
    <RouterLink :to="{ name: 'security-log' }" class="link mt-2 inline-flex min-h-12 items-center">{{
      t('people.log')
    }}</RouterLink>
  </section>
</template>
