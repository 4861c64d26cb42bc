import type { Lot } from '../records/documents.ts'
import type { Worked, WorkedRow } from '../sheet/computeSheet.ts'
import { placeOf, type Kitchen } from '../sheet/kitchen.ts'
import type { Plan, PlannedRow } from './schema.ts'

const lotName = (lots: readonly Lot[], id: string | undefined) => lots.find((lot) => lot.id === id)?.name

function plannedRow(row: WorkedRow, lots: readonly Lot[]): PlannedRow {
  const lot = lotName(lots, row.lot)
  return {
    key: row.key,
    ingredient: row.ingredient.id,
    name: lot ?? row.ingredient.name,
    ...(row.lot === undefined ? {} : { lot: row.lot }),
    part: row.part,
    water: row.water,
    percent: row.percent,
    weighedG: row.weighedG,
  }
}

/**
 * The plan a batch runs with: a copy of the sheet and of every figure that mattered that day, so that later changes to
 * formula, lot or store do not touch a batch that has begun.
 */
export function planBatch(worked: Worked, kitchen: Kitchen, at: string, formula: string | null): Plan {
  const { dough, shape, rope, batch } = worked
  const place = placeOf(worked.sheet, kitchen.gear)
  return {
    at,
    formula,
    sheet: worked.sheet,
    rows: worked.rows.map((row) => plannedRow(row, kitchen.lots)),
    scaleStepG: kitchen.gear.scaleStepG,
    boardMm: kitchen.gear.boardMm,
    store: place ? { name: place.name, temperatureC: place.temperatureC, rhPercent: place.rhPercent } : null,
    hydration: { paper14: worked.paper14, expected14: worked.expected14, effective: batch.hydration.effective },
    water: {
      startG: worked.water.startG,
      holdBackG: worked.water.holdBackG,
      ceilingG: worked.water.ceilingG,
      predictiveSd: worked.lot.predictiveSd,
      batches: worked.lot.n,
    },
    doughG: batch.doughG,
    densityGPerCm3: batch.densityGPerCm3,
    shape: {
      id: shape.id,
      name: shape.name,
      diameterMm: shape.blank.diameterMm,
      cutMm: shape.blank.cutMm,
      pieceG: rope.pieceG,
      pieces: rope.pieces,
      ropes: rope.ropes,
      window14: worked.match.window,
    },
    minutes: { knead: dough.kneadMin, rest: dough.restMin, cook: shape.cookFreshMin, drink: dough.drinkMin },
    pot: {
      litres: Math.max(2, (dough.pot.litresPer100G * batch.doughG) / 100),
      saltGPerL: dough.pot.saltGPerL,
    },
  }
}
