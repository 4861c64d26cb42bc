/** Carbonates through the port. */
import { bakeSoda, carbonateSolution, doseAlkali, MOST_ALKALI_PERCENT, SALTS, swapSalt } from '../alkali/index.ts'
import { ok } from '../result.ts'
import { z } from '../zod.ts'
import { kind, plain, positive, type Kind, type Warning } from './kind.ts'

const salt = z.enum(SALTS)

/** Harsh and soapy from here on: said, and never called right. */
const overDose = (percent: number): readonly Warning[] =>
  percent > MOST_ALKALI_PERCENT ? [{ code: 'alkali-over-dose', severity: 'danger', data: { percent } }] : []

export const alkaliKinds: Readonly<Record<string, Kind>> = {
  'alkali-bake': kind(
    z.strictObject({
      kind: z.literal('alkali-bake'),
      beforeG: positive,
      afterG: positive,
      freeMoisture: z._default(z.number().check(z.minimum(0), z.lt(1)), 0),
    }),
    ({ beforeG, afterG, freeMoisture }) => {
      const baked = bakeSoda(beforeG, afterG, freeMoisture)
      if (!baked.ok) return baked
      const { done: _, ...figures } = baked.value
      return plain(figures)
    },
  ),
  'alkali-swap': kind(
    z.strictObject({ kind: z.literal('alkali-swap'), from: salt, grams: positive, to: salt }),
    ({ from, grams, to }) => {
      const swapped = swapSalt(from, grams, to)
      return swapped.ok ? plain({ grams: swapped.value }) : swapped
    },
  ),
  'alkali-dose': kind(
    z.strictObject({
      kind: z.literal('alkali-dose'),
      flourG: positive,
      percent: positive,
      blend: z
        .array(z.strictObject({ salt, share: z.number().check(z.minimum(0), z.maximum(1)) }))
        .check(z.minLength(1), z.maxLength(20)),
    }),
    ({ flourG, percent, blend }) => {
      const dosed = doseAlkali(flourG, percent, blend)
      return dosed.ok ? ok({ result: dosed.value, warnings: overDose(percent) }) : dosed
    },
  ),
  'alkali-solution': kind(
    z.strictObject({
      kind: z.literal('alkali-solution'),
      salts: z.array(z.strictObject({ salt, grams: positive })).check(z.minLength(1), z.maxLength(20)),
      waterG: positive,
    }),
    ({ salts, waterG }) => {
      const solution = carbonateSolution(salts, waterG)
      const warnings: readonly Warning[] = solution.daviesInRange
        ? []
        : [{ code: 'davies-out-of-range', severity: 'note' }]
      return ok({ result: solution, warnings })
    },
  ),
}
