import { queryOptions, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { get } from './client'

/** The ways of layering and what goes with each: they change with the application only. */
const methods = queryOptions({
  queryKey: ['methods'],
  queryFn: () => get('/api/v1/methods'),
  staleTime: Infinity,
})

/** What is so of a method and of a wound, by their codes; undefined until it is known. */
export function useMethods() {
  const { data } = useQuery(methods)
  const wounds = computed(() => (data.value ?? []).flatMap((one) => one.wounds))
  return {
    method: (code: string | undefined) => data.value?.find((one) => one.method === code),
    wound: (code: string | undefined) => wounds.value.find((one) => one.wound === code),
  }
}
