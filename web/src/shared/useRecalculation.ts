import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { toast } from './ui/toasts'
import { recalculation, RECALCULATION } from '@/shared/api/house'

/** Follows the pass over all live layers while there is one; what is shown is fetched anew when it is over. */
export function useRecalculation() {
  const queries = useQueryClient()
  const { data } = useQuery(recalculation)
  const running = computed(() => data.value?.running ?? false)
  watch(running, (now, before) => {
    if (now || !before) return
    toast('The dates of all layers are reckoned anew.')
    void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== RECALCULATION })
  })
  return { progress: data, running }
}
