import { describe, expect, it } from 'vitest'
import { count, drawing, leavesEach, taken, touched, whole } from './leaves'

describe('leaf over root', () => {
  it('takes the lowest off first and halves those above them', () => {
    const states = taken(12, 4, 4)
    expect(states.slice(0, 4)).toEqual(['off', 'off', 'off', 'off'])
    expect(count(states, 'half')).toBe(4)
    expect(drawing(states)).toBe(4 + 2)
  })

  it('turns a leaf from whole to halved to off and back', () => {
    let states = whole(3)
    states = touched(states, 1, 1)
    expect(states).toEqual(['on', 'half', 'on'])
    states = touched(states, 1, 1)
    expect(states).toEqual(['on', 'off', 'on'])
    states = touched(states, 1, 1)
    expect(states).toEqual(whole(3))
  })

  it('draws one leaf for several where there are many, and loses none', () => {
    expect(leavesEach(16)).toBe(1)
    expect(leavesEach(17)).toBe(2)
    const states = touched(whole(47), 15, 3)
    expect(states).toHaveLength(47)
    expect(count(states, 'half')).toBe(2)
    expect(drawing(states)).toBe(46)
  })
})
