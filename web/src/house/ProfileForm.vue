<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import Field from '@/shared/ui/Field.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCommand } from '@/shared/useCommand'
import WhatMoves from './WhatMoves.vue'

/** The figures of a profile that a nursery corrects from its own experience. */
const props = defineProps<{ species: Schemas['SpeciesView'] }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { saving, problem, send, error } = useCommand<unknown>()
const moves = ref<Schemas['Moves'] | null>(null)
const profile = props.species.profile
const d50 = ref(String(profile.d50ThermalDays))
const sigma = ref(String(profile.sigma))
const leaf = ref(String(profile.leafCm2))
const note = ref(profile.note)

function number(text: string): number | string {
  return text.trim() !== '' && Number.isFinite(Number(text)) ? Number(text) : text
}

const edit = () => ({
  ...props.species,
  profile: {
    ...profile,
    d50ThermalDays: number(d50.value),
    sigma: number(sigma.value),
    leafCm2: number(leaf.value),
    note: note.value,
  },
})

async function preview(): Promise<void> {
  moves.value = (await send('POST', `/species/${profile.code}/previews`, edit())) as Schemas['Moves'] | null
}

async function save(): Promise<void> {
  const done = await send('PUT', `/species/${profile.code}`, edit())
  if (done) emit('saved')
}
</script>

<template>
  <form class="panel grid gap-4" :aria-label="`Profile of ${profile.common}`" @submit.prevent="save">
    <h3 class="first-letter:uppercase">{{ profile.common }} ({{ profile.botanical }})</h3>
    <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
      <Field
        v-model="d50"
        label="Thermal days to a full ball"
        :error="error('d50ThermalDays')"
        hint="half are ready by then"
      />
      <Field v-model="sigma" label="Spread (sigma)" :error="error('sigma')" />
      <Field v-model="leaf" label="One leaf" unit="cm²" :error="error('leafCm2')" />
      <Field v-model="note" label="Note" />
    </div>
    <WhatMoves v-if="moves" :moves="moves" />
    <ProblemNote :problem="problem" @retry="save" />
    <div class="flex gap-2">
      <button class="btn btn-main" :disabled="saving" data-testid="save-profile">Save the profile</button>
      <button type="button" class="btn" :disabled="saving" @click="preview">What would move?</button>
      <button type="button" class="btn" @click="emit('close')">Back</button>
    </div>
  </form>
</template>
