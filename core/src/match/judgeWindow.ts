import type { Window } from '../shape/index.ts'

export interface Judgement {
  readonly grade: 'in' | 'near' | 'out'
  /** Points outside the window: negative when too stiff, positive when too soft, 0 inside. */
  readonly outsideBy: number
  /** Points from where one would start: negative is stiffer. */
  readonly fromBest: number
}

/** Up to this many points outside, a practised hand can still make it. */
const NEAR_POINTS = 2

/** Where a hydration (percent, on the same basis as the window) stands against a window. */
export function judgeWindow(hydration: number, { low, best, high }: Window): Judgement {
  const outsideBy = hydration < low ? hydration - low : hydration > high ? hydration - high : 0
  const distance = Math.abs(outsideBy)
  return {
    grade: distance < 1e-9 ? 'in' : distance <= NEAR_POINTS + 1e-9 ? 'near' : 'out',
    outsideBy: distance < 1e-9 ? 0 : outsideBy,
    fromBest: hydration - best,
  }
}
