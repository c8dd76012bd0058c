import { readonly, ref } from 'vue'

const KEY = 'kg-last-sync'
const online = ref(true)
const kept = typeof localStorage === 'undefined' ? null : localStorage
const lastSync = ref(kept?.getItem(KEY) ?? '')

/** Whether the server was reached the last time, and when it was. The browser's own word for it says little. */
export const connection = { online: readonly(online), lastSync: readonly(lastSync) }

export function wasReached(): void {
  online.value = true
  lastSync.value = new Date().toISOString()
  kept?.setItem(KEY, lastSync.value)
}

export function wasNotReached(): void {
  online.value = false
}
