import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, RouterLinkStub, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import type { Component } from 'vue'
import { newQueryClient } from '@/shared/api/queries'
import { i18n } from '@/shared/i18n'
import { useSession, type Session, type Units } from '@/shared/session'
import { METRIC } from './readers'

/** What was sent to change something. */
export interface Sent {
  method: string
  path: string
  body: Record<string, unknown>
}

/** Answers by the path that is asked for; one for a change says what is sent back for it. */
export type Answers = Record<string, unknown | ((body: Record<string, unknown>) => Response)>

/** A form as it stands on a page, before a server of which only these answers are known: others are away. */
export async function mountForm(
  form: Component,
  props: Record<string, unknown>,
  answers: Answers = {},
  units: Units = METRIC,
) {
  const sent: Sent[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname.replace('/api/v1', '')
    const answer = answers[path]
    if (answer === undefined) throw new TypeError('away')
    if (request.method === 'GET') return Response.json(answer)
    const body = (await request.json()) as Record<string, unknown>
    sent.push({ method: request.method, path, body })
    return typeof answer === 'function' ? (answer(body) as Response) : Response.json(answer)
  })
  setActivePinia(createPinia())
  useSession().session = {
    person: { id: 1, name: 'maren', fullName: 'Maren Tealby', role: 'OWNER', units: units.system },
    measures: units,
    demo: false,
    today: '2026-07-10',
    now: '2026-07-10T09:00:00Z',
    needsOwner: false,
  } as unknown as Session
  const shown = mount(form, {
    attachTo: document.body,
    props,
    global: {
      plugins: [i18n, [VueQueryPlugin, { queryClient: newQueryClient() }]],
      stubs: { RouterLink: RouterLinkStub },
    },
  })
  await flushPromises()
  return { shown, sent }
}

/** The field, list or button that is called so. */
export function byLabel(shown: VueWrapper, label: string): HTMLElement {
  const named = [...document.querySelectorAll('label')].find((one) =>
    one.textContent?.trim().startsWith(label),
  )
  const field = named && (named.control ?? document.getElementById(named.htmlFor))
  if (!field || !shown.element.contains(field)) throw new Error(`no field is called ${label}`)
  return field
}
