import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { soon } from './patience'

describe('what is shown while an answer is on its way', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  it('is the answer where it comes soon', async () => {
    const later = vi.fn()
    expect(await soon(Promise.resolve('fresh'), 'kept', later)).toBe('fresh')
    await vi.runAllTimersAsync()
    expect(later).not.toHaveBeenCalled()
  })

  it('is what the device knows where it does not, and the answer when it comes', async () => {
    const later = vi.fn()
    const answer = new Promise<string>((done) => setTimeout(() => done('fresh'), 9000))
    const shown = soon(answer, 'kept', later)
    await vi.advanceTimersByTimeAsync(2000)
    expect(await shown).toBe('kept')
    await vi.advanceTimersByTimeAsync(8000)
    expect(later).toHaveBeenCalledWith('fresh')
  })

  it('is the refusal where that comes soon, and the answer alone where nothing is known', async () => {
    await expect(soon(Promise.reject(new Error('refused')), 'kept', vi.fn())).rejects.toThrow('refused')
    const answer = new Promise<string>((done) => setTimeout(() => done('fresh'), 9000))
    const shown = soon(answer, null, vi.fn())
    await vi.advanceTimersByTimeAsync(9500)
    expect(await shown).toBe('fresh')
  })
})
