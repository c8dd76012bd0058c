import { computed, ref } from 'vue'
import { api, newCommandId, Problem } from './api/client'

/** Sends an edit under one identity until it is answered, and keeps what was refused. */
export function useCommand<T>() {
  const saving = ref(false)
  const problem = ref<unknown>(null)
  let id = newCommandId()

  async function send(method: 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown): Promise<T | null> {
    saving.value = true
    problem.value = null
    try {
      const answer = await api<T>(method, path, body, id)
      id = newCommandId()
      return answer
    } catch (failure) {
      problem.value = failure
      // what may be written already goes again under its own name, so that it is not written twice
      if (failure instanceof Problem && !failure.mayBeWritten) id = newCommandId()
      return null
    } finally {
      saving.value = false
    }
  }

  /** What somebody else saved meanwhile, if that is why it was refused. */
  const stale = computed(() =>
    problem.value instanceof Problem && problem.value.status === 409
      ? ((problem.value.more.current as T | undefined) ?? null)
      : null,
  )

  function error(field: string): string | undefined {
    return problem.value instanceof Problem ? problem.value.of(field) : undefined
  }

  return { saving, problem, stale, send, error }
}
