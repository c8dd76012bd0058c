import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'
import { api, Problem, type Schemas, type Violation } from '@/shared/api/client'
import { number, toSend } from '@/shared/quantity'
import { useSession } from '@/shared/session'
import type { Waiting } from './useOutbox'

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

interface Draft {
  motherId: string
  recipeId: string
  reason: string
  rows: BenchRow[]
}

const DRAFT = 'kg-bench-draft'
const SETTLE_MS = 250

/** The rows on the bench, and what the core says of them. What is typed outlives a reload. */
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
  /** One more row like another. */
  const another = (like: BenchRow): BenchRow => ({ ...like, key: nextKey++ })
  const reason = ref('')
  const rows = ref<BenchRow[]>(restore())
  const preview = ref<Schemas['SetPreview'] | null>(null)
  /** The sums of each row; null of one that has something wrong. */
  const sums = ref<(Schemas['Row'] | null)[]>([])
  const violations = ref<Violation[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = 0

  function restore(): BenchRow[] {
    try {
      const kept = JSON.parse(localStorage.getItem(draftKey) ?? 'null') as Draft | null
      if (kept?.rows?.length) {
        const ofAnother = motherId.value !== '' && motherId.value !== kept.motherId
        if (!motherId.value) motherId.value = kept.motherId
        if (!recipeId.value) recipeId.value = kept.recipeId
        reason.value = kept.reason
        return kept.rows.map((row) => ({
          ...blank(),
          ...row,
          ...(ofAnother ? { limb: '' } : {}),
          key: nextKey++,
        }))
      }
    } catch {
      // a draft that can't be read is as good as none
    }
    return [blank()]
  }

  const sent = (row: BenchRow) => ({
    limbId: row.limb ? Number(row.limb) : null,
    diameterMm: toSend(row.diameter, 'length', session.units),
    wood: row.wood,
    position: row.position,
    leavesBeyond: number(row.leaves),
    fromUnionMm: toSend(row.fromUnion, 'length', session.units),
    leanDeg: number(row.lean),
    specimen: false,
    fruitToKeep: false,
  })
  const body = computed(() => ({
    motherId: Number(motherId.value),
    recipeId: Number(recipeId.value),
    liveShootBelow: shootBelow.value === 'yes',
    rows: rows.value.map(sent),
  }))
  const isComplete = computed(
    () =>
      motherId.value !== '' && recipeId.value !== '' && rows.value.every((row) => row.diameter.trim() !== ''),
  )

  /** Reckons the rows; where some have something wrong, the others all the same. */
  async function reckon(): Promise<void> {
    const mine = ++asked
    const all = body.value
    const wrong: Violation[] = []
    let left = all.rows.map((_, index) => index).filter((index) => rows.value[index]!.diameter.trim())
    let answer: Schemas['SetPreview'] | null = null
    while (left.length && !answer) {
      try {
        answer = await api<Schemas['SetPreview']>('POST', '/set-previews', {
          ...all,
          rows: left.map((index) => all.rows[index]),
        })
      } catch (failure) {
        if (mine !== asked) return
        const found = failure instanceof Problem ? failure.violations : []
        const named = found.map((one) => ({ ...one, field: inAll(one.field, left) }))
        wrong.push(...named)
        const bad = new Set(named.map((one) => rowOf(one.field)).filter((row) => row >= 0))
        if (!bad.size) break
        left = left.filter((index) => !bad.has(index))
      }
    }
    if (mine !== asked) return
    violations.value = wrong
    sums.value = all.rows.map((_, index) => answer?.rows[left.indexOf(index)] ?? null)
    // what is said of the batch as a whole holds only if all of it was looked at
    preview.value = left.length === all.rows.length ? answer : null
  }

  watch(
    [body, isComplete, reason],
    () => {
      const draft: Draft = {
        motherId: motherId.value,
        recipeId: recipeId.value,
        reason: reason.value,
        rows: rows.value,
      }
      localStorage.setItem(draftKey, JSON.stringify(draft))
    },
    { deep: true, immediate: true },
  )
  watch(
    body,
    () => {
      clearTimeout(timer)
      const some = motherId.value && recipeId.value && rows.value.some((row) => row.diameter.trim())
      if (some) timer = setTimeout(() => void reckon(), SETTLE_MS)
      else {
        preview.value = null
        sums.value = []
        violations.value = []
      }
    },
    { deep: true, immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))

  function add(count: number): void {
    const last = rows.value.at(-1) ?? blank()
    for (let i = 0; i < count; i++) rows.value.push(another(last))
  }

  function remove(key: number): void {
    rows.value = rows.value.filter((row) => row.key !== key)
    if (!rows.value.length) rows.value = [blank()]
  }

  /** What is wrong with a cell, if the server said so. */
  function cellError(index: number, field: string): string | undefined {
    return violations.value.find((one) => one.field === `rows[${index}].${field}`)?.message
  }

  /** A batch was sent: the bench is free, and begins with what was last. */
  function clear(): void {
    rows.value = [{ ...another(rows.value.at(-1) ?? blank()), diameter: '', limb: '' }]
    reason.value = ''
  }

  /** Puts a refused batch back on the bench. */
  function putBack(refused: Waiting): void {
    const old = refused.body as unknown as {
      motherId: number
      recipeId: number
      rows: Record<string, unknown>[]
    }
    motherId.value = String(old.motherId)
    recipeId.value = String(old.recipeId)
    rows.value = old.rows.map((row) => ({
      key: nextKey++,
      limb: row.limbId ? String(row.limbId) : '',
      diameter: String(row.diameterMm),
      wood: String(row.wood),
      position: String(row.position),
      leaves: String(row.leavesBeyond),
      fromUnion: String(row.fromUnionMm),
      lean: String(row.leanDeg),
    }))
  }

  return {
    rows,
    body,
    preview,
    sums,
    violations,
    reason,
    isComplete,
    another,
    add,
    remove,
    cellError,
    clear,
    putBack,
  }
}

/** The number of the row that a field is in; -1 for one of the batch. */
function rowOf(field: string): number {
  const found = /^rows\[(\d+)\]/.exec(field)
  return found ? Number(found[1]) : -1
}

/** The field of the whole bench for one of those rows that were sent. */
function inAll(field: string, sentRows: number[]): string {
  const row = rowOf(field)
  return row < 0 ? field : field.replace(/^rows\[\d+\]/, `rows[${sentRows[row]}]`)
}
