import { ref } from 'vue'
import { type Schemas } from '@/shared/api/client'
import { useOutbox } from '@/shared/device/outbox'
import { KINDS } from '@/shared/words'
import { toast } from '@/shared/ui/toasts'

/** Records for one plant or for many, through the queue of this device; every page is fetched anew after it. */
export function useShedRecords() {
  const outbox = useOutbox()
  const saving = ref(false)
  const problem = ref<unknown>(null)

  async function record(codes: string[], kind: string, details: Record<string, unknown>): Promise<boolean> {
    saving.value = true
    problem.value = null
    const outcome = await outbox.record({ codes, kind, details }).finally(() => (saving.value = false))
    if (outcome && 'problem' in outcome) {
      problem.value = outcome.problem
      return false
    }
    const what = codes.length === 1 ? codes[0] : `${codes.length} plants`
    toast(`${KINDS[kind]}, ${what}: ${outcome ? 'kept' : 'kept on this device, sent later'}.`)
    return true
  }

  return { saving, problem, record }
}

export type ToSever = Schemas['ToSever']
export type OnLadder = Schemas['OnLadder']
