<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'

/** Every rule that was asked, what would change the step, and what it will be by itself. */
defineProps<{
  rules: Schemas['RuleWords'][]
  coming: string | null | undefined
  changes: Schemas['ChangeWords'][]
  today: string
}>()
</script>

<template>
  <div class="grid gap-3 text-sm">
    <ol class="grid gap-1" data-testid="reasons">
      <li
        v-for="rule in rules"
        :key="rule.rule"
        :class="rule.applied ? 'font-bold' : ''"
        :data-rule="rule.rule"
      >
        {{ rule.question }} <span>{{ rule.answer }}</span>
        <span class="font-normal"> ({{ rule.read.join('; ') }})</span>
      </li>
    </ol>
    <p v-if="coming" data-testid="coming">{{ coming }}</p>
    <div v-if="changes.length" data-testid="changes">
      <p class="font-bold">What would change it</p>
      <ul class="grid gap-1">
        <li v-for="change in changes" :key="change.sentence">
          {{ change.sentence }}
          <span class="text-muted">
            {{
              !change.earliest
                ? 'Not within a year.'
                : change.earliest === today
                  ? 'Possible today.'
                  : `Not before ${dayText(change.earliest, today)}.`
            }}
          </span>
        </li>
      </ul>
    </div>
  </div>
</template>
