import { useQuery } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { get } from '@/shared/api/client'

/** All that is known of one mother, fetched anew after every change. */
export function useMother(id: Ref<string>) {
  const query = useQuery({
    queryKey: computed(() => ['mothers', 'page', id.value]),
    queryFn: () => get('/api/v1/stock/{motherId}', { path: { motherId: id.value } }),
    retry: false,
  })
  return { page: query.data, loadError: query.error, reload: query.refetch }
}
