<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { type Schemas, put } from '@/shared/api/client'
import { addDays, dayText } from '@/shared/dates'
import { fromSi, toSend, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import DayField from '@/shared/ui/DayField.vue'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import WeatherImport from './WeatherImport.vue'
import { weatherAround } from '@/shared/api/house'

/** What the weather was and is to be: read from a station, typed in, or taken from a file. */
const props = defineProps<{ today: string }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const weather = useQuery(weatherAround(() => props.today))
const KINDS: Record<string, string> = {
  MEASURED: 'measured',
  FORECAST: 'forecast',
  NORMAL: 'by the monthly means',
}
const measuredTo = computed(() =>
  weather.data.value?.days
    .filter((day) => day.kind === 'MEASURED')
    .map((day) => day.on)
    .at(-1),
)
const degrees = (c: number) =>
  `${fromSi(c, 'temperature', session.units).toFixed(1)} ${unitOf('temperature', session.units)}`

const on = ref(addDays(props.today, -1))
const min = ref('')
const max = ref('')
const wind = ref('')
const rain = ref('')
const typing = ref(false)
const importing = ref(false)
const { saving, problem, send, error } = useCommand<Schemas['DayView']>()

function number(text: string): number | string | null {
  const typed = text.trim()
  return typed === '' ? null : Number.isFinite(Number(typed)) ? Number(typed) : typed
}

async function save(): Promise<void> {
  const done = await send((commandId) =>
    put('/api/v1/weather/{day}', {
      path: { day: on.value },
      body: {
        minC: toSend(min.value, 'temperature', session.units),
        maxC: toSend(max.value, 'temperature', session.units),
        windMs: number(wind.value),
        rainMm: number(rain.value),
      },
      commandId,
    }),
  )
  if (!done) return
  on.value = addDays(on.value, 1) > props.today ? on.value : addDays(on.value, 1)
  min.value = max.value = wind.value = rain.value = ''
  emit('saved')
}

function imported(): void {
  importing.value = false
  emit('saved')
}
</script>

<template>
  <section aria-labelledby="weather-title" class="max-w-4xl">
    <h2 id="weather-title" class="border-b-2 border-ink pb-1 text-lg">Weather</h2>
    <p class="mt-2 max-w-prose">
      Dates are reckoned on measured days, then on the forecast, then on the monthly means.
      <template v-if="weather.data.value?.station">
        A station gives it by itself: here a simulated one.</template
      >
      <template v-else-if="measuredTo"> Measured up to {{ dayText(measuredTo, today) }}.</template>
      <template v-else> Nothing has been measured lately, so the means stand in.</template>
    </p>
    <ProblemNote :problem="weather.error.value" @retry="weather.refetch()" />
    <div
      v-if="weather.data.value"
      class="mt-3 overflow-x-auto"
      tabindex="0"
      role="region"
      aria-label="Weather day by day"
    >
      <table class="w-full min-w-[40rem] border-collapse text-left tabular-nums">
        <thead>
          <tr class="text-sm text-muted">
            <th scope="col" class="font-normal">Day</th>
            <th scope="col" class="font-normal">Night</th>
            <th scope="col" class="font-normal">Day’s high</th>
            <th scope="col" class="font-normal">Wind</th>
            <th scope="col" class="font-normal">Rain</th>
            <th scope="col" class="font-normal">How it is known</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="day in weather.data.value.days"
            :key="day.on"
            class="border-t border-line"
            :class="{ 'bg-sap-pale font-bold': day.on === today }"
          >
            <th scope="row" class="py-1 font-normal">
              {{ dayText(day.on, today) }}<template v-if="day.on === today">, today</template>
            </th>
            <td>{{ degrees(day.minC) }}</td>
            <td>{{ degrees(day.maxC) }}</td>
            <td>{{ day.windMs == null ? '–' : `${day.windMs} m/s` }}</td>
            <td>{{ day.rainMm == null ? '–' : `${day.rainMm} mm` }}</td>
            <td :class="day.kind === 'MEASURED' ? '' : 'text-muted'">{{ KINDS[day.kind] }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="session.mayRecord" class="mt-3 flex flex-wrap gap-2">
      <button class="btn" :aria-expanded="typing" @click="typing = !typing">Type in a day</button>
      <button class="btn" :aria-expanded="importing" @click="importing = !importing">Take from a file</button>
    </div>
    <form v-if="typing" class="panel mt-3 grid gap-4" aria-label="A day's weather" @submit.prevent="save">
      <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-5">
        <DayField v-model="on" label="Day" :error="error('day')" />
        <Field
          v-model="min"
          label="Night"
          :unit="unitOf('temperature', session.units)"
          :error="error('minC')"
        />
        <Field
          v-model="max"
          label="Day’s high"
          :unit="unitOf('temperature', session.units)"
          :error="error('maxC')"
        />
        <Field v-model="wind" label="Wind" unit="m/s" hint="if you know it" :error="error('windMs')" />
        <Field v-model="rain" label="Rain" unit="mm" hint="if you know it" :error="error('rainMm')" />
      </div>
      <ProblemNote :problem="problem" @retry="save" />
      <div><button class="btn btn-main" :disabled="saving" data-testid="save-day">Keep the day</button></div>
    </form>
    <WeatherImport v-if="importing" class="mt-3" :today="today" @saved="imported" />
  </section>
</template>
