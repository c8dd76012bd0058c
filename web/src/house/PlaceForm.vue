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
import { post, put } from '@/shared/api/client'

const props = defineProps<{ place: Schemas['PlaceView'] | null; nextOrder: number }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()
const old = props.place
const { saving, problem, stale, send, error, version, mineCounts } = useEdit<Schemas['PlaceView']>(
  old?.version ?? 0,
  save,
)

const name = ref(old?.name ?? '')
const order = ref(String(old?.walkingOrder ?? props.nextOrder))
const exposure = ref<string>(old?.exposure ?? 'PART')
const minShift = ref(typed(old?.minShiftC ?? 0, 'temperatureShift', session.units))
const maxShift = ref(typed(old?.maxShiftC ?? 0, 'temperatureShift', session.units))
const vpd = ref(String(old?.vpdFactor ?? 1))
const frosts = ref<string>(old?.frosts ?? 'SITE')
const own = ref({
  lastAverage: (old?.ownFrosts?.lastAverage ?? '--04-15').slice(2),
  lastLate: (old?.ownFrosts?.lastLate ?? '--05-10').slice(2),
  firstEarly: (old?.ownFrosts?.firstEarly ?? '--10-20').slice(2),
  firstAverage: (old?.ownFrosts?.firstAverage ?? '--11-10').slice(2),
})
const stand = ref<string>(old?.stand ?? 'OPEN')
const winterLow = ref(typed(old?.winterLowC ?? -4, 'temperature', session.units))

function number(text: string): number | string {
  return text.trim() !== '' && Number.isFinite(Number(text)) ? Number(text) : text
}

async function save(): Promise<void> {
  const body = {
    id: old?.id ?? null,
    name: name.value.trim(),
    walkingOrder: number(order.value),
    exposure: exposure.value,
    minShiftC: toSend(minShift.value, 'temperatureShift', session.units),
    maxShiftC: toSend(maxShift.value, 'temperatureShift', session.units),
    vpdFactor: number(vpd.value),
    frosts: frosts.value,
    ownFrosts:
      frosts.value === 'OWN'
        ? (Object.fromEntries(
            Object.entries(own.value).map(([key, day]) => [key, `--${day}`]),
          ) as typeof own.value)
        : null,
    winterLowC: toSend(winterLow.value, 'temperature', session.units),
    stand: stand.value,
    version: version.value,
  }
  const done = old
    ? await send((commandId) =>
        put('/api/v1/places/{placeId}', { path: { placeId: old.id }, body, commandId }),
      )
    : await send((commandId) => post('/api/v1/places', { body, commandId }))
  if (done) emit('saved')
}
</script>

<template>
  <form class="panel grid gap-4" aria-label="Place" @submit.prevent="save">
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field v-model="name" label="Name" :error="error('name')" />
      <Field v-model="order" label="Turn on the walk" :error="error('walkingOrder')" />
      <Field
        v-model="minShift"
        label="Nights warmer than the site by"
        :unit="unitOf('temperature', session.units)"
        :error="error('minShiftC')"
      />
      <Field
        v-model="maxShift"
        label="Days warmer than the site by"
        :unit="unitOf('temperature', session.units)"
        :error="error('maxShiftC')"
      />
      <Field v-model="vpd" label="Dryness of the air, times the site’s" :error="error('vpdFactor')" />
      <Field
        v-model="winterLow"
        :label="$t('house.winterLow')"
        :unit="unitOf('temperature', session.units)"
        :error="error('winterLowC')"
      />
    </div>
    <Choice
      v-model="exposure"
      label="Sun"
      :options="[
        ['SHADE', 'Shade'],
        ['PART', 'Part'],
        ['FULL', 'Full sun'],
      ]"
    />
    <Choice
      v-model="stand"
      label="Wind"
      :options="[
        ['COVERED', 'None: under a tunnel'],
        ['SHELTERED', 'Sheltered'],
        ['OPEN', 'Open'],
      ]"
    />
    <Choice
      v-model="frosts"
      label="Frosts"
      :options="[
        ['SITE', 'The site’s'],
        ['NONE', 'None: frost-free'],
        ['OWN', 'Its own'],
      ]"
    />
    <div v-if="frosts === 'OWN'" class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field
        v-model="own.lastAverage"
        label="Last, on average"
        :error="error('lastAverage')"
        hint="month-day, like 04-15"
      />
      <Field v-model="own.lastLate" label="Last, one year in ten later" :error="error('lastLate')" />
      <Field v-model="own.firstEarly" label="First, one year in ten earlier" :error="error('firstEarly')" />
      <Field v-model="own.firstAverage" label="First, on average" :error="error('firstAverage')" />
    </div>
    <ProblemNote :problem="problem" @retry="save" />
    <BothSides v-if="stale" @mine="mineCounts"
      >{{ stale.name }}, number {{ stale.walkingOrder }} in the walk,
      {{ stale.exposure.toLowerCase() }} sun</BothSides
    >
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving">Save the place</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
