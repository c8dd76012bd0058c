<script setup lang="ts">
import { computed, ref } from 'vue'
import { type Schemas, get, post, put } from '@/shared/api/client'
import { number, toSend, typed, unitOf } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import Choice from '@/shared/ui/Choice.vue'
import BothSides from '@/shared/ui/BothSides.vue'
import Field from '@/shared/ui/Field.vue'
import PickOne from '@/shared/ui/PickOne.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useEdit } from '@/shared/useEdit'
import { DIFFICULTIES, HABITS, OWN_ROOTS } from '@/shared/words'
import WhatMoves from './WhatMoves.vue'

/** All that is believed of a species before the nursery's own records overrule it; a new one has no species yet. */
const props = defineProps<{ species: Schemas['SpeciesView'] | null }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const session = useSession()
const { saving, problem, stale, send, ask, error, version, mineCounts } = useEdit<Schemas['SpeciesView']>(
  props.species?.version ?? 0,
  save,
)
const moves = ref<Schemas['Moves'] | null>(null)
const resetProblem = ref<unknown>(null)
const yesNo: [string, string][] = [
  ['no', 'No'],
  ['yes', 'Yes'],
]
const c = (value: number) => typed(value, 'temperature', session.units)
const form = ref(fill(props.species?.profile ?? null))
const unit = computed(() => unitOf('temperature', session.units))

function fill(profile: Schemas['SpeciesProfile'] | null) {
  return {
    code: profile?.code ?? '',
    botanical: profile?.botanical ?? '',
    common: profile?.common ?? '',
    difficulty: profile?.difficulty ?? 'MODERATE',
    d50: String(profile?.d50ThermalDays ?? 45),
    sigma: String(profile?.sigma ?? 0.25),
    base: c(profile?.cardinals.baseC ?? 8),
    optimum: c(profile?.cardinals.optimumC ?? 24),
    ceiling: c(profile?.cardinals.ceilingC ?? 38),
    opens: c(profile?.opensAtMeanC ?? 11),
    leaf: String(profile?.leafCm2 ?? 30),
    habit: profile?.habit ?? 'DECIDUOUS',
    hardy: c(profile?.frostHardyToC ?? -15),
    bridges: profile?.bridgesReadily ? 'yes' : 'no',
    preformed: profile?.preformedRoots ? 'yes' : 'no',
    resprouts: profile?.resproutsFromBareTrunk ? 'yes' : 'no',
    bury: profile?.buryNodesOk ? 'yes' : 'no',
    ownRoots: profile?.ownRoots ?? 'GOOD',
    twoSeasons: profile?.twoSeasons ? 'yes' : 'no',
    needsWinter: profile?.needsWinter ? 'yes' : 'no',
    regulated: profile?.regulated ?? '',
    hazards: profile?.hazards ?? '',
    note: profile?.note ?? '',
  }
}

const temperature = (text: string) => toSend(text, 'temperature', session.units) || null
const edit = () => ({
  profile: {
    code: form.value.code.trim().toUpperCase(),
    botanical: form.value.botanical.trim(),
    common: form.value.common.trim(),
    difficulty: form.value.difficulty,
    d50ThermalDays: number(form.value.d50),
    sigma: number(form.value.sigma),
    cardinals: {
      baseC: temperature(form.value.base),
      optimumC: temperature(form.value.optimum),
      ceilingC: temperature(form.value.ceiling),
    },
    opensAtMeanC: temperature(form.value.opens),
    leafCm2: number(form.value.leaf),
    habit: form.value.habit,
    frostHardyToC: temperature(form.value.hardy),
    bridgesReadily: form.value.bridges === 'yes',
    preformedRoots: form.value.preformed === 'yes',
    resproutsFromBareTrunk: form.value.resprouts === 'yes',
    buryNodesOk: form.value.bury === 'yes',
    ownRoots: form.value.ownRoots,
    twoSeasons: form.value.twoSeasons === 'yes',
    needsWinter: form.value.needsWinter === 'yes',
    regulated: form.value.regulated.trim(),
    hazards: form.value.hazards.trim(),
    note: form.value.note.trim(),
  },
  profileNumber: props.species?.profileNumber ?? 0,
  version: version.value,
})

async function preview(): Promise<void> {
  moves.value = (await ask((commandId) =>
    post('/api/v1/species/{code}/previews', {
      path: { code: props.species?.profile.code },
      body: edit(),
      commandId,
    }),
  )) as Schemas['Moves'] | null
}

