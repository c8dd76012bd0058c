import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, RouterLinkStub, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { onTestFinished, vi } from 'vitest'
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
  onTestFinished(() => {
    shown.unmount()
    vi.unstubAllGlobals()
    document.body.innerHTML = ''
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

/** Types into the field that is called so, in place of what stood there. */
export async function typeInto(shown: VueWrapper, label: string, text: string): Promise<void> {
  const field = byLabel(shown, label) as HTMLInputElement
  field.value = text
  field.dispatchEvent(new Event('input'))
  await flushPromises()
}

/** Chooses from the list that is called so. */
export async function choose(shown: VueWrapper, label: string, code: string): Promise<void> {
  const list = byLabel(shown, label) as HTMLSelectElement
  list.value = code
  list.dispatchEvent(new Event('change'))
  await flushPromises()
}

/** Taps the button, or the one of a few, that begins so. */
export async function tap(shown: VueWrapper, start: string): Promise<void> {
  const found = shown.findAll('button, [role=radio]').find((one) => one.text().startsWith(start))
  if (!found) throw new Error(`nothing to tap begins with ${start}`)
  await found.trigger('click')
  await flushPromises()
}

export async function submit(shown: VueWrapper): Promise<void> {
  await shown.get('form').trigger('submit')
  await flushPromises()
}

const PROBLEM = { 'Content-Type': 'application/problem+json' }

/** A refusal of one field. */
export const refusal = (field: string, message: string): Response =>
  Response.json(
    { title: 'Bad input', detail: 'Look at the field.', status: 400, violations: [{ field, message }] },
    { status: 400, headers: PROBLEM },
  )

/** Somebody else saved it meanwhile: it is this now. */
export const overtaken = (current: unknown): Response =>
  Response.json(
    { title: 'Changed', detail: 'changed meanwhile', status: 409, current },
    { status: 409, headers: PROBLEM },
  )

/** What is said beside a field, its refusal among it. */
export const saidOf = (shown: VueWrapper, label: string): string =>
  (byLabel(shown, label).getAttribute('aria-describedby') ?? '')
    .split(' ')
    .map((id) => document.getElementById(id)?.textContent ?? '')
    .join(' ')
