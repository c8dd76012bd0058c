import { onScopeDispose, readonly, ref, watch, type Ref } from 'vue'

/**
 * The width of an element in pixels, as it changes; a drawing laid out for it keeps its writing readable. The element
 * may come later than the component, with the data.
 */
export function useWidth(element: Ref<Element | null>, first = 800): Readonly<Ref<number>> {
  const width = ref(first)
  const observer = new ResizeObserver(([entry]) => {
    if (entry && entry.contentRect.width > 0) width.value = Math.round(entry.contentRect.width)
  })
  watch(element, (now) => {
    observer.disconnect()
    if (now) observer.observe(now)
  })
  onScopeDispose(() => observer.disconnect())
  return readonly(width)
}
