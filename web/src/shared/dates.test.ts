import { describe, expect, it } from 'vitest'
import { addDays, dayText, daysBetween, weekdayText } from './dates'

describe('days', () => {
  it('are counted over the turn of month, year and summer time', () => {
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29')
    expect(addDays('2026-03-28', 2)).toBe('2026-03-30')
    expect(addDays('2026-07-10', -10)).toBe('2026-06-30')
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2)
    expect(daysBetween('2026-07-10', '2026-07-03')).toBe(-7)
  })

  it('are written with the year only where it is another', () => {
    expect(dayText('2026-07-17', '2026-07-10')).toBe('17 July')
    expect(dayText('2027-05-03', '2026-07-10')).toBe('3 May 2027')
    expect(weekdayText('2026-07-10')).toBe('Friday')
  })
})
