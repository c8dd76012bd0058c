import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { post, Problem } from './api/client'
import { newQueryClient } from './api/queries'
import { useCommand } from './useCommand'

const queryClient = newQueryClient()
const app = createApp({}).use(VueQueryPlugin, { queryClient })
const command = () => app.runWithContext(() => useCommand())
const write = (commandId: string) => post('/api/v1/places', { body: {} as never, commandId })

afterEach(() => vi.unstubAllGlobals())

/** Sends once for each answer, and gives the identities that went over the wire. */
async function identities(...answers: (number | 'lost')[]): Promise<string[]> {
  const sent: string[] = []
  let next = 0
  vi.stubGlobal('fetch', (request: Request) => {
    sent.push(request.headers.get('Command-Id')!)
    const answer = answers[next++]!
    return answer === 'lost'
      ? Promise.reject(new TypeError('no network'))
      : Promise.resolve(new Response('{"title":"t","detail":"d","violations":[]}', { status: answer }))
  })
  const { send } = command()
  for (let i = 0; i < answers.length; i++) await send(write)
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
    const { send, error, problem, saving } = command()
    expect(await send(write)).toBeNull()
    expect(problem.value).toBeInstanceOf(Problem)
    expect(error('name')).toBe('must be there')
    expect(error('order')).toBeUndefined()
    expect(saving.value).toBe(false)
  })

  it('has what is shown read anew when it changed something, and not when it only asked', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{}', { status: 200 })))
    const anew = vi.spyOn(queryClient, 'invalidateQueries')
    const { send, ask } = command()
    await ask(write)
    expect(anew).not.toHaveBeenCalled()
    await send(write)
    expect(anew).toHaveBeenCalledOnce()
  })
})
