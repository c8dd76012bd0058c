import { queryOptions } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { get, type Schemas } from './client'

const AT_WORK_EVERY_MS = 400

/** The tables that go out and come in, with their columns. */
export const fileTables = queryOptions({ queryKey: ['tables'], queryFn: () => get('/api/v1/tables') })

export const importKey = (fileId: string) => ['import', fileId]

/** Whether it is being looked through or taken in. */
export function isAtWork(file: Schemas['ImportView'] | undefined): boolean {
  return file?.state === 'LOOKING' || file?.state === 'TAKING'
}

/** A file on its way in. It works by itself: how far it is, is asked until it is over. */
export const importFile = (fileId: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['import', () => toValue(fileId)],
    queryFn: () => get('/api/v1/imports/{fileId}', { path: { fileId: toValue(fileId) } }),
    refetchInterval: (query) => (isAtWork(query.state.data) ? AT_WORK_EVERY_MS : false),
  })

/** The words that a column of a file has. */
export const importWords = (fileId: MaybeRefOrGetter<string>, column: MaybeRefOrGetter<string>) =>
  queryOptions({
    queryKey: ['import-words', () => toValue(fileId), () => toValue(column)],
    queryFn: () =>
      get('/api/v1/imports/{fileId}/words', {
        path: { fileId: toValue(fileId) },
        query: { column: toValue(column) },
      }),
  })
