<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { filterWords } from '@/layers/filterWords'
import { usePlaces } from '@/shared/usePlaces'
import { capital } from '@/shared/words'
import { useLedger } from './useLedger'
import { allMothers, allRecipes, allSpecies } from '@/shared/api/nursery'
import { allTrials } from '@/shared/api/trials'
import { ledgerTable } from '@/shared/api/ledger'

/** Which layers the ledger counts. */
const props = defineProps<{ only?: string[] }>()
const { of, filters, set } = useLedger()
const places = usePlaces()
const { data: species } = useQuery(allSpecies)
const { data: mothers } = useQuery(allMothers)
const { data: recipes } = useQuery(allRecipes)
const { data: trials } = useQuery(allTrials)
const { data: years } = useQuery(ledgerTable('by=YEAR'))

const lists = computed((): { name: string; label: string; options: [string, string][] }[] => {
  const grown = new Set((mothers.value ?? []).map((one) => one.speciesCode))
  const all: { name: string; label: string; options: [string, string][] }[] = [
    {
      name: 'species',
      label: 'Species',
      options: (species.value ?? [])
        .filter((one) => grown.has(one.profile.code))
        .map((one) => [one.profile.code, capital(one.profile.common)]),
    },
    {
      name: 'year',
      label: 'Year set',
      options: (years.value?.lines ?? []).map((one) => [one.value, one.value]),
    },
    {
      name: 'recipe',
      label: 'Recipe',
      options: (recipes.value ?? []).map((one) => [String(one.id), one.name]),
    },
    { name: 'motherPlace', label: 'Place of the mother', options: places.value },
    {
      name: 'trial',
      label: 'Trial',
      options: (trials.value ?? []).map((one) => [String(one.id), one.name]),
    },
  ]
  return props.only ? all.filter((one) => props.only!.includes(one.name)) : all
})
/** Filters that came from elsewhere have no list here, but can be let go. */
const others = computed(() =>
  Object.keys(filters.value).filter((name) => !lists.value.some((one) => one.name === name)),
)
</script>

<template>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5 print:hidden">
    <label v-for="list in lists" :key="list.name" class="grid content-start gap-1">
      <span class="font-bold">{{ list.label }}</span>
      <select
        class="input"
        :value="of(list.name)"
        :data-filter="list.name"
        @change="set(list.name, ($event.target as HTMLSelectElement).value)"
      >
        <option value="">All</option>
        <option v-for="[code, text] in list.options" :key="code" :value="code">{{ text }}</option>
      </select>
    </label>
    <p v-if="others.length" class="col-span-full">
      <button
        v-for="name in others"
        :key="name"
        type="button"
        class="inline-flex min-h-12 cursor-pointer items-center gap-2 pr-4 font-bold"
        :aria-label="`Let go: ${filterWords(name, of(name))}`"
        @click="set(name, '')"
      >
        {{ capital(filterWords(name, of(name)) || name) }} <span aria-hidden="true">×</span>
      </button>
    </p>
  </div>
</template>
