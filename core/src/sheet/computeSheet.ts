import {
  calledG,
  hydrationOf,
  massAt14,
  roundHalfUp,
  solveBatch,
  storeMoisture,
  UNKNOWN_AGE_SHARE_SD,
  type BatchResult,
  type BatchRow,
  type BatchTarget,
  type Climate,
} from '../formula/index.ts'
import { compositionOf, densityGPerCm3 } from '../formula/index.ts'
import { MOST_G, ownFlours, type Dough, type Grain, type Shape, type Sheet } from '../model/index.ts'
import {
  doubtPoints,
  SD_IN_BAND,
  holdBackPoints,
  lessSure,
  lotFromHistory,
  taughtFor,
  unmet,
  type FlourLot,
} from '../lot/index.ts'
import { asShape, windowFor } from '../match/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { doughFor, piecesOf } from '../shape/index.ts'
import { balanceOf } from './balance.ts'
import { cookTimesOn } from './cookTimes.ts'
import { gelOf } from './gel.ts'
import { keepingOf } from './keeping.ts'
import { heldFlourShare, heldForWater } from './heldFlour.ts'
import { isFilled } from './perishable.ts'
import { lotKey, placeOf, type Kitchen } from './kitchen.ts'
import { eggShift, floursAsTheyStand, flourShift, knownRows, type Known } from './knownRows.ts'
import { mixRows, VOIDS, type Mix } from './mixRows.ts'
import { portionG } from './portions.ts'
import { practiceOf } from './practice.ts'
import { filledBy } from './sayings.ts'
import { madeOf, matchFor } from './pressRoute.ts'
import type { Control, Reckoned, WaterPlan } from './reckoned.ts'
import { rollingFor } from './rollPlan.ts'
import { sheetNotes, type SheetNote } from './sheetNotes.ts'
import { asHeated } from './waterHeat.ts'
import type { WorkedRow } from './workedRow.ts'

export interface Worked extends Reckoned {
  readonly notes: readonly SheetNote[]
}

function resolvedTarget(sheet: Sheet, mix: Mix, doughForPieces: (count: number) => number): Result<BatchTarget> {
  const { target } = sheet
  switch (target.by) {
    case 'pieces':
      return ok({ by: 'pieces', count: target.count, gramsEach: doughForPieces(target.count) / target.count })
    case 'base':
      return mix.flourOnBase === null
        ? problem('no-base-row', 'target')
        : ok({ by: 'flour', grams: (target.grams * mix.flourOnBase) / 100 })
    case 'row': {
      const percent = mix.rows[sheet.rows.findIndex((row) => row.key === target.key)]?.percent ?? 0
      return percent === 0
        ? problem('locked-row-empty', 'target')
        : ok({ by: 'flour', grams: (100 * target.grams) / percent })
    }
    default:
      return ok(target as BatchTarget)
  }
}

/** How far the jug is held back, and how far beyond the formula it may come to go. */
function waterPlan(
  rows: readonly WorkedRow[],
  lot: FlourLot,
  hydrationPercent: number,
  stepG: number,
  holdsBack: boolean,
): WaterPlan {
  const flours = rows.filter((row) => row.part === 'flour').map((row) => ({ grams: row.grams, moisture: row.water }))
  const waters = rows.filter((row) => row.part === 'water' && row.grams > 0)
  const totalG = waters.reduce((sum, row) => sum + row.weighedG, 0)
  if (totalG === 0) return { totalG: 0, startG: 0, holdBackG: 0, ceilingG: 0 }
  const wetShare =
    waters.reduce((sum, row) => sum + row.grams * row.water, 0) / waters.reduce((sum, row) => sum + row.grams, 0)
  const gOf = (points: number) => (points * massAt14(flours)) / 100 / wetShare
  const heldG = gOf(holdBackPoints(lot, hydrationPercent))
  const startG = holdsBack ? Math.max(0, roundHalfUp(totalG - heldG, stepG)) : totalG
  return {
    totalG,
    startG,
    holdBackG: Number((totalG - startG).toFixed(6)),
    ceilingG: roundHalfUp(totalG + gOf(doubtPoints(lot)), stepG),
  }
}

/**
 * A gram that rounding takes is a piece that is missing, or a whole row of a sheet: so much more is made as the scale may
 * round, half a step of each row, and of all that follows from the flour's.
 */
function piecesTargetG(doughG: number, rows: readonly BatchRow[], scaleStepG: number): number {
  const doughOnFlour = rows.reduce((sum, { percent }) => sum + percent, 0) / 100
  return doughG + ((rows.length + doughOnFlour) * scaleStepG) / 2
}

