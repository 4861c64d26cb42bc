/**
 * What the rows and the filling of a dough allow: whether it may dry in room air, how long it may lie warm, how long it keeps.
 * Limits are the stricter of the shape's row in the tables, the general ones, and those of what is in it; docs/domain.md says
 * where they come from. Local food codes come first.
 */
import { scald } from '../heat/index.ts'
import type { Dough, Shape, WetReason } from '../model/index.ts'
import { benchC, placeOf, type Kitchen } from './kitchen.ts'
import { FRESH_WATER, isFilled, isPerishable, SETS_STARCH_C } from './perishable.ts'
import type { Keeping, Reckoned } from './reckoned.ts'
import type { WorkedRow } from './workedRow.ts'

interface Limits {
  readonly roomMin: number
  readonly fridgeH: number
  readonly freezerMonths: number
}

/** Two hours at room heat, two days cold, three months frozen: the usual limits for flour, water and salt. */
const PLAIN: Limits = { roomMin: 120, fridgeH: 48, freezerMonths: 3 }
/** Alkali slows what spoils a noodle. */
const ALKALINE: Limits = { ...PLAIN, fridgeH: 72 }
/** As of this much alkali, percent of flour as sodium carbonate. */
const ALKALINE_PERCENT = 0.5
/** Egg, milk, curd, bean curd and fillings: an hour warm, a day cold. */
const PERISHABLE: Limits = { roomMin: 60, fridgeH: 24, freezerMonths: 2 }
/** Vegetable purée and juice. */
const MOIST: Limits = { ...PLAIN, fridgeH: 24, freezerMonths: 2 }
/** Raw potato greys and weeps in the cold: the pot within the hour, or the freezer. */
const POTATO: Limits = { roomMin: 60, fridgeH: 0, freezerMonths: 2 }
/** A row that forbids drying in room air: egg, milk, curd, purée, bean curd. Water, wine and drinks dry away. */
const isWet = (row: WorkedRow): boolean =>
  row.grams > 0 &&
  (isPerishable(row) || (row.ingredient.water > FRESH_WATER && ['vegetable', 'egg'].includes(row.ingredient.group)))

const isPotatoBase = ({ part, ingredient, grams }: WorkedRow): boolean =>
  grams > 0 && part === 'base' && ingredient.id.startsWith('potato')

type Scalding = Pick<Reckoned, 'sheet' | 'rows' | 'flourMoisture' | 'water' | 'practice'>

/** Where water of this heat on this flour lands, and whether it cooks the starch. */
export function scalded({ sheet, rows, flourMoisture, water, practice }: Scalding, kitchen: Kitchen) {
  return scald({
    flourG: rows.reduce((sum, row) => (row.part === 'flour' ? sum + row.grams : sum), 0),
    flourC: placeOf(sheet, kitchen.gear)?.temperatureC ?? benchC(kitchen),
    flourMoisture,
    waterG: water.totalG,
    waterC: practice.waterC ?? 20,
  })
}

/** A dough steered by a simmered base has its starch cooked already. */
const isSimmered = ({ course }: Dough): boolean =>
  course.some((step) => step.do === 'prepare' && step.what === 'simmer')

const strictest = (all: readonly Limits[]): Limits => ({
  roomMin: Math.min(...all.map(({ roomMin }) => roomMin)),
  fridgeH: Math.min(...all.map(({ fridgeH }) => fridgeH)),
  freezerMonths: Math.min(...all.map(({ freezerMonths }) => freezerMonths)),
})

/** The stricter of all that is known of this dough as this shape. */
export function keepingOf(
  worked: Scalding & Pick<Reckoned, 'dough' | 'batch'>,
  shape: Pick<Shape, 'keep' | 'fillingG'>,
  kitchen: Kitchen,
): Keeping {
  const { rows, dough, batch, sheet } = worked
  const filled = isFilled(sheet, shape)
  const isHot = (worked.practice.waterC ?? 0) >= SETS_STARCH_C || scalded(worked, kitchen).starchGels
  const cooked = isSimmered(dough) || (worked.water.totalG > 0 && isHot)
  const wet: WetReason[] = [
    ...rows.filter(isWet).map(({ ingredient }): WetReason => ({ code: 'row', name: ingredient.name })),
    ...(filled ? [{ code: 'filling' } as const] : []),
    ...(cooked ? [{ code: 'scalded' } as const] : []),
  ]
  const perishable = filled || rows.some((row) => row.grams > 0 && isPerishable(row))
  const limits = strictest([
    { roomMin: shape.keep.roomH * 60, fridgeH: shape.keep.fridgeDays * 24, freezerMonths: shape.keep.freezerMonths },
    batch.carbonatePercent >= ALKALINE_PERCENT ? ALKALINE : PLAIN,
    ...(perishable ? [PERISHABLE] : []),
    ...(wet.length > 0 ? [MOIST] : []),
    ...(rows.some(isPotatoBase) ? [POTATO] : []),
  ])
  return { ...limits, wet, perishable, driedMonths: wet.length > 0 ? null : shape.keep.driedMonths }
}

/** Air before the pot stays within what the dough may lie open; what wants longer than that is dried, not aired. */
export function airing(
  [low, high]: Shape['airBeforeCookMin'],
  { roomMin }: Pick<Keeping, 'roomMin'>,
): readonly [number, number] {
  return low >= roomMin ? [0, roomMin] : [low, Math.min(high, roomMin)]
}

/** Hazards of the table that hold for this dough as it stands: its own, and those its rows and filling bring. */
export function cautionsOf({
  dough,
  rows,
  shape,
  sheet,
}: Pick<Reckoned, 'dough' | 'rows' | 'shape' | 'sheet'>): readonly string[] {
  const own = dough.cautions.filter((id) => id !== 'fillings' && id !== 'egg-dairy')
  return [
    ...own,
    ...(rows.some((row) => row.grams > 0 && isPerishable(row)) ? ['egg-dairy'] : []),
    ...(isFilled(sheet, shape) ? ['fillings'] : []),
  ]
}
