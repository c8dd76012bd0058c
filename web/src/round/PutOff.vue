<script setup lang="ts">
import DayField from '@/shared/ui/DayField.vue'
import { computed, ref } from 'vue'
import { addDays, dayText, weekdayText } from '@/shared/dates'
import type { Card } from '@/shared/device/useCards'
import type { NewRecord } from '@/records/newRecord'

/** Not now: on the next round, on the last day it may wait, or on another day. */
const props = defineProps<{ layer: Card; nextRoundOn: string; saving: boolean }>()
const emit = defineEmits<{ keep: [what: NewRecord]; close: [] }>()

/** The server lets nothing be put off for longer. */
const MAX_DAYS = 28
const job = computed(() => props.layer.jobs[0])
const last = computed(() => (job.value && job.value.by > props.layer.asOf ? job.value.by : ''))
const other = ref('')
const days = computed(() => {
  const all: [string, string][] = [[props.nextRoundOn, 'the next round']]
  if (last.value && last.value !== props.nextRoundOn) all.push([last.value, 'the last day it may wait'])
  return all.sort(([a], [b]) => (a < b ? -1 : 1))
})
const tooLate = computed(() => !last.value || props.nextRoundOn > last.value)

function until(day: string): void {
  // all that would bring one here before that day waits with it
  const jobs = props.layer.jobs.filter((one) => one.from < day).map((one) => one.code)
  if (jobs.length && day) emit('keep', { kind: 'DEFERRED', details: { jobs, until: day } })
}
</script>

<template>
  <section v-if="job" class="panel grid gap-3" aria-label="Put it off">
    <h2 class="text-lg">{{ job.label }}: when?</h2>
    <p v-if="tooLate" class="border-l-4 border-rust bg-rust-pale p-2" data-testid="too-late">
      {{
        last
          ? `It may wait only to ${weekdayText(last)} ${dayText(last, layer.asOf)}, before the next round.`
          : 'Its last day is here or past: waiting longer is on your word.'
      }}
    </p>
    <div class="flex flex-wrap gap-2">
      <button
        v-for="[day, words] in days"
        :key="day"
        type="button"
        class="btn flex-col gap-0 py-1"
        :disabled="saving"
        :data-day="day"
        @click="until(day)"
      >
        {{ weekdayText(day) }} {{ dayText(day, layer.asOf) }}
        <span class="text-sm font-normal">{{ words }}</span>
      </button>
    </div>
    <form class="flex flex-wrap items-end gap-2" @submit.prevent="until(other)">
      <DayField
        v-model="other"
        label="Another day"
        ahead
        :min="addDays(layer.asOf, 1)"
        :max="addDays(layer.asOf, MAX_DAYS)"
      />
      <button class="btn" :disabled="saving || !other">Put it off</button>
      <button type="button" class="link min-h-12 px-2" @click="emit('close')">Back</button>
    </form>
  </section>
</template>
