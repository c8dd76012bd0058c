import { useQuery } from '@tanstack/vue-query'
import { computed, type ComputedRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { allPlaces, allRecipes } from '@/shared/api/nursery'
import { seasonAt, seasonStarts, seasonStart } from '@/shared/api/season'

/** What is looked at, kept in the address so that it can be sent on and come back to. */
export function useSeason() {
  const route = useRoute()
  const router = useRouter()
  const places = useQuery(allPlaces)
  const recipes = useQuery(allRecipes)
  const from = (key: string) => String(route.query[key] ?? '')
  const placeId = computed(() => from('place') || String(places.data.value?.[0]?.id ?? ''))
  const recipeId = computed(() => from('recipe') || String(recipes.data.value?.[0]?.id ?? ''))
  const school = computed(() => from('school'))
  const wood = computed(() => from('wood') || 'ONE_TWO')
  const year = computed(() => from('year') || '0')
  const speciesCode = computed(() => from('species'))
  const all = computed(() => from('all') === 'yes')
  const start = computed(() => from('start'))

  const query = computed(() => {
    const parts = new URLSearchParams({
      placeId: placeId.value,
      recipeId: recipeId.value,
      year: year.value,
      wood: wood.value,
    })
    if (school.value) parts.set('school', school.value)
    return parts.toString()
  })
  const ready = computed(() => placeId.value !== '' && recipeId.value !== '')
  const asked = computed(() => (ready.value ? query.value : ''))
  const season = useQuery(seasonAt(asked))
  const starts = useQuery(seasonStarts(asked, speciesCode))

  function set(changes: Record<string, string>): void {
    const next = { ...route.query, ...changes }
    void router.replace({
      query: Object.fromEntries(Object.entries(next).filter(([, value]) => value !== '')),
    })
  }

  return {
    places,
    recipes,
    season,
    starts,
    set,
    ready,
    query,
    placeId,
    recipeId,
    school,
    wood,
    year,
    speciesCode,
    all,
    start,
  }
}

/** One start date with its sentence and reasons, once it has come to rest. */
export function useStart(
  query: ComputedRef<string>,
  speciesCode: ComputedRef<string>,
  start: ComputedRef<string>,
) {
  return useQuery(seasonStart(query, speciesCode, start))
}
