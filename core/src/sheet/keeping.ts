/**
 * What the rows and the filling of a dough allow: whether it may dry in room air, how long it may lie warm, how long it keeps.
 * Limits are the stricter of the shape's row in the tables, the general ones, and those of what is in it; docs/domain.md says
 * where they come from. Local food codes come first.
 */
import { scald } from '../heat/index.ts'
import type { Dough, Shape, WetReason } from '../model/index.ts'
import { benchC, placeOf, type Kitchen } from './kitchen.ts'
import { limitsOf, spoilageOf, warmShare } from '../safety/index.ts'
import { isFilled, isPerishable, SETS_STARCH_C } from './perishable.ts'
import type { Keeping, Reckoned } from './reckoned.ts'
import type { WorkedRow } from './workedRow.ts'

/** A row that forbids drying in room air: egg, milk, curd, purée, drinks. Water and wine dry away. */
const isWet = ({ ingredient, grams }: WorkedRow): boolean => grams > 0 && spoilageOf(ingredient) !== 'plain'

const isPotatoBase = ({ part, ingredient, grams }: WorkedRow): boolean =>
  grams > 0 && part === 'base' && ingredient.id.startsWith('potato')

/** Fat goes rancid in the jar: with so much of it, percent of flour and the flour's own counted, so many months at the most. */
const RANCID: readonly (readonly [fatPercent: number, months: number])[] = [
  [3, 3],
  [1.8, 6],
]
function driedFor(months: number | null, fatPercent: number): Pick<Keeping, 'driedMonths' | 'rancid'> {
  const most = Math.min(Infinity, ...RANCID.filter(([over]) => fatPercent > over).map(([, limit]) => limit))
  return months !== null && most < months ? { driedMonths: most, rancid: true } : { driedMonths: months }
}

/** Best quality in the freezer, months. */
const FREEZER_MONTHS = { plain: 3, wet: 2 }

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
  const contents = {
    rows: rows.filter(({ grams }) => grams > 0).map(({ ingredient }) => spoilageOf(ingredient)),
    carbonatePercent: batch.carbonatePercent,
    scalded: cooked,
    potatoBase: rows.some(isPotatoBase),
  }
  // A dough that waits for its filling is a dough like any.
  const ofDough = limitsOf({ ...contents, filled: false })
  const { warmMin, coldH } = limitsOf({ ...contents, filled })
  const { roomH, fridgeDays, freezerMonths, driedMonths } = shape.keep
  const isDry = wet.length === 0
  return {
    dough: { warmMin: ofDough.warmMin, coldH: ofDough.coldH },
    roomMin: Math.min(warmMin, roomH * 60),
    fridgeH: Math.min(coldH, fridgeDays * 24),
    freezerMonths: Math.min(freezerMonths, isDry ? FREEZER_MONTHS.plain : FREEZER_MONTHS.wet),
    wet,
    perishable: filled || rows.some(isPerishable),
    ...(isDry ? driedFor(driedMonths, batch.fatPercent) : { driedMonths: null }),
  }
}

/** Air before the pot stays within what the dough may lie open; what wants longer than that is dried, not aired. */
export function airing(
  [low, high]: Shape['airBeforeCookMin'],
  keeping: Pick<Keeping, 'roomMin'>,
  roomC: number,
): readonly [number, number] {
  return airedWithin([low, high], keeping.roomMin * warmShare(roomC))
}

/** No longer than so many minutes; what may not lie for its least is not aired. */
export const airedWithin = ([low, high]: readonly [number, number], mostMin: number): readonly [number, number] =>
  low >= mostMin ? [0, mostMin] : [low, Math.min(high, mostMin)]

/** Hazards of the table that hold for this dough as it stands: its own, and those its rows and filling bring. */
export function cautionsOf({
  dough,
  rows,
  shape,
  sheet,
}: Pick<Reckoned, 'dough' | 'rows' | 'shape' | 'sheet'>): readonly string[] {
  const own = dough.cautions.filter((id) => id !== 'fillings' && id !== 'egg-dairy')
  return [...own, ...(rows.some(isPerishable) ? ['egg-dairy'] : []), ...(isFilled(sheet, shape) ? ['fillings'] : [])]
}
