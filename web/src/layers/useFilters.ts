import { useQuery, useMutation } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { put, remove } from '@/shared/api/client'
import { myLayerFilters } from '@/shared/api/house'

/** What narrows the list of layers: the same names in the address of the page and in that of the API. */
export const FILTERS = [
  'q',
  'phase',
  'placeId',
  'species',
  'stage',
  'job',
  'trial',
  'hand',
  'late',
  'batch',
  'motherId',
  'line',
  'variety',
  'motherPlace',
  'recipe',
  'wound',
  'hormonePpm',
  'medium',
  'wrap',
  'cover',
  'wood',
  'position',
  'year',
  'week',
  'outcome',
  'cause',
] as const
export type Filter = (typeof FILTERS)[number]

/** The filters as they stand in the address, and those that were kept under names. */
export function useFilters() {
  const route = useRoute()
  const router = useRouter()
  const of = (name: string) => String(route.query[name] ?? '')
  const sort = computed(() => of('sort') || 'due')
  const chosen = computed(() =>
    FILTERS.filter((name) => of(name)).map((name): [Filter, string] => [name, of(name)]),
  )
  const address = computed(() =>
    new URLSearchParams([...chosen.value, ...(of('sort') ? [['sort', of('sort')]] : [])] as [
      string,
      string,
    ][]).toString(),
  )

  function set(name: string, value: string): void {
    void router.replace({ query: { ...route.query, [name]: value || undefined } })
  }

  function take(query: string): void {
    void router.replace({ query: Object.fromEntries(new URLSearchParams(query)) })
  }

  const { data: saved } = useQuery(myLayerFilters)

  const change = useMutation({ mutationFn: (write: () => Promise<unknown>) => write() })

  async function save(name: string): Promise<void> {
    await change.mutateAsync(() => put('/api/v1/me/layer-filters', { body: { name, query: address.value } }))
  }

  async function forget(id: number): Promise<void> {
    await change.mutateAsync(() => remove('/api/v1/me/layer-filters/{id}', { path: { id } }))
  }

  return { of, sort, chosen, address, set, take, saved, save, forget }
}
