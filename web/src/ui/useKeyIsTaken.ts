import { useCallback, useEffect, useRef } from 'react'

const pressable = (target: EventTarget | null): Element | null =>
  target instanceof Element ? target.closest('button, a') : null

/**
 * Whether a key is for what has the focus: something reached by Tab, or in a panel. What was last pressed with a finger has the
 * focus too, but no claim on the space bar.
 */
export function useKeyIsTaken(): (target: EventTarget | null) => boolean {
  const pressed = useRef<Element | null>(null)
  useEffect(() => {
    const onPress = (event: PointerEvent) => {
      pressed.current = pressable(event.target)
    }
    const onTab = (event: KeyboardEvent) => {
      if (event.key === 'Tab') pressed.current = null
    }
    addEventListener('pointerdown', onPress)
    addEventListener('keydown', onTab, { capture: true })
    return () => {
      removeEventListener('pointerdown', onPress)
      removeEventListener('keydown', onTab, { capture: true })
    }
  }, [])
  return useCallback((target) => {
    if (target instanceof Element && target.closest('[role=dialog]')) return true
    const focused = pressable(target)
    return focused !== null && focused !== pressed.current
  }, [])
}
