<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import BallSum from './BallSum.vue'
import CoverSum from './CoverSum.vue'
import HormoneSum from './HormoneSum.vue'
import MediumSum from './MediumSum.vue'
import { allPlaces, allRecipes, allSpecies } from '@/shared/api/nursery'

/** The sums of the bench on their own: nothing is saved. */
const route = useRoute()
const { data: species } = useQuery(allSpecies)
const { data: places } = useQuery(allPlaces)
const { data: recipes } = useQuery(allRecipes)
const isFromBatch = computed(() => Boolean(route.query.diameter))
const begin = computed<Record<string, string>>(() => {
  const given = Object.fromEntries(
    Object.entries(route.query).map(([key, value]) => [key, String(value ?? '')]),
  )
  const recipe = recipes.value?.find((one) => String(one.id) === given.recipe)?.recipe
  return { ...given, ppm: recipe?.hormonePpm ? String(recipe.hormonePpm) : '' }
})
const medium = ref<{ ml: number; medium: string } | null>(null)
</script>

<template>
  <h1 class="text-2xl">Sums</h1>
  <p class="text-muted">
    {{
      isFromBatch
        ? 'With the numbers of the row that is in hand at the bench. Change any: nothing is saved.'
        : 'Type any number with its unit. Nothing is saved.'
    }}
    <RouterLink class="link" :to="{ name: 'bench' }">Back to the bench</RouterLink>
  </p>
  <template v-if="species && places && recipes">
    <BallSum
      :species="species"
      :recipes="recipes"
      :begin="begin"
      @medium="(ml, code) => (medium = { ml, medium: code })"
    />
    <MediumSum :from="medium" />
    <HormoneSum :species="species" :begin="begin" />
    <CoverSum :species="species" :places="places" :recipes="recipes" :begin="begin" />
  </template>
</template>
