import { infiniteQueryOptions, keepPreviousData, queryOptions } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { get, parameters } from './client'

/** What is asked, as an address has it: names and values. */
type Address = MaybeRefOrGetter<string>
/** A layer as it was at one of its revisions: what is worked out for it changes with them. */
type OfLayer = MaybeRefOrGetter<{ code: string; revision: number }>

const A_PAGE = '200'

export const layerKey = (code: string) => ['layer', code]

/** All that is known of one layer. */
export const layerPage = (code: string) =>
  queryOptions({
    queryKey: layerKey(code),
    queryFn: () => get('/api/v1/layers/{code}', { path: { code } }),
  })

export const layerPhotos = (code: string) =>
  queryOptions({
    queryKey: [...layerKey(code), 'photos'],
    queryFn: () => get('/api/v1/layers/{code}/photos', { path: { code } }),
  })

/** The trial that a layer is part of; null if it is part of none. */
export const trialOfLayer = (code: string) =>
  queryOptions({
    queryKey: ['layers', code, 'trial'],
    queryFn: async () => (await get('/api/v1/layers/{code}/trial', { path: { code } })) ?? null,
  })

/** The layers that an address asks for, a page after the other. */
export const layerList = (address: Address) =>
  infiniteQueryOptions({
    queryKey: ['layers', () => toValue(address)],
    queryFn: ({ pageParam }) => {
      const query = new URLSearchParams(toValue(address))
      query.set('limit', A_PAGE)
      if (pageParam) query.set('cursor', pageParam)
      return get('/api/v1/layers', { query: { ...parameters(query) } })
    },
    initialPageParam: '',
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: keepPreviousData,
  })

/** Leaf over root, for as many leaves of as large a size as the address says. */
export const leafBalance = (layer: OfLayer, address: Address) =>
  queryOptions({
    queryKey: ['leaf-balance', () => revision(layer), () => toValue(address)],
    queryFn: () =>
      get('/api/v1/layers/{code}/leaf-balance', {
        path: { code: toValue(layer).code },
        query: { ...parameters(toValue(address)) },
      }),
    placeholderData: keepPreviousData,
  })

/** The pots of the house for a layer that stands where, and as high, as the address says. */
export const potAdvice = (layer: OfLayer, address: Address) =>
  queryOptions({
    queryKey: ['pot-advice', () => revision(layer), () => toValue(address)],
    queryFn: () =>
      get('/api/v1/layers/{code}/pot-advice', {
        path: { code: toValue(layer).code },
        query: { ...parameters(toValue(address)) },
      }),
    placeholderData: keepPreviousData,
  })

/** Whether a plant may go, and what speaks against it. */
export const releaseTest = (layer: OfLayer) =>
  queryOptions({
    queryKey: ['release-test', () => revision(layer)],
    queryFn: () => get('/api/v1/layers/{code}/release-test', { path: { code: toValue(layer).code } }),
  })

export const passport = (code: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['passport', () => toValue(code)],
    queryFn: () => get('/api/v1/layers/{code}/passport', { path: { code: toValue(code) } }),
  })

const revision = (layer: OfLayer) => `${toValue(layer).code} ${toValue(layer).revision}`
