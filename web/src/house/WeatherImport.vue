<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { dayText } from '@/shared/dates'
import { show } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { toast } from '@/shared/ui/toasts'
import { useCommand } from '@/shared/useCommand'
import { post } from '@/shared/api/client'

/** A file of measured days: looked through first, then taken whole or not at all. */
defineProps<{ today: string }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const MAX_BYTES = 900_000
const name = ref('')
const csv = ref('')
const unreadable = ref('')
const preview = ref<Schemas['ImportPreview'] | null>(null)
const looking = useCommand<Schemas['ImportPreview']>()
const taking = useCommand<Schemas['Imported']>()
const degrees = (c: number) => show(c, 'temperature', session.units)

async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  preview.value = null
  unreadable.value = ''
  if (!file) return
  name.value = file.name
  if (file.size > MAX_BYTES) {
    unreadable.value = `${file.name} has ${Math.ceil(file.size / 1000)} kB; up to ${MAX_BYTES / 1000} kB can be taken at once, about 80 years of days. Split it.`
    return
  }
  try {
    csv.value = new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer())
  } catch {
    unreadable.value = `${file.name} is not in UTF-8. Save it as “CSV UTF-8” and choose it again.`
    return
  }
  preview.value = await looking.ask((commandId) =>
    post('/api/v1/weather/import-previews', { body: { csv: csv.value, replace: false }, commandId }),
  )
}

async function take(): Promise<void> {
  const done = await taking.send((commandId) =>
    post('/api/v1/weather/imports', {
      body: {
        csv: csv.value,
        replace: (preview.value?.overlapping ?? 0) > 0,
      },
      commandId,
    }),
  )
  if (!done) return
  toast(`${done.days} days taken in, ${done.replaced} of them in place of others.`)
  emit('saved')
}
</script>

<template>
  <section class="panel grid gap-3" aria-label="Weather from a file">
    <label class="grid gap-1">
      <span class="font-bold">A CSV file with the columns date, min_c, max_c</span>
      <span class="eyebrow">
        and, if you have them, wind_ms and rain_mm; dates like 2026-07-10, numbers with a point. Nothing is
        written before you have seen it.
      </span>
      <input
        type="file"
        accept=".csv,text/csv"
        class="file-input"
        data-testid="weather-file"
        @change="choose"
      />
    </label>
    <p v-if="unreadable" role="alert" class="border-l-4 border-rust bg-rust-pale p-3">{{ unreadable }}</p>
    <ProblemNote :problem="looking.problem.value" />
    <template v-if="preview">
      <p v-if="preview.badRows" role="alert" class="font-bold text-rust" data-testid="bad-rows">
        {{ preview.badRows === 1 ? 'One line' : `${preview.badRows} lines` }} of {{ name }} can’t be taken, so
        nothing will be. Mend them and choose the file again.
      </p>
      <ul v-if="preview.bad.length" class="max-h-60 overflow-y-auto" tabindex="0" aria-label="What is wrong">
        <li v-for="bad in preview.bad" :key="`${bad.line}${bad.column}${bad.message}`">
          <b
            >Line {{ bad.line }}<template v-if="bad.column">, {{ bad.column }}</template></b
          ><template v-if="bad.value"> (“{{ bad.value }}”)</template>: {{ bad.message }}
        </li>
      </ul>
      <template v-if="!preview.badRows">
        <p data-testid="import-preview">
          {{ preview.days }} days, from {{ dayText(preview.first, today) }} to
          {{ dayText(preview.last, today) }}.
          <template v-if="preview.overlapping">
            <b>{{ preview.overlapping }} of them are there already with other figures:</b>
          </template>
        </p>
        <ul
          v-if="preview.overlaps.length"
          class="max-h-60 overflow-y-auto"
          tabindex="0"
          aria-label="Days that change"
        >
          <li v-for="one in preview.overlaps" :key="one.on">
            {{ dayText(one.on, today) }}: {{ degrees(one.minNowC) }} to {{ degrees(one.maxNowC) }} →
            {{ degrees(one.minNewC) }} to {{ degrees(one.maxNewC) }}
          </li>
        </ul>
        <ProblemNote :problem="taking.problem.value" @retry="take" />
        <div>
          <button
            class="btn btn-main"
            :disabled="taking.saving.value"
            data-testid="take-weather"
            @click="take"
          >
            {{ preview.overlapping ? 'Take it, and replace those' : 'Take it' }}
          </button>
        </div>
      </template>
    </template>
  </section>
</template>
