import { toldBy, type Plan, type Shape } from '@harina/core'
import { useMemo } from 'react'
import { useKitchen } from '#web/state/select.ts'

/** The shape a batch is made into, in the words of this maker's ways. */
export function useMadeShape({ shape: { id }, surface }: Pick<Plan, 'shape' | 'surface'>): Shape | undefined {
  const shape = useKitchen()?.shapes.get(id)
  return useMemo(() => shape && toldBy(shape, surface ?? {}), [shape, surface])
}
