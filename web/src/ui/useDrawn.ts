import type { Shape } from '@harina/core'
import { useEffect, useState } from 'react'

/** What a worker makes of a shape; null until it is there. It is always of this shape, never of the one before. */
export function useDrawn<T>(shape: Shape, make: (shape: Shape) => Promise<T>, when = true): T | null {
  const [made, setMade] = useState<{ readonly of: Shape; readonly drawn: T } | null>(null)
  useEffect(() => {
    if (!when) return
    let wanted = true
    make(shape).then(
      (drawn) => wanted && setMade({ of: shape, drawn }),
      () => wanted && setMade(null),
    )
    return () => {
      wanted = false
    }
  }, [shape, make, when])
  return made?.of === shape ? made.drawn : null
}
