import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nurseryNow, setNurseryClock } from './clock'

/** By the device. The nursery's clock is an hour ahead of it in all of these. */
const DEVICE = Date.parse('2026-07-10T05:00:00Z')
const HOUR = 3_600_000

/** An answer that was `there` ms on its way to the nursery and `back` ms on its way home. */
function ask(there: number, back: number, ahead = HOUR): void {
  const askedAt = Date.now()
  vi.advanceTimersByTime(there)
  const now = new Date(Date.now() + ahead).toISOString()
  vi.advanceTimersByTime(back)
  setNurseryClock(now, askedAt)
}

function wrongBy(ahead = HOUR): number {
  return Math.abs(nurseryNow().getTime() - (Date.now() + ahead))
}

describe("the nursery's clock on a device", () => {
  beforeEach(() => void vi.useFakeTimers({ now: DEVICE }))
  afterEach(() => {
    vi.useRealTimers()
    localStorage.clear()
  })

  it("is the device's own before anybody was asked", () => {
    expect(nurseryNow().getTime()).toBe(DEVICE)
  })

  it('is right to half of what an answer took, however slow its way home', () => {
    ask(200, 3000)
    expect(wrongBy()).toBe(1400)
  })

  it('comes closer with a faster answer, and is no worse after a slower one', () => {
    ask(200, 3000)
    ask(10, 30)
    expect(wrongBy()).toBe(10)
    ask(4000, 100)
    expect(wrongBy()).toBe(10)
  })

  it('is what was told last where one of both clocks was set anew', () => {
    ask(10, 30)
    ask(10, 30, 25 * HOUR)
    expect(wrongBy(25 * HOUR)).toBe(10)
  })

  it.each(['NaN', 'null', '{"atLeast":null,"atMost":null}', '{', '"x"'])(
    "is the device's own where %s is kept, and is right with the next answer",
    (kept) => {
      localStorage.setItem('kg-clock-ahead', kept)
      expect(nurseryNow().getTime()).toBe(DEVICE)
      ask(10, 30)
      expect(wrongBy()).toBe(10)
    },
  )

  it('goes on from what an older page kept', () => {
    localStorage.setItem('kg-clock-ahead', String(HOUR))
    expect(wrongBy()).toBeLessThanOrEqual(500)
    ask(10, 30)
    expect(wrongBy()).toBeLessThanOrEqual(20)
  })
})
