/** What goes into each piece of a filled shape: the maker's own, or as is usual for the shape. */
import { faceMm, skinMm, type Pieces } from '../shape/index.ts'
import { filled, type FilledPieces } from '../geometry/index.ts'
import type { Filling, Shape, Sheet } from '../model/index.ts'

/** Percent of its mass that is water, of a filling nobody has described. */
const USUAL_FILLING_PERCENT = 60

/** Null for a shape that takes none. */
export const fillingOf = (
  { filling }: Pick<Sheet, 'filling'>,
  { fillingG }: Pick<Shape, 'fillingG'>,
): Filling | null =>
  fillingG ? (filling ?? { name: 'Filling', gramsEach: fillingG.best, moisturePercent: USUAL_FILLING_PERCENT }) : null

/** Such pieces round such a filling; of a blank that may have been made to another size. */
export const filledPieces = (
  { gramsEach, moisturePercent }: Pick<Filling, 'gramsEach' | 'moisturePercent'>,
  { blank, wallMm }: Pick<Shape, 'blank' | 'wallMm'>,
  { pieces, pieceG }: Pick<Pieces, 'pieces' | 'pieceG'>,
): FilledPieces =>
  filled({
    pieces,
    doughG: pieceG,
    fillingG: gramsEach,
    moisturePercent,
    wallMm: skinMm(blank, wallMm),
    faceMm: faceMm(blank),
  })
