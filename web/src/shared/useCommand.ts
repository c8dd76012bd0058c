import { useMutation } from '@tanstack/vue-query'
import { computed } from 'vue'
import { newCommandId, Problem } from './api/client'

/** Sends an edit under one identity until it is answered, and keeps what was refused. @template Current what is there */
export function useCommand<Current = unknown>() {
  let id = newCommandId()
  const mutation = useMutation({ mutationFn: (one: Sending) => one.write(id) })

  async function settle<T>(one: Sending): Promise<T | null> {
    try {
      const answer = await mutation.mutateAsync(one)
      id = newCommandId()
      return answer as T
    } catch (failure) {
      // what may be written already goes again under its own name, so that it is not written twice
      if (failure instanceof Problem && !failure.mayBeWritten) id = newCommandId()
      return null
    }
  }

  /** What somebody else saved meanwhile, if that is why it was refused. */
  const stale = computed(() =>
    mutation.error.value instanceof Problem && mutation.error.value.status === 409
      ? ((mutation.error.value.more.current as Current | undefined) ?? null)
      : null,
  )

  return {
    saving: mutation.isPending,
    problem: mutation.error,
    stale,
    /** Changes something: whatever a page shows is read anew after it. @return null if it was refused */
    send: <T>(write: (commandId: string) => Promise<T>) => settle<T>({ write, changes: true }),
    /** Asks for what is worked out from what was typed; nothing is written. @return null if it was refused */
    ask: <T>(write: (commandId: string) => Promise<T>) => settle<T>({ write, changes: false }),
    error: (field: string) =>
      mutation.error.value instanceof Problem ? mutation.error.value.of(field) : undefined,
  }
}

export interface Sending {
  write: (commandId: string) => Promise<unknown>
  changes: boolean
}