function workedRows(
  known: readonly Known[],
  batch: BatchResult,
  flourOnBase: number | null,
  scaleStepG: number,
): WorkedRow[] {
  return known.map(({ row, ingredient, material, part, moistureBy, reckoned, airShare }, index): WorkedRow => {
    const { percent = 0, grams = 0, weighed = 0 } = batch.rows[index] ?? {}
    return {
      key: row.key,
      ingredient,
      lot: row.lot,
      part,
      water: material.water,
      moistureBy,
      reckoned,
      airShare,
      percent: flourOnBase === null ? percent : (percent * flourOnBase) / 100,
      onFlour: percent,
      grams,
      weighedG: weighed > 0 ? weighed : calledG(grams, scaleStepG),
    }
  })
}

const densityOf = (rows: readonly BatchRow[]): number =>
  densityGPerCm3(compositionOf(rows.map((row) => ({ material: row.material, grams: row.percent }))), VOIDS)

/** What the flour that the dough's windows are written for drinks against plain wheat flour, points. */
const ownShift = (dough: Dough, shape: Shape, { ingredients }: Kitchen): number =>
  ownFlours(dough, asShape(shape, dough)).reduce(
    (sum, { flour, percent }) => sum + ((ingredients.get(flour)?.absorptionShift ?? 0) * percent) / 100,
    0,
  )

/** What this flour's own batches taught, less sure where it stands in another air than it was learned in. */
function learnedLot(sheet: Sheet, { family }: Dough, known: readonly Known[], kitchen: Kitchen): Learned {
  const taught = sheet.useLearned ? taughtFor(kitchen.thirst.get(lotKey(sheet.rows)) ?? [], family) : []
  const lot = lotFromHistory(taught)
  const place = placeOf(sheet, kitchen.gear)
  const flours = known.filter(({ part, moistureBy }) => part === 'flour' && moistureBy === 'place')
  const elsewhere = taught.flatMap(({ store }) => (store ? [store] : []))
  if (!place || flours.length === 0 || elsewhere.length === 0) return { lot, learnedAt: null }
  const doubtSd = Math.max(...flours.map(({ ingredient }) => airDoubtSd(ingredient.grain, place, elsewhere)))
  return doubtSd < CLEAR_DOUBT
    ? { lot, learnedAt: null }
    : { lot: lessSure(lot, doubtSd), learnedAt: elsewhere.at(-1)?.name ?? null }
}

interface Learned {
  readonly lot: FlourLot
  /** Where the flour stood that taught it; null where it stands there still. */
  readonly learnedAt: string | null
}

/** A dough of middling hydration: of so much water a flour's band is so many points. */
const MIDDLING_PERCENT = 50

/** How far a flour by the cup takes a dough, one sd, points. @example 0.95 to 1.09 of what it should be → 2.1 */
const cupsSd = (known: readonly Known[]): number =>
  Math.max(
    0,
    ...known
      .filter(({ part }) => part === 'flour')
      .map(({ ingredient }) => {
        const { low, high } = filledBy(ingredient)
        return (MIDDLING_PERCENT * (high - low)) / 2 / SD_IN_BAND
      }),
  )

/** Less is the day, and not told of. Points. */
const CLEAR_DOUBT = 0.3
/** A point of flour moisture is so many points of water, on a dough of middling hydration. */
const POINTS_A_MOISTURE_POINT = 1.7

/**
 * How unsure a thirst is that was learned in another air: how far the sack has followed either is known to two tenths of the
 * way (one standard deviation). @example durum learned at 81 %, used at 38 %: 7 points of equilibrium apart → 2.3 points
 */
function airDoubtSd(grain: Grain | undefined, now: Climate, learned: readonly Climate[]): number {
  if (!grain) return 0
  const there = learned.reduce((sum, air) => sum + storeMoisture(grain, air), 0) / learned.length
  return UNKNOWN_AGE_SHARE_SD * Math.abs(storeMoisture(grain, now) - there) * 100 * POINTS_A_MOISTURE_POINT
}

/**
 * All the figures of a work sheet: grams, water and hold-back, the rule's scale, pieces, how the shape suits, margin notes.
 * Problems: those of `solveBatch` and `mixRows`, and `unknown-ingredient`, `unknown-dough`, `unknown-shape`,
 * `locked-row-empty`, `no-base-row`, `dough-too-large` (over a ton; data: grams).
 */
