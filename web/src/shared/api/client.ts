import { wasNotReached, wasReached } from '@/shared/device/connection'
import { askForPassword } from '@/shared/confirmation'
import type { components } from './schema'

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

const signedOutListeners = new Set<() => void>()

/** Calls back when the server says that nobody is signed in any more. */
export function onSignedOut(listener: () => void): void {
  signedOutListeners.add(listener)
}

/**
 * @param body sent as JSON; a picture as it is
 * @param more headers
 */
export async function api<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  commandId?: string,
  more: Record<string, string> = {},
): Promise<T> {
  return call<T>(method, path, body, commandId, more, true)
}

/** Cookies do not know ports: the demo's token has a name of its own. The session says which. */
let tokenCookie = 'XSRF-TOKEN'

/** What every change has to carry. */
export function formToken(): string {
  return cookie(tokenCookie)
}

export function useDemoToken(isDemo: boolean): void {
  tokenCookie = isDemo ? 'DEMO-XSRF-TOKEN' : 'XSRF-TOKEN'
}

async function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body: unknown,
  commandId: string | undefined,
  more: Record<string, string>,
  mayAsk: boolean,
): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api/v1${path}`, {
      method,
      headers: {
        accept: 'application/json',
        ...(body === undefined
          ? {}
          : { 'content-type': body instanceof Blob ? body.type : 'application/json' }),
        ...(method === 'GET' ? {} : { 'X-XSRF-TOKEN': formToken() }),
        ...(commandId ? { 'Command-Id': commandId } : {}),
        ...more,
      },
      body: body === undefined ? undefined : body instanceof Blob ? body : JSON.stringify(body),
    })
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
  if (response.status === 204) return undefined as T
  const json = (await response.json().catch(() => ({}))) as Record<string, unknown>
  if (!response.ok) {
    // what can shut others out wants the password once more; then it goes as it was
    if (mayAsk && json.confirm === true && (await askForPassword()))
      return call<T>(method, path, body, commandId, more, false)
    if (response.status === 401 && path !== '/session') signedOutListeners.forEach((listener) => listener())
    throw new Problem(
      response.status,
      String(json.title ?? 'Refused'),
      String(json.detail ?? ''),
      (json.violations as Violation[]) ?? [],
      json,
    )
  }
  return json as T
}

/** A fresh identity for one thing that the user does; a retry of the same thing keeps it. */
export function newCommandId(): string {
  return crypto.randomUUID()
}
