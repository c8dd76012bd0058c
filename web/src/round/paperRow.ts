import type { NewRecord } from '@/records/newRecord'

/** What a round on paper says of one layer. */
export interface PaperRow {
  code: string
  /** what was due; empty for nothing */
  job: string
  /** empty where it was not looked at; WRAP for the wrap alone */
  stage: string
  fill: string
  conditions: string[]
  watered: boolean
  /** the work that was due was done */
  done: boolean
  note: string
}

/** Conditions that show only under the wrap. */
const UNDER_THE_WRAP = ['ROT', 'BRIDGED']

/** The records that a row makes, in the order in which they are done: looked at, then worked on, then watered. */
export function recordsOf(row: PaperRow): NewRecord[] {
  const all: NewRecord[] = []
  if (row.stage === 'WRAP') {
    const conditions = row.conditions.filter((one) => !UNDER_THE_WRAP.includes(one))
    all.push({ kind: 'WRAP_SEEN', details: { conditions, openedBy: null } })
  } else if (row.stage) {
    all.push({
      kind: 'LOOKED',
      details: {
        stage: row.stage,
        sectors: null,
        fillPercent: row.fill.trim() ? Number(row.fill.replace('%', '')) : null,
        conditions: row.conditions,
        openedBy: null,
        bareSide: null,
      },
    })
  }
  if (row.done) all.push({ kind: 'TENDED', details: { work: row.job, cover: null } })
  if (row.watered) all.push({ kind: 'TOPPED_UP', details: { waterMl: null } })
  const note = row.note.trim()
  if (!note) return all
  // a note goes with what was done, or stands alone
  return all.length
    ? all.map((one, i) => (i ? one : { ...one, note }))
    : [{ kind: 'NOTED', details: {}, note }]
}
