import createClient from 'openapi-fetch'
import type { PathsWithMethod, SuccessResponseJSON } from 'openapi-typescript-helpers'
import { wasNotReached, wasReached } from '@/shared/device/connection'
import { askForPassword } from '@/shared/confirmation'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Violation = Schemas['Violation']

/** A refusal of the server, as it explained it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly violations: Violation[] = [],
    readonly more: Record<string, unknown> = {},
  ) {
    super(detail)
  }

  /** Whether it may have been written all the same: the answer was lost, or the server failed on the way. */
  get mayBeWritten(): boolean {
    return this.status === 0 || this.status >= 500
  }

  /** What is wrong with a field, if anything. */
  of(field: string): string | undefined {
    return this.violations.find((one) => one.field === field || one.field.endsWith(`.${field}`))?.message
  }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((one) => one.startsWith(`${name}=`))
  return found ? decodeURIComponent(found.slice(name.length + 1)) : ''
}

/** Cookies do not know ports: the demo's token has a name of its own. The session says which. */
let tokenCookie = 'XSRF-TOKEN'

export function useDemoToken(isDemo: boolean): void {
  tokenCookie = isDemo ? 'DEMO-XSRF-TOKEN' : 'XSRF-TOKEN'
}

const signedOutListeners = new Set<() => void>()

/** Calls back when the server says that nobody is signed in any more. */
export function onSignedOut(listener: () => void): void {
  signedOutListeners.add(listener)
}

/**
 * What goes over the wire, and what comes back if the server took it.
 *
 * @throws Problem otherwise
 */
async function send(request: Request, mayAsk = true): Promise<Response> {
  // every change has to carry it
  if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', cookie(tokenCookie))
  // a file is not kept twice; none asks for a password
  const again = mayAsk && request.headers.get('content-type') === JSON_TYPE ? request.clone() : null
  let response: Response
  try {
    response = await fetch(request)
  } catch {
    wasNotReached()
    throw new Problem(
      0,
      'No connection',
      'The server can’t be reached. What you typed is still here: try again.',
    )
  }
  if (response.status < 500) wasReached()
  else wasNotReached()
  if (response.ok) return response
  const json = (await response.json().catch(() => ({}))) as Record<string, unknown>
  // what can shut others out wants the password once more; then it goes as it was
  if (again && json.confirm === true && (await askForPassword())) return send(again, false)
  if (response.status === 401 && !request.url.endsWith('/session'))
    signedOutListeners.forEach((listener) => listener())
  throw new Problem(
    response.status,
    String(json.title ?? 'Refused'),
    String(json.detail ?? ''),
    (json.violations as Violation[]) ?? [],
    json,
  )
}

const JSON_TYPE = 'application/json'

const client = createClient<paths>({
  baseUrl: location.origin,
  fetch: (request) => send(request),
  headers: { accept: JSON_TYPE },
  bodySerializer: (body: unknown) => (body instanceof Blob ? body : JSON.stringify(body)),
})

type Method = 'get' | 'post' | 'put' | 'delete'
type Operation<P extends keyof paths, M extends Method> = Extract<paths[P][M], Record<string, unknown>>
type Parameters<P extends keyof paths, M extends Method, In extends string> =
  Operation<P, M> extends { parameters: { [K in In]?: infer T } } ? NonNullable<T> : never
type Body<P extends keyof paths, M extends Method> =
  Operation<P, M> extends { requestBody?: { content: { 'application/json': infer T } } } ? T : undefined

/** What an operation answers. */
export type Answer<P extends keyof paths, M extends Method> =
  Operation<P, M> extends { responses: infer R extends Record<string | number, unknown> }
    ? SuccessResponseJSON<{ responses: R }>
    : never

/** Values of an address are text in the end. */
type Written<T> = { [K in keyof T]: T[K] | string | number | boolean | null | undefined }

/** As it was typed: the server reads quantities and choices, and says what is wrong with them. */
export type Typed<T> = T extends number
  ? number | string | null
  : T extends string
    ? string | null
    : T extends (infer One)[]
      ? Typed<One>[]
      : T extends object
        ? { [K in keyof T]: Typed<T[K]> }
        : T

/** @param commandId under which a change is written once, however often it is sent */
interface Sent<P extends keyof paths, M extends Method> {
  path?: Written<Parameters<P, M, 'path'>>
  query?: Written<Partial<Parameters<P, M, 'query'>>>
  body?: Typed<Body<P, M>> | Blob
  commandId?: string
  headers?: Record<string, string>
}

async function call<P extends keyof paths, M extends Method>(
  method: M,
  path: P,
  sent: Sent<P, M>,
): Promise<Answer<P, M>> {
  const headers = {
    ...(sent.body === undefined
      ? {}
      : { 'content-type': sent.body instanceof Blob ? sent.body.type : JSON_TYPE }),
    ...(sent.commandId ? { 'Command-Id': sent.commandId } : {}),
    ...sent.headers,
  }
  const init = { params: { path: sent.path, query: sent.query }, body: sent.body, headers }
  const { data } = await client.request(method, path as never, init as never)
  return data as Answer<P, M>
}

/** Reads. @throws Problem if it is refused, or the server can't be reached */
export function get<P extends PathsWithMethod<paths, 'get'>>(
  path: P,
  sent: Sent<P, 'get'> = {},
): Promise<Answer<P, 'get'>> {
  return call('get', path, sent)
}

/** Adds, or asks for what is worked out from a body. @throws Problem as {@link get} */
export function post<P extends PathsWithMethod<paths, 'post'>>(
  path: P,
  sent: Sent<P, 'post'> = {},
): Promise<Answer<P, 'post'>> {
  return call('post', path, sent)
}

/** Puts in the place of what there is. @throws Problem as {@link get} */
export function put<P extends PathsWithMethod<paths, 'put'>>(
  path: P,
  sent: Sent<P, 'put'> = {},
): Promise<Answer<P, 'put'>> {
  return call('put', path, sent)
}

/** Takes away. @throws Problem as {@link get} */
export function remove<P extends PathsWithMethod<paths, 'delete'>>(
  path: P,
  sent: Sent<P, 'delete'> = {},
): Promise<Answer<P, 'delete'>> {
  return call('delete', path, sent)
}

/** Sends what was addressed when it was made, and has waited on this device since. @throws Problem as {@link get} */
export async function postKept<T>(
  path: string,
  body: unknown,
  commandId: string,
  more: Record<string, string>,
): Promise<T> {
  const headers = {
    'content-type': body instanceof Blob ? body.type : JSON_TYPE,
    'Command-Id': commandId,
    ...more,
  }
  const { data } = await client.request('post', `/api/v1${path}` as never, { body, headers } as never)
  return data as T
}

/** The parameters of an address as they stand there. */
export function parameters(address: string | URLSearchParams): Record<string, string> {
  return Object.fromEntries(new URLSearchParams(address))
}

/** A document that the server makes, with a body from it. @throws Problem as {@link get} */
export async function fetchFile(path: string, body?: unknown): Promise<Blob> {
  const answer = await send(
    new Request(`${location.origin}/api/v1${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      headers: { 'content-type': JSON_TYPE },
      body: body === undefined ? undefined : JSON.stringify(body),
    }),
  )
  return answer.blob()
}

/** A fresh identity for one thing that the user does; a retry of the same thing keeps it. */
export function newCommandId(): string {
  return crypto.randomUUID()
}
