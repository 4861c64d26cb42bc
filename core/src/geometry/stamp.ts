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

/** Straight rows run along the length in `hex-rows`, across it in `hex-columns`. */
export type Layout = 'square' | 'hex-rows' | 'hex-columns'

/** From the sheet's corner, across and along. */
export interface Centre {
  readonly acrossMm: number
  readonly alongMm: number
}

const ROW_STEP = Math.sqrt(3) / 2

/** Stamps of one size at one pitch in a row; none where not one fits. */
const inRow = (length: number, sizeMm: number, pitchMm: number): number =>
  length < sizeMm - HAIR ? 0 : Math.floor((length - sizeMm) / pitchMm + HAIR) + 1

/** Centres along one row. */
const row = (length: number, { sizeMm, gapMm }: Stamp, shiftMm = 0): readonly number[] =>
  Array.from(
    { length: inRow(length - shiftMm, sizeMm, sizeMm + gapMm) },
    (_, index) => shiftMm + sizeMm / 2 + index * (sizeMm + gapMm),
  )

function staggered(acrossMm: number, alongMm: number, stamp: Stamp): readonly (readonly [number, number])[] {
  const pitch = stamp.sizeMm + stamp.gapMm
  const rows = inRow(acrossMm, stamp.sizeMm, pitch * ROW_STEP)
  const [even, odd] = [row(alongMm, stamp), row(alongMm, stamp, pitch / 2)]
  return Array.from({ length: rows }, (_, index) => stamp.sizeMm / 2 + index * pitch * ROW_STEP).flatMap((at, index) =>
    (index % 2 === 0 ? even : odd).map((along) => [at, along] as const),
  )
}

/** Where the stamps of a layout stand. A square stamp is only ever laid out square: rows of squares do not interlock. */
export function stampCentres({ widthMm, lengthMm }: FlatSheet, stamp: Stamp, layout: Layout): readonly Centre[] {
  switch (layout) {
    case 'square':
      return row(widthMm, stamp).flatMap((acrossMm) => row(lengthMm, stamp).map((alongMm) => ({ acrossMm, alongMm })))
    case 'hex-rows':
      return staggered(widthMm, lengthMm, stamp).map(([acrossMm, alongMm]) => ({ acrossMm, alongMm }))
    case 'hex-columns':
      return staggered(lengthMm, widthMm, stamp).map(([alongMm, acrossMm]) => ({ acrossMm, alongMm }))
  }
}

/** How many stand in a layout, without placing them. */
function counted({ widthMm, lengthMm }: FlatSheet, { sizeMm, gapMm }: Stamp, layout: Layout): number {
  const pitch = sizeMm + gapMm
  if (layout === 'square') return inRow(widthMm, sizeMm, pitch) * inRow(lengthMm, sizeMm, pitch)
  const [across, along] = layout === 'hex-rows' ? [widthMm, lengthMm] : [lengthMm, widthMm]
  const rows = inRow(across, sizeMm, pitch * ROW_STEP)
  return (
    Math.ceil(rows / 2) * inRow(along, sizeMm, pitch) + Math.floor(rows / 2) * inRow(along - pitch / 2, sizeMm, pitch)
  )
}

/** The layout with most stamps; the plain grid wins a tie, then rows along the length. */
export function bestLayout(sheet: FlatSheet, stamp: Stamp): { readonly layout: Layout; readonly count: number } {
  const layouts: readonly Layout[] = stamp.shape === 'square' ? ['square'] : ['square', 'hex-rows', 'hex-columns']
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
