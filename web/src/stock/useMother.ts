import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { api, type Schemas } from '@/shared/api/client'

/** All that is known of one mother, fetched anew after every change. */
export function useMother(id: Ref<string>) {
  const queries = useQueryClient()
  const query = useQuery({
    queryKey: computed(() => ['mothers', 'page', id.value]),
    queryFn: () => api<Schemas['MotherPage']>('GET', `/stock/${id.value}`),
    retry: false,
  })
  const changed = () => queries.invalidateQueries()
  return { page: query.data, loadError: query.error, reload: query.refetch, changed }
}
