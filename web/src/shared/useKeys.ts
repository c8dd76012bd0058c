import { onScopeDispose, readonly, ref, shallowReactive, type Ref } from 'vue'

export interface Key {
  key: string
  words: string
  run: () => void
}

const STORED = 'kg-keys'
const known = shallowReactive<Key[]>([])
const on = ref(localStorage.getItem(STORED) !== 'off')

/** Single keys that do something while nobody types; they last as long as the part of the page that gives them. */
export function useKeys(keys: Key[]): void {
  known.push(...keys)
  onScopeDispose(() => keys.forEach((one) => known.splice(known.indexOf(one), 1)))
}

/** The keys of the page as it stands, and the switch for those whose voice or hand would press them by chance. */
export function useKnownKeys(): {
  keys: readonly Key[]
  on: Readonly<Ref<boolean>>
  turn: (to: boolean) => void
} {
  function turn(to: boolean): void {
    on.value = to
    localStorage.setItem(STORED, to ? 'on' : 'off')
  }
  return { keys: known, on: readonly(on), turn }
}

/** Whether a key stroke is meant for the page, not for a field, a dialog or the browser. */
export function isForThePage(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return (
    !event.defaultPrevented &&
    !event.ctrlKey &&
    !event.metaKey &&
    !event.altKey &&
    !target?.closest?.('input, select, textarea, [contenteditable], [role=dialog], [role=menu]')
  )
}

/** Runs what a key stroke stands for. */
export function press(event: KeyboardEvent): void {
  if (!isForThePage(event)) return
  const found = known.find((one) => one.key === event.key)
  // the list of keys can always be called up, or nobody could switch them on again
  if (!found || (!on.value && found.key !== '?')) return
  event.preventDefault()
  found.run()
}
