import { describe, expect, it } from 'vitest'
import { backupAge } from './backupAge'

describe('the age of a backup', () => {
  const now = Date.parse('2026-07-10T09:00:00Z')
  it('is fresh for a night and a morning', () => {
    expect(backupAge('2026-07-10T02:00:00Z', now)).toEqual({ hours: 7, days: 0, isFresh: true })
    expect(backupAge('2026-07-08T21:00:00Z', now).isFresh).toBe(true)
    expect(backupAge('2026-07-08T20:00:00Z', now).isFresh).toBe(false)
  })
  it('is never negative where clocks differ', () => {
    expect(backupAge('2026-07-10T09:20:00Z', now).hours).toBe(0)
  })
})
