<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { Problem } from '../api/client'
import { addDays, dayText, weekdayText } from '../dates'
import { useSession } from '../session'
import { toast } from './toasts'

/** The demo's own day, which can be moved forward. */
const session = useSession()
const queries = useQueryClient()
const busy = ref(false)

async function move(to: string): Promise<void> {
  if (!to) return
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
    <label class="hidden items-center gap-1 xl:flex">
      to
      <input
        type="date"
        class="input min-h-10 w-40 px-2"
        :min="session.today"
        :value="session.today"
        :disabled="busy"
        @change="move(($event.target as HTMLInputElement).value)"
      />
    </label>
  </div>
</template>
