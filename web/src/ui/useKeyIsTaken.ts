import { useCallback, useEffect, useRef } from 'react'

const pressable = (target: EventTarget | null): Element | null =>
  target instanceof Element ? target.closest('button, a, [role=radio]') : null

/**
 * Whether a key is for what has the focus: something reached by Tab, or in a panel. What was pressed with a finger has the
 * focus too, but no claim on the space bar.
 */
export function useKeyIsTaken(): (target: EventTarget | null) => boolean {
  // Several: a panel gives the focus back to what opened it, after others were pressed in it.
  const pressed = useRef(new WeakSet<Element>())
  useEffect(() => {
    const onPress = (event: PointerEvent) => {
      const element = pressable(event.target)
      if (element) pressed.current.add(element)
    }
    const onTab = (event: KeyboardEvent) => {
      if (event.key === 'Tab') pressed.current = new WeakSet()
    }
    addEventListener('pointerdown', onPress)
    addEventListener('keydown', onTab, { capture: true })
    return () => {
      removeEventListener('pointerdown', onPress)
      removeEventListener('keydown', onTab, { capture: true })
    }
  }, [])
  return useCallback((target) => {
    if (target instanceof Element && target.closest('[role=dialog], [role=listbox]')) return true
    const focused = pressable(target)
    return focused !== null && !pressed.current.has(focused)
  }, [])
}