/** What was shipped stands in the fields; it counts when it is saved. */
async function reset(): Promise<void> {
  resetProblem.value = null
  try {
    form.value = fill(
      await get('/api/v1/species/{code}/shipped', { path: { code: props.species?.profile.code } }),
    )
    await preview()
  } catch (failure) {
    resetProblem.value = failure
  }
}

async function save(): Promise<void> {
  const code = props.species?.profile.code
  const done = code
    ? await send((commandId) =>
        put('/api/v1/species/{code}', {
          path: { code },
          body: edit(),
          commandId,
        }),
      )
    : await send((commandId) => post('/api/v1/species', { body: edit(), commandId }))
  if (done) emit('saved')
}
</script>

<template>
  <form
    class="panel grid gap-4"
    :aria-label="species ? `Profile of ${species.profile.common}` : 'A new species'"
    @submit.prevent="save"
  >
    <h3 class="text-lg first-letter:uppercase">
      {{ species ? `${species.profile.common} (${species.profile.botanical})` : 'A new species' }}
    </h3>
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field v-model="form.common" label="Name" :error="error('profile.common')" />
      <Field v-model="form.botanical" label="Scientific name" :error="error('profile.botanical')" />
      <Field
        v-if="!species"
        v-model="form.code"
        label="Code"
        hint="Like the first three letters of both names"
        :error="error('profile.code')"
      />
      <PickOne v-model="form.difficulty" label="To root" :options="DIFFICULTIES" />
      <PickOne v-model="form.habit" label="Leaf" :options="HABITS" />
      <PickOne v-model="form.ownRoots" label="On its own roots" :options="OWN_ROOTS" />
    </div>
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field
        v-model="form.d50"
        label="Thermal days to a full ball"
        :error="error('profile.d50ThermalDays')"
        hint="Half are ready by then"
      />
      <Field
        v-model="form.sigma"
        label="Spread (sigma)"
        :error="error('profile.sigma')"
        hint="0.25 is common"
      />
      <Field v-model="form.leaf" label="One leaf" unit="cm²" :error="error('profile.leafCm2')" />
      <Field
        v-model="form.opens"
        label="May be set from a mean of"
        :unit="unit"
        :error="error('profile.opensAtMeanC')"
      />
      <Field
        v-model="form.base"
        label="Grows from"
        :unit="unit"
        :error="error('cardinals.baseC') ?? error('profile.cardinals')"
      />
      <Field v-model="form.optimum" label="Fastest at" :unit="unit" :error="error('cardinals.optimumC')" />
      <Field v-model="form.ceiling" label="Stops at" :unit="unit" :error="error('cardinals.ceilingC')" />
      <Field
        v-model="form.hardy"
        label="Top stands"
        :unit="unit"
        hint="Frost that it bears"
        :error="error('profile.frostHardyToC')"
      />
    </div>
    <div class="flex flex-wrap gap-x-8 gap-y-4">
      <Choice v-model="form.bridges" label="Bark heals over readily?" :options="yesNo" />
      <Choice v-model="form.preformed" label="Roots wait under the bark?" :options="yesNo" />
      <Choice v-model="form.resprouts" label="Comes again from a bare trunk?" :options="yesNo" />
      <Choice v-model="form.bury" label="May be buried deeper?" :options="yesNo" />
      <Choice v-model="form.twoSeasons" label="Needs two seasons?" :options="yesNo" />
      <Choice v-model="form.needsWinter" :label="$t('house.needsWinter')" :options="yesNo" />
    </div>
    <div class="grid gap-4 sm:grid-cols-3">
      <Field v-model="form.hazards" label="Caution on handling" />
      <Field v-model="form.regulated" label="Caution on law" />
      <Field v-model="form.note" label="Note" />
    </div>
    <WhatMoves v-if="moves" :moves="moves" />
    <ProblemNote :problem="problem ?? resetProblem" @retry="save" />
    <BothSides v-if="stale" @mine="mineCounts"
      >{{ stale.profile.common }}, {{ stale.profile.d50ThermalDays }} thermal days, spread
      {{ stale.profile.sigma }}</BothSides
    >
    <div class="flex flex-wrap gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="save-profile">Save the profile</button>
      <button v-if="species" type="button" class="btn" :disabled="saving" @click="preview">
        What would move?
      </button>
      <button
        v-if="species?.origin === 'CHANGED'"
        type="button"
        class="btn"
        :disabled="saving"
        data-testid="reset-profile"
        @click="reset"
      >
        Back to what was shipped
      </button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
