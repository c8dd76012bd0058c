import { queryOptions, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { get } from './client'

/** Every figure that the sums turn on, as the house has it. */
export const houseRules = queryOptions({
  queryKey: ['house-rules'],
  queryFn: () => get('/api/v1/house-rules'),
})

/** One of them by its code; undefined until it is known. */
export function useHouseRule(code: MaybeRefOrGetter<string>) {
  const { data } = useQuery(houseRules)
  return computed(() => data.value?.rules.find((rule) => rule.code === toValue(code))?.value)
}
