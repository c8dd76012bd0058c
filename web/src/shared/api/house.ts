import { infiniteQueryOptions, queryOptions } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { addDays } from '@/shared/dates'
import { get, Problem } from './client'

/** Days of weather that are shown before today, and after it. */
const DAYS_BACK = 9
const DAYS_AHEAD = 8
const EVENTS_A_PAGE = 100
const PASS_EVERY_MS = 1000
const BACKUPS_STAND_MS = 15 * 60_000

/** Where the nursery is; null while nobody has said it. */
export const nurserySite = queryOptions({
  queryKey: ['site'],
  queryFn: () =>
    get('/api/v1/site').catch((failure) => {
      if (failure instanceof Problem && failure.status === 404) return null
      throw failure
    }),
})

export const housePrices = queryOptions({ queryKey: ['prices'], queryFn: () => get('/api/v1/prices') })

/** When leaves come and fall, by place and species. */
export const leafSeasons = queryOptions({
  queryKey: ['leaf-seasons'],
  queryFn: () => get('/api/v1/leaf-seasons'),
})

/** The weather around a day. */
export const weatherAround = (today: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['weather', () => toValue(today)],
    queryFn: () =>
      get('/api/v1/weather', {
        query: { from: addDays(toValue(today), -DAYS_BACK), to: addDays(toValue(today), DAYS_AHEAD) },
      }),
  })

/** Everybody who may sign in, for owners. */
export const allPeople = queryOptions({ queryKey: ['people'], queryFn: () => get('/api/v1/people') })

/** Who signed in, and what was refused, the newest first, for owners. */
export const securityEvents = infiniteQueryOptions({
  queryKey: ['security-events'],
  initialPageParam: undefined as number | undefined,
  queryFn: ({ pageParam }) => get('/api/v1/security-events', { query: { before: pageParam } }),
  getNextPageParam: (last) => (last.length === EVENTS_A_PAGE ? last[last.length - 1]!.id : undefined),
})

/** How old the newest backup is; backups are nightly. */
export const backups = queryOptions({
  queryKey: ['backups'],
  queryFn: () => get('/api/v1/backups'),
  staleTime: BACKUPS_STAND_MS,
})

export const RECALCULATION = 'recalculation'

/** How far the pass over all live layers is, while there is one. */
export const recalculation = queryOptions({
  queryKey: [RECALCULATION],
  queryFn: () => get('/api/v1/recalculation'),
  refetchInterval: (query) => (query.state.data?.running ? PASS_EVERY_MS : false),
})

/** Where one is signed in. */
export const mySessions = queryOptions({
  queryKey: ['my-sessions'],
  queryFn: () => get('/api/v1/me/sessions'),
})

/** One's own calendar of rounds and windows. */
export const myCalendar = queryOptions({
  queryKey: ['calendar'],
  queryFn: () => get('/api/v1/me/calendar'),
})

/** Filters of layers that one has kept under names. */
export const myLayerFilters = queryOptions({
  queryKey: ['layer-filters'],
  queryFn: () => get('/api/v1/me/layer-filters'),
})
