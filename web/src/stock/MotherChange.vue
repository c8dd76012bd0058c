<script lang="ts">
export type Change = 'retirement' | 'return' | 'relabelling' | 'merger'
</script>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { post, type Schemas } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import DayField from '@/shared/ui/DayField.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import { capital } from '@/shared/words'
import { stockLines } from '@/shared/api/stock'

/** Retiring, using again, relabelling and merging: each says what it does to the layers, and keeps a reason. */
const props = defineProps<{
  page: Schemas['MotherPage']
  change: Change
  species: Schemas['SpeciesView'][]
  places: Schemas['PlaceView'][]
}>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()
const { saving, problem, send, error } = useCommand<Schemas['MotherView']>()
const mother = computed(() => props.page.line.mother)
const reason = ref('')
const on = ref(session.today)
const speciesCode = ref(mother.value.speciesCode)
const variety = ref(mother.value.variety)
const into = ref('')
const { data: lines } = useQuery(stockLines)
const TITLES: Record<Change, string> = {
  retirement: 'Retire it',
  return: 'Use it again',
  relabelling: 'It is another variety',
  merger: 'It is the same plant as another',
}
const sum = (field: 'set' | 'onMother' | 'offMother' | 'released') =>
  props.page.taken.reduce((total, year) => total + year[field], 0)
const speciesOptions = computed<[string, string][]>(() =>
  props.species.map((one) => [one.profile.code, `${capital(one.profile.common)} (${one.profile.botanical})`]),
)
const otherPlace = computed(() => {
  const chosen = lines.value?.find((line) => String(line.mother.id) === into.value)
  return chosen && chosen.mother.placeId !== mother.value.placeId
    ? props.places.find((place) => place.id === chosen.mother.placeId)?.name
    : undefined
})
const intoOptions = computed<[string, string][]>(() => [
  ['', 'Choose the one that stays'],
  ...(lines.value ?? [])
    .filter(
      (line) =>
        line.mother.id !== mother.value.id &&
        !line.mother.retiredOn &&
        line.mother.speciesCode === mother.value.speciesCode,
    )
    .map(
      (line) => [String(line.mother.id), `${line.mother.code} ‘${line.mother.variety}’`] as [string, string],
    ),
])

async function save(): Promise<void> {
  const about = { reason: reason.value.trim(), version: mother.value.version }
  const path = { motherId: mother.value.id! }
  const changes: Record<Change, (commandId: string) => Promise<unknown>> = {
    retirement: (commandId) =>
      post('/api/v1/mothers/{motherId}/retirement', {
        path,
        body: { ...about, on: on.value || null },
        commandId,
      }),
    return: (commandId) => post('/api/v1/mothers/{motherId}/return', { path, body: about, commandId }),
    relabelling: (commandId) =>
      post('/api/v1/mothers/{motherId}/relabelling', {
        path,
        body: { ...about, speciesCode: speciesCode.value, variety: variety.value.trim() },
        commandId,
      }),
    merger: (commandId) =>
      post('/api/v1/mothers/{motherId}/merger', {
        path,
        body: { ...about, into: into.value ? Number(into.value) : null },
        commandId,
      }),
  }
  if (await send(changes[props.change])) emit('saved')
}
</script>

<template>
  <form
    class="panel grid gap-4"
    :aria-label="TITLES[change]"
    data-testid="mother-change"
    @submit.prevent="save"
  >
    <h2 class="text-lg">{{ TITLES[change] }}</h2>
    <p v-if="change === 'retirement'">
      No more layers are set on {{ mother.code }}.
      <template v-if="sum('onMother')"
        >The {{ sum('onMother') }} that stand on it stay, and the rounds go on to them.</template
      >
      Its record and all that was taken from it remain.
    </p>
    <p v-else-if="change === 'return'">Layers may be set on {{ mother.code }} again.</p>
    <p v-else-if="change === 'relabelling'" data-testid="what-follows">
      All that was taken from it gets the new name: {{ sum('onMother') }} layers on it,
      {{ sum('offMother') }} in pots: write their labels anew. The dates are reckoned by the new species.
      <b v-if="sum('released')"
        >{{ sum('released') }} were released as ‘{{ mother.variety }}’: tell those who have them.</b
      >
    </p>
    <p v-else>
      Its limbs and its {{ sum('set') }} layers go over to the other; this record stays behind as retired and
      says where they went. This can’t be undone.
    </p>
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
      <DayField v-if="change === 'retirement'" v-model="on" label="Since" :error="error('on')" />
      <template v-if="change === 'relabelling'">
        <PickOne
          v-model="speciesCode"
          label="Species"
          :options="speciesOptions"
          :error="error('speciesCode')"
        />
        <Field v-model="variety" label="Variety" :error="error('variety')" />
      </template>
      <PickOne
        v-if="change === 'merger'"
        v-model="into"
        label="The same plant as"
        :options="intoOptions"
        :error="error('into')"
      />
      <Field v-model="reason" label="Why" :error="error('reason')" />
    </div>
    <p v-if="change === 'merger' && otherPlace" class="border-l-8 border-sap bg-sap-pale p-3">
      <b>Think first:</b> the other stands in {{ otherPlace }}. All layers are reckoned for that place from
      then on.
    </p>
    <ProblemNote :problem="problem" @retry="save" />
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="save-change">{{ TITLES[change] }}</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
