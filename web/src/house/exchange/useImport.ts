import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch, type Ref } from 'vue'
import { api, type Schemas } from '@/shared/api/client'
import type { FileMapping } from './mapping'

/** A file on its way in: what it is, how far it is, and what can be done with it. */
export function useImport(fileId: Ref<string>) {
  const queries = useQueryClient()
  const problem = ref<unknown>(null)
  const key = computed(() => ['import', fileId.value])
  const { data: file, error } = useQuery({
    queryKey: key,
    queryFn: () => api<Schemas['ImportView']>('GET', `/imports/${fileId.value}`),
    // it works by itself: how far it is, is asked until it is over
    refetchInterval: (query) => (isAtWork(query.state.data) ? 400 : false),
  })
  const atWork = computed(() => isAtWork(file.value))
  const mapping = ref<FileMapping | null>(null)
  watch(
    file,
    (now) => {
      if (now?.mapping && (!mapping.value || mapping.value.table === '')) mapping.value = copy(now.mapping)
    },
    { immediate: true },
  )

  /** @returns whether it was heard */
  async function send(what: string, body?: unknown): Promise<boolean> {
    problem.value = null
    try {
      const answer = await api<Schemas['ImportView']>('POST', `/imports/${fileId.value}/${what}`, body)
      queries.setQueryData(key.value, answer)
      return true
    } catch (failure) {
      problem.value = failure
      return false
    }
  }
  const look = () => send('looks', { mapping: mapping.value })
  const take = (nursery?: string) => send('takings', { mapping: mapping.value, nursery })
  const stop = () => send('stops')

  async function readAs(table: string): Promise<void> {
    problem.value = null
    try {
      mapping.value = await api<FileMapping>('POST', `/imports/${fileId.value}/suggestions`, { table })
    } catch (failure) {
      problem.value = failure
    }
  }

  return { file, error, problem, atWork, mapping, look, take, stop, readAs }
}

function isAtWork(file: Schemas['ImportView'] | undefined): boolean {
  return file?.state === 'LOOKING' || file?.state === 'TAKING'
}

const copy = (mapping: Schemas['Mapping']): FileMapping => JSON.parse(JSON.stringify(mapping)) as FileMapping
