<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { type Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TrialForm from './TrialForm.vue'
import { allTrials } from '@/shared/api/trials'

/** What do we want to find out? */
const session = useSession()
const router = useRouter()
const { data: trials, error, refetch } = useQuery(allTrials)
const beginning = ref(false)

function begun(trial: Schemas['TrialPage']): void {
  void refetch()
  void router.push({ name: 'trial', params: { id: String(trial.line.id) } })
}
</script>

<template>
  <div class="flex flex-wrap items-center justify-between gap-3">
    <h1 class="text-2xl">Trials</h1>
    <button
      v-if="session.mayRecord && !beginning"
      class="btn btn-main"
      data-testid="begin-trial"
      @click="beginning = true"
    >
      Begin a trial
    </button>
  </div>
  <TrialForm v-if="beginning" class="mt-4" @begun="begun" @close="beginning = false" />
  <ProblemNote class="mt-3" :problem="error" @retry="refetch()" />
  <p v-if="trials && !trials.length && !beginning" class="panel mt-4">
    No trial yet. Two recipes that differ in one thing, dealt fairly over the same mothers, show which of them
    works here.
  </p>
  <ul class="mt-4">
    <li v-for="one in trials" :key="one.id" class="border-t border-line py-3">
      <p>
        <RouterLink class="link font-bold" :to="{ name: 'trial', params: { id: String(one.id) } }">{{
          one.name
        }}</RouterLink>
        <span class="text-muted"
          >, begun {{ dayText(one.madeOn, session.today)
          }}<template v-if="one.closedOn">, closed {{ dayText(one.closedOn, session.today) }}</template></span
        >
      </p>
      <p>{{ one.question }}</p>
      <p class="text-muted">
        {{ one.arms.map((arm) => `${arm.letter}: ${arm.recipe}`).join(' · ') }} · {{ one.set }} of
        {{ one.places }} set
      </p>
    </li>
  </ul>
</template>
