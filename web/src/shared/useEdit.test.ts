import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { afterEach, expect, it, vi } from 'vitest'
import { put } from './api/client'
import { newQueryClient } from './api/queries'
import { useEdit } from './useEdit'

afterEach(() => vi.unstubAllGlobals())

it('an edit goes on top of what somebody else saved once both were seen', async () => {
  const sent: number[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const { version } = (await request.json()) as { version: number }
    sent.push(version)
    return version === 7
      ? new Response(JSON.stringify({ version: 8 }), { status: 200 })
      : new Response(JSON.stringify({ detail: 'changed meanwhile', current: { version: 7 } }), {
          status: 409,
        })
  })
  const app = createApp({}).use(VueQueryPlugin, { queryClient: newQueryClient() })
  const edit = app.runWithContext(() => useEdit<{ version: number }>(5, save))
  async function save(): Promise<void> {
    await edit.send((commandId) =>
      put('/api/v1/site', { body: { version: edit.version.value } as never, commandId }),
    )
  }
  await edit.mineCounts()
  expect(sent).toEqual([])
  await save()
  expect(edit.stale.value).toEqual({ version: 7 })
  await edit.mineCounts()
  expect(sent).toEqual([5, 7])
  expect(edit.problem.value).toBeNull()
})
