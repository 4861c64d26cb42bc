import { useEffect, useRef } from 'react'
import { useLocation } from 'react-router'

/** For a row of links that may run out of a phone's screen: the one that is open is brought into sight. */
export function useCurrentInSight<T extends HTMLElement>() {
  const row = useRef<T>(null)
  const { pathname } = useLocation()
  useEffect(() => {
    const show = () =>
      row.current?.querySelector('[aria-current=page]')?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' })
    // Once there is a layout to measure in, and again when the device is turned.
    const frame = requestAnimationFrame(show)
    addEventListener('resize', show)
    return () => {
      cancelAnimationFrame(frame)
      removeEventListener('resize', show)
    }
  }, [pathname])
  return row
}
