<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { type Schemas, post } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import { useCommand } from '@/shared/useCommand'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { plannedBatches } from '@/shared/api/bench'

/** Batches that are planned for a day, to be taken to the bench. */
const emit = defineEmits<{ take: [planned: Schemas['Planned']] }>()
const session = useSession()
const { problem, send } = useCommand()
const { data: planned, refetch } = useQuery(plannedBatches)

async function drop(one: Schemas['Planned']): Promise<void> {
  const dropped = await send((commandId) =>
    post('/api/v1/planned-batches/{plannedId}/dropping', {
      path: { plannedId: one.id },
      body: { version: one.version },
      commandId,
    }),
  )
  // somebody else may have taken it or dropped it
  if (!dropped) await refetch()
}
</script>

<template>
  <section v-if="planned?.length" class="mt-4" aria-labelledby="planned-title" data-testid="planned">
    <h2 id="planned-title" class="text-base">Planned</h2>
    <ProblemNote :problem="problem" />
    <ul>
      <li
        v-for="one in planned"
        :key="one.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1"
      >
        <RouterLink
          class="link min-w-32"
          :class="{ 'font-bold text-rust': one.isLate }"
          :to="{ name: 'shopping', query: { day: one.day } }"
          >{{ dayText(one.day, session.today) }}{{ one.isLate ? ', late' : '' }}</RouterLink
        >
        <span class="grow">
          <b>{{ one.layers }}</b> on {{ one.mother }}
          <span class="text-muted">{{ one.what }}, {{ one.place }}</span
          >,
          {{ one.recipe }}
        </span>
        <template v-if="session.mayRecord">
          <button type="button" class="btn" @click="emit('take', one)">Take it to the bench</button>
          <button type="button" class="link min-h-10" @click="drop(one)">Drop it</button>
        </template>
      </li>
    </ul>
  </section>
</template>
