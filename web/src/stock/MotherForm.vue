<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useHouseRule } from '@/shared/api/houseRules'
import { whole } from '@/shared/quantity'
import Choice from '@/shared/ui/Choice.vue'
import BothSides from '@/shared/ui/BothSides.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useEdit } from '@/shared/useEdit'
import { RIGHTS } from '@/shared/words'
import { post, put } from '@/shared/api/client'

const props = defineProps<{
  mother: Schemas['MotherView'] | null
  places: Schemas['PlaceView'][]
  species: Schemas['SpeciesView'][]
}>()
const emit = defineEmits<{ saved: [mother: Schemas['MotherView']]; close: [] }>()
const { t } = useI18n()

const old = props.mother
const { saving, problem, stale, send, error, version, mineCounts } = useEdit<Schemas['MotherView']>(
  old?.version ?? 0,
  save,
)
const code = ref(old?.code ?? '')
const speciesCode = ref(old?.speciesCode ?? props.species[0]?.profile.code ?? '')
const variety = ref(old?.variety ?? '')
const placeId = ref(String(old?.placeId ?? props.places[0]?.id ?? ''))
const rootRun = ref<string>(old?.rootRun ?? 'GROUND')
const vigour = ref<string>(old?.vigour ?? 'NORMAL')
const sick = ref(old?.sick ? 'yes' : 'no')
const plantedYear = ref(old?.plantedYear ? String(old.plantedYear) : '')
const toBeCutDown = ref(old?.toBeCutDown ? 'yes' : 'no')
const parts = useHouseRule(() =>
  toBeCutDown.value === 'yes' ? 'mother.parts-cut-down' : 'mother.parts-growing',
)
const rights = ref<string>(old?.rights ?? 'FREE')
const permission = ref(old?.permission ?? '')
const leafyShoots = ref(String(old?.leafyShoots ?? ''))
const note = ref(old?.note ?? '')

const speciesOptions = computed<[string, string][]>(() =>
  props.species.map((one) => [one.profile.code, `${one.profile.common} (${one.profile.botanical})`]),
)
const placeOptions = computed<[string, string][]>(() => props.places.map((one) => [String(one.id), one.name]))

async function save(): Promise<void> {
  const body = {
    id: old?.id ?? null,
    code: code.value.trim(),
    speciesCode: speciesCode.value,
    variety: variety.value.trim(),
    placeId: Number(placeId.value),
    rootRun: rootRun.value,
    vigour: vigour.value,
    plantedYear: whole(plantedYear.value),
    sick: sick.value === 'yes',
    toBeCutDown: toBeCutDown.value === 'yes',
    rights: rights.value,
    permission: permission.value.trim(),
    leafyShoots: whole(leafyShoots.value),
    note: note.value.trim(),
    version: version.value,
  }
  const done = old
    ? await send((commandId) =>
        put('/api/v1/mothers/{motherId}', { path: { motherId: old.id }, body, commandId }),
      )
    : await send((commandId) => post('/api/v1/mothers', { body, commandId }))
  if (done) emit('saved', done)
}
</script>

<template>
  <form
    class="panel grid gap-4"
    :aria-label="old ? `Edit ${old.code}` : 'A new mother'"
    @submit.prevent="save"
  >
    <h2 class="text-lg">{{ old ? `Mother ${old.code}` : 'A new mother' }}</h2>
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field v-model="code" label="Code on its tag" :error="error('code')" />
      <template v-if="!old">
        <PickOne
          v-model="speciesCode"
          label="Species"
          :options="speciesOptions"
          :error="error('speciesCode')"
        />
        <Field v-model="variety" label="Variety" :error="error('variety')" />
      </template>
      <PickOne v-model="placeId" label="Place" :options="placeOptions" :error="error('placeId')" />
      <Field
        v-model="leafyShoots"
        label="Leafy shoots"
        inputmode="decimal"
        :error="error('leafyShoots')"
        :hint="parts ? t('mother.underRings', { parts }) : ''"
      />
      <Field
        v-model="plantedYear"
        label="Planted in"
        inputmode="decimal"
        hint="The year, if it is known"
        :error="error('plantedYear')"
      />
    </div>
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Choice
        v-model="rootRun"
        label="Grows in"
        :options="[
          ['GROUND', 'Ground'],
          ['POT', 'Pot'],
        ]"
      />
      <Choice
        v-model="vigour"
        label="Vigour"
        :options="[
          ['STRONG', 'Strong'],
          ['NORMAL', 'Normal'],
          ['WEAK', 'Weak'],
        ]"
      />
      <Choice
        v-model="sick"
        label="Sick?"
        :options="[
          ['no', 'No'],
          ['yes', 'Yes'],
        ]"
      />
      <Choice
        v-model="toBeCutDown"
        label="To be cut down after?"
        :options="[
          ['no', 'No'],
          ['yes', 'Yes'],
        ]"
      />
      <PickOne v-model="rights" label="Breeders’ rights" :options="RIGHTS" />
      <Field
        v-if="rights !== 'FREE'"
        v-model="permission"
        label="Permission"
        hint="Its number, or who gave it and when"
        :error="error('permission')"
      />
    </div>
    <Field v-model="note" label="Note" :error="error('note')" />
    <ProblemNote :problem="problem" @retry="save" />
    <BothSides v-if="stale" @mine="mineCounts"
      >{{ stale.code }}, {{ stale.variety }}, {{ stale.leafyShoots }} leafy shoots,
      {{ stale.sick ? 'sick' : 'not sick' }}, “{{ stale.note }}”</BothSides
    >
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="save-mother">Save</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
