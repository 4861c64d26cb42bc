import { useLayoutEffect, type RefObject } from 'react'

/** What a hand has done to a control at rest. */
export interface Touch {
  readonly isFocused: boolean
  /** It was to open. */
  readonly isAsked: boolean
}
export type Touched = RefObject<Touch>

/** In the place of a control that was at rest: the focus is taken over, and what was to open opens. */
export function useArrival(touched: Touched, at: RefObject<HTMLElement | null>): void {
  useLayoutEffect(() => {
    const { isFocused, isAsked } = touched.current
    if (!at.current) return
    const typed = at.current instanceof HTMLInputElement ? at.current.value : ''
    if (!isFocused && !isAsked && !typed) return
    // Of a group, the one that Tab comes to.
    const [first, ...others] = at.current.querySelectorAll<HTMLElement>('[role=radio]')
    const element = others.find(({ ariaChecked }) => ariaChecked === 'true') ?? first ?? at.current
    element.focus()
    if (typed) (element as HTMLInputElement).setSelectionRange(typed.length, typed.length)
    if (isAsked || typed) element.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }))
  }, [touched, at])
}
