/** How many pieces a dough makes, whatever they are cut from: none that cannot be cut. */
import { blankG } from './blank.ts'
import { blankCut } from './sheetCut.ts'
import type { Blank } from '../model/index.ts'
import { rootBetween } from '../quantity/index.ts'
import { rolledSheetPlan, rope, type RolledSheetPlan, type Roller, type Rope } from '../geometry/index.ts'

/** How a sheet is rolled out; a dough that is not sheeted has none. */
export interface Rolling {
  /** Null by pin. */
  readonly roller: Roller | null
  /** Its ends joined: it may be twice as long as the board. */
  readonly belt: boolean
  /** Folds and passes first; usual for its hydration where it is left out. */
  readonly folds?: number
  /** On the 14 % basis, percent: stiff dough is thinned more gently. */
  readonly hydrationPercent: number
  /** Divided into so many, where that was said. */
  readonly sheets?: number | null
  /** As it was thinned at the bench, mm; as planned where it is left out. */
  readonly thinnedMm?: number | null
}

export interface Pieces {
  /** As it comes out: a sheet is as thick as its last setting leaves it. */
  readonly blank: Blank
  readonly pieceG: number
  /** Whole pieces. */
  readonly pieces: number
  readonly leftoverG: number
  /** How the ropes lie on the board, where there are any. */
  readonly rope: Rope | null
  /** How the sheet comes, where there is one. */
  readonly sheet: RolledSheetPlan | null
}

/** A dough that makes a whole number to within a rounding error does make it. */
const HAIR = 1e-9

/** Through the roller or under the pin; null for a blank that is not cut of a sheet. */
export function sheetOf(
  blank: Blank,
  doughG: number,
  densityGPerCm3: number,
  boardMm: number,
  { belt, ...rolling }: Rolling,
): RolledSheetPlan | null {
  const cut = blankCut(blank)
  if (!cut || !('thicknessMm' in blank)) return null
  const { thicknessMm } = blank
  return rolledSheetPlan({
    doughG,
    densityGPerCm3,
    thicknessMm,
    maxLengthMm: belt ? 2 * boardMm : boardMm,
    cut,
    ...rolling,
  })
}

/** As thick as the sheet was made, where it was. */
const asMade = (blank: Blank, sheet: RolledSheetPlan | null): Blank =>
  sheet && 'thicknessMm' in blank ? { ...blank, thicknessMm: sheet.madeMm } : blank

/**
 * What so much dough, g, makes of such blanks: pieces, each of its grams, ropes and sheets, and what is left over. The
 * density is the dough's, g/cm³; ropes are as long as the board, mm; a rolled sheet is as the roller makes it.
 */
export function piecesOf(
  blank: Blank,
  doughG: number,
  densityGPerCm3: number,
  boardMm: number,
  rolling: Rolling | null,
): Pieces {
  const sheet = rolling && sheetOf(blank, doughG, densityGPerCm3, boardMm, rolling)
  const made = asMade(blank, sheet)
  const pieceG = blankG(densityGPerCm3, made)
  const pieces = sheet ? sheet.pieces : Math.floor(doughG / pieceG + HAIR)
  const { type } = blank
  return {
    blank: made,
    pieceG,
    pieces,
    leftoverG: Math.max(0, doughG - pieces * pieceG),
    rope:
      type === 'rope'
        ? rope({ doughG, densityGPerCm3, diameterMm: blank.diameterMm, cutMm: blank.cutMm, boardMm })
        : null,
    sheet,
  }
}

/** How finely the dough for a number of stamps is looked for, and how far beyond their bare mass. */
const SEARCH_STEP = 1.005
const SEARCH_FACTOR = 20

/**
 * The least dough that makes so many pieces, trimmings and scrap included, g; never less than they weigh.
 * @example 48 rounds of 70 mm, 1 mm thick, through 150 mm rollers: a third more than the rounds weigh
 */
export function doughFor(
  count: number,
  blank: Blank,
  densityGPerCm3: number,
  boardMm: number,
  rolling: Rolling | null,
): number {
  const made = (doughG: number) => piecesOf(blank, doughG, densityGPerCm3, boardMm, rolling)
  const bareG = count * made(blankG(densityGPerCm3, blank)).pieceG
  if (!rolling || !blankCut(blank) || made(bareG).pieces >= count) return bareG
  for (let doughG = bareG * SEARCH_STEP; doughG < bareG * SEARCH_FACTOR; doughG *= SEARCH_STEP)
    if (made(doughG).pieces >= count) return rootBetween(doughG / SEARCH_STEP, doughG, (g) => made(g).pieces - count)
  return bareG
}
