import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import { became } from './outbox'
import type { Waiting } from './store'

const mine: Waiting = {
  id: 'mine',
  personId: 2,
  personName: 'Ivo Sandmoor',
  path: '/layers/7KM-4X/records',
  body: { kind: 'LOOKED', occurredAt: '2026-07-10T09:00:00Z' },
  codes: ['7KM-4X'],
  refusal: '',
  seenRevision: 2,
}

function record(id: string, by: string, recordedAt: string): Schemas['RecordView'] {
  return { id, by, recordedAt, occurredAt: recordedAt, kind: 'LOOKED' } as Schemas['RecordView']
}

function answer(records: Schemas['RecordView'][], conflict: string | null = null): Schemas['RecordAnswer'] {
  return {
    recorded: { id: 'mine', revision: records.length, conflict },
    layer: { records },
  } as Schemas['RecordAnswer']
}

describe('what became of a record', () => {
  const known = [
    record('set', 'Maren Tollwick', '2026-05-20T09:00:00Z'),
    record('first look', 'Maren Tollwick', '2026-06-20T09:00:00Z'),
  ]

  it('met nobody where all others were on the screen already', () => {
    const sent = became(mine, answer([record('mine', 'Ivo Sandmoor', '2026-07-10T12:00:00Z'), ...known]))
    expect(sent.others).toEqual([])
    expect(sent.conflict).toBe('')
  })

  it('met those that came in between, however the answer is ordered', () => {
    const between = record('between', 'Maren Tollwick', '2026-07-10T10:00:00.5Z')
    const sent = became(
      mine,
      answer([between, record('mine', 'Ivo Sandmoor', '2026-07-10T12:00:00Z'), ...known]),
    )
    expect(sent.others).toEqual([
      { kind: 'LOOKED', by: 'Maren Tollwick', occurredAt: '2026-07-10T10:00:00.5Z' },
    ])
  })

  it('does not meet what its own maker sent before it', () => {
    const own = record('own', 'Ivo Sandmoor', '2026-07-10T10:00:00Z')
    expect(became(mine, answer([...known, own])).others).toEqual([])
  })

  it('says when it is kept but not counted, one of many too', () => {
    expect(became(mine, answer(known, 'NO_LONGER_ON_MOTHER')).conflict).toBe('NO_LONGER_ON_MOTHER')
    const many = {
      records: [
        { code: 'A', recorded: { id: 'a', revision: 1, conflict: null } },
        { code: 'B', recorded: { id: 'b', revision: 1, conflict: 'FINISHED' } },
      ],
    } as unknown as Schemas['ManyRecorded']
    expect(became({ ...mine, seenRevision: 0 }, many).conflict).toBe('FINISHED')
  })
})
