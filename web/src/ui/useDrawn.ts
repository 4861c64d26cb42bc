import type { Shape } from '@harina/core'
import { useAnswer } from './useAnswer.ts'

/** What a worker makes of a shape; null until it is there. It is always of this shape, never of the one before. */
export const useDrawn = <T>(shape: Shape, make: (shape: Shape) => Promise<T>, when = true): T | null =>
  useAnswer(when ? shape : null, make).answer
