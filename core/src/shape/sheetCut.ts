/** What is cut or stamped of a rolled sheet for a shape. */
import type { SheetCut } from '../geometry/index.ts'
import type { Blank, Shape } from '../model/index.ts'

/** Between stamps, so that the scrap holds together. */
const STAMP_GAP_MM = 2

/** Null for a blank that is not cut of any sheet. */
export function blankCut(blank: Blank): SheetCut | null {
  if (blank.type === 'disc') return { stamp: { shape: 'circle', sizeMm: blank.diameterMm, gapMm: STAMP_GAP_MM } }
  if (blank.type !== 'sheet') return null
  return blank.widthMm === blank.lengthMm
    ? { stamp: { shape: 'square', sizeMm: blank.widthMm, gapMm: 0 } }
    : { pitchMm: blank.widthMm, lengthMm: blank.lengthMm }
}

/** Null for a shape that is not made of a sheet. */
export const sheetCutOf = ({ blank, sheeted }: Pick<Shape, 'blank' | 'sheeted'>): SheetCut | null =>
  sheeted ? blankCut(blank) : null
