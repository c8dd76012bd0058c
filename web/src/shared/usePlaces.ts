import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { allPlaces } from '@/shared/api/nursery'

/** The nursery's places, as a list to choose from; empty while they are not known. */
export function usePlaces() {
  const { data } = useQuery(allPlaces)
  return computed(() => (data.value ?? []).map((place): [string, string] => [String(place.id), place.name]))
}
