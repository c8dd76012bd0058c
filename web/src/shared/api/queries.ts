import { MutationCache, QueryClient } from '@tanstack/vue-query'
import type { Sending } from '@/shared/useCommand'

/** Reads and changes of all pages. What was changed can be seen on any of them: all that is shown is read anew. */
export function newQueryClient(): QueryClient {
  const queries: QueryClient = new QueryClient({
    // the browser's own word for whether there is a network says little: everything is tried
    defaultOptions: {
      queries: { retry: 1, staleTime: 5_000, networkMode: 'always' },
      mutations: { networkMode: 'always' },
    },
    mutationCache: new MutationCache({
      onSuccess: (_, sent) => {
        if ((sent as Partial<Sending> | undefined)?.changes !== false) return queries.invalidateQueries()
      },
    }),
  })
  return queries
}
