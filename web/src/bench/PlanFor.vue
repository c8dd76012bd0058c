<script setup lang="ts">
import type { Batch } from '@/shared/device/outbox'
import { ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { useSession } from '@/shared/session'
import DayField from '@/shared/ui/DayField.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useCommand } from '@/shared/useCommand'
import { post } from '@/shared/api/client'

/** Keeps what stands on the bench for another day. */
const props = defineProps<{ body: Batch }>()
const emit = defineEmits<{ planned: [] }>()
const session = useSession()
const { saving, problem, send, error } = useCommand<Schemas['Planned']>()
const open = ref(false)
const day = ref(session.today)

async function plan(): Promise<void> {
  const kept = await send((commandId) =>
    post('/api/v1/planned-batches', { body: { day: day.value, batch: props.body }, commandId }),
  )
  if (!kept) return
  open.value = false
  toast(`Planned for ${dayText(kept.day, session.today)}.`)
  emit('planned')
}
</script>

<template>
  <button v-if="!open" type="button" class="btn" data-testid="plan" @click="open = true">
    Plan it for a day
  </button>
  <div v-else class="grid gap-2">
    <div class="flex flex-wrap items-end gap-2">
      <DayField
        v-model="day"
        ahead
        label="To be set on"
        :error="error('day')"
        @keydown.enter.prevent="plan"
      />
      <button type="button" class="btn" :disabled="saving" data-testid="save-plan" @click="plan">
        Plan it
      </button>
      <button type="button" class="btn" @click="open = false">Back</button>
    </div>
    <ProblemNote :problem="problem" @retry="plan" />
  </div>
</template>
