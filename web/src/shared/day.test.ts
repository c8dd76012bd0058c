import { describe, expect, it } from 'vitest'
import { readDay } from './day'

const TODAY = '2026-07-10' // a Friday

const day = (typed: string, ahead = false) => {
  const read = readDay(typed, TODAY, ahead)
  return read.is === 'day' ? read.day : read.is
}

describe('a day as it is typed', () => {
  it.each([
    ['today', '2026-07-10'],
    ['Yesterday', '2026-07-09'],
    ['3 days ago', '2026-07-07'],
    ['a week ago', '2026-07-03'],
    ['two weeks ago', '2026-06-26'],
    ['Monday', '2026-07-06'],
    ['friday', '2026-07-03'],
    ['last tue', '2026-07-07'],
    ['10 jul', '2026-07-10'],
    ['10 July 2026', '2026-07-10'],
    ['Jul 9', '2026-07-09'],
    ['9th of July', '2026-07-09'],
    ['July 9, 2025', '2025-07-09'],
    ['11 jul', '2025-07-11'],
    ['28 sept 25', '2025-09-28'],
    ['5-May-2025', '2025-05-05'],
    ['2026-07-08', '2026-07-08'],
    ['2026/7/8', '2026-07-08'],
    ['7/7', '2026-07-07'],
    ['25/6', '2026-06-25'],
    ['6/25', '2026-06-25'],
    ['25.6.26', '2026-06-25'],
    ['25.6.', '2026-06-25'],
    ['29 feb', '2024-02-29'],
  ])('%s is %s', (typed, read) => expect(day(typed)).toBe(read))

  it('asks where it can be read in two ways', () => {
    expect(readDay('8/7', TODAY)).toEqual({ is: 'two', days: ['2026-07-08', '2025-08-07'] })
    expect(readDay('3.4.2026', TODAY)).toEqual({ is: 'two', days: ['2026-04-03', '2026-03-04'] })
  })

  it('lies ahead where that is asked for', () => {
    expect(day('11 jul', true)).toBe('2026-07-11')
    expect(day('1 may', true)).toBe('2027-05-01')
    expect(day('monday', true)).toBe('2026-07-13')
    expect(day('in 2 weeks', true)).toBe('2026-07-24')
    expect(day('tomorrow', true)).toBe('2026-07-11')
  })

  it.each([
    ['31 june', 'none'],
    ['29 feb 2025', 'none'],
    ['40/40', 'none'],
    ['soon', 'unreadable'],
    ['10', 'unreadable'],
    ['julember 3', 'unreadable'],
    ['', 'empty'],
    ['  ', 'empty'],
  ])('%s is %s', (typed, is) => expect(day(typed)).toBe(is))
})
