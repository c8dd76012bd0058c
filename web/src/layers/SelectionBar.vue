<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOutbox } from '@/shared/device/outbox'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useMediaQuery } from '@/shared/useMediaQuery'
import { toast } from '@/shared/ui/toasts'
import { CAUSES, COVERS, WORKS } from '@/shared/words'

/** The same done to all that are ticked: all of them, or none. */
const props = defineProps<{ codes: string[] }>()
const emit = defineEmits<{ done: [] }>()
const outbox = useOutbox()
const KINDS_FOR_MANY: [string, string][] = [
  ['TOPPED_UP', 'Topped up, each with what it had lost'],
  ['TENDED', 'Other work'],
  ['NOTED', 'A note'],
  ['LOST', 'Lost'],
]
const kind = ref('TOPPED_UP')
const work = ref('COVER')
const cover = ref('FOIL')
const cause = ref('DRIED')
const note = ref('')
/** on a phone the list is not pushed away before one wants to do something with it */
const wide = useMediaQuery('(min-width: 640px)')
const opened = ref(false)
const saving = ref(false)
const problem = ref<unknown>(null)
const details = computed<Record<string, unknown>>(() => {
  if (kind.value === 'TENDED') return { work: work.value, cover: work.value === 'COVER' ? cover.value : null }
  return kind.value === 'LOST' ? { cause: cause.value } : {}
})

async function record(): Promise<void> {
  saving.value = true
  problem.value = null
  const outcome = await outbox
    .record({ codes: props.codes, kind: kind.value, details: details.value, note: note.value.trim() })
    .finally(() => (saving.value = false))
  if (outcome && 'problem' in outcome) {
    problem.value = outcome.problem
    return
  }
  toast(`${props.codes.length} layers: ${outcome ? 'kept' : 'kept on this device, sent later'}.`)
  note.value = ''
  emit('done')
}
</script>

<template>
  <div
    v-if="!wide && !opened"
    class="sticky top-0 z-[5] flex items-center gap-2 border border-bark bg-card p-2"
    data-testid="selection"
  >
    <p class="grow">
      <b>{{ codes.length }}</b> ticked
    </p>
    <button type="button" class="btn btn-main" @click="opened = true">Act on them</button>
    <button type="button" class="link min-h-12 px-2" @click="emit('done')">None</button>
  </div>
  <form
    v-else
    class="z-[5] grid sm:sticky sm:top-0 gap-3 border border-bark bg-card p-3 sm:flex sm:flex-wrap sm:items-end"
    aria-label="With the ticked layers"
    data-testid="selection"
    @submit.prevent="record"
  >
    <p class="min-h-12 content-center">
      <b>{{ codes.length }}</b> ticked
    </p>
    <PickOne v-model="kind" label="Record for all" :options="KINDS_FOR_MANY" />
    <PickOne v-if="kind === 'TENDED'" v-model="work" label="Work" :options="WORKS" />
    <PickOne
      v-if="kind === 'TENDED' && work === 'COVER'"
      v-model="cover"
      label="New cover"
      :options="COVERS"
    />
    <PickOne v-if="kind === 'LOST'" v-model="cause" label="Why" :options="CAUSES" />
    <label class="grid grow gap-1">
      <span class="font-bold">Note</span>
      <input v-model="note" class="input" maxlength="1000" :required="kind === 'NOTED'" />
    </label>
    <button class="btn btn-main" :disabled="saving" data-testid="record-selection">Keep</button>
    <RouterLink class="btn" :to="{ name: 'labels', query: { codes: codes.join(',') } }"
      >Print labels</RouterLink
    >
    <button type="button" class="link min-h-12 px-2" @click="emit('done')">None</button>
    <ProblemNote :problem="problem" class="basis-full" />
  </form>
</template>
