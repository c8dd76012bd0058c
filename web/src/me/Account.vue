<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas, remove, put } from '@/shared/api/client'
import { dayText, timeText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useCommand } from '@/shared/useCommand'
import { browserName } from './browserName'
import { mySessions } from '@/shared/api/house'

/** One's own password, and where one is signed in. */
const { t } = useI18n()
const session = useSession()
const current = ref('')
const next = ref('')
const { saving, problem, send, error } = useCommand<undefined>()
const ending = useCommand()
const { data: sessions, error: loadError, refetch } = useQuery(mySessions)

async function change(): Promise<void> {
  await send((commandId) =>
    put('/api/v1/me/password', { body: { current: current.value, password: next.value }, commandId }),
  )
  if (problem.value) return
  current.value = next.value = ''
  toast(t('me.changed'))
}

async function end(one: Schemas['SessionOf']): Promise<void> {
  await ending.send(() => remove('/api/v1/me/sessions/{id}', { path: { id: one.id } }))
  if (!ending.problem.value) toast(t('me.ended'))
}

const named = (one: Schemas['SessionOf']) => browserName(one.browser) || t('me.unknown')
</script>

<template>
  <div class="max-w-3xl">
    <h1 class="text-2xl">{{ t('me.title') }}</h1>
    <section aria-labelledby="own-password" class="mt-6">
      <h2 id="own-password" class="border-b-2 border-ink pb-1 text-lg">{{ t('me.passwordTitle') }}</h2>
      <form class="mt-3 grid max-w-sm gap-4" @submit.prevent="change">
        <input type="text" autocomplete="username" :value="session.person?.name" class="hidden" readonly />
        <Field v-model="current" :label="t('me.current')" type="password" :error="error('current')" />
        <Field
          v-model="next"
          :label="t('me.next')"
          type="password"
          :error="error('password')"
          :hint="t('people.passwordHint')"
        />
        <ProblemNote v-if="!error('current') && !error('password')" :problem="problem" @retry="change" />
        <button class="btn btn-main justify-self-start" :disabled="saving || !current || !next">
          {{ t('me.change') }}
        </button>
      </form>
    </section>
    <section aria-labelledby="own-sessions" class="mt-8">
      <h2 id="own-sessions" class="border-b-2 border-ink pb-1 text-lg">{{ t('me.sessionsTitle') }}</h2>
      <ProblemNote :problem="loadError" @retry="refetch()" />
      <ul data-testid="sessions">
        <li
          v-for="one in sessions"
          :key="one.id"
          class="grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-4 border-b border-line py-2"
        >
          <span>
            <b>{{ named(one) }}</b>
            <span class="block text-sm text-muted"
              >{{
                t('me.since', {
                  day: dayText(one.since.slice(0, 10), session.today),
                  time: `${dayText(one.lastUsed.slice(0, 10), session.today)}, ${timeText(one.lastUsed)}`,
                })
              }}
              {{ one.address ? t('me.from', { address: one.address }) : '' }}</span
            >
          </span>
          <span v-if="one.current" class="font-bold">{{ t('me.here') }}</span>
          <button v-else class="btn" :aria-label="t('me.endOf', { browser: named(one) })" @click="end(one)">
            {{ t('me.end') }}
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>
