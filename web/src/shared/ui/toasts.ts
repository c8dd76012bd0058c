import { reactive } from 'vue'

export interface Toast {
  id: number
  text: string
  action?: { label: string; run: () => void }
}

export const toasts = reactive<Toast[]>([])
let next = 1

/** Says what was done, with a way back where there is one. */
export function toast(text: string, action?: Toast['action'], { stays = false } = {}): void {
  const id = next++
  toasts.push({ id, text, action })
  if (!stays) setTimeout(() => dismiss(id), action ? 12_000 : 5_000)
}

export function dismiss(id: number): void {
  const index = toasts.findIndex((one) => one.id === id)
  if (index >= 0) toasts.splice(index, 1)
}
