import { describe, expect, it } from 'vitest'
import { browserName } from './browserName'

describe('what a browser is called', () => {
  it('says the engine and the machine', () => {
    expect(
      browserName('Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Chrome/126.0 Mobile Safari/537.36'),
    ).toBe('Chromium, Android')
    expect(browserName('Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0')).toBe(
      'Firefox, Linux',
    )
  })
  it('says what a program calls itself, cut short', () => {
    expect(browserName('curl/8.1')).toBe('curl/8.1')
    expect(browserName('x'.repeat(100))).toHaveLength(40)
    expect(browserName('')).toBe('')
  })
})
