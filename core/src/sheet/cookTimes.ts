/** Minutes in the pot, from the table to the piece as it is made: a wall by its thickness, a filled piece by its filling. */
import { plankS } from '../heat/index.ts'
import { cookedAt, type Pieces } from '../shape/index.ts'
import type { Filling, Shape, Sheet } from '../model/index.ts'
import { fillingOf } from './filling.ts'
import { isFilled } from './perishable.ts'

export type Span = [number, number]

/** Dough closes over a filling in a flat parcel: of a ball of as much, so much of the radius to either side. */
const FLATTENED = 0.6
const FILLING_G_PER_CM3 = 1.05

/** Half of how thick a filling lies, mm. @example fillingHalfMm(4) → 5.8 */
export const fillingHalfMm = (gramsEach: number): number =>
  10 * FLATTENED * Math.cbrt((3 * gramsEach) / FILLING_G_PER_CM3 / (4 * Math.PI))

/**
 * The table's minutes for the piece as it is made. A wall cooks by its thickness; baked, it does not wait for it. A filled piece waits for its
 * middle, with the square of how thick its filling lies: a thinner skin saves nothing.
 */
export function cookTimes(
  { blank, cookFreshMin, heat, fillingG }: Pick<Shape, 'blank' | 'cookFreshMin' | 'heat' | 'fillingG'>,
  { sheet }: Pick<Pieces, 'sheet'>,
  filling: Pick<Filling, 'gramsEach'> | null,
): Span {
  const wall = sheet && 'thicknessMm' in blank ? sheet.madeMm / blank.thicknessMm : 1
  if (heat === 'bake') return [...cookFreshMin]
  if (!filling || !fillingG) return cookedAt(cookFreshMin, wall)
  const middle = (fillingHalfMm(filling.gramsEach) / fillingHalfMm(fillingG.best)) ** 2
  const [low, high] = cookedAt(cookFreshMin, Math.max(1, wall))
  return [low * middle, high * middle]
}

/** The same of a sheet: filled, unless it is made without. */
export const cookTimesOn = (
  sheet: Pick<Sheet, 'filling' | 'unfilled'>,
  shape: Shape,
  cut: Pick<Pieces, 'sheet'>,
): Span => cookTimes(shape, cut, isFilled(sheet, shape) ? fillingOf(sheet, shape) : null)

const FROZEN_C = -18
const BOILS_C = 100
/** Of a filling that is six tenths water: melting it, and warming it as ice, J/kg. */
const MELTS_J_PER_KG = 0.6 * 334_000
const ICE_J_PER_KG_K = 1900
const FILLING_KG_PER_M3 = 1050
const FILLING_W_PER_M_K = 0.45
const POT_W_PER_M2_K = 1000

/**
 * Minutes more from frozen, until the middle has thawed as well: Plank's equation of freezing, the other way round.
 * @example frozenExtraMin(5.8) → 1.8; frozenExtraMin(10) → 5
 */
export function frozenExtraMin(halfMm: number): number {
  const seconds = plankS({
    heatJPerM3: FILLING_KG_PER_M3 * (MELTS_J_PER_KG - FROZEN_C * ICE_J_PER_KG_K),
    apartK: BOILS_C,
    halfM: halfMm / 1000,
    hWPerM2K: POT_W_PER_M2_K,
    kWPerMK: FILLING_W_PER_M_K,
  })
  return seconds / 60
}

/** From frozen an unfilled piece takes a minute or two more. */
const FROZEN_MIN = [1, 2] as const

/** So many minutes more from frozen, no fewer and no more; as long as a filling takes to thaw. */
export function frozenMore(filling: Pick<Filling, 'gramsEach'> | null): readonly [number, number] {
  const thaws = filling ? frozenExtraMin(fillingHalfMm(filling.gramsEach)) : 0
  return [Math.max(FROZEN_MIN[0], thaws), Math.max(FROZEN_MIN[1], thaws)]
}
