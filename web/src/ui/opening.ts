/** A panel of a station asked for from elsewhere: it opens once, and not again when the page is loaded anew. */
import { useEffect, useEffectEvent } from 'react'
import { useLocation, useNavigate } from 'react-router'

export interface Opening {
  readonly open: string
  /** What it should begin with. */
  readonly with?: string
}

const isOpening = (state: unknown): state is Opening =>
  typeof state === 'object' && state !== null && typeof (state as Opening).open === 'string'

export function useOpening(onOpen: (asked: Opening) => void): void {
  const { state, key, pathname, search } = useLocation()
  const navigate = useNavigate()
  const take = useEffectEvent(() => {
    if (!isOpening(state)) return
    onOpen(state)
    void navigate(`${pathname}${search}`, { replace: true, state: null })
  })
  useEffect(() => take(), [key])
}
