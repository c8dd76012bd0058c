<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { remove, post } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { myCalendar } from '@/shared/api/house'

/** Rounds, windows and single jobs in one's own calendar, at a secret address. */
const session = useSession()
const address = ref('')
const problem = ref<unknown>(null)
const saving = ref(false)
const { data: mine, refetch } = useQuery(myCalendar)

async function run(what: () => Promise<void>): Promise<void> {
  saving.value = true
  problem.value = null
  try {
    await what()
    await refetch()
  } catch (failure) {
    problem.value = failure
  } finally {
    saving.value = false
  }
}
const renew = () =>
  run(async () => {
    address.value = (await post('/api/v1/me/calendar', { body: { replace: true } })).address
  })
const end = () =>
  run(async () => {
    await remove('/api/v1/me/calendar')
    address.value = ''
  })
</script>

<template>
  <section class="mt-8" aria-labelledby="calendar-title">
    <h2 id="calendar-title" class="border-b-2 border-ink pb-1 text-lg">Your calendar</h2>
    <p class="mt-2 max-w-3xl">
      The rounds with what is to be done, the days on which windows open and close, and single jobs like a
      severing, in the calendar that you use anyway. It follows what is recorded here.
    </p>
    <label v-if="address" class="mt-3 grid max-w-3xl gap-1">
      <span class="font-bold">Subscribe to this address; it is shown this once</span>
      <input
        class="input"
        readonly
        :value="address"
        data-testid="calendar-address"
        @focus="($event.target as HTMLInputElement).select()"
      />
    </label>
    <p v-else-if="mine?.madeOn" class="mt-2 text-muted">
      You have an address, made {{ dayText(mine.madeOn, session.today) }}. Whoever has it can read the
      calendar: make a new one if it got into other hands.
    </p>
    <ProblemNote class="mt-2" :problem="problem" @retry="renew" />
    <div v-if="mine" class="mt-3 flex flex-wrap gap-2">
      <button class="btn" :disabled="saving" data-testid="renew-calendar" @click="renew">
        {{ mine.madeOn ? 'Make a new address' : 'Make an address' }}
      </button>
      <button v-if="mine.madeOn" class="btn" :disabled="saving" @click="end">Take it away</button>
    </div>
  </section>
</template>
