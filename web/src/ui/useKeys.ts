/** The keys of a view. A field being typed in keeps its own, a chord is the browser's or the shell's. */
import { useEffectEvent, useLayoutEffect } from 'react'
import { isTyping } from './keys.ts'

export interface Keys {
  /** The one main thing; null where there is none now. A key held down presses once. */
  readonly space?: (() => void) | null
  /** Of what has the focus whether the space bar is its own. */
  readonly spaceIsTaken?: (target: EventTarget | null) => boolean
  readonly digit?: ((digit: number) => void) | undefined
  readonly left?: () => void
  readonly right?: () => void
}

function press({ space, spaceIsTaken, digit, left, right }: Keys, event: KeyboardEvent): void {
  if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
  if (/^[1-9]$/.test(event.key)) return digit?.(Number(event.key))
  if (event.key === 'ArrowLeft') return left?.()
  if (event.key === 'ArrowRight') return right?.()
  if (event.key !== ' ' || space === undefined || spaceIsTaken?.(event.target)) return
  event.preventDefault()
  if (!event.repeat) space?.()
}

/** Heard from before the first paint on: what can be seen can be pressed. */
export function useKeys(keys: Keys): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => press(keys, event))
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event)
    addEventListener('keydown', listen)
    return () => removeEventListener('keydown', listen)
  }, [])
}
