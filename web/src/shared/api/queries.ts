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
        // nobody waits for it here: a form that begins anew with what comes must first have said that it was saved
        if ((sent as Partial<Sending> | undefined)?.changes !== false) void queries.invalidateQueries()
      },
    }),
  })
  return queries
}

/** Until what is shown is as it was read after the last change: what is on its way is waited for, not asked for again. */
export async function allRead(queries: QueryClient): Promise<void> {
  await queries.refetchQueries({ type: 'active' }, { cancelRefetch: false })
}
