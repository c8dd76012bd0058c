import { afterEach, describe, expect, it, vi } from 'vitest'
import { looksLikeCode, motherOf } from './motherOf'

afterEach(() => vi.unstubAllGlobals())

function answers(body: unknown, status = 200) {
  const fetched = vi.fn<(request: Request) => Promise<Response>>(
    async () => new Response(JSON.stringify(body), { status }),
  )
  vi.stubGlobal('fetch', fetched)
  return fetched
}

describe('what a label leads to', () => {
  it('is the mother of a mother’s label, with nothing asked', async () => {
    const fetched = answers({})
    expect(await motherOf('https://nursery.example:8443/stock/17')).toBe('17')
    expect(fetched).not.toHaveBeenCalled()
  })

  it('is the mother that a layer stands on, by its address or its typed code', async () => {
    const fetched = answers({ mother: { id: 5 } })
    expect(await motherOf('https://nursery.example/layers/7KM-4X')).toBe('5')
    expect(await motherOf(' 7km4x ')).toBe('5')
    expect(fetched.mock.calls.map(([request]) => new URL(request.url).pathname)).toEqual([
      '/api/v1/layers/7KM-4X',
      '/api/v1/layers/7km4x',
    ])
  })

  it('is nothing for other writing', async () => {
    expect(await motherOf('https://nursery.example/house')).toBeNull()
    expect(looksLikeCode('quince')).toBe(false)
  })

  it('says what the server says of a slip', async () => {
    answers({ title: 'x', detail: 'a sign is wrong' }, 400)
    await expect(motherOf('7KM-4Y')).rejects.toThrow('a sign is wrong')
  })
})
