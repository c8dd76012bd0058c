import { describe, expect, it, vi } from 'vitest'
import { Problem } from './api/client'
import { useCommand } from './useCommand'

vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=abc' })

/** Sends once for each answer, and gives the identities that went over the wire. */
async function identities(...answers: (number | 'lost')[]): Promise<string[]> {
  const sent: string[] = []
  let next = 0
  vi.stubGlobal('fetch', (_: string, request: { headers: Record<string, string> }) => {
    sent.push(request.headers['Command-Id']!)
    const answer = answers[next++]!
    return answer === 'lost'
      ? Promise.reject(new TypeError('no network'))
      : Promise.resolve(new Response('{"title":"t","detail":"d","violations":[]}', { status: answer }))
  })
  const { send } = useCommand()
  for (let i = 0; i < answers.length; i++) await send('POST', '/places', { name: 'North field' })
  return sent
}

describe('a command', () => {
  it('keeps its identity while it may have been written', async () => {
    const [first, second, third] = await identities('lost', 503, 200)
    expect(second).toBe(first)
    expect(third).toBe(first)
  })

  it('gets a new one once it was refused or kept', async () => {
    const sent = await identities(400, 409, 200, 200)
    expect(new Set(sent).size).toBe(4)
  })

  it('keeps what was wrong, field by field', async () => {
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        new Response('{"title":"t","detail":"d","violations":[{"field":"name","message":"must be there"}]}', {
          status: 400,
        }),
      ),
    )
    const { send, error, problem, saving } = useCommand()
    expect(await send('POST', '/places', {})).toBeNull()
    expect(problem.value).toBeInstanceOf(Problem)
    expect(error('name')).toBe('must be there')
    expect(error('order')).toBeUndefined()
    expect(saving.value).toBe(false)
  })
})
