import { ok, problem, type Result } from '../result.ts'
import { carbonateEquivalent, type Salt } from './salts.ts'

/** Over this, in percent of flour as Na₂CO₃, a dough is harsh and soapy; it is never called right. */
export const MOST_ALKALI_PERCENT = 2

const SHARE_TOLERANCE = 1e-6

/** The same carbonate from another salt, g. Problems: `bicarbonate-is-no-carbonate`. */
export function swapSalt(from: Salt, grams: number, to: Salt): Result<number> {
  if (carbonateEquivalent(from) === 0) return problem('bicarbonate-is-no-carbonate', 'from')
  if (carbonateEquivalent(to) === 0) return problem('bicarbonate-is-no-carbonate', 'to')
  return ok((grams * carbonateEquivalent(from)) / carbonateEquivalent(to))
}

export interface BlendPart {
  readonly salt: Salt
  /** By mass; the shares of a blend add to 1. */
  readonly share: number
}

/**
 * Grams of each salt of a blend for a dose in percent of flour as Na₂CO₃ equivalent.
 * Problems: `bicarbonate-is-no-carbonate`, `shares-not-one`.
 * @example 1 % on 1000 g with 60 sodium : 40 potassium → 6.617 g and 4.411 g
 */
export function doseAlkali(flourG: number, percent: number, blend: readonly BlendPart[]) {
  const bicarbonate = blend.findIndex((part) => carbonateEquivalent(part.salt) === 0)
  if (bicarbonate >= 0) return problem('bicarbonate-is-no-carbonate', `blend.${bicarbonate}.salt`)
  const sum = blend.reduce((total, part) => total + part.share, 0)
  if (Math.abs(sum - 1) > SHARE_TOLERANCE) return problem('shares-not-one', 'blend', { sum })
  const perGram = blend.reduce((total, part) => total + part.share * carbonateEquivalent(part.salt), 0)
  const totalG = (flourG * percent) / 100 / perGram
  return ok({ rows: blend.map(({ salt, share }) => ({ salt, grams: totalG * share })), totalG })
}
