/** One dough, several shapes: what each takes of it. */
import type { ShapeMatch } from '../match/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { doughFor, piecesOf, type Pieces } from '../shape/index.ts'
import { MOST_ALSO, type AlsoShape, type Shape } from '../model/index.ts'
import type { Kitchen } from './kitchen.ts'
import { type Worked } from './computeSheet.ts'
import { cookTimesOn } from './cookTimes.ts'
import { matchFor } from './pressRoute.ts'
import { rollingFor } from './rollPlan.ts'
import { shapesFor } from './startSheet.ts'

export interface ShapeShare {
  readonly shape: Shape
  readonly doughG: number
  readonly cut: Pieces
  readonly match: ShapeMatch
  /** What this part is for. */
  readonly for?: string
}

/**
 * The sheet's own shape first, with what the others leave. Together they are the usable dough.
 * Problems: `unknown-shape` (id), `shapes-over-dough` (overG).
 */
export function shapeShares(worked: Worked, kitchen: Kitchen): Result<readonly ShapeShare[]> {
  const { sheet, shape: main, dough, usableG, batch } = worked
  const density = batch.densityGPerCm3
  const { boardMm } = kitchen.gear
  const rolled = { sheet, dough, hydration14: worked.expected14 }
  const part = (shape: Shape, doughG: number): ShapeShare => ({
    shape,
    doughG,
    cut: piecesOf(shape.blank, doughG, density, boardMm, rollingFor(rolled, shape, kitchen.gear)),
    match: matchFor(shape, worked, kitchen),
  })
  const others: ShapeShare[] = []
  for (const also of sheet.alsoShapes) {
    // Chosen as the sheet's own meanwhile: it takes the rest, and not a part as well.
    if (also.shape === main.id) continue
    const shape = kitchen.shapes.get(also.shape)
    if (!shape) return problem('unknown-shape', 'shape', { id: also.shape })
    const doughG =
      also.by === 'share'
        ? (usableG * also.percent) / 100
        : also.by === 'count'
          ? doughFor(also.count, shape.blank, density, boardMm, rollingFor(rolled, shape, kitchen.gear))
          : also.grams
    others.push({ ...part(shape, doughG), ...(also.for ? { for: also.for } : {}) })
  }
  const restG = usableG - others.reduce((sum, { doughG }) => sum + doughG, 0)
  return restG < -1e-6
    ? problem('shapes-over-dough', 'alsoShapes', { overG: -restG })
    : ok([part(main, Math.max(0, restG)), ...others])
}

/** Minutes in the pot of a sheet's dough as any shape, as thick as it would be made. */
export function cookMinAs(worked: Worked, shape: Shape, kitchen: Kitchen): readonly [number, number] {
  const { sheet, dough, usableG, batch, cookMin } = worked
  if (shape.id === worked.shape.id) return cookMin
  const rolling = rollingFor({ sheet, dough, hydration14: worked.expected14 }, shape, kitchen.gear)
  return cookTimesOn(sheet, shape, piecesOf(shape.blank, usableG, batch.densityGPerCm3, kitchen.gear.boardMm, rolling))
}

/** Shapes this dough may be cut into besides those it is; what is dropped or pressed needs another dough altogether. */
export function shapesBeside(
  { sheet, shape: main, dough }: Pick<Worked, 'sheet' | 'shape' | 'dough'>,
  kitchen: Kitchen,
) {
  if (sheet.alsoShapes.length >= MOST_ALSO) return { usual: [], unusual: [] }
  const taken = new Set([main.id, ...sheet.alsoShapes.map(({ shape }) => shape)])
  const all = [...kitchen.shapes.values()]
  const usual = shapesFor(dough, all)
  const free = (shape: Shape) => !taken.has(shape.id)
  return {
    usual: usual.filter(free),
    unusual: all.filter(
      (shape) => free(shape) && !usual.includes(shape) && (shape.method === 'drop') === (main.method === 'drop'),
    ),
  }
}

/** What is written of a further shape: percent of the usable dough, pieces, or g. */
export const amountOf = (also: AlsoShape): number =>
  also.by === 'share' ? also.percent : also.by === 'count' ? also.count : also.grams

/** So much of it instead, in the unit it is given in; a share ends at all of the dough. */
export function withAmount({ by, ...also }: Pick<AlsoShape, 'shape' | 'by' | 'for'>, amount: number): AlsoShape {
  const { shape } = also
  const what = also.for === undefined ? { shape } : { shape, for: also.for }
  switch (by) {
    case 'share':
      return { ...what, by, percent: Math.min(100, amount) }
    case 'count':
      return { ...what, by, count: amount }
    case 'grams':
      return { ...what, by, grams: amount }
  }
}

/**
 * The same dough said another way, so that a change of unit changes nothing else; at least 0.1 %, one piece, one gram.
 * @example 250 g of 1000 g → 25 %
 */
export function givenBy(
  { shape, doughG, cut, for: what }: ShapeShare,
  by: AlsoShape['by'],
  usableG: number,
): AlsoShape {
  const amount = {
    share: Math.max(0.1, Number(((100 * doughG) / usableG).toFixed(1))),
    count: Math.max(1, cut.pieces),
    grams: Math.max(1, Number(doughG.toFixed(0))),
  }
  return withAmount({ shape: shape.id, by, ...(what ? { for: what } : {}) }, amount[by])
}
