<script setup lang="ts">
import { computed, onMounted, onUnmounted } from 'vue'
import { useI18n } from 'vue-i18n'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import { CONFLICTS, DEEDS, KINDS } from '@/shared/words'
import { connection } from './connection'
import { kindOf, LEAF_PATH, madeAt, useOutbox } from './outbox'
import type { Waiting } from './store'

/** What is on this device and not yet with the nursery, and what met another's record on its way. */
const session = useSession()
const outbox = useOutbox()

onMounted(() => void outbox.read())
// what stood here has been seen
onUnmounted(() => void outbox.markRead())

function when(instant: string): string {
  const at = new Date(instant)
  return `${dayText(instant.slice(0, 10), session.today)}, ${at.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`
}
const { t } = useI18n()
const about = (one: { codes: string[]; about?: string }) =>
  one.about ??
  (one.codes.length === 1 ? one.codes[0] : `${one.codes.length} layers (${one.codes.join(', ')})`)
const kind = (one: Waiting) =>
  one.path === LEAF_PATH ? t(`leaves.kinds.${kindOf(one)}`) : KINDS[kindOf(one)]?.toLowerCase()
const lastSync = computed(() =>
  connection.lastSync.value ? new Date(connection.lastSync.value).toLocaleTimeString() : 'not yet',
)
const met = computed(() => outbox.sent.filter((one) => one.conflict || one.others.length))
const details = (one: Waiting) =>
  Object.entries((one.body.details ?? {}) as Record<string, unknown>)
    .filter(([, value]) => value !== null && String(value) !== '')
    .map(([key, value]) => `${key} ${String(value).toLowerCase()}`)
    .join(', ')
</script>

<template>
  <h1 class="text-2xl">On this device</h1>
  <p class="mt-1" data-testid="last-sync">
    {{ connection.online.value ? 'The nursery is reached.' : 'The nursery can’t be reached.' }} Last heard of
    it at {{ lastSync }}.
  </p>
  <button
    v-if="outbox.waiting.length"
    class="btn btn-main mt-3"
    data-testid="send-now"
    @click="outbox.flush()"
  >
    Send now
  </button>

  <section class="mt-6" aria-labelledby="waiting-title">
    <h2 id="waiting-title" class="border-b-2 border-ink pb-1 text-base">To be sent</h2>
    <p v-if="!outbox.waiting.length" class="mt-2">
      Nothing waits: all that was recorded here is with the nursery.
    </p>
    <ol data-testid="waiting">
      <li v-for="one in outbox.waiting" :key="one.id" class="border-b border-line py-2">
        <b>{{ about(one) }}</b>: {{ kind(one) }}, made {{ when(madeAt(one)) }}
      </li>
    </ol>
  </section>

  <section v-if="outbox.refused.length" class="mt-6" aria-labelledby="refused-title">
    <h2 id="refused-title" class="border-b-2 border-rust pb-1 text-base">Refused</h2>
    <ul>
      <li v-for="one in outbox.refused" :key="one.id" class="border-b border-line py-2" data-testid="refused">
        <p>
          <b>{{ about(one) }}</b>: {{ kind(one) }}, made {{ when(madeAt(one)) }}.
          <span class="text-muted">{{ details(one) }}</span>
        </p>
        <p class="font-bold text-rust">{{ one.refusal }}</p>
        <div class="mt-1 flex flex-wrap gap-2">
          <RouterLink
            v-if="one.codes.length"
            class="btn"
            :to="{ name: 'layer', params: { code: one.codes[0] } }"
            >Record it on its page</RouterLink
          >
          <button class="btn btn-rust" @click="outbox.drop(one.id)">Throw it away</button>
        </div>
      </li>
    </ul>
  </section>

  <section v-if="met.length" class="mt-6" aria-labelledby="met-title">
    <h2 id="met-title" class="border-b-2 border-ink pb-1 text-base">Met by another record</h2>
    <ul>
      <li
        v-for="one in met"
        :key="one.id"
        class="border-b border-line py-2"
        :class="{ 'border-l-8 border-l-sap pl-3': !one.seen }"
        data-testid="met"
      >
        <p>
          <RouterLink class="link font-bold" :to="{ name: 'layer', params: { code: one.codes[0] } }">{{
            about(one)
          }}</RouterLink>
        </p>
        <p>You: {{ KINDS[one.kind]?.toLowerCase() }}, {{ when(one.occurredAt) }}.</p>
        <p v-for="(other, i) in one.others" :key="i">
          {{ other.by }}: {{ DEEDS[other.kind] }} it, {{ when(other.occurredAt) }}.
        </p>
        <p v-if="one.conflict" class="font-bold text-rust">
          Yours is kept, but not counted: {{ CONFLICTS[one.conflict] }}. Its page shows both; take back the
          one that is wrong.
        </p>
        <p v-else>Both are kept and counted.</p>
      </li>
    </ul>
  </section>

  <section v-if="outbox.ofOthers.length" class="mt-6" aria-labelledby="others-title">
    <h2 id="others-title" class="border-b-2 border-ink pb-1 text-base">Made by others on this device</h2>
    <p class="mt-2">
      {{ [...new Set(outbox.ofOthers.map((one) => one.personName))].join(', ') }}:
      {{ outbox.ofOthers.length }} {{ outbox.ofOthers.length === 1 ? 'record' : 'records' }} waiting. Whoever
      made them sends them by signing in here.
    </p>
  </section>
</template>
