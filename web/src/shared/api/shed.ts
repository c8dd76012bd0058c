import { queryOptions } from '@tanstack/vue-query'
import { get } from './client'

/** What the shed's pages show, each fetched when it is looked at. */

export const severing = queryOptions({
  queryKey: ['shed', 'severing'],
  queryFn: () => get('/api/v1/severing'),
})

export const potting = queryOptions({ queryKey: ['shed', 'potting'], queryFn: () => get('/api/v1/potting') })

export const ladder = queryOptions({ queryKey: ['shed', 'ladder'], queryFn: () => get('/api/v1/ladder') })

/** How much leaf roots carry here, and by which records. */
export const supplyFigure = queryOptions({
  queryKey: ['shed', 'supply-figure'],
  queryFn: () => get('/api/v1/supply-figure'),
})
