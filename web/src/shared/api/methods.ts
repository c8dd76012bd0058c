import { queryOptions } from '@tanstack/vue-query'
import { api, type Schemas } from './client'

/** The ways of layering and what goes with each: they change with the application only. */
export const methods = queryOptions({
  queryKey: ['methods'],
  queryFn: () => api<Schemas['MethodView'][]>('GET', '/methods'),
  staleTime: Infinity,
})
