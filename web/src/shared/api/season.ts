import { keepPreviousData, queryOptions } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { get, parameters } from './client'

/** Place, recipe, year and wood, as an address has them; empty until they are known. */
type Address = MaybeRefOrGetter<string>
type Text = MaybeRefOrGetter<string>

/** When every species may be set. */
export const seasonAt = (address: Address) =>
  queryOptions({
    queryKey: ['season', () => toValue(address)],
    queryFn: () => get('/api/v1/season', { query: { ...parameters(toValue(address)) } }),
    enabled: computed(() => toValue(address) !== ''),
    placeholderData: keepPreviousData,
  })

/** What each day of the year would bring as a start, of one species. */
export const seasonStarts = (address: Address, species: Text) =>
  queryOptions({
    queryKey: ['season-starts', () => toValue(address), () => toValue(species)],
    queryFn: () =>
      get('/api/v1/season/starts', {
        query: { ...parameters(toValue(address)), speciesCode: toValue(species) },
      }),
    enabled: computed(() => toValue(address) !== '' && toValue(species) !== ''),
    placeholderData: keepPreviousData,
  })

/** One start with its sentence and reasons. */
export const seasonStart = (address: Address, species: Text, startOn: Text) =>
  queryOptions({
    queryKey: ['season-start', () => toValue(address), () => toValue(species), () => toValue(startOn)],
    queryFn: () =>
      get('/api/v1/season/start', {
        query: {
          ...parameters(toValue(address)),
          speciesCode: toValue(species),
          startOn: toValue(startOn),
        },
      }),
    enabled: computed(() => toValue(species) !== '' && toValue(startOn) !== ''),
    placeholderData: keepPreviousData,
  })

/** What so many plants by a day ask for; a wish that can't be is said at once. */
export const numbersWanted = (address: Address) =>
  queryOptions({
    queryKey: ['numbers', () => toValue(address)],
    queryFn: () => get('/api/v1/season/numbers', { query: { ...parameters(toValue(address)) } }),
    placeholderData: keepPreviousData,
    retry: false,
  })

export const allTargets = queryOptions({ queryKey: ['targets'], queryFn: () => get('/api/v1/targets') })
