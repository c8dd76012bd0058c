import { keepPreviousData, queryOptions } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { get, parameters } from './client'

/** What is asked, as an address has it: names and values. */
type Address = MaybeRefOrGetter<string>

/** What came of layers, counted by what the address says. */
export const ledgerTable = (address: Address) =>
  queryOptions({
    queryKey: ['ledger', () => toValue(address)],
    queryFn: () => get('/api/v1/ledger', { query: { ...parameters(toValue(address)) } }),
    placeholderData: keepPreviousData,
  })

/** How far apart two shares are, and whether that is more than chance. */
export const comparison = (address: Address) =>
  queryOptions({
    queryKey: ['comparison', () => toValue(address)],
    queryFn: () => get('/api/v1/comparisons', { query: { ...parameters(toValue(address)) } }),
  })

/** How long a species took; asked once the address names one. */
export const readyTimes = (address: Address) =>
  queryOptions({
    queryKey: ['ready-times', () => toValue(address)],
    queryFn: () => get('/api/v1/ready-times', { query: { ...parameters(toValue(address)) } }),
    enabled: computed(() => !!parameters(toValue(address)).species),
    placeholderData: keepPreviousData,
  })

/** The dates that were said, held against what happened. */
export const backtests = (address: Address) =>
  queryOptions({
    queryKey: ['backtests', () => toValue(address)],
    queryFn: () => get('/api/v1/backtests', { query: { ...parameters(toValue(address)) } }),
    placeholderData: keepPreviousData,
  })

/** Whether the dates of a species rest on its profile or on own records. */
export const learnedTime = (species: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['learned-time', () => toValue(species)],
    queryFn: () => get('/api/v1/species/{code}/learned-time', { path: { code: toValue(species) } }),
  })
