import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch, type Ref } from 'vue'
import { type Schemas, post } from '@/shared/api/client'
import type { FileMapping } from './mapping'
import { importFile, importKey, isAtWork } from '@/shared/api/exchange'

/** A file on its way in: what it is, how far it is, and what can be done with it. */
export function useImport(fileId: Ref<string>) {
  const queries = useQueryClient()
  const problem = ref<unknown>(null)
  const { data: file, error } = useQuery(importFile(fileId))
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
  async function send(write: Promise<Schemas['ImportView']>): Promise<boolean> {
    problem.value = null
    try {
      queries.setQueryData(importKey(fileId.value), await write)
      return true
    } catch (failure) {
      problem.value = failure
      return false
    }
  }
  const path = computed(() => ({ fileId: fileId.value }))
  const look = () =>
    send(post('/api/v1/imports/{fileId}/looks', { path: path.value, body: { mapping: mapping.value } }))
  const take = (nursery?: string) =>
    send(
      post('/api/v1/imports/{fileId}/takings', {
        path: path.value,
        body: { mapping: mapping.value, nursery },
      }),
    )
  const stop = () => send(post('/api/v1/imports/{fileId}/stops', { path: path.value }))

  async function readAs(table: string): Promise<void> {
    problem.value = null
    try {
      mapping.value = await post('/api/v1/imports/{fileId}/suggestions', {
        path: { fileId: fileId.value },
        body: { table },
      })
    } catch (failure) {
      problem.value = failure
    }
  }

  return { file, error, problem, atWork, mapping, look, take, stop, readAs }
}

const copy = (mapping: Schemas['Mapping']): FileMapping => JSON.parse(JSON.stringify(mapping)) as FileMapping