export function computeSheet(sheet: Sheet, kitchen: Kitchen): Result<Worked> {
  const dough = kitchen.doughs.get(sheet.dough)
  if (!dough) return problem('unknown-dough', 'dough', { id: sheet.dough })
  const shape = kitchen.shapes.get(sheet.shape)
  if (!shape) return problem('unknown-shape', 'shape', { id: sheet.shape })
  const known = knownRows(sheet, kitchen)
  if (!known.ok) return known

  const learned = learnedLot(sheet, dough, known.value, kitchen)
  const { learnedAt } = learned
  // Filled cups of flour differ: more of the water waits for the feel.
  const lot = kitchen.gear.hasScale ? learned.lot : lessSure(learned.lot, cupsSd(known.value))
  const { best } = windowFor(shape, dough).window
  const drinks = ownShift(dough, shape, kitchen)
  // Batters with egg have windows of their own.
  const softens = (mix: readonly BatchRow[]) => (dough.family === 'batter' ? 0 : eggShift(known.value, mix))
  const gel = dough.family === 'batter' ? null : gelOf(sheet, dough, shape, best, kitchen)
  const shiftOf = (mix: readonly BatchRow[]) => flourShift(known.value, mix, drinks) + softens(mix) + (gel?.points ?? 0)
  const tableFor = (mix: readonly BatchRow[]) => best + shiftOf(mix)
  const mixed = mixRows(known.value, (asked14, mix) => unmet(asked14, tableFor(mix), lot.shift))
  if (!mixed.ok) return mixed
  const { rows, asked14, flourOnBase } = mixed.value
  const { scaleStepG, boardMm } = kitchen.gear
  const expected14 = hydrationOf(rows).basis14
  const paper14 = flourOnBase === null ? expected14 - lot.shift : expected14
  const rolling = rollingFor({ sheet, dough, hydration14: expected14 }, shape, kitchen.gear)
  const target = resolvedTarget(sheet, mixed.value, (count) =>
    piecesTargetG(doughFor(count, shape.blank, densityOf(rows), boardMm, rolling), rows, scaleStepG),
  )
  if (!target.ok) return target
  const solved = solveBatch({ rows, target: target.value, lossPercent: sheet.lossPercent, scaleStepG, voids: VOIDS })
  if (!solved.ok) return solved

  const batch = solved.value
  if (batch.doughG > MOST_G) return problem('dough-too-large', 'target', { grams: MOST_G })
  const unheated = workedRows(known.value, batch, flourOnBase, scaleStepG)
  const { slope, moisture } = floursAsTheyStand(rows)
  const base = dough.control.by === 'base' ? dough.control.base : 'base'
  const control: Control = flourOnBase === null ? { by: 'hydration' } : { by: 'base', base, flourOnBase }
  const shift = shiftOf(rows)
  const made = madeOf(shape, { sheet, dough, control, paper14, flourShift: shift }, kitchen)
  const practice = practiceOf(sheet, made, shape, unheated, kitchen)
  const worked = unheated.map((row) => ({
    ...row,
    ingredient: asHeated(row.ingredient, practice.waterC, kitchen.ingredients),
  }))
  const holdsBack = practice.sets.holdBack ?? true
  const match = matchFor(shape, { sheet, dough, control, paper14, flourShift: shift }, kitchen)
  // What goes on the scale is cut, not what was asked of it: the board then counts as the sheet does.
  const usableG = worked.reduce((sum, row) => sum + row.weighedG, 0) * (1 - sheet.lossPercent / 100)
  const cut = piecesOf(shape.blank, usableG, batch.densityGPerCm3, boardMm, rolling)
  const core = {
    sheet,
    dough,
    made,
    shape,
    rows: worked,
    batch,
    control,
    asked14,
    paper14,
    expected14,
    lot,
    learnedAt,
    water: waterPlan(worked, lot, expected14, scaleStepG, holdsBack),
    heldFlour: holdsBack
      ? heldFlourShare(dough, match.window, flourOnBase)
      : practice.sets.holdFlour && flourOnBase === null
        ? heldForWater(holdBackPoints(lot, expected14), expected14)
        : 0,
    poured: { slope, offset: (slope - 1) * 100 },
    flourMoisture: moisture,
    flourShift: shift,
    eggShift: softens(rows),
    gel,
    match,
    usableG,
    cut,
    cookMin: sheet.asRead?.cookMin ?? cookTimesOn(sheet, shape, cut),
    balance: balanceOf(worked, batch, kitchen.lots),
    practice,
    portionG: sheet.target.by === 'portions' ? sheet.target.gramsEach : null,
    guideG:
      dough.portionG ??
      portionG(kitchen.gear.portions, dough.family, isFilled(sheet, shape) ? 'filled' : 'main', 'fresh'),
  }
  const reckoned = { ...core, keeping: keepingOf(core, shape, kitchen) }
  return ok({ ...reckoned, notes: sheetNotes(reckoned, kitchen) })
}
