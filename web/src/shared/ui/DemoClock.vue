<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { Problem } from '../api/client'
import { addDays, dayText, weekdayText } from '../dates'
import { useSession } from '../session'
import DayField from './DayField.vue'
import { toast } from './toasts'

/** The demo's own day, which can be moved forward. */
const session = useSession()
const queries = useQueryClient()
const busy = ref(false)
const { t } = useI18n()
/** the day that is typed or picked to move to */
const to = ref(session.today)
watch(
  () => session.today,
  (now) => (to.value = now),
)

async function move(to: string): Promise<void> {
  busy.value = true
  try {
    await session.moveClock(to)
    await queries.invalidateQueries()
  } catch (error) {
    toast(error instanceof Problem ? (error.violations[0]?.message ?? error.detail) : String(error))
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2 text-sm" data-testid="demo-clock">
    <span
      ><b>Demo</b> · <span class="hidden sm:inline">{{ weekdayText(session.today) }}&nbsp;</span
      >{{ dayText(session.today, '') }}</span
    >
    <button class="btn min-h-10 px-2" :disabled="busy" @click="move(addDays(session.today, 1))">+ day</button>
    <button class="btn min-h-10 px-2" :disabled="busy" @click="move(addDays(session.today, 7))">
      + week
    </button>
    <DayField
      v-model="to"
      class="hidden xl:grid"
      :label="t('when.moveTo')"
      hide-label
      ahead
      :min="session.today"
      :disabled="busy"
      @settled="$event > session.today && move($event)"
    />
  </div>
</template>
