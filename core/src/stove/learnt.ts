/** What this kitchen's own times in the pot say of a shape, against the table's. */
import { cookingSpan, type ShapeTaught } from '../bench/index.ts'
import type { Finish, Shape } from '../model/index.ts'

/** Sd of the logarithm of a kitchen's time over the table's, before anything was cooked; and of one time about its kitchen's. */
const PRIOR_SD = 0.25
const ONE_SD = 0.15

export interface LearntTimes {
  /** Times the table's. */
  readonly factor: number
  readonly n: number
}

/**
 * Normal-normal on the logarithms: few times move it little. Fresh and frozen teach each other nothing of dried.
 * @example three times of 1.2 of the table's → 1.16
 */
export function learntTimes(taught: readonly ShapeTaught[], shape: Shape, finish: Finish | null): LearntTimes {
  const isDried = finish === 'dry'
  const logs = taught.flatMap(({ shape: id, pot }) => {
    if (id !== shape.id || !pot || (pot.finish === 'dry') !== isDried) return []
    const [from, to] = cookingSpan({ minutes: { cook: [...pot.cook] }, steps: [] }, pot.finish, shape.cookDriedMin)
    return [Math.log(pot.minutes / ((from + to) / 2))]
  })
  const n = logs.length
  const mean = logs.reduce((sum, each) => sum + each, 0) / (n + (ONE_SD / PRIOR_SD) ** 2)
  return { factor: n === 0 ? 1 : Math.exp(mean), n }
}
