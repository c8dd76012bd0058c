import { queryOptions } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { get } from './client'

type Id = MaybeRefOrGetter<string | number>

/** Mothers with what they bear. */
export const stockLines = queryOptions({
  queryKey: ['mothers', 'stock'],
  queryFn: () => get('/api/v1/stock'),
})

/** A mother with her limbs and her layers. @param id empty for none */
export const motherPage = (id: Id) =>
  queryOptions({
    queryKey: ['mothers', 'page', () => String(toValue(id))],
    queryFn: () => get('/api/v1/stock/{motherId}', { path: { motherId: toValue(id) } }),
    enabled: computed(() => toValue(id) !== ''),
    retry: false,
  })

/** Where a mother came from, and which others were raised from her. */
export const pedigreeOf = (id: Id) =>
  queryOptions({
    queryKey: ['mothers', 'pedigree', () => String(toValue(id))],
    queryFn: () => get('/api/v1/mothers/{motherId}/pedigree', { path: { motherId: toValue(id) } }),
  })
