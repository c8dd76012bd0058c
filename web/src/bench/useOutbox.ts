import { onScopeDispose, ref } from 'vue'
import { newCommandId, Problem, post } from '@/shared/api/client'
import { useSession } from '@/shared/session'
import type { BatchBody } from './useBench'

/** A batch that was sent and not answered yet. It keeps its identity, so that it is set once however often it goes. */
export interface Waiting {
  id: string
  body: BatchBody
  mother: string
  refused: string
  /** whether it has gone once without an answer */
  tried: boolean
}

/** What became of a batch: its codes, the refusal, or null while it waits for the network. */
export type Sent = { codes: string[] } | { problem: Problem } | null

const AGAIN_MS = 10_000
const keyOf = (personId: number | undefined) => `kg-bench-outbox-${personId}`

/** How many batches of a person wait on this device. */
export function batchesWaiting(personId: number | undefined): number {
  try {
    return (JSON.parse(localStorage.getItem(keyOf(personId)) ?? '[]') as Waiting[]).length
  } catch {
    return 0
  }
}

/** Batches on their way. They are kept on the device, and go out by themselves when the network is back. */
export function useOutbox(arrived: (codes: string[]) => void) {
  const session = useSession()
  const key = keyOf(session.person?.id)
  const waiting = ref<Waiting[]>(restore())
  let sending = false

  function restore(): Waiting[] {
    try {
      const kept = JSON.parse(localStorage.getItem(key) ?? '[]') as Waiting[]
      return kept.map((one) => ({ ...one, tried: true }))
    } catch {
      return []
    }
  }

  function keep(): void {
    localStorage.setItem(key, JSON.stringify(waiting.value))
  }

  async function deliver(one: Waiting): Promise<Sent> {
    try {
      const answer = await post('/api/v1/batches', { body: one.body, commandId: one.id })
      return { codes: answer.codes }
    } catch (failure) {
      // whoever is signed out sends it after signing in again; what may have arrived goes again as it is
      if (failure instanceof Problem && !failure.mayBeWritten && failure.status !== 401) {
        return { problem: failure }
      }
      return null
    }
  }

  function drop(id: string): void {
    waiting.value = waiting.value.filter((one) => one.id !== id)
    keep()
  }

  /** Sends a batch; it is on the device before it goes. */
  async function send(body: Waiting['body'], mother: string): Promise<Sent> {
    const one: Waiting = { id: newCommandId(), body, mother, refused: '', tried: false }
    waiting.value.push(one)
    keep()
    const sent = await deliver(one)
    if (sent) drop(one.id)
    else waiting.value = waiting.value.map((each) => (each.id === one.id ? { ...each, tried: true } : each))
    return sent
  }

  /** Tries all that wait, in their order. */
  async function flush(): Promise<void> {
    if (sending) return
    sending = true
    try {
      for (const one of waiting.value.filter((each) => !each.refused && each.tried)) {
        const sent = await deliver(one)
        if (!sent) return
        if ('codes' in sent) {
          drop(one.id)
          arrived(sent.codes)
        } else {
          one.refused = [sent.problem.detail, ...sent.problem.violations.map((each) => each.message)].join(
            ' ',
          )
          keep()
        }
      }
    } finally {
      sending = false
    }
  }

  const online = () => void flush()
  window.addEventListener('online', online)
  const timer = setInterval(() => {
    if (waiting.value.some((one) => one.tried && !one.refused)) void flush()
  }, AGAIN_MS)
  onScopeDispose(() => {
    window.removeEventListener('online', online)
    clearInterval(timer)
  })
  void flush()

  return { waiting, send, flush, drop }
}
