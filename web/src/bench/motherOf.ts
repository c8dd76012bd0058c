import { get } from '@/shared/api/client'

/** Five signs with or without the dash: what may be a layer's code, for the server to check. */
const CODE = /^[0-9a-z]{3}[ -]?[0-9a-z]{2}$/i

export function looksLikeCode(text: string): boolean {
  return CODE.test(text.trim())
}

/**
 * The id of the mother that a label leads to: its own, or the one that a layer stands on. What was scanned is the address
 * of a page; what was typed is a code.
 *
 * @throws Problem if there is no such layer, or a sign of its code is wrong
 */
export async function motherOf(text: string): Promise<string | null> {
  const mother = /\/stock\/(\d+)\/?$/.exec(text.trim())
  if (mother) return mother[1]!
  const layer = /\/layers\/([^/?#]+)\/?$/.exec(text.trim())
  const code = layer ? decodeURIComponent(layer[1]!) : text.trim()
  if (!layer && !looksLikeCode(code)) return null
  const page = await get('/api/v1/layers/{code}', { path: { code } })
  return String(page.mother.id)
}
