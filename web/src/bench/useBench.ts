import { computed, onScopeDispose, ref, watch } from 'vue'
import type { Batch } from '@/shared/device/outbox'
import { Problem, type Schemas, type Violation, post } from '@/shared/api/client'
import { number, toSend, typed } from '@/shared/quantity'
import { useSession } from '@/shared/session'

export interface BenchRow {
  key: number
  limb: string
  /** the place in a trial that it stands for; empty for none */
  slot: string
  diameter: string
  wood: string
  position: string
  leaves: string
  fromUnion: string
  lean: string
  /** width of the ring as it was cut */
  ring: string
  /** the ball as it was wrapped */
  volume: string
  length: string
  across: string
  tie: string
  hollow: string
  specimen: boolean
  fruitToKeep: boolean
}

/** What all rows of a batch have in common. */
export interface BenchHead {
  motherId: string
  recipeId: string
  shootBelow: string
  hand: string
  hormone: string
  /** the day on which they were set; empty for today, null while what was typed is none */
  setOn: string | null
  /** what takes the load off the limbs; empty for nothing */
  relief: string
  /** the planned batch that is being set; empty for none */
  planned: string
}

interface Draft {
  head: BenchHead
  reason: string
  rows: BenchRow[]
}

const DRAFT = 'kg-bench-draft-3'
const SETTLE_MS = 250

