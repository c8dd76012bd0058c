import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { get } from './api/client'
import { toast } from './ui/toasts'

const EVERY_MS = 1000

/** Follows the pass over all live layers while there is one; what is shown is fetched anew when it is over. */
export function useRecalculation() {
  const queries = useQueryClient()
  const { data } = useQuery({
    queryKey: ['recalculation'],
    queryFn: () => get('/api/v1/recalculation'),
    refetchInterval: (query) => (query.state.data?.running ? EVERY_MS : false),
  })
  const running = computed(() => data.value?.running ?? false)
  watch(running, (now, before) => {
    if (now || !before) return
    toast('The dates of all layers are reckoned anew.')
    void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'recalculation' })
  })
  return { progress: data, running }
}
