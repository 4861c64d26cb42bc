/** Stamping a sheet: the best of three layouts, and what the scrap still gives. */
import { HAIR } from './hair.ts'

export interface Stamp {
  readonly shape: 'circle' | 'square'
  /** Diameter or side. */
  readonly sizeMm: number
  /** Between stamps; none is needed at the edges. */
  readonly gapMm: number
}

export interface FlatSheet {
  readonly widthMm: number
  readonly lengthMm: number
}

/** Every second row lies half a step further on; rows run along the length in `staggered-rows`, across it in `staggered-columns`. */
export type Layout = 'square' | 'staggered-rows' | 'staggered-columns'
const LAYOUTS: readonly Layout[] = ['square', 'staggered-rows', 'staggered-columns']

/** From the sheet's corner, across and along. */
export interface Centre {
  readonly acrossMm: number
  readonly alongMm: number
}

/** So many of one size, a pitch apart, fit into a length. */
const inRow = (length: number, sizeMm: number, pitchMm: number): number =>
  length < sizeMm - HAIR ? 0 : Math.floor((length - sizeMm) / pitchMm + HAIR) + 1

/** Rows of stamps: how far apart across, and along each; every second one begins so much further on. */
interface Rows {
  readonly count: number
  readonly apartMm: number
  readonly pitchMm: number
  readonly shiftMm: number
}

/** So many staggered rows, stretched to fill the width: along a row the stamps stand as close as those of the next row let them. */
function staggeredRows(count: number, acrossMm: number, stepMm: number, sizeMm: number): Rows | null {
  if (count === 1) return { count, apartMm: 0, pitchMm: stepMm, shiftMm: 0 }
  const apartMm = (acrossMm - sizeMm) / (count - 1)
  // Rows two apart must not touch.
  if (2 * apartMm < stepMm - HAIR) return null
  const pitchMm = Math.max(stepMm, 2 * Math.sqrt(Math.max(0, stepMm ** 2 - apartMm ** 2)))
  return { count, apartMm, pitchMm, shiftMm: pitchMm / 2 }
}

const onRows = ({ count, pitchMm, shiftMm }: Rows, alongMm: number, sizeMm: number): number =>
  Math.ceil(count / 2) * inRow(alongMm, sizeMm, pitchMm) +
  Math.floor(count / 2) * inRow(alongMm - shiftMm, sizeMm, pitchMm)

/** Of all numbers of rows the one that takes most; of two alike the fewer. Null where not one stamp fits. */
function mostRows(acrossMm: number, alongMm: number, { sizeMm, gapMm }: Stamp): Rows | null {
  if (acrossMm < sizeMm - HAIR || alongMm < sizeMm - HAIR) return null
  const stepMm = sizeMm + gapMm
  const most = Math.floor((2 * (acrossMm - sizeMm)) / stepMm + HAIR) + 1
  let best: Rows | null = null
  for (let count = 1; count <= most; count += 1) {
    const rows = staggeredRows(count, acrossMm, stepMm, sizeMm)
    if (rows && (!best || onRows(rows, alongMm, sizeMm) > onRows(best, alongMm, sizeMm))) best = rows
  }
  return best
}

/** The rows of a layout, with how far they run; null where none fits. */
function rowsOf({ widthMm, lengthMm }: FlatSheet, stamp: Stamp, layout: Layout): readonly [Rows, number] | null {
  const stepMm = stamp.sizeMm + stamp.gapMm
  switch (layout) {
    case 'square':
      return [{ count: inRow(widthMm, stamp.sizeMm, stepMm), apartMm: stepMm, pitchMm: stepMm, shiftMm: 0 }, lengthMm]
    case 'staggered-rows': {
      const rows = mostRows(widthMm, lengthMm, stamp)
      return rows && [rows, lengthMm]
    }
    case 'staggered-columns': {
      const rows = mostRows(lengthMm, widthMm, stamp)
      return rows && [rows, widthMm]
    }
  }
}

/** Where the stamps of a layout stand. A square stamp is only ever laid out square: rows of squares do not interlock. */
export function stampCentres(sheet: FlatSheet, stamp: Stamp, layout: Layout): readonly Centre[] {
  const found = rowsOf(sheet, stamp, layout)
  if (!found) return []
  const [{ count, apartMm, pitchMm, shiftMm }, alongMm] = found
  const half = stamp.sizeMm / 2
  return Array.from({ length: count }, (_, n) => n).flatMap((n) => {
    const shift = n % 2 === 0 ? 0 : shiftMm
    const across = half + n * apartMm
    return Array.from({ length: inRow(alongMm - shift, stamp.sizeMm, pitchMm) }, (_each, k): Centre => {
      const along = half + shift + k * pitchMm
      return layout === 'staggered-columns'
        ? { acrossMm: along, alongMm: across }
        : { acrossMm: across, alongMm: along }
    })
  })
}

