/** The sheet's dough through a roller, cut or stamped as its shape is. */
import { rolledSheetPlan, type Roller, type SheetCut, type RolledSheetPlan } from '../geometry/index.ts'
import type { Blank, Shape } from '../model/index.ts'
import type { Worked } from './computeSheet.ts'
import type { ShapeShare } from './shapeShares.ts'

/** Between stamps, so that the scrap holds together. */
const STAMP_GAP_MM = 2

/** What is cut of the sheet; null for a shape that is not made of one. */
export const sheetCutOf = ({ blank, sheeted }: Pick<Shape, 'blank' | 'sheeted'>): SheetCut | null =>
  sheeted ? blankCut(blank) : null

/** What is cut of a sheet for this blank; null for one that is not cut of any. */
export function blankCut(blank: Blank): SheetCut | null {
  if (blank.type === 'disc') return { stamp: { shape: 'circle', sizeMm: blank.diameterMm, gapMm: STAMP_GAP_MM } }
  if (blank.type !== 'sheet') return null
  return blank.widthMm === blank.lengthMm
    ? { stamp: { shape: 'square', sizeMm: blank.widthMm, gapMm: 0 } }
    : { pitchMm: blank.widthMm }
}

/** `maxLengthMm`: the longest sheet that can be handled. Null for a shape that is not sheeted. */
export function rollPlan(
  { shape, doughG }: Pick<ShapeShare, 'shape' | 'doughG'>,
  { batch }: Pick<Worked, 'batch'>,
  roller: Roller,
  maxLengthMm: number,
): RolledSheetPlan | null {
  const cut = sheetCutOf(shape)
  if (!cut || !('thicknessMm' in shape.blank)) return null
  return rolledSheetPlan({
    doughG,
    densityGPerCm3: batch.densityGPerCm3,
    thicknessMm: shape.blank.thicknessMm,
    hydrationPercent: batch.hydration.basis14,
    roller,
    maxLengthMm,
    cut,
  })
}
