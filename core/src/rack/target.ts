/** How dry is dry: the same target as water of all and as water activity, the way it is told on a shelf. */
import { dryBasis, equilibrium, waterActivity, wetBasis } from '../transport/index.ts'

/** Where jars stand, °C: a little warmer, and the activity of the same piece is a hundredth higher. */
const SHELF_C = 20

/** Under this, pieces break in the jar. Fraction of water. */
export const BRITTLE_BELOW = 0.11

/** By the durum isotherm. @example activityAt(0.125) → 0.565 */
export const activityAt = (moisture: number): number => waterActivity(dryBasis(moisture), SHELF_C)

/** The other way round. @example moistureAt(0.565) → 0.125 */
export const moistureAt = (activity: number): number => wetBasis(equilibrium(100 * activity, SHELF_C))
