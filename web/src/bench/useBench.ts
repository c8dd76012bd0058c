import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'
import { api, newCommandId, Problem, type Schemas } from '@/shared/api/client'
import { number, toSend } from '@/shared/quantity'
import { useSession } from '@/shared/session'

export interface BenchRow {
  key: number
  limb: string
  diameter: string
  wood: string
  position: string
  leaves: string
  fromUnion: string
  lean: string
}

const DRAFT = 'kg-bench-draft'

/** The rows on the bench, what the core says of them, and setting them. What is typed outlives a reload. */
export function useBench(motherId: Ref<string>, recipeId: Ref<string>, shootBelow: Ref<string>) {
  const session = useSession()
  const draftKey = `${DRAFT}-${session.person?.id}`
  let nextKey = 1
  const blank = (): BenchRow => ({
    key: nextKey++,
    limb: '',
    diameter: '',
    wood: 'ONE_TWO',
    position: 'BELOW_NODE',
    leaves: '8',
    fromUnion: session.units === 'US' ? '16' : '400',
    lean: '30',
  })
  const rows = ref<BenchRow[]>(restore())
  const preview = ref<Schemas['SetPreview'] | null>(null)
  const previewProblem = ref<Problem | null>(null)
  const reason = ref('')
  const saving = ref(false)
  const problem = ref<unknown>(null)
  let commandId = newCommandId()
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = 0

  function restore(): BenchRow[] {
    try {
      const kept = JSON.parse(localStorage.getItem(draftKey) ?? '[]') as BenchRow[]
      if (kept.length) return kept.map((row) => ({ ...blank(), ...row, key: nextKey++ }))
    } catch {
      // a draft that can't be read is as good as none
    }
    return [blank()]
  }

  const body = computed(() => ({
    motherId: Number(motherId.value),
    recipeId: Number(recipeId.value),
    liveShootBelow: shootBelow.value === 'yes',
    rows: rows.value.map((row) => ({
      limbId: row.limb ? Number(row.limb) : null,
      diameterMm: toSend(row.diameter, 'length', session.units),
      wood: row.wood,
      position: row.position,
      leavesBeyond: number(row.leaves),
      fromUnionMm: toSend(row.fromUnion, 'length', session.units),
      leanDeg: number(row.lean),
      specimen: false,
      fruitToKeep: false,
    })),
  }))
  const isComplete = computed(
    () =>
      motherId.value !== '' && recipeId.value !== '' && rows.value.every((row) => row.diameter.trim() !== ''),
  )

  async function reckon(): Promise<void> {
    const mine = ++asked
    try {
      const answer = await api<Schemas['SetPreview']>('POST', '/set-previews', body.value)
      if (mine !== asked) return
      preview.value = answer
      previewProblem.value = null
    } catch (failure) {
      if (mine !== asked) return
      preview.value = null
      previewProblem.value = failure instanceof Problem ? failure : null
    }
  }

  watch(
    [body, isComplete],
    () => {
      localStorage.setItem(draftKey, JSON.stringify(rows.value))
      clearTimeout(timer)
      problem.value = null
      if (isComplete.value) timer = setTimeout(() => void reckon(), 250)
      else preview.value = null
    },
    { deep: true, immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))

  function add(count: number): void {
    const last = rows.value.at(-1) ?? blank()
    for (let i = 0; i < count; i++) rows.value.push({ ...last, key: nextKey++ })
  }

  function remove(key: number): void {
    rows.value = rows.value.filter((row) => row.key !== key)
    if (!rows.value.length) rows.value = [blank()]
  }

  /** What is wrong with a cell, if the server said so. */
  function cellError(index: number, field: string): string | undefined {
    const all = [
      ...(previewProblem.value?.violations ?? []),
      ...(problem.value instanceof Problem ? problem.value.violations : []),
    ]
    return all.find((one) => one.field === `rows[${index}].${field}`)?.message
  }

  async function set(): Promise<string[] | null> {
    saving.value = true
    problem.value = null
    try {
      const answer = await api<Schemas['BatchSet']>(
        'POST',
        '/batches',
        { ...body.value, reason: reason.value.trim() || null },
        commandId,
      )
      commandId = newCommandId()
      rows.value = [blank()]
      reason.value = ''
      localStorage.removeItem(draftKey)
      return answer.codes
    } catch (failure) {
      problem.value = failure
      // a refusal wrote nothing: what is sent next is something else. A lost answer may have: the same goes again.
      if (failure instanceof Problem && !failure.mayBeWritten) commandId = newCommandId()
      return null
    } finally {
      saving.value = false
    }
  }

  return { rows, preview, previewProblem, reason, saving, problem, isComplete, add, remove, cellError, set }
}
