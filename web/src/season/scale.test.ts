import { describe, expect, it } from 'vitest'
import { months, runs, scaleOf } from './scale'

describe('the scale of a year', () => {
  it('puts each day where it belongs, across the turn of the year', () => {
    const scale = scaleOf('2026-07-01', '2027-07-01', 730)
    expect(scale.days).toBe(365)
    expect(scale.x('2026-07-01')).toBe(0)
    expect(scale.x('2027-01-01')).toBe(368)
    expect(scale.x('2027-07-01')).toBe(730)
  })

  it('names the months that begin in it', () => {
    const found = months('2026-07-01', 365)
    expect(found).toHaveLength(12)
    expect(found[0]).toEqual({ day: '2026-07-01', name: 'Jul' })
    expect(found[11]).toEqual({ day: '2027-06-01', name: 'Jun' })
  })

  it('joins neighbours that are alike and no others', () => {
    expect(runs(['a', 'a', 'b', 'a'], (one) => one)).toEqual([
      { from: 0, to: 2, key: 'a' },
      { from: 2, to: 3, key: 'b' },
      { from: 3, to: 4, key: 'a' },
    ])
    expect(runs([], String)).toEqual([])
  })
})
