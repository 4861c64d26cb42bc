import { useSyncExternalStore } from 'react'

const query = '(max-width: 767px)'

const subscribe = (changed: () => void) => {
  const media = matchMedia(query)
  media.addEventListener('change', changed)
  return () => media.removeEventListener('change', changed)
}

/** Whether the screen is a phone's: for drawings, whose text must not shrink with them. */
export const usePhone = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => matchMedia(query).matches,
    // Drawn without a screen, as for the list of what is said: as on a desk.
    () => false,
  )
