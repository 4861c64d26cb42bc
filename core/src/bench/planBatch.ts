import { shifted, type Lot, type Window, type Plan, type PlannedRow, type Shape } from '../model/index.ts'
import { roundHalfUp } from '../formula/index.ts'
import type { Pieces } from '../shape/index.ts'
import {
  benchC,
  filledBy,
  cookTimesOn,
  type Kitchen,
  placeOf,
  type ShapeShare,
  shapeShares,
  type Worked,
  type WorkedRow,
} from '../sheet/index.ts'
import { bodyOf } from './body.ts'
import { planSteps, stepsAs } from './planSteps.ts'

const lotName = (lots: readonly Lot[], id: string | undefined) => lots.find((lot) => lot.id === id)?.name

function plannedRow(row: WorkedRow, { heldFlour }: Pick<Worked, 'heldFlour'>, { lots, gear }: Kitchen): PlannedRow {
  const heldG = row.part === 'flour' ? roundHalfUp(row.weighedG * heldFlour, gear.scaleStepG) : 0
  const lot = lotName(lots, row.lot)
  return {
    key: row.key,
    ingredient: row.ingredient.id,
    name: lot ?? row.ingredient.name,
    ...(row.lot === undefined ? {} : { lot: row.lot }),
    part: row.part,
    water: row.water,
    ...(row.airShare > 0 ? { airShare: row.airShare } : {}),
    percent: row.percent,
    weighedG: row.weighedG,
    ...(heldG > 0 ? { heldG } : {}),
    ...(gear.hasScale ? {} : { filled: filledBy(row.ingredient) }),
  }
}

/** How the usable dough is shared out; a sheet whose other shapes ask for more than there is gives all to its own. */
function shares(
  worked: Worked,
  kitchen: Kitchen,
): Pick<Plan, 'also'> & { readonly share: number; readonly own: ShapeShare | null } {
  const parts = shapeShares(worked, kitchen)
  if (!parts.ok || worked.usableG <= 0) return { share: 1, also: [], own: null }
  const [main, ...others] = parts.value.map((part) => ({ ...part, share: Math.min(1, part.doughG / worked.usableG) }))
  return {
    share: main?.share ?? 1,
    own: main ?? null,
    also: others.map(({ shape, cut, match, share, for: what }) => ({
      id: shape.id,
      name: shape.name,
      share,
      ...(what ? { for: what } : {}),
      own: {
        shape: plannedShape(worked, shape, cut, match.window, 1),
        cook: [...cookTimesOn(worked.sheet, shape, cut)],
        steps: [...stepsAs(worked, shape, kitchen)],
      },
    })),
  }
}

const plannedShape = (
  { control, flourShift, portionG, guideG }: Pick<Worked, 'control' | 'flourShift' | 'portionG' | 'guideG'>,
  { id, name, blank, paceOf }: Shape,
  cut: Pieces,
  window: Window,
  share: number,
): Plan['shape'] => ({
  id,
  name,
  blank,
  pieceG: cut.pieceG,
  pieces: cut.pieces,
  ...(paceOf === 'strands' ? { portionG: portionG ?? guideG } : {}),
  share,
  // As this flour wants it.
  window: control.by === 'base' ? window : shifted(window, flourShift),
})

/** The maker's own ways of dusting, and with the board: also for the other shapes of the dough, whose table may say another. */
function surfaceOf({ practice: { sets } }: Worked): Pick<Plan, 'surface'> {
  const { dust, board } = sets
  return dust || board ? { surface: { ...(dust ? { dust } : {}), ...(board ? { board } : {}) } } : {}
}

/**
 * The plan a batch runs with: a copy of the sheet and of every figure that mattered that day, so that later changes to
 * formula, lot or store do not touch a batch that has begun.
 */
export function planBatch(worked: Worked, kitchen: Kitchen, at: string, formula: string | null): Plan {
  const { dough, shape, cut, batch, practice, control } = worked
  const { share, also, own } = shares(worked, kitchen)
  const place = placeOf(worked.sheet, kitchen.gear)
  return {
    at,
    formula,
    sheet: worked.sheet,
    rows: worked.rows.map((row) => plannedRow(row, worked, kitchen)),
    scaleStepG: kitchen.gear.scaleStepG,
    ...(kitchen.gear.hasScale ? {} : { noScale: true }),
    boardMm: kitchen.gear.boardMm,
    store: place ? { name: place.name, temperatureC: place.temperatureC, rhPercent: place.rhPercent } : null,
    control: control.by === 'base' ? { by: 'base', base: control.base } : { by: 'hydration' },
    body: bodyOf(dough, kitchen),
    hydration: { paper14: worked.paper14, expected14: worked.expected14, effective: batch.hydration.effective },
    water: {
      startG: worked.water.startG,
      holdBackG: worked.water.holdBackG,
      ceilingG: worked.water.ceilingG,
      predictiveSd: worked.lot.predictiveSd,
      batches: worked.lot.n,
    },
    waterC: practice.waterC,
    ...(practice.waterBy ? { waterBy: practice.waterBy } : {}),
    doughG: batch.doughG,
    densityGPerCm3: batch.densityGPerCm3,
    shape: plannedShape(worked, shape, own?.cut ?? cut, worked.match.window, share),
    also: [...also],
    minutes: {
      cook: worked.sheet.asRead?.cookMin ?? [...cookTimesOn(worked.sheet, shape, own?.cut ?? cut)],
      drink: dough.drinkMin,
    },
    steps: [...planSteps(worked, kitchen)],
    kneads: worked.practice.kneads,
    ...surfaceOf(worked),
    roomC: benchC(kitchen),
    pot: {
      litresPer100G: dough.pot.litresPer100G,
      saltGPerL: practice.potSaltGPerL,
    },
  }
}
