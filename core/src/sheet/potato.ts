/** Cooked potato, squash and curd: how wet they are, measured or by the table, and the flour a wanted dough needs. */
import { ok, problem, type Result } from '../result.ts'
import type { Ingredient } from '../model/index.ts'
import type { Worked } from './computeSheet.ts'

const WEIGHING_SLIP = 1e-9

/**
 * Moisture of a spoonful weighed before and after drying to constant weight: (before − after)/before, fraction.
 * Problems: `weighing-order`. @example moistureByDrying(20, 4.4) → 0.78
 */
export function moistureByDrying(beforeG: number, afterG: number): Result<number> {
  if (afterG > beforeG + WEIGHING_SLIP || afterG <= 0) return problem('weighing-order')
  return ok((beforeG - afterG) / beforeG)
}

/**
 * Moisture after steaming off: only water leaves, so m′ = (m·before − (before − after))/after.
 * Problems: `weighing-order`, and `steamed-too-far` when more went than it can have held.
 * @example moistureAfterSteaming(1000, 930, 0.8) → 0.785
 */
export function moistureAfterSteaming(beforeG: number, afterG: number, moisture: number): Result<number> {
  if (afterG > beforeG + WEIGHING_SLIP || afterG <= 0) return problem('weighing-order')
  const waterG = moisture * beforeG - (beforeG - afterG)
  if (waterG < 0) return problem('steamed-too-far')
  return ok(waterG / afterG)
}

/** Water and mass of everything but the flour, on 100 of base. */
function withoutFlour({ rows }: Worked) {
  const others = rows.filter((row) => row.part !== 'flour')
  return {
    massG: others.reduce((sum, row) => sum + row.percent, 0),
    waterG: others.reduce((sum, row) => sum + row.percent * row.water, 0),
  }
}

/**
 * Flour on 100 of base that brings the whole dough to a moisture: F = (W − m·M)/(m − mᶠ), W and M of everything but flour.
 * Problems: `not-on-base`, `moisture-out-of-reach` when the dough is drier than that without any flour, or flour is wetter.
 * @example potato at 0.78, 1 of salt, flour at 0.14, wanted 0.62 → (78 − 62.62)/0.48 = 32.0
 */
export function flourForMoisture(worked: Worked, moisture: number): Result<number> {
  if (worked.control.by !== 'base') return problem('not-on-base')
  const { massG, waterG } = withoutFlour(worked)
  const spare = moisture - worked.flourMoisture
  const flour = spare > 0 ? (waterG - moisture * massG) / spare : -1
  return flour > 0 ? ok(flour) : problem('moisture-out-of-reach')
}

export interface ExtraFlour {
  /** Flour on 100 of base. */
  readonly flourOnBase: number
  /** Fraction of the dough. */
  readonly moisture: number
  readonly state: 'soft' | 'in' | 'stiff'
}

/** What more or less flour would do, in steps of the table's own correction (3 on 100 of base). */
export function flourLadder(worked: Worked, stepPercent = 3): readonly ExtraFlour[] {
  if (worked.control.by !== 'base') return []
  const { massG, waterG } = withoutFlour(worked)
  const { low, high } = worked.match.window
  return [-2, -1, 0, 1, 2, 3]
    .map((steps) => (worked.control.by === 'base' ? worked.control.flourOnBase : 0) + steps * stepPercent)
    .filter((flour) => flour > 0)
    .map((flour) => ({
      flourOnBase: flour,
      moisture: (waterG + flour * worked.flourMoisture) / (massG + flour),
      state: flour < low ? 'soft' : flour > high ? 'stiff' : 'in',
    }))
}

export interface RawBase {
  readonly name: string
  readonly from: NonNullable<Ingredient['from']>
  /** To buy, and as it goes onto the scale, g. */
  readonly rawG: number
  readonly readyG: number
}

/** What the base of a dough is made from; null where nothing is known of it, and where several are mixed. */
export function rawBase({ rows }: Pick<Worked, 'rows'>): RawBase | null {
  const [base, ...others] = rows.filter((row) => row.part === 'base' && row.weighedG > 0)
  const from = base?.ingredient.from
  if (!base || !from || others.length > 0) return null
  return { name: base.ingredient.name, from, rawG: (base.weighedG * from.rawPer100) / 100, readyG: base.weighedG }
}

/** The flour goes in while the potato steams still: a school of its own, from here on, °C. */
const STEAMS_FROM_C = 55

/**
 * Whether flour is worked in so hot that its starch binds at once.
 * @example isWorkedWarm(60) → true; isWorkedWarm(45) → false
 */
export const isWorkedWarm = (belowC: number): boolean => belowC > STEAMS_FROM_C
