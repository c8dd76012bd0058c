<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { computed, ref } from 'vue'
import { dayText } from '@/shared/dates'
import { useOutbox } from '@/shared/device/outbox'
import type { Card } from '@/shared/device/useCards'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import { toast } from '@/shared/ui/toasts'
import { onDay } from '@/records/newRecord'
import Choice from '@/shared/ui/Choice.vue'
import { capital, KINDS, SHELTERS, WORKS } from '@/shared/words'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StemThumb from '@/stem/StemThumb.vue'
import type { JobOnRound } from './useWalk'

/** What is to do at one place, and the same done to all of it at once. */
const { t } = useI18n()
const props = defineProps<{
  place: string
  jobs: JobOnRound[]
  cards: ReadonlyMap<string, Card>
  today: string
  at: string
  skipped: ReadonlySet<string>
  /** the day on which the round was walked, where it is typed from paper; empty for today */
  day: string | null
}>()
const emit = defineEmits<{ open: [code: string] }>()
const session = useSession()
const outbox = useOutbox()
const asked = ref('')
const saving = ref(false)
const problem = ref<unknown>(null)

/** What many are potted into: the others want a reason each. */
const MANY_MEDIA: [string, string][] = [
  ['LIGHT_MIX', t('many.LIGHT_MIX')],
  ['MOSS_STAGE', t('many.MOSS_STAGE')],
]
const shelter = ref('')
const medium = ref('')
const notSaid: [string, string] = ['', t('notSaid.option')]

/** The record that a job of many makes. */
function kindOf(job: string): 'TOPPED_UP' | 'SEVERED' | 'POTTED' | 'TENDED' {
  if (job === 'TOP_UP') return 'TOPPED_UP'
  if (job.startsWith('SEVER')) return 'SEVERED'
  return job === 'POT_UP' ? 'POTTED' : 'TENDED'
}

function detailsOf(job: string): Record<string, unknown> {
  switch (kindOf(job)) {
    case 'SEVERED':
      return { shelter: shelter.value || null }
    case 'POTTED':
      return { medium: medium.value || null }
    case 'TENDED':
      return { work: job, cover: null }
    default:
      return {}
  }
}

/** Work that is the same for each, with two layers or more that want it. */
const alike = computed(() => {
  const byJob = new Map<string, JobOnRound[]>()
  for (const job of props.jobs)
    if (kindOf(job.job) !== 'TENDED' || WORKS.some(([code]) => code === job.job))
      byJob.set(job.job, [...(byJob.get(job.job) ?? []), job])
  return [...byJob.entries()].filter(([, jobs]) => jobs.length > 1)
})

function water(jobs: JobOnRound[]): string {
  const all = jobs.map((job) => props.cards.get(job.code)?.suggested.waterMl)
  return all.every((one) => one !== undefined)
    ? show(
        all.reduce((sum: number, one) => sum + Math.round(one ?? 0), 0),
        'volume',
        session.units,
      )
    : ''
}

async function recordAll(job: string, jobs: JobOnRound[]): Promise<void> {
  saving.value = true
  problem.value = null
  const kind = kindOf(job)
  const what = onDay({ kind, details: detailsOf(job) }, props.day, props.today)
  const outcome = await outbox
    .record({ ...what, codes: jobs.map((one) => one.code) })
    .finally(() => (saving.value = false))
  if (outcome && 'problem' in outcome) problem.value = outcome.problem
  else {
    asked.value = ''
    toast(`${KINDS[kind]}, ${jobs.length} layers: ${outcome ? 'kept' : 'kept here, sent later'}.`)
  }
}

function stem(code: string) {
  const card = props.cards.get(code)
  return card && { ...card, severed: card.plant !== null }
}

function due(job: JobOnRound): string {
  if (job.daysLate > 0) return t('late', job.daysLate)
  return job.by === props.today ? 'due today' : `may wait to ${dayText(job.by, props.today)}`
}
</script>

<template>
  <section class="mt-5" :aria-label="place" data-testid="place">
    <div class="flex items-baseline justify-between border-b-2 border-ink pb-1">
      <h2 class="text-base">{{ place }}</h2>
      <span class="text-sm text-muted">{{ jobs.length }}</span>
    </div>
    <div v-for="[job, some] in session.mayRecord ? alike : []" :key="job" class="border-b border-line py-2">
      <button
        v-if="asked !== job"
        type="button"
        class="btn w-full"
        :data-testid="`all-${job}`"
        @click="asked = job"
      >
        {{ some[0]!.label }}: all {{ some.length }} here
      </button>
      <div v-else class="grid gap-2">
        <p>
          <b>{{ some[0]!.label }}, {{ some.length }} layers:</b> {{ some.map((one) => one.code).join(', ')
          }}<template v-if="job === 'TOP_UP' && water(some)">; {{ water(some) }} of water in all</template>.
        </p>
        <Choice
          v-if="kindOf(job) === 'SEVERED'"
          v-model="shelter"
          :label="t('many.shelter')"
          :options="[...SHELTERS, notSaid]"
        />
        <Choice
          v-if="kindOf(job) === 'POTTED'"
          v-model="medium"
          :label="t('many.medium')"
          :options="[...MANY_MEDIA, notSaid]"
        />
        <p v-if="kindOf(job) === 'SEVERED' || kindOf(job) === 'POTTED'" class="eyebrow">
          {{ t('many.each') }}
        </p>
        <div class="flex gap-2">
          <button
            type="button"
            class="btn btn-main"
            :disabled="saving || day === null"
            data-testid="record-all"
            @click="recordAll(job, some)"
          >
            All done
          </button>
          <button type="button" class="btn" @click="asked = ''">Back</button>
        </div>
      </div>
    </div>
    <ProblemNote :problem="problem" />
    <ul>
      <li v-for="job in jobs" :key="job.code">
        <button
          class="flex min-h-14 w-full cursor-pointer items-center gap-3 border-b border-l-4 border-b-line py-2 pr-1 pl-2 text-left"
          :class="job.code === at ? 'border-l-lichen bg-card' : 'border-l-transparent'"
          :aria-current="job.code === at ? 'true' : undefined"
          data-testid="job"
          @click="emit('open', job.code)"
        >
          <StemThumb :stem="stem(job.code)" />
          <span class="grow">
            <b class="block whitespace-nowrap">{{ job.code }}</b>
            {{ capital(job.species) }}: {{ job.label.toLowerCase() }}
            <span v-if="job.alsoDo.length" class="block text-sm text-muted"
              >also: {{ job.alsoDo.join(', ').toLowerCase() }}</span
            >
          </span>
          <span
            class="shrink-0 text-right text-sm"
            :class="job.daysLate ? 'font-bold text-rust' : 'text-muted'"
            >{{ due(job)
            }}<span v-if="skipped.has(job.code)" class="block font-bold text-ink">skipped</span></span
          >
        </button>
      </li>
    </ul>
  </section>
</template>
