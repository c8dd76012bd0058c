import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { type Schemas } from '@/shared/api/client'
import { FILTERS } from '@/layers/useFilters'
import { ledgerTable } from '@/shared/api/ledger'

export type Table = Schemas['LedgerTable']
export type Line = Schemas['LedgerLine']
export type Figure = Schemas['LedgerFigure']

/** What the ledger is narrowed by stands in the address, under the names that lists of layers have for it too. */
export function useLedger() {
  const route = useRoute()
  const router = useRouter()
  const of = (name: string) => String(route.query[name] ?? '')
  const by = computed(() => of('by') || 'SPECIES')
  const filters = computed(() =>
    Object.fromEntries(FILTERS.filter((name) => of(name)).map((name): [string, string] => [name, of(name)])),
  )

  function set(name: string, value: string): void {
    void router.replace({ query: { ...route.query, [name]: value || undefined } })
  }

  /** Where the layers behind a figure are listed. */
  function behind(more: Record<string, string>) {
    return { name: 'layers', query: { ...filters.value, ...more } }
  }

  /** A table of its own, by something else than what the page shows. */
  function useTable(what: () => string) {
    const address = computed(() => new URLSearchParams({ by: what(), ...filters.value }).toString())
    return useQuery(ledgerTable(address))
  }

  return { of, by, filters, set, behind, useTable }
}
