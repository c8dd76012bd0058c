import { queryOptions } from '@tanstack/vue-query'
import { get } from './client'

/** What many pages choose from, each list whole. */

export const allPlaces = queryOptions({ queryKey: ['places'], queryFn: () => get('/api/v1/places') })

export const allSpecies = queryOptions({ queryKey: ['species'], queryFn: () => get('/api/v1/species') })

export const allRecipes = queryOptions({ queryKey: ['recipes'], queryFn: () => get('/api/v1/recipes') })

export const allMothers = queryOptions({ queryKey: ['mothers'], queryFn: () => get('/api/v1/mothers') })

export const houseSupplies = queryOptions({ queryKey: ['supplies'], queryFn: () => get('/api/v1/supplies') })

/** Who sets layers. */
export const allHands = queryOptions({ queryKey: ['hands'], queryFn: () => get('/api/v1/hands') })
