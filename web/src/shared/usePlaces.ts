import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, type Schemas } from '@/shared/api/client'

/** The nursery's places, as a list to choose from; empty while they are not known. */
export function usePlaces() {
  const { data } = useQuery({
    queryKey: ['places'],
    queryFn: () => api<Schemas['PlaceView'][]>('GET', '/places'),
  })
  return computed(() => (data.value ?? []).map((place): [string, string] => [String(place.id), place.name]))
}