/** The rows on the bench, and what the core says of them. What is typed outlives a reload. */
export function useBench(begin: { motherId: string }) {
  const session = useSession()
  const draftKey = `${DRAFT}-${session.person?.id}`
  let nextKey = 1
  const blank = (): BenchRow => ({
    key: nextKey++,
    limb: '',
    slot: '',
    diameter: '',
    // what nobody measured stays empty, and is not said
    wood: '',
    position: '',
    leaves: '',
    fromUnion: '',
    lean: '',
    ring: '',
    volume: '',
    length: '',
    across: '',
    tie: '',
    hollow: '',
    specimen: false,
    fruitToKeep: false,
  })
  /** One more row like another; a place of a trial is one row’s. */
  const another = (like: BenchRow): BenchRow => ({ ...like, slot: '', key: nextKey++ })
  const head = ref<BenchHead>({
    motherId: begin.motherId,
    recipeId: '',
    shootBelow: 'yes',
    hand: '',
    hormone: '',
    setOn: '',
    relief: '',
    planned: '',
  })
  const reason = ref('')
  const rows = ref<BenchRow[]>(restore())
  const preview = ref<Schemas['SetPreview'] | null>(null)
  /** The sums of each row; null of one that has something wrong. */
  const sums = ref<(Schemas['BranchPreview'] | null)[]>([])
  const violations = ref<Violation[]>([])
  /** Whether what stands there now is reckoned: what is said of the batch is said of these rows, not of older ones. */
  const isSettled = ref(true)
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = 0

  function restore(): BenchRow[] {
    try {
      const kept = JSON.parse(localStorage.getItem(draftKey) ?? 'null') as Draft | null
      if (kept?.rows?.length) {
        const ofAnother = begin.motherId !== '' && begin.motherId !== kept.head.motherId
        // a day that was meant for that sitting is not meant for this one
        Object.assign(
          head.value,
          kept.head,
          { setOn: '' },
          begin.motherId ? { motherId: begin.motherId } : {},
        )
        reason.value = kept.reason
        return kept.rows.map((row) => ({
          ...blank(),
          ...row,
          ...(ofAnother ? { limb: '', slot: '' } : {}),
          key: nextKey++,
        }))
      }
    } catch {
      // a draft that can't be read is as good as none
    }
    return [blank()]
  }

  const measured = (value: string, what: 'length' | 'volume') =>
    value.trim() ? toSend(value, what, session.units) : null
  const sent = (row: BenchRow) => ({
    limbId: row.limb ? Number(row.limb) : null,
    trialSlotId: row.slot ? Number(row.slot) : null,
    diameterMm: toSend(row.diameter, 'length', session.units),
    wood: row.wood || null,
    position: row.position || null,
    leavesBeyond: row.leaves.trim() ? number(row.leaves) : null,
    fromUnionMm: measured(row.fromUnion, 'length'),
    leanDeg: row.lean.trim() ? number(row.lean) : null,
    ...(row.ring.trim() ? { ringMm: measured(row.ring, 'length') } : {}),
    ...(isBallSaid(row) ? { wrapped: ballOf(row) } : {}),
    ...(row.hollow ? { hollow: row.hollow === 'YES' } : {}),
    specimen: row.specimen,
    fruitToKeep: row.fruitToKeep,
  })
  const isBallSaid = (row: BenchRow) =>
    [row.volume, row.length, row.across, row.tie].some((one) => one.trim() !== '')
  const ballOf = (row: BenchRow) => ({
    volumeMl: measured(row.volume, 'volume'),
    lengthMm: measured(row.length, 'length'),
    acrossMm: measured(row.across, 'length'),
    tie: row.tie || null,
  })
  const body = computed(() => ({
    motherId: Number(head.value.motherId),
    recipeId: Number(head.value.recipeId),
    liveShootBelow: head.value.shootBelow === 'yes',
    setOn: head.value.setOn && head.value.setOn !== session.today ? head.value.setOn : null,
    hand: head.value.hand.trim() || null,
    hormone: head.value.hormone || null,
    relief: head.value.relief || null,
    plannedId: head.value.planned ? Number(head.value.planned) : null,
    rows: rows.value.map(sent),
  }))
  const isComplete = computed(
    () =>
      head.value.motherId !== '' &&
      head.value.recipeId !== '' &&
      head.value.setOn !== null &&
      rows.value.every((row) => row.diameter.trim() !== ''),
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
        answer = await post('/api/v1/set-previews', {
          body: {
            ...all,
            rows: left.map((index) => all.rows[index]!),
          },
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
    isSettled.value = true
  }

  watch(
    [head, rows, reason],
    () => {
      const draft: Draft = { head: head.value, reason: reason.value, rows: rows.value }
      localStorage.setItem(draftKey, JSON.stringify(draft))
    },
    { deep: true, immediate: true },
  )
  watch(
    body,
    () => {
      clearTimeout(timer)
      const some = head.value.motherId && head.value.recipeId && rows.value.some((row) => row.diameter.trim())
      isSettled.value = !some
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
    rows.value = [{ ...another(rows.value.at(-1) ?? blank()), diameter: '', limb: '', slot: '' }]
    head.value.planned = ''
    head.value.relief = ''
    reason.value = ''
  }

  /** What was typed comes back as it was; what was kept is a number in mm, for a reader of whatever units. */
  const length = (value: unknown, what: 'length' | 'volume' = 'length') =>
    typeof value === 'number' ? typed(value, what, session.units) : String(value ?? '')

  /** Puts a batch on the bench as it was sent or planned. */
  function putBack(old: Batch, planned = ''): void {
    Object.assign(head.value, {
      motherId: String(old.motherId),
      recipeId: String(old.recipeId),
      shootBelow: old.liveShootBelow === false ? 'no' : 'yes',
      hand: old.hand ?? head.value.hand,
      hormone: old.hormone ?? '',
      setOn: old.setOn ?? '',
      relief: old.relief ?? '',
      planned,
    })
    rows.value = old.rows.map((row) => ({
      key: nextKey++,
      limb: row.limbId ? String(row.limbId) : '',
      slot: row.trialSlotId ? String(row.trialSlotId) : '',
      diameter: length(row.diameterMm),
      wood: String(row.wood ?? ''),
      position: String(row.position ?? ''),
      leaves: String(row.leavesBeyond ?? ''),
      fromUnion: length(row.fromUnionMm),
      lean: String(row.leanDeg ?? ''),
      ring: length(row.ringMm),
      volume: length(row.wrapped?.volumeMl, 'volume'),
      length: length(row.wrapped?.lengthMm),
      across: length(row.wrapped?.acrossMm),
      tie: String(row.wrapped?.tie ?? ''),
      hollow: row.hollow === null || row.hollow === undefined ? '' : row.hollow ? 'YES' : 'NO',
      specimen: row.specimen,
      fruitToKeep: row.fruitToKeep,
    }))
  }

  return {
    head,
    rows,
    body,
    preview,
    sums,
    violations,
    isSettled,
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
