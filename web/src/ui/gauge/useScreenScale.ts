/** How many CSS pixels a millimetre has on this screen, once it was measured; follows the page's zoom. */
import { useEffect, useState } from 'react'
import { preferred } from '../../state/preferencesSlice.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'

export interface ScreenScale {
  /** Null until a card was held against the screen. */
  readonly pxPerMm: number | null
  /** A second length agreed. */
  readonly checked: boolean
  readonly set: (pxPerMm: number | null, checked: boolean) => void
}

function usePixelRatio(): number {
  const [ratio, setRatio] = useState(() => globalThis.devicePixelRatio || 1)
  useEffect(() => {
    const look = () => setRatio(window.devicePixelRatio || 1)
    window.addEventListener('resize', look)
    return () => window.removeEventListener('resize', look)
  }, [])
  return ratio
}

export function useScreenScale(): ScreenScale {
  const dispatch = useAppDispatch()
  const ratio = usePixelRatio()
  const { devicePxPerMm, gaugeChecked } = useApp((state) => state.preferences)
  return {
    // Zooming the page changes how many device pixels a CSS pixel has, and not the screen.
    pxPerMm: devicePxPerMm === null ? null : devicePxPerMm / ratio,
    checked: gaugeChecked,
    set: (pxPerMm, checked) =>
      dispatch(preferred({ devicePxPerMm: pxPerMm === null ? null : pxPerMm * ratio, gaugeChecked: checked })),
  }
}
