import { describe, expect, it } from 'vitest'
import { nextAfter, walkOrder } from './walkOrder'

const none = new Set<string>()

describe('the order of a walk', () => {
  it('stays as it was begun, with what came up meanwhile at the end', () => {
    expect(walkOrder(['A', 'B', 'C'], ['N', 'C', 'A'], none)).toEqual(['A', 'C', 'N'])
  })

  it('goes on from where one stands, also when that is done', () => {
    expect(nextAfter('B', ['A', 'B', 'C', 'D'], ['A', 'C', 'D'], none)).toBe('C')
    expect(nextAfter('D', ['A', 'B', 'C', 'D'], ['A', 'C'], none)).toBe('A')
    expect(nextAfter('A', ['A'], ['A'], none)).toBe('')
  })

  it('comes back to what was skipped when all else is done', () => {
    const skipped = new Set(['B'])
    expect(walkOrder(['A', 'B', 'C'], ['A', 'B', 'C'], skipped)).toEqual(['A', 'C', 'B'])
    expect(nextAfter('A', ['A', 'B', 'C'], ['A', 'B', 'C'], skipped)).toBe('C')
    expect(nextAfter('C', ['A', 'B', 'C'], ['B'], skipped)).toBe('B')
  })
})
