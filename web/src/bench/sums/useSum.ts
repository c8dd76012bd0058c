import { onScopeDispose, ref, watch, type Ref } from 'vue'
import type { PathsWithMethod } from 'openapi-typescript-helpers'
import { post, Problem, type Answer } from '@/shared/api/client'
import type { paths } from '@/shared/api/schema'

type Sum = PathsWithMethod<paths, 'post'> & `/api/v1/sums/${string}`

const SETTLE_MS = 250

/** Asks for a sum as its numbers are typed; an answer that was overtaken is dropped. Null is asked for nothing. */
export function useSum<P extends Sum>(path: P, body: Ref<unknown>) {
  const answer = ref(null) as Ref<Answer<P, 'post'> | null>
  const problem = ref<unknown>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = 0

  async function ask(): Promise<void> {
    const mine = ++asked
    if (body.value === null) {
      answer.value = null
      problem.value = null
      return
    }
    try {
      const found = await post(path, { body: body.value as never })
      if (mine !== asked) return
      answer.value = found
      problem.value = null
    } catch (failure) {
      if (mine !== asked) return
      // a number that no longer holds beside what is typed now would be read as if it did
      answer.value = null
      problem.value = failure
    }
  }

  watch(
    body,
    () => {
      clearTimeout(timer)
      timer = setTimeout(() => void ask(), SETTLE_MS)
    },
    { deep: true, immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))

  function error(field: string): string | undefined {
    return problem.value instanceof Problem ? problem.value.of(field) : undefined
  }

  return { answer, problem, error, ask }
}
