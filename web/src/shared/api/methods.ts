import { queryOptions } from '@tanstack/vue-query'
import { get } from './client'

/** The ways of layering and what goes with each: they change with the application only. */
export const methods = queryOptions({
  queryKey: ['methods'],
  queryFn: () => get('/api/v1/methods'),
  staleTime: Infinity,
})
