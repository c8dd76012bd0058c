<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useMediaQuery } from '@/shared/useMediaQuery'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, type Schemas } from '@/shared/api/client'
import { dayText, weekdayText } from '@/shared/dates'
import { useKeys } from '@/shared/useKeys'
import { capital } from '@/shared/words'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import LayerView from '@/layers/LayerView.vue'

/** What do I do now, where, in what order? */
const route = useRoute()
const router = useRouter()
const wide = useMediaQuery('(min-width: 1024px)')
const { data, error, refetch, isPending } = useQuery({
  queryKey: ['round'],
  queryFn: () => api<Schemas['RoundView']>('GET', '/round'),
})
const jobs = computed(() => data.value?.places.flatMap((place) => place.jobs) ?? [])
const at = computed(() => {
  const asked = String(route.query.at ?? '')
  return jobs.value.some((job) => job.code === asked) ? asked : (jobs.value[0]?.code ?? '')
})

function open(code: string): void {
  if (wide.value) void router.replace({ query: { at: code } })
  else void router.push({ name: 'layer', params: { code } })
}

function step(by: number): void {
  const next = jobs.value[jobs.value.findIndex((job) => job.code === at.value) + by]
  if (next) open(next.code)
}
useKeys([
  { key: 'j', words: 'The next one on the round', run: () => step(1) },
  { key: 'k', words: 'The one before', run: () => step(-1) },
])

function due(job: Schemas['RoundJob']): string {
  if (job.daysLate > 0) return job.daysLate === 1 ? '1 day late' : `${job.daysLate} days late`
  if (job.by === data.value?.today) return 'due today'
  return `by ${dayText(job.by, data.value?.today ?? '')}`
}
</script>

<template>
  <ProblemNote :problem="error" @retry="refetch()" />
  <p v-if="isPending" role="status" class="text-muted">Looking what is due…</p>
  <div v-if="data" class="lg:grid lg:grid-cols-[20rem_minmax(0,1fr)] lg:gap-6">
    <section aria-labelledby="round-title">
      <h1 id="round-title" class="text-2xl">
        {{ data.roundDay ? `${weekdayText(data.today)}’s round` : 'Before the next round' }}
      </h1>
      <p class="mt-1 text-muted">
        {{ jobs.length }} to do · about {{ Math.ceil(data.minutes) }} of {{ data.roundMinutes }} min ·
        {{ data.later }} can wait to {{ weekdayText(data.nextRoundOn) }}
        {{ dayText(data.nextRoundOn, data.today) }} or longer
      </p>
      <div v-if="!jobs.length" class="panel mt-4">
        <p class="font-bold">Nothing is due.</p>
        <p class="mt-1">
          Everything can wait for {{ weekdayText(data.nextRoundOn) }}.
          <RouterLink class="link" :to="{ name: 'bench' }">Set layers on the Bench</RouterLink> or
          <RouterLink class="link" :to="{ name: 'layers' }">go through all layers</RouterLink>.
        </p>
      </div>
      <div v-for="place in data.places" :key="place.placeId" class="mt-5">
        <h2 class="border-b-2 border-ink pb-1 text-base">{{ place.place }}</h2>
        <ul>
          <li v-for="job in place.jobs" :key="job.code">
            <button
              class="flex min-h-14 w-full cursor-pointer items-center gap-3 border-b border-l-4 border-b-line py-2 pr-1 pl-2 text-left"
              :class="wide && job.code === at ? 'border-l-lichen bg-card' : 'border-l-transparent'"
              :aria-current="wide && job.code === at ? 'true' : undefined"
              data-testid="job"
              @click="open(job.code)"
            >
              <b class="w-18 shrink-0 whitespace-nowrap">{{ job.code }}</b>
              <span class="grow">
                {{ capital(job.species) }}: {{ job.label.toLowerCase() }}
                <span v-if="job.alsoDo.length" class="block text-sm text-muted"
                  >also: {{ job.alsoDo.join(', ').toLowerCase() }}</span
                >
              </span>
              <span
                class="shrink-0 text-right text-sm"
                :class="job.daysLate ? 'font-bold text-rust' : 'text-muted'"
                >{{ due(job) }}</span
              >
            </button>
          </li>
        </ul>
      </div>
    </section>
    <section v-if="wide && at" aria-label="The layer" class="min-w-0 border-l border-line pl-6">
      <LayerView :key="at" :code="at" />
    </section>
  </div>
</template>
