<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { allHands, allMothers, allPlaces, allSpecies } from '@/shared/api/nursery'
import { allTrials } from '@/shared/api/trials'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { STAGES } from '@/shared/api/codes'
import { capital, JOBS, PHASES, STAGE_WORDS } from '@/shared/words'
import { filterWords } from './filterWords'
import { useFilters } from './useFilters'

/** Narrows the list; what is chosen stands in the address, and can be kept under a name. */
const { of, sort, chosen, address, set, take, saved, save, forget } = useFilters()
const MORE = ['placeId', 'species', 'stage', 'job', 'trial', 'hand', 'late']
const more = ref(chosen.value.some(([name]) => MORE.includes(name)))
const naming = ref(false)
const name = ref('')
const problem = ref<unknown>(null)
const { data: places } = useQuery({ ...allPlaces, enabled: more })
const { data: mothers } = useQuery({ ...allMothers, enabled: more })
const { data: species } = useQuery({ ...allSpecies, enabled: more })
const { data: trials } = useQuery({ ...allTrials, enabled: more })
const { data: hands } = useQuery({ ...allHands, enabled: more })

const lists = computed((): { name: string; label: string; options: [string, string][] }[] => {
  const inUse = new Set((mothers.value ?? []).map((one) => one.speciesCode))
  return [
    {
      name: 'placeId',
      label: 'Place',
      options: (places.value ?? []).map((one) => [String(one.id), one.name]),
    },
    {
      name: 'species',
      label: 'Species',
      options: (species.value ?? [])
        .filter((one) => inUse.has(one.profile.code))
        .map((one) => [one.profile.code, capital(one.profile.common)]),
    },
    { name: 'stage', label: 'Stage', options: STAGES.map((one) => [one, STAGE_WORDS[one]!]) },
    { name: 'job', label: 'Next step', options: JOBS },
    {
      name: 'trial',
      label: 'Trial',
      options: (trials.value ?? []).map((one) => [String(one.id), one.name]),
    },
    { name: 'hand', label: 'Set by', options: (hands.value?.known ?? []).map((one) => [one, one]) },
    { name: 'late', label: 'When', options: [['true', 'Overdue only']] },
  ]
})

/** What a link from elsewhere narrowed by. */
const others = computed(() =>
  chosen.value.map(([name, value]) => ({ name, words: filterWords(name, value) })).filter((one) => one.words),
)

async function keepFilter(): Promise<void> {
  problem.value = null
  try {
    await save(name.value.trim())
    naming.value = false
    name.value = ''
  } catch (failure) {
    problem.value = failure
  }
}
const isSaved = computed(() => saved.value?.some((one) => one.query === address.value))
</script>

<template>
  <div class="my-4 grid gap-3">
    <div v-if="saved?.length" class="flex flex-wrap gap-2" role="group" aria-label="Kept filters">
      <span v-for="one in saved" :key="one.id" class="inline-flex">
        <button
          type="button"
          class="chip"
          :aria-pressed="one.query === address"
          data-testid="saved-filter"
          @click="take(one.query)"
        >
          {{ one.name }}
        </button>
        <button
          type="button"
          class="min-h-12 cursor-pointer px-3"
          :aria-label="`Throw away the filter ${one.name}`"
          @click="forget(one.id)"
        >
          ×
        </button>
      </span>
    </div>
    <div class="grid gap-3 sm:grid-cols-[1fr_auto_auto]">
      <input
        type="search"
        class="input"
        aria-label="Filter by code or any word"
        placeholder="Code, species, variety, mother, place, or a word of a note"
        :value="of('q')"
        @change="set('q', ($event.target as HTMLInputElement).value)"
      />
      <select
        class="input"
        aria-label="Phase"
        :value="of('phase')"
        @change="set('phase', ($event.target as HTMLSelectElement).value)"
      >
        <option value="">Everywhere</option>
        <option v-for="(text, code) in PHASES" :key="code" :value="code">{{ text }}</option>
      </select>
      <select
        class="input"
        aria-label="Order"
        :value="sort"
        @change="set('sort', ($event.target as HTMLSelectElement).value)"
      >
        <option value="due">What is due first</option>
        <option value="set">Oldest first</option>
        <option value="code">By code</option>
      </select>
    </div>
    <div v-if="more" class="grid grid-cols-2 gap-3 sm:grid-cols-4 lg:grid-cols-7">
      <label v-for="list in lists" :key="list.name" class="grid gap-1">
        <span class="text-sm font-bold">{{ list.label }}</span>
        <select
          class="input"
          :value="of(list.name)"
          @change="set(list.name, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">Any</option>
          <option v-for="[code, text] in list.options" :key="code" :value="code">{{ text }}</option>
        </select>
      </label>
    </div>
    <div class="flex flex-wrap items-center gap-x-4">
      <button type="button" class="link min-h-12" :aria-expanded="more" @click="more = !more">
        {{ more ? 'Fewer filters' : 'More filters' }}
      </button>
      <button
        v-for="one in others"
        :key="one.name"
        type="button"
        class="inline-flex min-h-12 cursor-pointer items-center gap-2 font-bold"
        :aria-label="`Let go: ${one.words}`"
        :data-narrowed="one.name"
        @click="set(one.name, '')"
      >
        {{ capital(one.words) }} <span aria-hidden="true">×</span>
      </button>
      <button v-if="chosen.length" type="button" class="link min-h-12" @click="take('')">Show all</button>
      <button
        v-if="chosen.length && !naming && !isSaved"
        type="button"
        class="link min-h-12"
        @click="naming = true"
      >
        Keep this filter
      </button>
      <form v-if="naming" class="flex items-end gap-2" @submit.prevent="keepFilter">
        <label class="grid gap-1">
          <span class="text-sm font-bold">Name it</span>
          <input v-model="name" class="input" required maxlength="60" />
        </label>
        <button class="btn">Keep</button>
        <button type="button" class="link min-h-12 px-2" @click="naming = false">Back</button>
      </form>
    </div>
    <ProblemNote :problem="problem" />
  </div>
</template>
