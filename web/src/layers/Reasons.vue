<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { ref } from 'vue'
import { dayText } from '@/shared/dates'

/** Every rule that was asked, what would change the step, and what it will be by itself. */
defineProps<{
  rules: Schemas['RuleWords'][]
  coming: string | null | undefined
  changes: Schemas['ChangeWords'][]
  today: string
}>()
const all = ref(false)
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
        <span v-if="all || rule.applied" class="font-normal"> ({{ rule.read.join('; ') }})</span>
      </li>
    </ol>
    <div>
      <button class="link -my-2 min-h-12" :aria-expanded="all" data-testid="all-read" @click="all = !all">
        {{ all ? 'Only what decided' : 'What each of them read' }}
      </button>
    </div>
    <p v-if="coming" data-testid="coming">{{ coming }}</p>
    <div v-if="changes.length" data-testid="changes">
      <p class="font-bold">What would change it</p>
      <ul class="grid gap-x-6 gap-y-1 lg:grid-cols-2">
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
