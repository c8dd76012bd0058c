import { formToken, Problem, type Violation } from './client'

/** Asks for a document; with a body, for one that is made from it. */
export async function fetchFile(path: string, body?: unknown): Promise<Blob> {
  let response: Response
  try {
    response = await fetch(
      `/api/v1${path}`,
      body === undefined
        ? {}
        : {
            method: 'POST',
            headers: { 'content-type': 'application/json', 'X-XSRF-TOKEN': formToken() },
            body: JSON.stringify(body),
          },
    )
  } catch {
    throw new Problem(0, 'No connection', 'The server can’t be reached: try again.')
  }
  if (response.ok) return response.blob()
  const json = (await response.json().catch(() => ({}))) as Record<string, unknown>
  throw new Problem(
    response.status,
    String(json.title ?? 'Refused'),
    String(json.detail ?? ''),
    (json.violations as Violation[]) ?? [],
    json,
  )
}

/** Hands a document to the browser to be kept or opened. */
export function saveFile(file: Blob, name: string): void {
  const address = URL.createObjectURL(file)
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  // the browser has taken it over by the next turn
  setTimeout(() => URL.revokeObjectURL(address))
}
