import { describe, expect, it } from 'vitest'
import { recordsOf, type PaperRow } from './paperRow'

const row = (part: Partial<PaperRow>): PaperRow => ({
  code: 'AAA-22',
  job: 'REWRAP',
  stage: '',
  fill: '',
  conditions: [],
  watered: false,
  done: false,
  note: '',
  ...part,
})

describe('a row of a round on paper', () => {
  it('makes nothing of what was left empty', () => {
    expect(recordsOf(row({}))).toEqual([])
    expect(recordsOf(row({ conditions: ['DRY'] }))).toEqual([])
  })

  it('is looked at, worked on and watered in this order', () => {
    const all = recordsOf(row({ stage: 'CALLUS', conditions: ['WRAP_OPEN'], done: true, watered: true }))
    expect(all.map((one) => one.kind)).toEqual(['LOOKED', 'TENDED', 'TOPPED_UP'])
    expect(all[1]!.details).toMatchObject({ work: 'REWRAP' })
  })

  it('says nothing of what the paper does not say', () => {
    expect(recordsOf(row({ stage: 'ROOTED' }))[0]!.details).toMatchObject({
      fillPercent: null,
      sectors: null,
    })
    expect(recordsOf(row({ stage: 'ROOTED', fill: '40%' }))[0]!.details.fillPercent).toBe(40)
    expect(recordsOf(row({ watered: true }))[0]!.details.waterMl).toBeNull()
  })

  it('takes of a wrap alone only what shows without opening it', () => {
    const [seen] = recordsOf(row({ stage: 'WRAP', conditions: ['ROT', 'WRAP_OPEN'] }))
    expect(seen).toMatchObject({ kind: 'WRAP_SEEN', details: { conditions: ['WRAP_OPEN'] } })
  })

  it('keeps a note with what was done, or by itself', () => {
    expect(recordsOf(row({ watered: true, note: ' by Sunna ' }))[0]!.note).toBe('by Sunna')
    expect(recordsOf(row({ note: 'label torn' }))[0]).toMatchObject({ kind: 'NOTED', note: 'label torn' })
  })
})
