import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { type Schemas } from '@/shared/api/client'
import { codeWords } from './words'
import { allMothers, allRecipes, allPlaces, allSpecies } from '@/shared/api/nursery'

/** Whether a cell of a column may only say one of some words: its list may still be on its way. */
export const isClosed = (column: Schemas['ColumnView']): boolean =>
  column.codes.length > 0 ||
  column.kind === 'YES_NO' ||
  (column.kind === 'NAME' && ['mother', 'recipe', 'place'].includes(column.name)) ||
  isSpecies(column)

const isSpecies = (column: Schemas['ColumnView']) => ['species', 'species_code'].includes(column.name)

/** What a cell may say, what that is called, and what else it is called. */
export type Name = [value: string, label: string, ...also: string[]]

/** What a cell of a column may say, with what it is called: codes, or the rows that it names. */
export function useNames(column: () => Schemas['ColumnView']) {
  const is = (name: string) => column().kind === 'NAME' && column().name === name
  const mothers = useQuery({ ...allMothers, enabled: computed(() => is('mother')) })
  const recipes = useQuery({ ...allRecipes, enabled: computed(() => is('recipe')) })
  const places = useQuery({ ...allPlaces, enabled: computed(() => is('place')) })
  const species = useQuery({ ...allSpecies, enabled: computed(() => isSpecies(column())) })
  return computed<Name[]>(() => {
    const one = column()
    if (one.codes.length) return one.codes.map((code) => [code, codeWords(code)])
    if (one.kind === 'YES_NO')
      return [
        ['yes', 'yes'],
        ['no', 'no'],
      ]
    if (isSpecies(one))
      return (species.data.value ?? []).map(({ profile }) => [
        profile.code,
        `${profile.common}, ${profile.botanical}`,
        profile.common,
        profile.botanical,
      ])
    if (is('mother'))
      return (mothers.data.value ?? []).map((mother) => [
        mother.code,
        mother.variety ? `${mother.code}, ${mother.variety}` : mother.code,
      ])
    if (is('recipe')) return (recipes.data.value ?? []).map((recipe) => [recipe.name, recipe.name])
    if (is('place')) return (places.data.value ?? []).map((place) => [place.name, place.name])
    return []
  })
}
