<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import BothSides from '@/shared/ui/BothSides.vue'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useEdit } from '@/shared/useEdit'
import { put } from '@/shared/api/client'

const props = defineProps<{ site: Schemas['SiteView'] | null; locked: boolean }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const DAYS: [string, string][] = [
  ['MONDAY', 'Mon'],
  ['TUESDAY', 'Tue'],
  ['WEDNESDAY', 'Wed'],
  ['THURSDAY', 'Thu'],
  ['FRIDAY', 'Fri'],
  ['SATURDAY', 'Sat'],
  ['SUNDAY', 'Sun'],
]
const degrees = (c: number | undefined) => (c === undefined ? '' : typed(c, 'temperature', session.units))

const old = props.site
const { saving, problem, stale, send, error, version, mineCounts } = useEdit<Schemas['SiteView']>(
  old?.version ?? 0,
  save,
)
const name = ref(old?.name ?? '')
const latitude = ref(old ? String(old.latitude) : '')
const zone = ref(old?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone)
const minC = ref(MONTHS.map((_, i) => degrees(old?.minC[i])))
const maxC = ref(MONTHS.map((_, i) => degrees(old?.maxC[i])))
const freezes = ref(old && !old.frosts ? 'no' : 'yes')
const frosts = ref({
  firstAverage: plain(old?.frosts?.firstAverage),
  firstEarly: plain(old?.frosts?.firstEarly),
  lastAverage: plain(old?.frosts?.lastAverage),
  lastLate: plain(old?.frosts?.lastLate),
})
const winterLow = ref(degrees(old?.winterLowC))
const arid = ref(old?.arid ? 'yes' : 'no')
const roundDays = ref<string[]>([...(old?.roundDays ?? ['TUESDAY', 'FRIDAY'])])
const roundMinutes = ref(String(old?.roundMinutes ?? 90))
const fields = [
  ['lastAverage', 'Last frost, on average'],
  ['lastLate', 'Last frost, one year in ten later than'],
  ['firstEarly', 'First frost, one year in ten earlier than'],
  ['firstAverage', 'First frost, on average'],
] as const

function plain(day: string | undefined): string {
  return day?.replace(/^--/, '') ?? ''
}

function number(text: string): number | string {
  return text.trim() !== '' && Number.isFinite(Number(text)) ? Number(text) : text
}

function toggle(day: string): void {
  roundDays.value = roundDays.value.includes(day)
    ? roundDays.value.filter((one) => one !== day)
    : [...roundDays.value, day]
}

const celsius = (text: string) => toSend(text, 'temperature', session.units)

async function save(): Promise<void> {
  const done = await send((commandId) =>
    put('/api/v1/site', {
      body: {
        name: name.value.trim(),
        latitude: number(latitude.value),
        zone: zone.value.trim(),
        minC: minC.value.map(celsius),
        maxC: maxC.value.map(celsius),
        frosts:
          freezes.value === 'yes'
            ? (Object.fromEntries(
                Object.entries(frosts.value).map(([key, day]) => [key, `--${day}`]),
              ) as typeof frosts.value)
            : null,
        winterLowC: toSend(winterLow.value, 'temperature', session.units),
        arid: arid.value === 'yes',
        roundDays: roundDays.value,
        roundMinutes: number(roundMinutes.value),
        version: version.value,
      },
      commandId,
    }),
  )
  if (done) emit('saved')
}
</script>

<template>
  <form class="mt-3" aria-label="Site" @submit.prevent="save">
    <fieldset :disabled="locked" class="grid gap-4">
      <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
        <Field v-model="name" label="Name" :error="error('name')" />
        <Field
          v-model="latitude"
          label="Latitude"
          unit="°"
          :error="error('latitude')"
          hint="South of the equator: below 0"
        />
        <Field v-model="zone" label="Time zone" :error="error('zone')" />
        <Field
          v-model="winterLow"
          :label="$t('house.winterLow')"
          :unit="unitOf('temperature', session.units)"
          :error="error('winterLowC')"
        />
      </div>
      <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Monthly means">
        <table class="w-full min-w-[52rem] border-collapse text-center">
          <caption class="pb-1 text-left font-bold">
            Monthly means,
            {{
              unitOf('temperature', session.units)
            }}
          </caption>
          <thead>
            <tr>
              <td></td>
              <th v-for="month in MONTHS" :key="month" scope="col" class="text-sm font-normal text-muted">
                {{ month }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="[list, label, key] in [
                [maxC, 'Days', 'maxC'],
                [minC, 'Nights', 'minC'],
              ] as const"
              :key="label"
            >
              <th scope="row" class="pr-2 text-left font-normal text-muted">{{ label }}</th>
              <td v-for="(month, i) in MONTHS" :key="month" class="p-0.5">
                <input
                  v-model="list[i]"
                  class="input px-1 text-center"
                  :aria-label="`${label}, ${month}`"
                  :aria-invalid="error(`${key}[${i}]`) ? 'true' : undefined"
                />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <Choice
        v-model="arid"
        label="Is there dew on clear nights?"
        :options="[
          ['no', 'Yes'],
          ['yes', 'No: it is arid'],
        ]"
      />
      <Choice
        v-model="freezes"
        label="Does it freeze?"
        :options="[
          ['yes', 'Yes'],
          ['no', 'Never'],
        ]"
      />
      <div v-if="freezes === 'yes'" class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
        <Field
          v-for="[key, label] in fields"
          :key="key"
          v-model="frosts[key]"
          :label="label"
          :error="error(key)"
          hint="month-day, like 10-20"
        />
      </div>
      <div class="flex flex-wrap items-end gap-4">
        <div role="group" aria-label="Round days">
          <p class="mb-1 font-bold" aria-hidden="true">Round days</p>
          <div class="flex flex-wrap gap-1.5">
            <button
              v-for="[code, text] in DAYS"
              :key="code"
              type="button"
              class="chip"
              :aria-pressed="roundDays.includes(code)"
              @click="toggle(code)"
            >
              {{ text }}
            </button>
          </div>
        </div>
        <Field v-model="roundMinutes" label="Minutes for a round" unit="min" :error="error('roundMinutes')" />
      </div>
      <ProblemNote :problem="problem" @retry="save" />
      <BothSides v-if="stale" @mine="mineCounts"
        >{{ stale.name }}, latitude {{ stale.latitude }}, {{ stale.roundMinutes }} minutes a round</BothSides
      >
      <div v-if="!locked">
        <button class="btn btn-main" :disabled="saving" data-testid="save-site">Save the site</button>
      </div>
    </fieldset>
  </form>
</template>
