import { keepPreviousData, queryOptions } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { get } from './client'

/** Batches that are planned for a day. */
export const plannedBatches = queryOptions({
  queryKey: ['planned'],
  queryFn: () => get('/api/v1/planned-batches'),
})

/** What is to be laid out for a day. */
export const shoppingList = (day: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['planned', 'list', () => toValue(day)],
    queryFn: () => get('/api/v1/shopping-lists/{day}', { path: { day: toValue(day) } }),
    placeholderData: keepPreviousData,
  })

/** Sheets of labels that are sold everywhere. */
export const labelGrids = queryOptions({
  queryKey: ['label-grids'],
  queryFn: () => get('/api/v1/label-grids'),
})
