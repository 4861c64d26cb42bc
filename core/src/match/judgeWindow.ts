import type { Window } from '../model/index.ts'

export interface Judgement {
  readonly grade: 'in' | 'near' | 'out'
  /** Outside the window by so much of its own scale: negative below, positive above, 0 inside. */
  readonly outsideBy: number
  /** From where one would start, on the same scale. */
  readonly fromBest: number
}

/** Up to this many points of hydration outside, a practised hand can still make it. */
export const NEAR_POINTS = 2

/** Where a figure stands against a window on the same scale; `nearBy` is how far outside still counts as near. */
export function judgeWindow(value: number, { low, best, high }: Window, nearBy = NEAR_POINTS): Judgement {
  const outsideBy = value < low ? value - low : value > high ? value - high : 0
  const distance = Math.abs(outsideBy)
  return {
    grade: distance < 1e-9 ? 'in' : distance <= nearBy + 1e-9 ? 'near' : 'out',
    outsideBy: distance < 1e-9 ? 0 : outsideBy,
    fromBest: value - best,
  }
}
