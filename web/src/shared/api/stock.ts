import { queryOptions } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { get } from './client'

/** Mothers with what they bear. */
export const stockLines = queryOptions({
  queryKey: ['mothers', 'stock'],
  queryFn: () => get('/api/v1/stock'),
})

/** A mother with her limbs and her layers. @param id empty for none */
export function motherPage(id: MaybeRefOrGetter<string | number>) {
  return queryOptions({
    queryKey: ['mothers', 'page', computed(() => String(toValue(id)))],
    queryFn: () => get('/api/v1/stock/{motherId}', { path: { motherId: toValue(id) } }),
    enabled: computed(() => toValue(id) !== ''),
  })
}