/** How many stand in a layout, without placing them. */
function counted(sheet: FlatSheet, stamp: Stamp, layout: Layout): number {
  const found = rowsOf(sheet, stamp, layout)
  return found ? onRows(found[0], found[1], stamp.sizeMm) : 0
}

/** The layout with most stamps; the plain grid wins a tie, then rows along the length. */
export function bestLayout(sheet: FlatSheet, stamp: Stamp): { readonly layout: Layout; readonly count: number } {
  const layouts = stamp.shape === 'square' ? LAYOUTS.slice(0, 1) : LAYOUTS
  return layouts
    .map((layout) => ({ layout, count: counted(sheet, stamp, layout) }))
    .reduce((best, next) => (next.count > best.count ? next : best))
}

/** Area of what one stamp cuts out, mm². @example stampAreaMm2({ shape: 'circle', sizeMm: 60 }) → 2827 */
export const stampAreaMm2 = ({ shape, sizeMm }: Stamp): number =>
  shape === 'circle' ? (Math.PI / 4) * sizeMm ** 2 : sizeMm ** 2

export interface StampRequest {
  /** Longer than `maxLengthMm` it is parted into sheets of that length and a last one. */
  readonly sheet: FlatSheet
  readonly maxLengthMm?: number
  readonly stamp: Stamp
  readonly thicknessMm: number
  readonly densityGPerCm3: number
  /** How often all the scrap is rolled out again. */
  readonly rerolls: number
  /** Dusting flour that scrap takes up, of its mass. */
  readonly pickupShare: number
}

export interface Generation {
  readonly pieces: number
  readonly lengthMm: number
  readonly scrapG: number
}

export interface Stamped {
  readonly perSheet: number
  readonly layout: Layout
  /** Of all that is rolled out at first. */
  readonly scrapFraction: number
  readonly pieceG: number
  /** The first sheet, then each re-roll of all its scrap at the same width and thickness. */
  readonly generations: readonly Generation[]
  readonly pieces: number
}

/**
 * Pieces from a sheet and from its scrap, re-rolled until none fits.
 * @example rounds of 38 mm, 2 apart, on 145 × 479 mm → 46 in rows along the length, a quarter left as scrap
 */
export function stamped(request: StampRequest): Stamped {
  const { sheet, stamp, thicknessMm, densityGPerCm3, rerolls, pickupShare } = request
  const gPerMm2 = (densityGPerCm3 * thicknessMm) / 1000
  const { widthMm } = sheet
  const maxLengthMm = Math.max(request.maxLengthMm ?? Infinity, stamp.sizeMm)
  const on = (lengthMm: number) => bestLayout({ widthMm, lengthMm }, stamp).count
  const cut = (lengthMm: number): Generation => {
    const whole = Number.isFinite(maxLengthMm) ? Math.floor(lengthMm / maxLengthMm + HAIR) : 0
    const count = (whole > 0 ? whole * on(maxLengthMm) : 0) + on(lengthMm - (whole > 0 ? whole * maxLengthMm : 0))
    return { pieces: count, lengthMm, scrapG: (widthMm * lengthMm - count * stampAreaMm2(stamp)) * gPerMm2 }
  }
  const first = cut(sheet.lengthMm)
  const generations = [first]
  for (let turn = 0, last = first; turn < rerolls && last.pieces > 0; turn += 1) {
    last = cut((last.scrapG * (1 + pickupShare)) / (gPerMm2 * widthMm))
    if (last.pieces > 0) generations.push(last)
  }
  const one = bestLayout({ widthMm, lengthMm: Math.min(sheet.lengthMm, maxLengthMm) }, stamp)
  return {
    perSheet: one.count,
    layout: one.layout,
    scrapFraction: first.scrapG / (gPerMm2 * widthMm * sheet.lengthMm),
    pieceG: stampAreaMm2(stamp) * gPerMm2,
    generations,
    pieces: generations.reduce((sum, generation) => sum + generation.pieces, 0),
  }
}
