<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import BallMade from '@/records/BallMade.vue'
import Choice from '@/shared/ui/Choice.vue'
import type { BenchRow } from './useBench'

/** What is rarely said of a branch: its ball as it was wrapped, its stem, and what the piece is wanted for. */
const props = defineProps<{
  row: BenchRow
  asked: Schemas['RingAndBall'] | null
  error: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [part: Partial<BenchRow>] }>()
const { t } = useI18n()
const ball = computed({
  get: () => ({
    volumeMl: props.row.volume,
    lengthMm: props.row.length,
    acrossMm: props.row.across,
    tie: props.row.tie,
  }),
  set: (now: Record<string, unknown> | null) =>
    emit('change', {
      volume: String(now?.volumeMl ?? ''),
      length: String(now?.lengthMm ?? ''),
      across: String(now?.acrossMm ?? ''),
      tie: String(now?.tie ?? ''),
    }),
})
const YES_NO = computed<[string, string][]>(() => [
  ['NO', t('notSaid.no')],
  ['YES', t('notSaid.yes')],
])
const yesNo = (is: boolean) => (is ? 'YES' : 'NO')
</script>

<template>
  <div class="grid gap-3 border-l-4 border-line pl-3" data-testid="row-more">
    <BallMade v-model="ball" :asked="asked" :error="error" />
    <div class="flex flex-wrap gap-x-8 gap-y-3">
      <Choice
        :model-value="row.hollow"
        :label="t('made.hollow')"
        :options="[...YES_NO, ['', t('notSaid.option')]]"
        @update:model-value="emit('change', { hollow: $event })"
      />
      <Choice
        :model-value="yesNo(row.specimen)"
        :label="t('made.specimen')"
        :options="YES_NO"
        @update:model-value="emit('change', { specimen: $event === 'YES' })"
      />
      <Choice
        :model-value="yesNo(row.fruitToKeep)"
        :label="t('made.fruitToKeep')"
        :options="YES_NO"
        @update:model-value="emit('change', { fruitToKeep: $event === 'YES' })"
      />
    </div>
  </div>
</template>
