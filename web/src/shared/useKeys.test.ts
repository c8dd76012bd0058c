import { effectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

const stored = new Map<string, string>()
vi.stubGlobal('localStorage', {
  getItem: (key: string) => stored.get(key) ?? null,
  setItem: (key: string, value: string) => stored.set(key, value),
})
const { press, useKeys, useKnownKeys } = await import('./useKeys')

function stroke(key: string, more: object = {}): KeyboardEvent {
  return {
    key,
    target: { closest: () => null },
    preventDefault: vi.fn(),
    defaultPrevented: false,
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    ...more,
  } as unknown as KeyboardEvent
}

describe('single keys', () => {
  const next = vi.fn()
  const help = vi.fn()
  let scope = effectScope()

  beforeEach(() => {
    scope = effectScope()
    scope.run(() =>
      useKeys([
        { key: 'j', words: 'next', run: next },
        { key: '?', words: 'help', run: help },
      ]),
    )
  })
  afterEach(() => {
    scope.stop()
    vi.clearAllMocks()
    useKnownKeys().turn(true)
  })

  it('do what they stand for, and nothing else happens with them', () => {
    const event = stroke('j')
    press(event)
    expect(next).toHaveBeenCalledOnce()
    expect(event.preventDefault).toHaveBeenCalledOnce()
  })

  it('are left alone in a field, with a modifier, or when somebody took them', () => {
    press(stroke('j', { target: { closest: () => ({}) } }))
    press(stroke('j', { ctrlKey: true }))
    press(stroke('j', { metaKey: true }))
    press(stroke('j', { altKey: true }))
    press(stroke('j', { defaultPrevented: true }))
    press(stroke('x'))
    expect(next).not.toHaveBeenCalled()
  })

  it('can be switched off, but for the one that lists them', () => {
    useKnownKeys().turn(false)
    press(stroke('j'))
    press(stroke('?'))
    expect(next).not.toHaveBeenCalled()
    expect(help).toHaveBeenCalledOnce()
    expect(stored.get('kg-keys')).toBe('off')
  })

  it('go with the part of the page that gave them', () => {
    expect(useKnownKeys().keys.map((one) => one.key)).toEqual(['j', '?'])
    scope.stop()
    press(stroke('j'))
    expect(next).not.toHaveBeenCalled()
    expect(useKnownKeys().keys).toEqual([])
  })
})
