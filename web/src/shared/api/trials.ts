import { keepPreviousData, queryOptions } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { get, parameters } from './client'

export const allTrials = queryOptions({ queryKey: ['trials'], queryFn: () => get('/api/v1/trials') })

/** A trial with its places. @param id empty for none */
export const trialPage = (id: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['trials', 'page', () => toValue(id)],
    queryFn: () => get('/api/v1/trials/{trialId}', { path: { trialId: toValue(id) } }),
    enabled: computed(() => toValue(id) !== ''),
  })

/** How many layers a trial takes; shares that can't be are said at once. */
export const trialSize = (address: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['trial-size', () => toValue(address)],
    queryFn: () => get('/api/v1/trial-sizes', { query: { ...parameters(toValue(address)) } }),
    placeholderData: keepPreviousData,
    retry: false,
  })

/** In what recipes differ; asked once there are two of them, and no one twice. */
export const recipeDifferences = (ids: MaybeRefOrGetter<string[]>) =>
  queryOptions({
    queryKey: ['recipe-differences', () => toValue(ids).join(',')],
    queryFn: () => get('/api/v1/recipe-differences', { query: { recipes: toValue(ids).join(',') } }),
    enabled: computed(() => toValue(ids).length >= 2 && new Set(toValue(ids)).size === toValue(ids).length),
  })
