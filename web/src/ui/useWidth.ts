import { useCallback, useState } from 'react'

/** Width in px of whatever the returned ref is put on. */
export function useWidth(initial: number) {
  const [width, setWidth] = useState(initial)
  const ref = useCallback((element: Element | null) => {
    if (!element) return
    // At once: drawn at a guess first, what is measured would be seen to jump.
    setWidth((was) => element.getBoundingClientRect().width || was)
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width))
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return [ref, width] as const
}
