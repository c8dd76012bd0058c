import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, type Ref } from 'vue'
import { newCommandId, type Schemas, post } from '@/shared/api/client'
import { useOutbox } from '@/shared/device/outbox'
import type { NewRecord } from '@/records/newRecord'
import { KINDS } from '@/shared/words'
import { toast } from '@/shared/ui/toasts'
import { layerPage, layerKey } from '@/shared/api/layers'

export type LayerPage = Schemas['LayerPage']

/** One layer, and recording on it. A record that fails keeps its identity: sent again, it is written once. */
export function useLayer(code: string): {
  layer: Ref<LayerPage | undefined>
  loadError: Ref<Error | null>
  reload: () => void
  saving: Ref<boolean>
  problem: Ref<unknown>
  record: (what: NewRecord, quietly?: boolean) => Promise<boolean>
  undo: (id: string) => Promise<void>
} {
  const queries = useQueryClient()
  const outbox = useOutbox()
  const { data, error, refetch } = useQuery(layerPage(code))
  const saving = ref(false)
  const problem = ref<unknown>(null)
  let pending: { body: string; id: string } | null = null

  /** The same done to several layers at once, this one among them. */
  async function recordMany(
    codes: string[],
    { kind, details, note, occurredOn }: NewRecord,
  ): Promise<boolean> {
    const what = { codes, kind, details, note, ...(occurredOn ? { occurredOn } : {}) }
    return await asked(what, async (id) => {
      await post('/api/v1/layer-records', { body: what, commandId: id })
      await queries.invalidateQueries()
      toast(`${KINDS[kind]}, ${codes.length} layers: kept.`)
    })
  }

  async function record({ photo, codes, ...what }: NewRecord, quietly = false): Promise<boolean> {
    if (codes && codes.length > 1) return await recordMany(codes, what)
    return await asked(what, async (id) => {
      const answer = await post('/api/v1/layers/{code}/records', {
        path: { code },
        body: what,
        commandId: id,
      })
      if (photo) await outbox.addPhoto(code, id, photo)
      queries.setQueryData(layerKey(code), answer.layer)
      void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== layerKey(code)[0] })
      if (answer.recorded.conflict)
        toast('Kept, but it does not fit what was recorded before: see the records.')
      else if (!quietly) toast(`${KINDS[what.kind]}: kept.`, { label: 'Undo', run: () => void undo(id) })
    })
  }

  async function asked(what: unknown, send: (id: string) => Promise<void>): Promise<boolean> {
    const body = JSON.stringify(what)
    if (pending?.body !== body) pending = { body, id: newCommandId() }
    saving.value = true
    problem.value = null
    try {
      await send(pending.id)
      pending = null
      return true
    } catch (failure) {
      problem.value = failure
      return false
    } finally {
      saving.value = false
    }
  }

  async function undo(id: string): Promise<void> {
    if (await record({ kind: 'WITHDRAWN', details: {}, corrects: id }, true)) toast('Taken back.')
  }

  return { layer: data, loadError: error, reload: () => void refetch(), saving, problem, record, undo }
}
